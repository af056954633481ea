/** Check: what is remarked is mended, accepted or described; the pace against the time that there is; a rehearsal. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { bringIn, expect, kept, root, slide, station, test } from './alvex.ts';

const report = readFileSync(join(root, 'packages/demo/files/sallow-quay-feasibility-report.docx'));
const POINTS = [
  'Mend the oak gates',
  'Clear the wheel pit',
  'Paint the water wheel',
  'Close the roof',
  'Cut the reeds',
];
const slideOf = (title: string, points: readonly string[] = POINTS, said = `Said of ${title}.`): string =>
  `# ${title}\n\n${points.map((point) => `- ${point}`).join('\n')}\n\n${said}\n`;
const MANY = Array.from({ length: 9 }, (_, i) => `Gate ${'abcdefghi'[i]} leaks`);
const deck = [
  slideOf('Gates at Sallow Quay', POINTS, 'The trust of Sallow Quay owns them, and Sallow Quay pays.'),
  slideOf('Work', MANY),
  slideOf('Introduction', POINTS, 'Nobody in Sallow-Quay remembers the wheel turning.'),
].join('\n');

const remark = (page: Page, name: string) => page.getByTestId('remarks').getByRole('listitem', { name });
const heading = (page: Page, text: string | RegExp) => page.getByRole('heading', { level: 1, name: text });

test.describe('what to mend', () => {
  test.beforeEach(async ({ page, alvex }) => {
    await bringIn(page, alvex, { name: 'work.md', content: deck });
    await station(page, 'Check').click();
    await expect(heading(page, /^\d+ things to look at/)).toBeVisible();
  });

  test('a repair mends what it stands at, with a slide that is drawn; undone, it is remarked again', async ({
    page,
  }) => {
    const many = remark(page, 'Slide 2: Many points');
    await expect(many).toContainText('9 points at once');
    await expect(many.locator('svg[aria-label^="Slide 2"]')).toBeAttached();
    await many.getByRole('button', { name: 'Keep 6 points, speak the others' }).click();
    await expect(many).toHaveCount(0);
    // The focus goes where the work goes on.
    await expect(page.getByTestId('remarks').locator('article').first()).toBeFocused();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(many).toBeVisible();
    await many.getByRole('link', { name: /^Slide 2/ }).click();
    await expect(slide(page, 2)).toBeInViewport();
    await page.goBack();
    await expect(many).toBeVisible();
  });

  test('one kind at a time; what is left as it is stays so, and can be remarked again', async ({ page }) => {
    await page.getByRole('button', { name: /^Titles that say little/ }).click();
    await expect(page.getByTestId('remarks').getByRole('listitem')).toHaveCount(1);
    await remark(page, 'Slide 3').getByRole('button', { name: 'Leave it as it is' }).click();
    await expect(page.getByText('Nothing is left to mend here.')).toBeVisible();
    await kept(page);
    await page.reload();
    await page.getByRole('button', { name: /^Left as they are/ }).click();
    await remark(page, 'Slide 3: Titles that say little').getByRole('button', { name: 'Remark it again' }).click();
    await page.getByRole('button', { name: /^All/ }).click();
    await expect(remark(page, 'Slide 3: Titles that say little')).toBeVisible();
    // The same for a whole kind, on every slide.
    await page.getByRole('button', { name: /^Titles that say little/ }).click();
    await page.getByRole('button', { name: 'Leave all of this kind as they are' }).click();
    await expect(page.getByText('Nothing is left to mend here.')).toBeVisible();
    await page.getByRole('button', { name: /^Left as they are/ }).click();
    await remark(page, 'Slide 3: Titles').getByRole('button', { name: 'Remark all of these again' }).click();
    await expect(page.getByText('Nothing is left as it is.')).toBeVisible();
  });

  test('all that can be mended is, in one step, and no word is lost', async ({ page }) => {
    await expect(remark(page, 'Slide 3: Names spelt in two ways')).toContainText(
      '“Sallow-Quay” is written “Sallow Quay”',
    );
    await page.getByRole('button', { name: /^Mend all/ }).click();
    await expect(page.getByRole('status', { name: 'Mending' })).toHaveText(/^\d+ things mended in one step/);
    await expect(heading(page, /^Nothing is left to mend|things? to look at/)).toBeVisible();
    await expect(page.getByTestId('ready')).toContainText('All 3 slides can be shown as they are.');
    await page.getByRole('link', { name: 'Every word' }).click();
    await expect(page.getByTestId('ledger-sum')).toContainText('Nothing is lost.');
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByRole('link', { name: 'What to mend' }).click();
    await expect(remark(page, 'Slide 2: Many points')).toBeVisible();
  });
});

test('links that lead nowhere are marked in their cell; one to a hidden slide is mended by showing it', async ({
  page,
  alvex,
}) => {
  const content = `# Costs\n\n| Work | Who | When |\n| --- | --- | --- |\n| Gates | Orla | [May](#may) |\n| Wheel | Bram | June |\n| Pit | Isa | July |\n\nSaid.\n\n${slideOf('Gates', ['See [the pit](#pit) first', ...POINTS])}\n${slideOf('Pit')}`;
  await bringIn(page, alvex, { name: 'links.md', content });
  await slide(page, 3).getByRole('button', { name: 'Hide' }).click();
  await station(page, 'Check').click();
  const dead = remark(page, 'Slide 1: Links that lead nowhere');
  await expect(dead).toContainText('The link “May” leads to a place that the document does not have.');
  const [mark, cell] = [dead.locator('svg > rect[fill="none"]'), dead.locator('svg text', { hasText: 'May' })];
  await expect(mark).toHaveCount(1);
  const [around, within] = [await mark.boundingBox(), await cell.boundingBox()];
  expect(around!.x).toBeLessThanOrEqual(within!.x);
  expect(around!.y).toBeLessThanOrEqual(within!.y + 1);
  expect(around!.height).toBeLessThan(60);
  const hidden = remark(page, 'Slide 2: Links to hidden slides');
  await expect(hidden).toContainText('The link “the pit” leads to slide 3, which is hidden.');
  await hidden.getByRole('button', { name: 'Show slide 3' }).click();
  await expect(hidden).toHaveCount(0);
});

test('a picture is described where it is remarked, by keys alone', async ({ page, alvex }) => {
  const png = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
  await bringIn(page, alvex, {
    name: 'picture.html',
    content: `<h1>Gates</h1><img src="data:image/png;base64,${png}"><ul>${POINTS.map((one) => `<li>${one}</li>`).join('')}</ul><p>Said.</p>`,
  });
  await station(page, 'Check').click();
  const field = page.getByLabel('Description of picture on slide 1');
  await field.focus();
  await page.keyboard.type('The north gate at low water');
  await page.keyboard.press('Enter');
  await expect(field).toHaveCount(0);
  await station(page, 'Slides').click();
  await expect(slide(page, 1).locator('image')).toContainText('The north gate at low water');
});

test('the pace is held against the time, and brought down to it', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'report.docx', content: report });
  await station(page, 'Check').click();
  await page.getByRole('link', { name: 'Pace' }).click();
  await expect(
    page.getByTestId('pace-chart').locator('path.recharts-rectangle, .recharts-bar-rectangle').first(),
  ).toBeAttached();
  const before = await heading(page, /for \d+ slides/).textContent();
  await page.getByLabel('Minutes that you have').fill('4');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/longer than the 4 min that you have/)).toBeVisible();
  await page.getByRole('button', { name: 'See what would do it' }).click();
  const promised = await page.getByText(/^(Together they come|That comes) to \d/).textContent();
  await page
    .getByRole('button', { name: /^Do (all|it)/ })
    .first()
    .click();
  // What was promised is what comes out.
  const minutes = /comes? to (.+)\./.exec(promised!)![1]!;
  await expect(heading(page, new RegExp(`^${minutes} for`))).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(heading(page, /for \d+ slides/)).toHaveText(before!);
  // Spoken more slowly, it takes longer.
  await page.getByLabel('Words a minute').fill('65');
  await page.keyboard.press('Enter');
  await expect(heading(page, /for \d+ slides/)).not.toHaveText(before!);

  const bars = page.getByTestId('pace-chart').locator('.recharts-bar-rectangle');
  await bars.nth(2).click();
  await expect(page).toHaveURL(/\/slides/);
  await expect(slide(page, 3)).toBeInViewport();
});

test('a rehearsal is kept with its times, and what one stumbled at is remarked', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'report.docx', content: report });
  await page.clock.install({ time: new Date('2026-03-14T10:00:00') });
  await station(page, 'Check').click();
  await page.getByRole('link', { name: 'Pace' }).click();
  await page.getByRole('link', { name: 'Rehearse' }).click();
  const position = page.getByRole('status').filter({ hasText: /^slide \d/ });
  await expect(position).toHaveText(/^slide 1 of/);
  await expect(page.getByRole('button', { name: 'End and keep it' })).toBeDisabled();
  await page.keyboard.press('ArrowRight');
  await page.clock.runFor('01:40');
  await page.keyboard.press('s');
  await expect(page.getByRole('button', { name: 'I stumbled here' })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('ArrowRight');
  await page.clock.runFor('00:20');
  await page.getByRole('button', { name: 'End and keep it' }).click();
  const line = page.getByRole('row', { name: /14 Mar 2026/ });
  await expect(line).toContainText('2 min');
  await expect(line.getByRole('cell').nth(3)).toHaveText('1');
  await kept(page);
  await page.reload();
  await expect(line).toBeVisible();
  await page.getByRole('link', { name: 'What to mend' }).click();
  await expect(remark(page, 'Slide 2: Stumbled at')).toContainText('You stumbled here in the last rehearsal.');
  await page.goBack();
  await line.getByRole('button', { name: /^Put away/ }).click();
  await expect(line).toHaveCount(0);
});
