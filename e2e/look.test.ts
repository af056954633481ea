/** The look: themes, colours, type, foot, layouts, figures, charts, pictures, templates. */
import type { Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { strFromU8, unzipSync } from 'fflate';
import { bringInPlain, expect, kept, slide, test, station } from './alvex.ts';

const root = join(import.meta.dirname, '..');
const alvexCommand = join(root, 'bin/alvex');
const SOURCE = `# The mill

## How to grind

1. Open the sluice
2. Feed the grain
3. Sack the flour

## What there is

- Wheel
- Stones
- Boats
- School

## Guests

| Year | Grown | Children |
|---|---|---|
| 2024 | 1,200 | 400 |
| 2025 | 1,850 | 720 |
`;

const bring = (page: Page, alvex: Parameters<typeof bringInPlain>[1]) =>
  bringInPlain(page, alvex, { name: 'look.md', content: SOURCE });
const look = (page: Page, number: number) => slide(page, number).getByRole('button', { name: 'Look of this slide' });
const panel = (page: Page) => page.getByTestId('look-panel');
const shelf = async (page: Page, name: string) => {
  await station(page, 'Look').click();
  await page.getByRole('button', { name, exact: true }).click();
};
/** The slide itself, without the small ones of its panel. */
const sheet = (page: Page, number: number) => slide(page, number).locator(`svg[aria-label^="Slide ${number}:"]`);
const drawn = (page: Page, number: number) => sheet(page, number).locator('text');
const ground = (page: Page, number: number) => sheet(page, number).locator('rect').first();

async function exported(page: Page, file: string): Promise<string> {
  await station(page, 'Hand over').click();
  await kept(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download PPTX' }).click(),
  ]);
  await download.saveAs(file);
  return execFileSync(alvexCommand, ['check', file], { encoding: 'utf8' });
}

test('a theme in one of its palettes is worn, dark too, and undone', async ({ page, alvex }) => {
  await bring(page, alvex);
  await station(page, 'Look').click();
  const pebble = page.getByRole('region', { name: 'Pebble' });
  await expect(pebble.locator('svg text').filter({ hasText: 'The mill' }).first()).toBeAttached();
  await pebble.getByRole('button', { name: 'Pebble in Heather' }).click();
  await expect(pebble.getByRole('button', { name: 'In use' })).toBeVisible();
  await shelf(page, 'Colours');
  await page.getByRole('button', { name: 'Dark', exact: true }).click();
  await station(page, 'Slides').click();
  await expect(ground(page, 2)).not.toHaveAttribute('fill', '#FFFDF8');
  const dark = await ground(page, 2).getAttribute('fill');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(ground(page, 2)).not.toHaveAttribute('fill', dark!);
});

test('a base colour and the key V make palettes, each of which reads well', async ({ page, alvex }) => {
  await bring(page, alvex);
  await shelf(page, 'Colours');
  await page.getByLabel('Base colour as six digits').fill('#FFD400');
  await page.getByRole('button', { name: 'Make a palette' }).click();
  const ratios = async () => (await page.getByTestId('contrasts').innerText()).match(/[\d.]+(?= to 1)/g)!.map(Number);
  await expect(page.getByRole('button', { name: 'Reed' })).toHaveAttribute('aria-pressed', 'false');
  expect(Math.min(...(await ratios()))).toBeGreaterThanOrEqual(4.5);
  const before = await page.getByTestId('contrasts').innerText();
  await page.keyboard.press('v');
  await expect(page.getByTestId('contrasts')).not.toHaveText(before);
  expect(Math.min(...(await ratios()))).toBeGreaterThanOrEqual(4.5);
});

