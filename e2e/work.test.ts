/** Working on a deck: marks, cuts, joins, wording, notes, map, theme; and that all of it is kept. */
import { bringInPlain, drawn, expect, kept, slide, test, station, everyWord } from './alvex.ts';

const SOURCE = `# What the tide gives us

The pond holds eleven thousand cubic metres.

## Two working tides

- Five hours on a spring tide
- Barely three on a neap

## Enough for one pair of stones

Nine kilowatts at the shaft.

# What has to be mended

- Sluice gates
- Wheel
`;

test.beforeEach(async ({ page, alvex }) => {
  await bringInPlain(page, alvex, { name: 'work.md', content: SOURCE });
});

test('list items stand below the point of their heading, body text with the point it explains', async ({ page }) => {
  await expect(page.getByTestId('slide-count')).toHaveText('2 slides');
  const marks = slide(page, 1).locator('[data-destination]');
  await expect(marks).toHaveCount(7);
  expect(await marks.evaluateAll((lines) => lines.map((line) => line.getAttribute('data-destination')))).toEqual([
    'title',
    'notes',
    'point1',
    'point2',
    'point2',
    'point1',
    'notes',
  ]);
  await expect(slide(page, 1).getByLabel('Write speaker notes')).toContainText('Nine kilowatts');
});

test('either side finds the other', async ({ page }) => {
  await slide(page, 1).getByText('Barely three on a neap').first().click();
  await expect(slide(page, 1).locator('g[data-target] rect[fill="#C98A12"]')).toHaveCount(1);
  await slide(page, 2)
    .getByLabel(/^Write: (• )?Sluice gates$/)
    .click();
  await expect(slide(page, 2).locator('[data-block]').filter({ hasText: 'Sluice gates' })).toHaveCSS(
    'background-color',
    'rgb(227, 236, 230)',
  );
});

