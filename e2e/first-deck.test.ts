/** A first deck: made to be presented, before anyone touched it. */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { strFromU8, unzipSync } from 'fflate';
import { bringIn, drawn, expect, kept, root, slide, test, station } from './alvex.ts';

const SOURCE = `# The tide mill

## How to grind

1. Open the sluice
2. Feed the grain
3. Sack the flour

## The pond

The pond fills twice a day. It holds eleven thousand cubic metres of water. Nobody has measured the silt yet.

## Costs

| Work | Sum |
|---|---|
| Gates | 31,000 |
| Roof | 12,000 |

## Notes for the presenter

Do not mention the roof.
`;

test('its slides say something, its layouts are chosen, and all of that is nobody’s to take back', async ({
  page,
  alvex,
}, info) => {
  await bringIn(page, alvex, { name: 'mill.md', content: SOURCE });
  await expect(page.getByTestId('slide-count')).toHaveText('4 slides');
  await expect(page.getByTestId('ready')).toHaveText('all 3 ready to show');
  await expect(slide(page, 2)).toContainText('Steps');
  // A heading with text alone says its sentences; what is for the presenter is spoken.
  await expect(drawn(page, 3).filter({ hasText: 'fills twice a day' })).toBeVisible();
  await expect(slide(page, 4).getByLabel('Write speaker notes')).toContainText('Do not mention the roof.');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await station(page, 'Check').click();
  await expect(page.getByTestId('ready')).toContainText('All 3 slides can be shown as they are.');
  await page.getByRole('link', { name: 'Every word' }).click();
  await expect(page.getByTestId('ledger-sum')).toContainText('Nothing is lost.');
  await station(page, 'Hand over').click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download PPTX' }).click(),
  ]);
  const file = info.outputPath('first.pptx');
  await download.saveAs(file);
  expect(execFileSync(join(root, 'bin/alvex'), ['check', file], { encoding: 'utf8' })).toContain(': 0 faults');
});

test('a part for the presenter is shown once its author says so', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'mill.md', content: SOURCE });
  await station(page, 'Map').click();
  await page.getByRole('button', { name: 'Show it on slides' }).click();
  await expect(page.getByRole('button', { name: 'Show it on slides' })).toHaveCount(0);
  await station(page, 'Slides').click();
  await expect(page.getByTestId('slide-count')).toHaveText('5 slides');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('slide-count')).toHaveText('4 slides');
});

test('work goes over it and stays; what a slide lacks then is told', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'mill.md', content: SOURCE });
  await slide(page, 2)
    .getByLabel(/Write: Open the sluice/)
    .dblclick();
  await page.getByRole('textbox', { name: 'Text' }).fill('Open the north sluice');
  await page.keyboard.press('Enter');
  await expect(drawn(page, 2).filter({ hasText: 'north' })).toBeVisible();
  await expect(slide(page, 2)).toContainText('Steps');
  await slide(page, 3).getByLabel('Write: The pond', { exact: true }).dblclick();
  await page.getByRole('textbox', { name: 'Title' }).fill('How to grind');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('ready')).toHaveText('2 of 3 ready to show');
  await kept(page);
  await page.reload();
  await expect(page.getByTestId('ready')).toHaveText('2 of 3 ready to show');
  await station(page, 'Check').click();
  await expect(page.getByTestId('ready')).toContainText('2 of 3 slides can be shown as they are');
  const twice = page.getByRole('listitem', { name: 'Slide 3: Title of the slide before' });
  await expect(twice).toContainText('The title is the same as that of the slide before.');
  await expect(twice.getByRole('link', { name: /^Slide 3, “How to grind/ })).toBeVisible();
});

test('Japanese and Arabic are drawn with fonts that ship, Arabic from the right', async ({ page, alvex }) => {
  const content =
    '# 潮車\n\n- 水車は潮の満ち引きで回る\n- 門は春に直される\n\n# البوابة\n\n- البوابة مصنوعة من خشب البلوط\n- تفتح مرتين في اليوم\n';
  await bringIn(page, alvex, { name: 'scripts.md', content });
  await expect(drawn(page, 1).filter({ hasText: '水車' }).first()).toBeVisible();
  await expect(drawn(page, 2).filter({ hasText: 'البوابة' }).first()).toHaveAttribute('direction', 'rtl');
  await expect
    .poll(() =>
      page.evaluate(() => [...document.fonts].filter(({ status }) => status === 'loaded').map(({ family }) => family)),
    )
    .toEqual(
      expect.arrayContaining([expect.stringContaining('Noto Sans JP'), expect.stringContaining('Noto Sans Arabic')]),
    );
  await station(page, 'Check').click();
  await expect(page.getByTestId('ready')).toBeVisible();
  await expect(page.getByText('a character that none of the fonts has')).toHaveCount(0);
});

test('numbers of lists stand on slides and are counted by who opens the presentation', async ({
  page,
  alvex,
}, info) => {
  const steps = Array.from(
    { length: 9 },
    (_, i) => `${i + 4}. Step ${i + 4} of the opening of the mill, told in some words`,
  );
  await bringIn(page, alvex, {
    name: 'steps.md',
    content: `# Opening\n\n## Before the tide\n\n${steps.join('\n')}\n\n- [x] Roof\n- [ ] Floats\n`,
  });
  await expect(drawn(page, 2).filter({ hasText: /^4\.$/ }).first()).toBeVisible();
  await station(page, 'Hand over').click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download PPTX' }).click(),
  ]);
  const file = info.outputPath('steps.pptx');
  await download.saveAs(file);
  const parts = unzipSync(readFileSync(file));
  const slides = Object.entries(parts).filter(([name]) => /slides\/slide\d+\.xml$/.test(name));
  const xml = slides.map(([, bytes]) => strFromU8(bytes)).join('');
  expect(xml).toContain('<a:buAutoNum type="arabicPeriod" startAt="4"/>');
  expect(xml).toContain('<a:buChar char="☑"/>');
  expect(execFileSync(join(root, 'bin/alvex'), ['check', file], { encoding: 'utf8' })).toContain(': 0 faults');
});