test('one rule for all titles, and a footer, are on every slide', async ({ page, alvex }, info) => {
  await bring(page, alvex);
  await shelf(page, 'Type');
  await page.getByLabel('Case of all titles').selectOption('capitals');
  await page.getByRole('button', { name: /^Georgia/ }).click();
  await page.getByRole('button', { name: 'Foot and logo' }).click();
  await page.getByLabel('Footer', { exact: true }).fill('Sallow Quay Trust');
  await page.keyboard.press('Enter');
  await station(page, 'Slides').click();
  await expect(drawn(page, 2).filter({ hasText: 'HOW TO GRIND' })).toBeVisible();
  await expect(drawn(page, 2).filter({ hasText: 'Sallow Quay Trust' })).toBeVisible();
  // The words themselves are as they were written.
  await expect(slide(page, 2).getByRole('button', { name: 'Write: HOW TO GRIND' })).toBeVisible();
  expect(await exported(page, info.outputPath('type.pptx'))).toContain(': 0 faults');
});

test('a list becomes a figure, keeps its points, and goes back', async ({ page, alvex }, info) => {
  await bring(page, alvex);
  await look(page, 2).click();
  await panel(page).getByRole('button', { name: 'Steps: the list is numbered' }).click();
  await expect(slide(page, 2)).toContainText('Steps');
  await expect(sheet(page, 2).locator('path').nth(4)).toBeAttached();
  await sheet(page, 2).locator('g[data-target]').filter({ hasText: 'Open the' }).first().dblclick();
  await page.getByRole('textbox', { name: 'Text', exact: true }).fill('Open the gate');
  await page.keyboard.press('Enter');
  await expect(drawn(page, 2).filter({ hasText: 'gate' })).toBeVisible();
  expect(await exported(page, info.outputPath('figure.pptx'))).toContain(': 0 faults');
  await station(page, 'Slides').click();
  await look(page, 2).click();
  await panel(page).getByRole('button', { name: 'As Alvex chooses' }).click();
  await expect(slide(page, 2)).toContainText('Points');
  await expect(drawn(page, 2).filter({ hasText: 'Open the gate' })).toBeVisible();
});

test('icons are found by what points say', async ({ page, alvex }) => {
  await bring(page, alvex);
  await look(page, 3).click();
  await panel(page)
    .getByRole('button', { name: /^Grid with icons/ })
    .click();
  await expect(sheet(page, 3).locator('path').nth(3)).toBeAttached();
  const before = await sheet(page, 3).locator('path').count();
  await panel(page).getByRole('button', { name: 'Suggest for all points' }).click();
  await expect(panel(page).getByRole('button', { name: 'No icons' })).toBeVisible();
  expect(await sheet(page, 3).locator('path').count()).toBeGreaterThan(before);
});

test('layouts are chosen for all slides in one step', async ({ page, alvex }) => {
  await bring(page, alvex);
  await shelf(page, 'Layouts');
  await page.getByRole('button', { name: /^Arrange \d slides/ }).click();
  await expect(page.getByRole('button', { name: 'All slides are so already' })).toBeVisible();
  await station(page, 'Slides').click();
  await expect(slide(page, 2)).toContainText('Steps');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(slide(page, 2)).toContainText('Points');
});

test('a table becomes a chart whose numbers are edited, and a table again', async ({ page, alvex }, info) => {
  await bring(page, alvex);
  await look(page, 4).click();
  await panel(page).getByRole('button', { name: 'Columns', exact: true }).click();
  await expect(drawn(page, 4).filter({ hasText: '1,850' })).toBeVisible();
  await panel(page).getByRole('button', { name: 'Edit the numbers' }).click();
  await panel(page).getByLabel('Grown, 2025').fill('2100');
  await page.keyboard.press('Enter');
  await expect(drawn(page, 4).filter({ hasText: '2,100' })).toBeVisible();
  // From cell to cell by Tab, faster than the chart is drawn.
  await panel(page).getByLabel('Grown, 2024').focus();
  for (const number of ['1300', '530', '2200', '810']) {
    await page.keyboard.press('ControlOrMeta+a');
    await page.keyboard.type(number);
    await page.keyboard.press('Tab');
    // The name of the next row.
    if (number === '530') await page.keyboard.press('Tab');
  }
  for (const number of ['1,300', '530', '2,200', '810'])
    await expect(drawn(page, 4).filter({ hasText: number })).toBeVisible();
  await panel(page).getByLabel('Title of the chart').fill('Guests by year');
  await page.keyboard.press('Enter');
  await expect(drawn(page, 4).filter({ hasText: 'Guests by year' })).toBeVisible();
  expect(await exported(page, info.outputPath('chart.pptx'))).toContain(': 0 faults');
  await station(page, 'Slides').click();
  await look(page, 4).click();
  await panel(page).getByRole('button', { name: 'Table', exact: true }).click();
  await expect(drawn(page, 4).filter({ hasText: '1,850' })).toBeVisible();
  await expect(drawn(page, 4).filter({ hasText: 'Guests by year' })).toHaveCount(0);
});

