/** Ten ways through the application, each by pointer and by keyboard alone; what they cost in clicks and keys is counted and written to the report. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Locator, Page, TestInfo } from '@playwright/test';
import { bringIn, expect, root, slide, station, test, type Alvex } from './alvex.ts';

const REPORT = join(root, 'packages/demo/files/sallow-quay-feasibility-report.docx');
const PICTURE = {
  name: 'gate.png',
  mimeType: 'image/png',
  buffer: Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  ),
};

/** One who works with a pointer, or with keys alone; text that is written is not counted. */
interface Hand {
  /** Presses a button, follows a link, sets a mark. */
  choose(what: Locator): Promise<void>;
  write(where: Locator, text: string): Promise<void>;
  /** A button that asks for a file. */
  file(button: Locator, path: string | { name: string; mimeType: string; buffer: Buffer }): Promise<void>;
  /** Opens a text on a slide for writing. */
  open(what: Locator): Promise<void>;
  key(key: string): Promise<void>;
  readonly count: number;
}

/** So many tabulators lead to anything on a page, or nobody would. */
const FARTHEST = 150;

class Pointer implements Hand {
  count = 0;
  readonly page: Page;
  constructor(page: Page) {
    this.page = page;
  }
  async choose(what: Locator): Promise<void> {
    await what.click();
    this.count++;
  }
  async write(where: Locator, text: string): Promise<void> {
    await this.choose(where);
    await this.page.keyboard.insertText(text);
  }
  async file(button: Locator, path: Parameters<Hand['file']>[1]): Promise<void> {
    const chooser = this.page.waitForEvent('filechooser');
    await this.choose(button);
    await (await chooser).setFiles(path);
  }
  async open(what: Locator): Promise<void> {
    await what.dblclick();
    this.count += 2;
  }
  async key(key: string): Promise<void> {
    await this.page.keyboard.press(key);
  }
}

class Keys implements Hand {
  count = 0;
  readonly page: Page;
  constructor(page: Page) {
    this.page = page;
    // So that it is waited for before the key is pressed, which opens it at once.
    page.on('filechooser', () => {});
  }
  async #reach(what: Locator): Promise<void> {
    await expect(what).toBeVisible();
    // One who sees the page knows on which side of the focus it stands; the line of stations has a key of its own.
    if (await what.evaluate((one) => one.closest('header') !== null && document.querySelector('header nav') !== null))
      await this.key('g');
    const back = await what.evaluate((one) => {
      const at = document.activeElement ?? document.body;
      return at !== document.body && (at.compareDocumentPosition(one) & Node.DOCUMENT_POSITION_PRECEDING) !== 0;
    });
    for (let i = 0; i <= FARTHEST; i++) {
      if (await what.evaluate((one) => one === document.activeElement || one.querySelector(':focus') !== null)) return;
      await this.key(back ? 'Shift+Tab' : 'Tab');
    }
    throw new Error(`${what} is not reached by keys`);
  }
  async choose(what: Locator): Promise<void> {
    await this.#reach(what);
    await this.key('Enter');
  }
  async write(where: Locator, text: string): Promise<void> {
    await this.#reach(where);
    await this.page.keyboard.insertText(text);
  }
  async file(button: Locator, path: Parameters<Hand['file']>[1]): Promise<void> {
    await this.#reach(button);
    const chooser = this.page.waitForEvent('filechooser');
    await this.key('Enter');
    await (await chooser).setFiles(path);
  }
  open(what: Locator): Promise<void> {
    return this.choose(what);
  }
  async key(key: string): Promise<void> {
    await this.page.keyboard.press(key);
    this.count++;
  }
}

interface Journey {
  readonly name: string;
  /** At most. */
  readonly clicks: number;
  /** What is there before the first click. */
  readonly before?: (page: Page, alvex: Alvex) => Promise<void>;
  readonly go: (hand: Hand, page: Page, info: TestInfo) => Promise<void>;
}

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });
const link = (page: Page, name: string | RegExp) => page.getByRole('link', { name });
const markdown = (name: string, text: string) => ({ name, mimeType: 'text/markdown', buffer: Buffer.from(text) });