test('a deck of a document that is written from the right is mirrored', async ({ page, alvex }) => {
  const content = '# טחנת הגאות\n\n## הבריכה\n\n- המים ממלאים את הבריכה\n- השער נסגר בגאות\n- PostgreSQL 17\n';
  await bringIn(page, alvex, { name: 'mill.md', content });
  const sheet = (await slide(page, 2).locator('svg').first().boundingBox())!;
  const title = (await drawn(page, 2).filter({ hasText: 'הבריכה' }).first().boundingBox())!;
  const point = (await drawn(page, 2).filter({ hasText: 'PostgreSQL' }).first().boundingBox())!;
  for (const { x, width } of [title, point]) expect(x + width).toBeGreaterThan(sheet.x + sheet.width * 0.85);
});

for (const [script, line, bold] of [
  ['Arabic', 'طاحونة المد **القديمة** تعمل مع PostgreSQL **وكل** يوم', 'القديمة'],
  ['Hindi', 'ज्वारीय पनचक्की **प्रत्येक** वर्ष विद्यार्थियों **के साथ** चलती है', 'प्रत्येक'],
] as const)
  test(`the parts of a line in ${script} stand side by side, as wide as they were measured`, async ({
    page,
    alvex,
  }) => {
    const long = `${line.replaceAll('*', '')}, `.repeat(2);
    const content = `# One\n\n## Two\n\n- ${line}\n- ${long}\n- ${line.slice(0, 8)}\n- ${long}\n`;
    await bringIn(page, alvex, { name: 'line.md', content });
    const part = drawn(page, 2).filter({ hasText: bold }).first();
    await expect(part).toBeVisible();
    const parts = part.locator('xpath=..').locator('text').filter({ hasNotText: '•' });
    await expect(parts).toHaveCount(script === 'Arabic' ? 7 : 5);
    await page.evaluate(() => document.fonts.ready);
    const gaps = () =>
      parts.evaluateAll((all) => {
        const boxes = all.map((one) => one.getBoundingClientRect());
        return boxes.slice(1).map(({ left }, i) => Math.abs(left - boxes[i]!.right) / boxes[i]!.height);
      });
    // In parts of a line's height.
    await expect.poll(async () => Math.max(...(await gaps()))).toBeLessThan(0.06);
  });

test('a very long deck says that it is one to be read, and becomes a talk by a click', async ({ page, alvex }) => {
  const content = Array.from(
    { length: 80 },
    (_, i) =>
      `## Matter ${i + 1}\n\nThe mill has a matter ${i + 1}. It was looked at in May. ${'The trust will decide on it. '.repeat(12)}\n`,
  ).join('\n');
  await bringIn(page, alvex, { name: 'report.md', content: `# Report\n\n${content}` });
  await page.getByRole('link', { name: 'long for a talk: shorten it' }).click();
  const said = page.getByTestId('long-deck');
  await expect(said).toContainText('81 slides this is a deck to be read');
  await said.getByRole('button', { name: 'A talk of 20 minutes' }).click();
  const suggestion = page.getByTestId('suggestion');
  await expect(suggestion).toContainText('No map comes near the 20 minutes');
  await expect(page.getByLabel('Target', { exact: true })).toHaveValue('20');
  await expect(said).toHaveCount(0);
  const promised = /it makes (\d+ slides), (\d+) min/.exec(await suggestion.innerText())!;
  expect(Number(promised[2])).toBeGreaterThanOrEqual(18);
  expect(Number(promised[2])).toBeLessThanOrEqual(22);
  await suggestion.getByRole('button', { name: /^Leave out \d+ sections/ }).click();
  await station(page, 'Slides').click();
  await expect(page.getByTestId('slide-count')).toHaveText(promised[1]!);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('slide-count')).toHaveText('81 slides');
});

test('a presentation is read as a document: the same outline again, and nothing lost', async ({ page, alvex }) => {
  const source =
    '# Tides\n\n## Gates\n\n- North\n  - seized\n- South\n\nSay it slowly.\n\n## Costs\n\n| Work | Sum |\n|---|---|\n| Gates | much |\n';
  await bringIn(page, alvex, { name: 'tides.md', content: source });
  await station(page, 'Hand over').click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download PPTX' }).click(),
  ]);
  await bringIn(page, alvex, { name: 'tides.pptx', content: readFileSync(await download.path()) });
  await expect(page.getByTestId('slide-count')).toHaveText('3 slides');
  await expect(drawn(page, 2).filter({ hasText: 'seized' })).toBeVisible();
  await expect(slide(page, 2).getByLabel('Write speaker notes')).toContainText('Say it slowly.');
  await station(page, 'Document').click();
  await expect(page.getByRole('main')).toContainText('Costs');
  await station(page, 'Check').click();
  await page.getByRole('link', { name: 'Every word' }).click();
  await expect(page.getByTestId('ledger-sum')).toContainText('Nothing is lost.');
  // What is no presentation says so, and nothing is made of it.
  await page.goto(alvex.address);
  await page.getByLabel('Document').setInputFiles({ name: 'x.pptx', mimeType: 'x', buffer: Buffer.from('no archive') });
  await expect(page.getByText('its content is not')).toBeVisible();
});