test('a picture of the library is put in, framed and described', async ({ page, alvex }, info) => {
  await bring(page, alvex);
  await look(page, 3).click();
  await panel(page).getByRole('button', { name: 'From a file, pasted' }).click();
  await panel(page).getByRole('button', { name: 'Library: Two boats in a harbour' }).click();
  await expect(sheet(page, 3).locator('image')).toHaveCount(1);
  await panel(page).getByRole('button', { name: 'Fill the frame' }).click();
  await expect(panel(page).getByRole('button', { name: 'Fill the frame' })).toHaveAttribute('aria-pressed', 'true');
  // On the picture itself: an edge is dragged, and what must stay in sight; by keys too.
  const whole = panel(page).locator('[data-whole]');
  const drag = async (from: readonly [number, number], to: readonly [number, number]) => {
    // Not before the picture is there and stands still.
    await expect
      .poll(() => whole.locator('img').evaluate((img: HTMLImageElement) => img.naturalWidth))
      .toBeGreaterThan(0);
    await whole.hover();
    const box = (await whole.boundingBox())!;
    await page.mouse.move(box.x + box.width * from[0], box.y + box.height * from[1]);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width * to[0], box.y + box.height * to[1], { steps: 3 });
    await page.mouse.up();
  };
  const cut = panel(page).getByLabel('Cut off at the left, per cent');
  await drag([0.004, 0.5], [0.2, 0.3]);
  await expect(cut).toHaveValue('20');
  const sight = panel(page).getByRole('button', { name: /^What must stay in sight/ });
  await drag([0.5, 0.5], [0.75, 0.25]);
  await expect(sight).toHaveAccessibleName(/75 % from the left, 25 % from the top/);
  await sight.press('ArrowLeft');
  await expect(sight).toHaveAccessibleName(/70 % from the left, 25 % from the top/);
  await expect(cut).toHaveValue('20');
  await panel(page).getByLabel('Tone').selectOption('grey');
  await expect(sheet(page, 3).locator('filter')).toHaveCount(1);
  await expect(panel(page).getByLabel('Description', { exact: true })).toHaveValue('Two boats in a harbour');
  await panel(page).getByLabel('Description', { exact: true }).fill('Boats at the quay');
  await page.keyboard.press('Enter');
  await expect(sheet(page, 3).locator('image title').first()).toHaveText('Boats at the quay');
  // Another in its place has its look, and nothing of what was cut off of this one.
  await panel(page).getByRole('button', { name: 'Another picture in its place' }).click();
  await panel(page)
    .getByRole('button', { name: /^Library: / })
    .last()
    .click();
  await expect(panel(page).getByLabel('Cut off at the left, per cent')).toHaveValue('0');
  await expect(panel(page).getByLabel('Tone')).toHaveValue('grey');
  await page.getByRole('button', { name: 'Undo' }).click();
  // What the deck has already is found by the words of its description.
  await panel(page).getByRole('button', { name: 'From a file, pasted' }).click();
  await panel(page).getByLabel('Search pictures, or paste one').fill('quay');
  await expect(panel(page).getByRole('button', { name: 'In this deck: Boats at the quay' })).toBeVisible();
  await panel(page).getByLabel('Search pictures, or paste one').fill('nothing of the kind');
  await expect(panel(page).getByRole('button', { name: /^In this deck/ })).toHaveCount(0);
  await panel(page).getByRole('button', { name: 'From a file, pasted' }).click();
  await expect(panel(page).getByLabel('Cut off at the left, per cent')).toHaveValue('20');
  await kept(page);
  await page.reload();
  await expect(sheet(page, 3).locator('image')).toHaveCount(1);
  expect(await exported(page, info.outputPath('picture.pptx'))).toContain(': 0 faults');
});