const MILL = `# The tide mill

## Water

- The pond fills twice a day
- Five hours of head on a spring tide

The pond holds eleven thousand cubic metres.

## Gates

- North gate seized
- South gate leaks

Both gates are elm on iron straps, and the straps can be kept.
`;

/** Lines as they come out of a message: no marks, headings in capitals. */
const PASTED = `THE TIDE MILL

WATER
The pond fills twice a day. It holds eleven thousand cubic metres of water. A spring tide gives five hours of work.

GATES
The north gate has been seized since the flood. The south gate leaks at the sill. Both can be mended in one season.

MONEY
The county heritage fund pays half of the sum. The trust brings forty thousand from the boat shed.
`;

const LONG = `# The long weir\n\n${Array.from(
  { length: 12 },
  (_, i) =>
    `## Part ${i + 1}\n\n- The first point of part ${i + 1}\n- The second point of part ${i + 1}\n\n${Array.from(
      { length: 14 },
      (_, k) =>
        `Sentence ${k} of part ${i + 1} says at some length what the weir has to do with the pond and the people of the quay. `,
    ).join('')}\n`,
).join('\n')}`;

const mill = (page: Page, alvex: Alvex) => bringIn(page, alvex, { name: 'mill.md', content: MILL });

async function saved(page: Page, info: TestInfo, save: () => Promise<void>): Promise<Buffer> {
  const coming = page.waitForEvent('download');
  await save();
  const path = info.outputPath('saved');
  await (await coming).saveAs(path);
  return readFileSync(path);
}

