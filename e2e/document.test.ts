/** The Document station: structure found, repaired, changed by keys and by hand, and the text written in place. */
import type { Locator, Page } from '@playwright/test';
import { encode } from 'fast-png';
import { strFromU8, unzipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import { bringIn, drawn, expect, kept, openDeck, slide, test, station, everyWord } from './alvex.ts';

const demo = (name: string): Buffer => readFileSync(join(import.meta.dirname, '../packages/demo/files', name));
const toDocument = (page: Page) => station(page, 'Document').click();
const toSlides = (page: Page) => station(page, 'Slides').click();
const line = (page: Page, text: string): Locator => page.locator('[role=row][data-block]').filter({ hasText: text });
const margin = (page: Page, text: string): Locator => line(page, text).locator('span').first();
const outline = (page: Page): Locator =>
  page.getByRole('complementary', { name: 'Outline' }).getByRole('button', { name: /, level \d/ });
const titles = (page: Page): Promise<readonly string[]> =>
  outline(page).evaluateAll((rows) => rows.map((row) => row.textContent.replace(/,[\d,]+ words?$/, '')));

test('headings that are only bold are headings from the start, and are made text again or marked otherwise in one action', async ({
  page,
  alvex,
}) => {
  await bringIn(page, alvex, { name: 'minutes.docx', content: demo('minutes-october.docx') });
  await expect(page.getByTestId('slide-count')).toContainText('6 slides');
  await toDocument(page);
  await expect(outline(page)).toHaveCount(10);
  const taken = page.getByRole('region', { name: /Lines taken as headings: bold, 14 pt/ });
  await expect(taken).toContainText('5 lines of text taken as headings');
  await taken.getByRole('button', { name: 'Make them text again' }).click();
  await expect(taken).toHaveCount(0);
  await expect.poll(() => titles(page)).not.toContain('The sluice gate, level 2');
  const card = page.getByRole('region', { name: /Lines that look alike: bold, 14 pt/ });
  await expect(card).toContainText('14 pt where the text is 11 pt');
  await expect(card.getByRole('status')).toHaveText(/\d+ slides now, \d+ then/);
  await card.getByLabel('Level').selectOption('1');
  await card.getByRole('button', { name: 'Mark all 5' }).click();
  await expect.poll(() => titles(page)).toContain('The sluice gate, level 1');
  await kept(page);
  await page.reload();
  await expect.poll(() => titles(page)).toContain('The sluice gate, level 1');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(outline(page)).toHaveCount(10);
  await toSlides(page);
  await expect(drawn(page, 1).first()).toContainText('Sallow Quay Tide Mill Trust');
});

test('levels are changed by keys without leaving the text: a line, a selection, a branch', async ({ page, alvex }) => {
  await bringIn(page, alvex, {
    name: 'levels.md',
    content: '# One\n\nfirst\n\nsecond\n\n## Sub\n\nthird\n\n# Two\n\nlast\n',
  });
  await toDocument(page);
  await line(page, 'first').click();
  await page.keyboard.press('2');
  await expect(margin(page, 'first')).toHaveText('heading 2');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByRole('row', { selected: true })).toHaveCount(2);
  await page.keyboard.press('-');
  await expect(margin(page, 'second')).toHaveText('list');
  await expect(margin(page, 'Sub')).toHaveText('list');
  await page.keyboard.press('Control+z');
  await expect(margin(page, 'Sub')).toHaveText('heading 2');
  await line(page, 'One').click();
  await page.keyboard.press('>');
  await expect.poll(() => titles(page)).toEqual(['One, level 2', 'first, level 3', 'Sub, level 3', 'Two, level 1']);
  await line(page, 'third').click();
  await line(page, 'last').click({ modifiers: ['ControlOrMeta'] });
  await page.getByRole('toolbar', { name: 'Chosen lines' }).getByRole('button', { name: 'point, level 1' }).click();
  await toSlides(page);
  await expect(page.locator('[data-destination="point1"]').filter({ hasText: 'last' })).toBeVisible();
});

test('a branch is moved and re-levelled by dragging in the outline, and by keys', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'branches.md', content: '# A\n\na\n\n# B\n\nb\n\n## C\n\nc\n\n# D\n\nd\n' });
  await toDocument(page);
  await outline(page)
    .filter({ hasText: /^D/ })
    .dragTo(outline(page).filter({ hasText: /^B/ }), { targetPosition: { x: 4, y: 6 } });
  await expect.poll(() => titles(page)).toEqual(['A, level 1', 'D, level 1', 'B, level 1', 'C, level 2']);
  await outline(page).filter({ hasText: /^D/ }).press('Alt+ArrowDown');
  await expect.poll(() => titles(page)).toEqual(['A, level 1', 'B, level 1', 'C, level 2', 'D, level 1']);
  await outline(page).filter({ hasText: /^D/ }).press('Alt+ArrowRight');
  await expect.poll(() => titles(page)).toContain('D, level 2');
});