test('a mark is turned by keyboard and from its menu, and undone', async ({ page }) => {
  const line = slide(page, 1).locator('[data-block]').filter({ hasText: 'Barely three' });
  await line.getByRole('button').focus();
  await page.keyboard.press('ArrowLeft');
  await expect(line).toHaveAttribute('data-destination', 'point1');
  await line.getByRole('button').click();
  await page.getByRole('menuitemradio', { name: 'left out' }).click();
  await expect(line).toHaveAttribute('data-destination', 'out');
  await expect(drawn(page, 1).filter({ hasText: 'Barely three' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(line).toHaveAttribute('data-destination', 'point2');
  await page.keyboard.press('Control+Shift+z');
  await expect(line).toHaveAttribute('data-destination', 'point1');
});

test('a slide is cut and joined again, and two of the document’s own are joined', async ({ page }) => {
  await slide(page, 1).getByRole('button', { name: 'Split before “Enough for one pair of stones”' }).click();
  await expect(page.getByTestId('slide-count')).toHaveText('3 slides');
  await expect(slide(page, 2).getByLabel('Write: What the tide gives us')).toBeVisible();
  await expect(slide(page, 2).getByLabel('Write speaker notes')).toHaveText('Nine kilowatts at the shaft.');
  await slide(page, 2).getByTestId('join').click();
  await expect(page.getByTestId('slide-count')).toHaveText('2 slides');
  await slide(page, 2).getByTestId('join').click();
  await expect(page.getByTestId('slide-count')).toHaveText('1 slide');
  await expect(slide(page, 1).getByLabel(/^Write: (• )?What has to be mended$/)).toBeVisible();
});

test('titles, points and notes are written in place and are there after a reload', async ({ page }) => {
  await slide(page, 1).getByLabel('Write: What the tide gives us').dblclick();
  await page.getByRole('textbox', { name: 'Title' }).fill('Two tides a day');
  await page.keyboard.press('Enter');
  await slide(page, 2)
    .getByLabel(/^Write: (• )?Wheel$/)
    .focus();
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'Text' }).fill('Wheel and pit');
  await page.keyboard.press('Enter');
  await slide(page, 2).getByLabel('Write speaker notes').click();
  const notes = page.getByRole('textbox', { name: 'Speaker notes' });
  await notes.pressSequentially('Begin with the gates.');
  await page.keyboard.press('Enter');
  await page.keyboard.type('- North');
  await page.keyboard.press('Enter');
  await page.keyboard.type('South');
  await slide(page, 1).locator('[data-block]').first().click();
  await kept(page);
  await page.reload();
  await expect(slide(page, 1).getByLabel('Write: Two tides a day')).toBeVisible();
  await expect(slide(page, 2).getByLabel(/^Write: (• )?Wheel and pit$/)).toBeVisible();
  await expect(slide(page, 2).getByLabel('Write speaker notes')).toContainText('Begin with the gates.');
  // The document itself has not changed.
  await expect(slide(page, 1).locator('[data-block]').first()).toHaveText('What the tide gives us');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(slide(page, 2).getByLabel('Write speaker notes')).toHaveText('Nothing to say here yet.');
});

test('a plug is turned in the map and slides follow', async ({ page }) => {
  await station(page, 'Map').click();
  await expect(page.getByTestId('map-slides')).toHaveText('2');
  await page.getByRole('radiogroup', { name: 'Heading 2' }).getByRole('radio', { name: 'slide title' }).click();
  await expect(page.getByTestId('map-slides')).toHaveText('4');
  await page.getByRole('radiogroup', { name: 'Heading 2' }).getByRole('radio', { name: 'slide title' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('map-slides')).toHaveText('2');
  await page.getByRole('button', { name: 'Reading deck' }).click();
  await expect(
    page.getByRole('radiogroup', { name: 'Body text' }).getByRole('radio', { name: 'text on the slide' }),
  ).toBeChecked();
});

test('what was left out is seen with its reason, and the sums agree', async ({ page }) => {
  await station(page, 'Map').click();
  await page.getByRole('radiogroup', { name: 'Body text' }).getByRole('radio', { name: 'left out' }).click();
  await everyWord(page);
  const sums = await page.getByTestId('ledger-sum').textContent();
  const [document, slides, spoken, leftOut] = sums!.match(/\d+/g)!.map(Number);
  expect(slides! + spoken! + leftOut!).toBe(document);
  expect(leftOut).toBe(12);
  await page.getByRole('button', { name: /^Left out/ }).click();
  await expect(page.getByTestId('ledger').getByText('the map leaves this kind out')).toHaveCount(2);
});

test('a theme dresses all slides', async ({ page }) => {
  await station(page, 'Look').click();
  await page.getByRole('region', { name: 'Lamplight' }).getByRole('button', { name: 'Use this theme' }).click();
  await station(page, 'Slides').click();
  await expect(slide(page, 1).locator('svg[aria-label^="Slide 1"] > rect').first()).toHaveAttribute('fill', '#13181C');
});

test('an edit that finds no place is kept and told', async ({ page }) => {
  await slide(page, 2)
    .getByLabel(/^Write: (• )?Wheel$/)
    .dblclick();
  await page.getByRole('textbox', { name: 'Text' }).fill('Wheel and pit');
  await page.keyboard.press('Enter');
  await station(page, 'Map').click();
  await page
    .getByRole('radiogroup', { name: 'List items, depth 1' })
    .getByRole('radio', { name: 'speaker notes' })
    .click();
  await station(page, 'Check').click();
  await expect(page.getByText('Wording “Wheel and pit”')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Wording “Wheel and pit”')).toHaveCount(0);
});

test('a slide that holds too much is continued, or reported with a way out', async ({ page, alvex }) => {
  const points = Array.from(
    { length: 30 },
    (_, i) => `- A point that is long enough not to go into two columns, and then some more of it ${i}`,
  );
  await bringInPlain(page, alvex, { name: 'full.md', content: `# Too much\n\n${points.join('\n')}\n` });
  await expect(page.getByTestId('slide-count')).not.toHaveText('1 slide');
  await expect(slide(page, 2).getByText('continued')).toBeVisible();
  await station(page, 'Map').click();
  await page.getByRole('button', { name: 'made smaller, and marked' }).click();
  await expect(page.getByTestId('map-slides')).toHaveText('1');
  await station(page, 'Slides').click();
  await expect(slide(page, 1).getByText(/lines? too long/)).toBeVisible();
  await slide(page, 1).getByRole('button', { name: 'Continue it' }).click();
  await expect(page.getByTestId('slide-count')).not.toHaveText('1 slide');
});

test('a passage leads to its slide from the document and from the ledger', async ({ page }) => {
  await station(page, 'Document').click();
  const link = page.getByRole('link', { name: 'its slide' }).last();
  await link.focus();
  await link.click();
  await expect(slide(page, 2).locator('[data-block]').filter({ hasText: 'Wheel' })).toHaveCSS(
    'background-color',
    'rgb(227, 236, 230)',
  );
  await everyWord(page);
  await page.getByTestId('ledger').getByRole('link', { name: 'slide 1' }).first().click();
  await expect(slide(page, 1).locator('[data-block]').first()).toHaveCSS('background-color', 'rgb(227, 236, 230)');
});

test('a long document without headings is shown in portions', async ({ page, alvex }) => {
  const paragraphs = Array.from({ length: 3000 }, (_, i) => `Paragraph number ${i} of a document without any heading.`);
  await bringInPlain(page, alvex, { name: 'flat.md', content: paragraphs.join('\n\n') });
  await expect(page.getByTestId('slide-count')).toHaveText('1 slide');
  await expect(slide(page, 1).locator('[data-block]')).toHaveCount(80);
  await slide(page, 1).getByRole('button', { name: 'and 2,920 more passages' }).click();
  await expect(slide(page, 1).locator('[data-block]')).toHaveCount(160);
});