const JOURNEYS: readonly Journey[] = [
  {
    name: 'a document becomes a presentation file',
    clicks: 5,
    async go(hand, page, info) {
      await hand.file(button(page, 'Choose files'), REPORT);
      await hand.choose(link(page, 'Open the deck'));
      await expect(page.getByTestId('slide-count')).toHaveText('11 slides');
      await hand.choose(station(page, 'Hand over'));
      const bytes = await saved(page, info, () => hand.choose(button(page, 'Download PPTX')));
      expect(bytes.subarray(0, 2).toString()).toBe('PK');
    },
  },
  {
    name: 'pasted text without marks becomes a good deck',
    clicks: 6,
    async go(hand, page) {
      await hand.choose(button(page, 'Paste text'));
      await hand.write(page.getByLabel('Text', { exact: true }), PASTED);
      await hand.choose(button(page, 'Make slides of it'));
      await expect(page.getByTestId('summary')).toBeVisible();
      const mark = button(page, /^Mark (it|them) as/);
      if (await mark.isVisible()) await hand.choose(mark);
      await hand.choose(link(page, 'Open the deck'));
      await expect(page.getByTestId('slide-count')).toHaveText('4 slides');
      await expect(page.getByTestId('ready')).toHaveText('all 3 ready to show');
    },
  },
  {
    name: 'a long document becomes a talk of twelve minutes',
    clicks: 4,
    async before(page, alvex) {
      await page.goto(alvex.address);
      await page.getByLabel('Document', { exact: true }).setInputFiles(markdown('weir.md', LONG));
    },
    async go(hand, page) {
      await hand.write(page.getByLabel('Minutes to speak'), '12');
      await hand.key('Enter');
      await hand.choose(button(page, 'Use this length'));
      await expect(page.getByTestId('summary')).toContainText(/ slides and 1[123] min;/);
    },
  },
  {
    name: 'another look, and pages to print',
    clicks: 4,
    async before(page, alvex) {
      await page.goto(alvex.address);
      await page.getByLabel('Document', { exact: true }).setInputFiles(markdown('mill.md', MILL));
      await expect(page.getByTestId('summary')).toBeVisible();
    },
    async go(hand, page, info) {
      await hand.choose(button(page, 'Slipway'));
      await expect(button(page, 'Slipway')).toHaveAttribute('aria-pressed', 'true');
      await hand.choose(station(page, 'Hand over'));
      const bytes = await saved(page, info, () => hand.choose(button(page, 'Download PDF')));
      expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    },
  },
  {
    name: 'a point is worded anew on its slide',
    clicks: 2,
    before: mill,
    async go(hand, page) {
      await hand.open(slide(page, 3).getByLabel(/^Write: (• )?North gate seized$/));
      const text = page.getByRole('textbox', { name: 'Text' });
      await expect(text).toBeFocused();
      await text.selectText();
      await page.keyboard.insertText('North gate stuck');
      await hand.key('Enter');
      await expect(slide(page, 3).getByLabel(/^Write: (• )?North gate stuck$/)).toBeVisible();
    },
  },
  {
    name: 'what is said to a slide is written',
    clicks: 2,
    before: mill,
    async go(hand, page) {
      await hand.choose(slide(page, 1).getByLabel('Write speaker notes'));
      await expect(page.getByRole('textbox', { name: 'Speaker notes' })).toBeFocused();
      await page.keyboard.insertText('Good evening to all of you.');
      await hand.key('Control+Enter');
      await expect(slide(page, 1).getByLabel('Write speaker notes')).toContainText('Good evening to all of you.');
    },
  },
  {
    name: 'a picture is put on a slide',
    clicks: 3,
    before: mill,
    async go(hand, page) {
      await hand.choose(slide(page, 2).getByRole('button', { name: 'Look of this slide' }));
      await hand.choose(slide(page, 2).getByRole('button', { name: /^From a file/ }));
      await hand.file(slide(page, 2).getByRole('button', { name: 'A file …' }), PICTURE);
      await expect(slide(page, 2).locator('svg image').first()).toBeVisible();
    },
  },
  {
    name: 'the document was changed elsewhere, and all work stays',
    clicks: 4,
    before: mill,
    async go(hand, page) {
      await hand.choose(station(page, 'Document'));
      await hand.file(
        button(page, 'New edition'),
        markdown('mill.md', MILL.replace('Five hours of head', 'Four hours of head')),
      );
      await expect(page.getByTestId('edition-sum')).toContainText('1 passage changed');
      await hand.choose(button(page, 'Bring it in'));
      await expect(slide(page, 2).getByLabel(/^Write: (• )?Four hours of head/)).toBeVisible();
    },
  },
  {
    name: 'what a listener would stumble over is mended',
    clicks: 3,
    before: (page, alvex) =>
      bringIn(page, alvex, {
        name: 'gates.md',
        content: `${MILL}\n## Roof\n\n- Mending the valley\n- Replace the slates\n- Closing the hatch\n- Rebuilding the ridge\n`,
      }),
    async go(hand, page) {
      await hand.choose(station(page, 'Check'));
      await hand.choose(button(page, /^Mend all/));
      await expect(page.getByText(/mended in one step/)).toBeVisible();
      await expect(button(page, 'Undo')).toBeEnabled();
    },
  },
  {
    name: 'the deck is presented, and ended',
    clicks: 3,
    before: mill,
    async go(hand, page) {
      await hand.choose(page.getByRole('banner').getByRole('link', { name: 'Present' }));
      await hand.choose(button(page, 'Show on this screen'));
      await hand.key('PageDown');
      await hand.key('PageDown');
      // A browser with a window of its own does this as Escape is pressed.
      await page.evaluate(() => document.exitFullscreen().catch(() => {}));
      await hand.key('Escape');
      await expect(page.getByText(/^slide 3 of 3/)).toBeVisible();
      await hand.choose(link(page, 'End the talk'));
      await expect(page.getByTestId('slide-count')).toBeVisible();
    },
  },
];

/** Keys that any of them may take. */
const MOST_KEYS = 60;

for (const { name, clicks, before, go } of JOURNEYS)
  for (const by of ['pointer', 'keys'] as const)
    test(`${name}, by ${by}`, async ({ page, alvex }, info) => {
      if (before === undefined) await page.goto(alvex.address);
      else await before(page, alvex);
      const hand = by === 'pointer' ? new Pointer(page) : new Keys(page);
      await go(hand, page, info);
      const most = by === 'pointer' ? clicks : MOST_KEYS;
      info.annotations.push({ type: by === 'pointer' ? 'clicks' : 'keys', description: `${hand.count} of ${most}` });
      console.log(`    ${name}: ${hand.count} ${by === 'pointer' ? 'clicks' : 'keys'}`);
      expect(hand.count).toBeLessThanOrEqual(most);
    });
