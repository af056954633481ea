/** The first hour: what is seen of a new deck, the few choices that change it, and the page of decks. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, kept, openDeck, root, station, test, type Alvex, everyWord } from './alvex.ts';

const report = join(root, 'packages/demo/files/sallow-quay-feasibility-report.docx');
const minutes = join(root, 'packages/demo/files/minutes-october.docx');

async function begin(page: Page, alvex: Alvex, path: string | { name: string; content: string }): Promise<void> {
  await page.goto(alvex.address);
  const file =
    typeof path === 'string' ? path : { name: path.name, mimeType: 'text/plain', buffer: Buffer.from(path.content) };
  await page.getByLabel('Document').setInputFiles(file);
  await page.waitForURL(/\/overview$/);
}
const summary = (page: Page) => page.getByTestId('summary');
const card = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^${name} \\d`) });
/** Slides and minutes that a card promises. */
async function promised(page: Page, name: string): Promise<string> {
  const text = (await card(page, name).innerText()).split('\n')[1]!;
  return text.replace(', ', ' and ');
}

test('a new deck is said in one sentence, and what a length promises is what comes', async ({ page, alvex }) => {
  await begin(page, alvex, report);
  await expect(page).toHaveTitle('Reopening the Sallow Quay tide mill · Overview · Alvex');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Reopening the Sallow Quay tide mill');
  await expect(summary(page)).toContainText('859 words in 8 parts. As a talk it comes to');
  await expect(summary(page)).toContainText('every word that is not on a slide is in the speaker notes.');
  await expect(card(page, 'As written')).toHaveAttribute('aria-pressed', 'true');
  await expect(summary(page)).toContainText(await promised(page, 'As written'));
  const short = await promised(page, 'Short talk');
  await card(page, 'Short talk').click();
  await expect(card(page, 'Short talk')).toHaveAttribute('aria-pressed', 'true');
  await expect(summary(page)).toContainText(`comes to ${short}`);
  await expect(summary(page)).toContainText('words left out');
  const read = await promised(page, 'To be read');
  await card(page, 'To be read').click();
  await expect(summary(page)).toContainText(`As a deck to be read it comes to ${read}; every word`);
  // Each is one step, and taken back as one.
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(card(page, 'As written')).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('a talk of so many minutes in four steps, true within a minute', async ({ page, alvex }) => {
  const part = (i: number) =>
    `## Part ${i}\n\n- The first point of part ${i}\n- The second point of part ${i}\n\n` +
    Array.from(
      { length: 6 },
      (_, k) =>
        `Sentence ${k} of part ${i} says at some length what the weir has to do with the pond, the gate and the people of the quay. `,
    ).join('') +
    '\n';
  const content = `# The long weir\n\n${Array.from({ length: 12 }, (_, i) => part(i + 1)).join('\n')}`;
  await begin(page, alvex, { name: 'weir.md', content });
  await page.getByLabel('Minutes to speak').fill('6');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Comes to \d+ slides, [567] min: speaker notes with/)).toBeVisible();
  // The way on has the focus.
  await expect(page.getByRole('button', { name: 'Use this length' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(summary(page)).toContainText(/slides and [567] min;/);
  await kept(page);
  await page.reload();
  await expect(summary(page)).toContainText(/slides and [567] min;/);
  await everyWord(page);
  await expect(page.getByTestId('ledger-sum')).toContainText('Nothing is lost.');
});

test('slides begin at the headings that are chosen; a theme is chosen on one’s own slide', async ({ page, alvex }) => {
  await begin(page, alvex, {
    name: 'two.md',
    content:
      '# Mill\n\n## Water\n\n### Pond\n\n- deep\n\n### Gate\n\n- oak\n\n## Work\n\n### Stones\n\n- two\n\n### Sacks\n\n- many\n',
  });
  const level = page.getByLabel('Headings at which slides begin');
  await expect(level).toBeVisible();
  const options = await level.locator('option').allInnerTexts();
  expect(options).toHaveLength(3);
  const [, slides] = /each heading 3: (\d+ slides)/.exec(options[2]!)!;
  await level.selectOption('3');
  await expect(summary(page)).toContainText(`comes to ${slides}`);
  await page.getByRole('button', { name: 'Slipway' }).click();
  await expect(page.getByRole('button', { name: 'Slipway' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: /more themes/ }).click();
  await expect(page.getByRole('img', { name: /^Slide \d+ in /, includeHidden: true })).toHaveCount(13);
  await page.getByRole('link', { name: /^Slide 1: / }).click();
  await expect(page.getByTestId('slide-count')).toContainText(slides!);
  await page.goBack();
  await expect(summary(page)).toBeVisible();
});

test('what needs a word stands there with its answer', async ({ page, alvex }) => {
  await begin(page, alvex, report);
  await expect(page.getByText('The part “For the chair only” seems to be for the speaker.')).toBeVisible();
  const before = await summary(page).innerText();
  await page.getByRole('button', { name: 'Show it on slides' }).click();
  await expect(page.getByText('seems to be for the speaker')).toHaveCount(0);
  await expect(summary(page)).not.toHaveText(before);

  await begin(page, alvex, minutes);
  await page.getByRole('button', { name: 'Take them as text' }).click();
  await expect(page.getByRole('button', { name: 'Mark them as headings' })).toBeVisible();
  await page.getByRole('button', { name: 'Mark them as headings' }).click();
  await expect(page.getByRole('button', { name: 'Take them as text' })).toBeVisible();

  await begin(page, alvex, {
    name: 'plain.txt',
    content: 'We met at the quay and looked at the gate. It has been stuck since the storm.\n',
  });
  await expect(page.getByText('Nothing is marked as a heading')).toBeVisible();
  await page.getByRole('link', { name: 'Mark headings in the text' }).click();
  await expect(page.getByLabel('Text', { exact: true })).toBeVisible();
});

test('text is pasted anywhere on the page of decks, and its deck is named after it', async ({ page, alvex }) => {
  await page.goto(alvex.address);
  await expect(page.getByRole('heading', { name: 'Drop documents here' })).toBeVisible();
  await page.evaluate(() =>
    navigator.clipboard.writeText('The gate is stuck since the storm, and nobody knows why.\n'),
  );
  await page.locator('body').press('Control+v');
  await expect(page.getByRole('textbox', { name: 'Text' })).toHaveValue(/^The gate is stuck/);
  await page.getByRole('button', { name: 'Make slides of it' }).click();
  await page.waitForURL(/overview/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('The gate is stuck since the storm, and nobody');
  await page.goto(alvex.address);
  // A file that is dropped beside the field is taken too.
  const transfer = await page.evaluateHandle(() => {
    const data = new DataTransfer();
    data.items.add(new File(['# Dropped beside\n\n- it\n'], 'beside.md'));
    return data;
  });
  await page.getByRole('heading', { name: 'Decks', exact: true }).dispatchEvent('drop', { dataTransfer: transfer });
  await page.waitForURL(/overview/);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Dropped beside');
});

test('decks are seen with their covers, found, ordered, copied with all that was done, and deleted together', async ({
  page,
  alvex,
}) => {
  await begin(page, alvex, { name: 'ferry.md', content: '# The ferry to copy\n\n- one\n- two\n' });
  await page.getByRole('button', { name: 'Lamplight' }).click();
  await kept(page);
  await page.goto(alvex.address);
  await expect(page).toHaveTitle('Decks · Alvex');
  const cards = page.getByRole('region', { name: 'Decks', exact: true }).getByRole('listitem');
  const ferry = cards.filter({ hasText: 'The ferry to copy' });
  await expect(ferry.locator('svg text').first()).toHaveText('The ferry to copy');
  await expect(ferry).toContainText('Theme: Lamplight');
  await page.getByRole('button', { name: 'Duplicate The ferry to copy' }).click();
  await expect(cards.filter({ hasText: 'The ferry to copy (2)' }).locator('svg text').first()).toBeVisible();
  await page.getByLabel('Search decks').fill('FERRY copy');
  await expect(cards).toHaveCount(2);
  await page.getByRole('link', { name: 'The ferry to copy (2)' }).click();
  await expect(page.getByTestId('slide-count')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await station(page, 'Overview').click();
  await expect(page.getByRole('button', { name: 'Millrace' })).toHaveAttribute('aria-pressed', 'true');
  await kept(page);
  // The first deck has its own log.
  await page.goto(alvex.address);
  await page.getByRole('link', { name: 'The ferry to copy', exact: true }).click();
  await station(page, 'Overview').click();
  await expect(page.getByRole('button', { name: 'Lamplight' })).toHaveAttribute('aria-pressed', 'true');
  await page.goto(alvex.address);
  await page.getByLabel('Search decks').fill('no such deck');
  await expect(page.getByText(/^No deck of \d+ decks has “no such deck”/)).toBeVisible();
  await page.getByLabel('Search decks').fill('');
  await page.getByLabel('Order of the decks').selectOption('name');
  const names = await cards.locator('[aria-label^="Rename "]').evaluateAll((l) => l.map((e) => e.ariaLabel ?? ''));
  expect(names.length).toBeGreaterThan(4);
  expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b, undefined, { numeric: true })));
  const all = await cards.count();
  await page.getByLabel('Choose The ferry to copy', { exact: true }).check();
  await page.getByLabel('Choose The ferry to copy (2)').check();
  await page.getByRole('button', { name: 'Delete them' }).click();
  await expect(cards).toHaveCount(all - 2);
  await page.getByRole('button', { name: 'Bring them back' }).click();
  await expect(cards).toHaveCount(all);
});

test('where nothing is, that is said; an empty list offers a sample', async ({ page, alvex }) => {
  await page.goto(`${alvex.address}/decks/none/nowhere`);
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
  await page.route('**/api/decks', (route) => route.fulfill({ json: { decks: [], deleted: [] } }));
  await page.goto(alvex.address);
  await page.getByRole('button', { name: 'Try it with a sample report' }).click();
  await openDeck(page);
  await expect(page.getByTestId('slide-count')).toHaveText('11 slides');
});

test('the page of a new deck is worked by keys alone, and holds on a narrow window', async ({ page, alvex }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await begin(page, alvex, {
    name: 'keys.md',
    content: readFileSync(join(root, 'packages/demo/files/volunteer-induction-course.md'), 'utf8'),
  });
  await expect(card(page, 'Short talk')).toBeEnabled();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await card(page, 'Short talk').focus();
  await page.keyboard.press('Enter');
  await expect(card(page, 'Short talk')).toHaveAttribute('aria-pressed', 'true');
  await expect(card(page, 'Short talk')).toBeFocused();
  // Tab comes to every choice, in their order.
  for (const name of ['As written', 'To be read', 'Millrace', 'Slipway', 'Lamplight', '10 more themes']) {
    const wanted = page.getByRole('button', { name: new RegExp(`^${name}`) });
    const focused = () => wanted.evaluate((element) => element === document.activeElement);
    for (let i = 0; i < 4 && !(await focused()); i++) await page.keyboard.press('Tab');
    await expect(wanted).toBeFocused();
  }
});