test('a deck is built on the trust’s template, its layouts changed by hand, and given back', async ({
  page,
  alvex,
}, info) => {
  await bring(page, alvex);
  await shelf(page, 'Template');
  await page
    .getByLabel('File of the template')
    .setInputFiles({ name: 'x.pptx', mimeType: 'application/octet-stream', buffer: Buffer.from('words') });
  await expect(page.getByRole('alert')).toContainText('not a presentation');
  await page
    .getByLabel('File of the template')
    .setInputFiles(join(root, 'packages/demo/files/sallow-quay-trust-template.pptx'));
  await expect(page.getByText('6 layouts on 1 master')).toBeVisible();
  await page.getByLabel('Layout for Points').selectOption({ label: 'Two texts' });
  await expect(page.getByLabel('Layout for Points')).not.toHaveValue('');
  await page.getByLabel('Slides of the template').selectOption('before');
  expect(await exported(page, info.outputPath('template.pptx'))).toContain(': 0 faults');
  // Between its own slides, told by their titles.
  await shelf(page, 'Template');
  await page.getByLabel('Slides of the template').selectOption({ value: '1' });
  await expect(page.getByLabel('Slides of the template')).toHaveValue('1');
  const between = info.outputPath('between.pptx');
  expect(await exported(page, between)).toContain(': 0 faults');
  const list = strFromU8(unzipSync(readFileSync(between))['ppt/presentation.xml']!).match(/<p:sldId [^>]*>/g)!;
  const rels = strFromU8(unzipSync(readFileSync(between))['ppt/_rels/presentation.xml.rels']!);
  const ours = list.map((entry) =>
    rels
      .split(`Id="${/r:id="(\w+)"/.exec(entry)![1]}"`)[1]!
      .split('>')[0]!
      .includes('deck1-'),
  );
  expect([ours[0], ours[1], ours.at(-1)]).toEqual([false, true, false]);
  await station(page, 'Slides').click();
  await expect(sheet(page, 2).locator('image')).toHaveCount(1);
  // That file once more, as somebody has it who edits the document again: what came of it is replaced where it stands.
  await shelf(page, 'Template');
  await page.getByLabel('File of the template').setInputFiles(between);
  const strip = page.getByRole('region', { name: 'Slides of the file' });
  await expect(page.getByLabel('Replace the 4 slides that were made of')).toBeChecked();
  await expect(strip.locator('svg').first()).toContainText('Their slide 1');
  await expect(strip.getByText('2 replaced')).toBeVisible();
  const again = info.outputPath('again.pptx');
  expect(await exported(page, again)).toContain(': 0 faults');
  const slidesIn = (path: string): number =>
    Object.keys(unzipSync(readFileSync(path))).filter((name) => /^ppt\/slides\/[^/]+\.xml$/.test(name)).length;
  expect(slidesIn(again)).toBe(slidesIn(between));
  await shelf(page, 'Template');
  await strip.getByRole('button', { name: 'Put yours before its first slide' }).click();
  await expect(page.getByLabel('Slides of the template')).toHaveValue('after');
  await expect(strip.getByText('4 slides of yours')).toBeVisible();
  await page.getByRole('button', { name: 'Without it' }).click();
  await station(page, 'Slides').click();
  await expect(sheet(page, 2).locator('image')).toHaveCount(0);
});