test('findings are repaired one by one or all of a kind', async ({ page, alvex }) => {
  await bringIn(page, alvex, {
    name: 'faults.md',
    content:
      '# Top\n\nx\n\n#### Deep\n\ny\n\n#### Also\n\nz\n\n# Top\n\nw\n\n### Deep too\n\nv\n\n### More\n\nu\n\n# Notes for the presenter\n\ndo not say\n',
  });
  await toDocument(page);
  const panel = page.getByRole('complementary', { name: 'Structure' });
  await expect(panel).toContainText('2 headings skip a level');
  await panel.getByRole('button', { name: 'Raise all' }).click();
  await expect
    .poll(() => titles(page))
    .toEqual([
      'Top, level 1',
      'Deep, level 2',
      'Also, level 2',
      'Top, level 1',
      'Deep too, level 2',
      'More, level 2',
      'Notes for the presenter, level 1',
    ]);
  await panel.getByRole('button', { name: 'Number it' }).click();
  await expect.poll(() => titles(page)).toContain('Top (2), level 1');
  await panel.getByRole('button', { name: 'Leave it out' }).click();
  await expect(panel).toContainText('Nothing to put right');
  await everyWord(page);
  await expect(page.getByText('do not say')).toBeVisible();
  await expect(page.getByText('you turned its mark').first()).toBeVisible();
});

test('the text is written in place, kept at once, and reaches the slides', async ({ page, alvex }) => {
  await bringIn(page, alvex, {
    name: 'write.md',
    content: '# One\n\nThe wheel turns.\n\n- oak\n\n| a | b |\n|---|---|\n| 1 | 2 |\n\n# Two\n\nend\n',
  });
  await toDocument(page);
  await line(page, 'The wheel turns').dblclick();
  const text = page.getByRole('textbox', { name: 'Text of the document' });
  await text.getByText('The wheel turns.').click();
  await page.keyboard.press('End');
  await page.keyboard.type(' Slowly.');
  await page.keyboard.press('Enter');
  await page.keyboard.type('And back.');
  await page.keyboard.press('Control+.');
  await text.getByRole('cell', { name: '2' }).click();
  await page.keyboard.press('End');
  await page.keyboard.type('000');
  await text.getByText('oak').click();
  await page.getByLabel('Picture file').setInputFiles({
    name: 'gate.png',
    mimeType: 'image/png',
    buffer: Buffer.from(encode({ width: 40, height: 30, data: new Uint8Array(3600).fill(120), channels: 3 })),
  });
  await expect(text.locator('img')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(line(page, 'The wheel turns. Slowly.')).toBeVisible();
  await expect(margin(page, 'And back.')).toHaveText('heading 1');
  await expect(line(page, '2000')).toBeVisible();
  await kept(page);
  await page.reload();
  await expect(line(page, 'The wheel turns. Slowly.')).toBeVisible();
  await expect(page.locator('[data-block] img')).toHaveJSProperty('naturalWidth', 40);
  await toSlides(page);
  await expect(slide(page, 2).getByLabel('Write: And back.')).toBeVisible();
  await expect(page.locator('svg image').first()).toBeVisible();
});

test('the furniture of a web page is left out with its reason and brought back by a click', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'article.html', content: demo('the-mill-that-keeps-the-moons-hours.html') });
  await expect(drawn(page, 1).first()).toContainText('The mill that keeps');
  await toDocument(page);
  await expect(margin(page, 'Waders at half price')).toHaveText('advert');
  await line(page, 'Waders at half price').getByRole('button', { name: 'Bring it back' }).click();
  await expect(margin(page, 'Waders at half price')).toHaveText('');
  await page.getByRole('button', { name: 'Bring all back' }).click();
  await expect(page.getByRole('button', { name: 'Bring it back' })).toHaveCount(0);
});

test('words are found in a long document', async ({ page, alvex }) => {
  const content = Array.from(
    { length: 300 },
    (_, i) => `# Part ${i}\n\n${i === 250 ? 'a heron nests' : 'nothing here'}\n`,
  ).join('\n');
  await bringIn(page, alvex, { name: 'long.md', content });
  await toDocument(page);
  await page.getByRole('searchbox', { name: 'Find in the text' }).fill('HERON');
  await expect(page.getByRole('search').getByRole('status')).toHaveText('1 of 1');
  await expect(line(page, 'a heron nests')).toBeInViewport();
});

test('separators may start slides', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'breaks.md', content: '# One\n\n- a\n\n---\n\n- b\n' });
  await toDocument(page);
  // What is ticked is what the worker made of it.
  const box = page.getByLabel('1 separator starts a slide');
  await box.click();
  await expect(box).toBeChecked();
  await toSlides(page);
  await expect(page.getByTestId('slide-count')).toContainText('2 slides');
});

const pdf = (): Promise<Buffer> =>
  new Promise((resolve) => {
    const doc = new PDFDocument();
    const pieces: Buffer[] = [];
    doc.on('data', (piece: Buffer) => pieces.push(piece));
    doc.on('end', () => resolve(Buffer.concat(pieces)));
    for (const name of ['The pond', 'The gate']) {
      doc.font('Helvetica-Bold').fontSize(20).text(name).moveDown(0.5);
      doc
        .font('Helvetica')
        .fontSize(11)
        .text(`${name} is described here in a sentence that is long enough to be text.`)
        .moveDown();
    }
    doc.end();
  });

for (const [name, content] of [
  [
    'a.rtf',
    '{\\rtf1\\ansi{\\stylesheet{\\s1 heading 1;}}\\pard\\s1 The pond\\par\\pard fills\\par\\pard\\s1 The gate\\par\\pard shuts\\par}',
  ],
  [
    'b.opml',
    '<opml version="2.0"><body><outline text="The pond"><outline text="fills"/></outline><outline text="The gate"/></body></opml>',
  ],
  ['c.txt', 'The pond\n--------\n\nfills\n\nThe gate\n--------\n\nshuts\n'],
  ['d.pdf', undefined],
] as const)
  test(`${name} becomes slides`, async ({ page, alvex }) => {
    await bringIn(page, alvex, { name, content: content ?? (await pdf()) });
    await expect(slide(page, 1).getByLabel('Write: The pond', { exact: true })).toBeVisible();
    await expect(slide(page, 2).getByLabel('Write: The gate', { exact: true })).toBeVisible();
  });

test('several files become parts of one document, in an order that can be changed before and after', async ({
  page,
  alvex,
}, info) => {
  await page.goto(alvex.address);
  const file = (name: string, content: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(content) });
  await page
    .getByLabel('Document')
    .setInputFiles([
      file('one.md', '# One\n\na\n'),
      file('two.md', '# Two\n\nb\n'),
      file('three.txt', 'Three\n=====\n\nc\n'),
    ]);
  await expect(page.getByRole('heading', { name: '3 files will be parts of one document' })).toBeVisible();
  await page.getByRole('button', { name: 'Earlier: two.md' }).click();
  await page.getByRole('button', { name: 'Make slides of them' }).click();
  await openDeck(page);
  await toDocument(page);
  await expect.poll(() => titles(page)).toEqual(['Two, level 1', 'One, level 1', 'Three, level 1']);
  await page.getByRole('list', { name: 'Parts' }).getByRole('button', { name: 'Later: two.md' }).click();
  await expect.poll(() => titles(page)).toEqual(['One, level 1', 'Two, level 1', 'Three, level 1']);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Original' }).click(),
  ]);
  const path = info.outputPath('originals.zip');
  await download.saveAs(path);
  const files = unzipSync(readFileSync(path));
  expect(Object.keys(files)).toEqual(['two.md', 'one.md', 'three.txt']);
  expect(strFromU8(files['three.txt']!)).toBe('Three\n=====\n\nc\n');
});

test('a part that cannot be read is named, and nothing is made', async ({ page, alvex }) => {
  await page.goto(alvex.address);
  await expect(page.getByRole('listitem').first()).toBeVisible();
  const before = await page.getByRole('listitem').count();
  await page.getByLabel('Document').setInputFiles([
    { name: 'good.md', mimeType: 'text/plain', buffer: Buffer.from('# A\n') },
    { name: 'bad.docx', mimeType: 'text/plain', buffer: Buffer.from('no package') },
  ]);
  await page.getByRole('button', { name: 'Make slides of them' }).click();
  await expect(page.getByRole('alert')).toContainText('bad.docx');
  await page.reload();
  await expect(page.getByRole('listitem')).toHaveCount(before);
});

test('without a document one starts with an outline of prompts', async ({ page, alvex }) => {
  await page.goto(alvex.address);
  await page.getByRole('button', { name: 'Start an outline' }).click();
  await page.getByRole('radio', { name: /Proposal/ }).click();
  await page.getByLabel('Topic').fill('A bench by the pond');
  await page.getByLabel('Audience').fill('the trustees');
  await page.getByRole('spinbutton', { name: 'Minutes' }).fill('6');
  await expect(page.getByLabel('The outline')).toContainText('What we ask of you');
  await page.getByRole('button', { name: 'Use this outline' }).click();
  await page.waitForURL(/document/);
  await expect
    .poll(() => titles(page))
    .toEqual([
      'A bench by the pond, level 1',
      'What we propose, level 2',
      'Why now, level 2',
      'What we ask of you, level 2',
    ]);
});

test('indented lines that are pasted are an outline', async ({ page, alvex }) => {
  await page.goto(alvex.address);
  await page.getByRole('button', { name: 'Paste text' }).click();
  await page.getByRole('textbox', { name: 'Text' }).fill('Opening\n\tWho\n\tWhy\nMoney\n\tCosts\n');
  await page.getByRole('button', { name: 'Make slides of it' }).click();
  await openDeck(page);
  await expect(slide(page, 2).getByLabel('Write: Money')).toBeVisible();
});
