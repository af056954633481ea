/** Every station and panel, light and dark, held against WCAG by axe; and one cursor that is never lost. */
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { bringIn, expect, goWithin, openShelf, root, SHELVES, slide, station, test } from './alvex.ts';
import { foundByAxe } from './axe.ts';

const report = join(root, 'packages/demo/files/sallow-quay-feasibility-report.docx');

// What the page is made of is the same in the dark; its colours are not.
for (const [scheme, rules] of [
  ['light', []],
  ['dark', ['color-contrast']],
] as const)
  test(`nothing is found in any station, ${scheme}`, async ({ page, alvex }) => {
    test.setTimeout(600_000);
    await page.emulateMedia({ colorScheme: scheme });
    const found: Record<string, readonly string[]> = {};
    const look = async (name: string) => {
      const here = await foundByAxe(page, rules);
      if (here.length > 0) found[name] = here;
    };
    await page.goto(alvex.address);
    await expect(page.getByRole('region', { name: 'Decks', exact: true })).toBeVisible();
    await look('decks');
    await page.getByRole('button', { name: 'Paste text' }).click();
    await look('paste');
    await page.getByRole('button', { name: 'Cancel' }).click();
    await page.getByRole('button', { name: 'Start an outline' }).click();
    await look('outline');
    await page.getByRole('button', { name: 'Cancel' }).click();
    await page.getByLabel('Document').setInputFiles(report);
    await expect(page.getByRole('button', { name: /^Short talk \d/ })).toBeVisible();
    await look('overview');
    const deck = page.url().replace('/overview', '');
    const shown = {
      document: 'What has to be mended first',
      map: 'This map makes',
      check: 'can be shown as they are',
      'check/words': 'words in the document =',
      'check/pace': 'The longest slides',
      'hand-over': 'Download PPTX',
    };
    for (const [path, text] of Object.entries(shown)) {
      await goWithin(page, path);
      await expect(page.getByText(text).first()).toBeVisible();
      await look(path);
    }
    await goWithin(page, 'look');
    for (const shelf of SHELVES) {
      await openShelf(page, shelf);
      await look(shelf);
    }
    await goWithin(page, 'slides');
    await expect(
      slide(page, 2)
        .getByLabel(/^Write: /)
        .first(),
    ).toBeVisible();
    await look('slides');
    for (const panel of ['Improve this slide', 'Look of this slide']) {
      await slide(page, 2).getByRole('button', { name: panel }).click();
      await expect(slide(page, 2).getByRole('button', { name: 'Close' })).toBeVisible();
      await look(panel);
    }
    await page.getByRole('button', { name: 'Keys' }).click();
    await page.getByRole('button', { name: 'History' }).click();
    await look('keys and history');
    await page.getByRole('button', { name: 'Two outlines' }).click();
    await expect(page.getByLabel('Outline of the deck')).toBeVisible();
    await look('outlines');
    await goWithin(page, 'map');
    await page.getByRole('button', { name: 'Compare takes' }).click();
    await expect(page.getByTestId('takes')).toBeVisible();
    await look('takes');
    await goWithin(page, 'document');
    await page.locator('[data-block]').nth(3).click();
    await look('a line that is chosen');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('textbox', { name: 'Text of the document' })).toBeVisible();
    await look('writing');
    await page.goto(`${deck}/rehearse`);
    await expect(page.getByText('End and keep it')).toBeVisible();
    await look('rehearse');
    await page.goto(`${deck}/present`);
    await expect(page.getByRole('img', { name: 'Slide 1', exact: false }).first()).toBeVisible();
    await look('present');
    await page.getByRole('button', { name: 'All slides' }).click();
    await look('all slides');
    expect(found).toEqual({});
  });

const SOURCE = '# Mill\n\n## Water\n\n- pond\n- gate\n\nIt is deep.\n\n## Work\n\n- stones\n\n## Money\n\n- grant\n';
const focused = (page: Page) => page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');

test('in Slides the focus and the current passage are one', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'one.md', content: SOURCE });
  await slide(page, 2).locator('[data-mark]').first().focus();
  await expect.poll(() => focused(page)).toBe('Water: slide title');
  await page.keyboard.press('ArrowDown');
  await expect.poll(() => focused(page)).toMatch(/^pond: point, level 1/);
  await page.keyboard.press('ArrowDown');
  await expect.poll(() => focused(page)).toMatch(/^gate: /);
  // What is deleted is what has the focus, and it keeps it.
  await page.keyboard.press('Delete');
  await expect(slide(page, 2).locator('[data-block]').filter({ hasText: 'gate' })).toHaveAttribute(
    'data-destination',
    'out',
  );
  await expect(slide(page, 2).locator('[data-block]').filter({ hasText: 'pond' })).toHaveAttribute(
    'data-destination',
    'point1',
  );
  await expect.poll(() => focused(page)).toBe('gate: left out');
  // Over the edge of a slide, and to the next.
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect.poll(() => focused(page)).toBe('Work: slide title');
  await page.keyboard.press('PageDown');
  await expect.poll(() => focused(page)).toMatch(/^Money: slide title/);
  // Tab leaves the passages of a row at once.
  await page.keyboard.press('Tab');
  await expect.poll(() => focused(page)).toBe('Write: Money');
  // A text on the slide keeps the focus, and its passage is the current one.
  await page.keyboard.press('Tab');
  await expect.poll(() => focused(page)).toMatch(/^Write: .*grant/);
  await expect(page.locator('[data-block][aria-current="true"]')).toContainText('grant');
});

test('focus is never lost: a slide that is taken out gives it to the one in its place, a panel to its slide', async ({
  page,
  alvex,
}) => {
  await bringIn(page, alvex, { name: 'kept.md', content: SOURCE });
  await slide(page, 2).getByRole('button', { name: 'Take out this slide' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('removed')).toHaveCount(1);
  await expect
    .poll(() => page.evaluate(() => document.activeElement?.closest('[data-index]')?.getAttribute('data-index')))
    .toBe('1');
  await slide(page, 2).getByRole('button', { name: 'Improve this slide' }).focus();
  await page.keyboard.press('Enter');
  await slide(page, 2).getByRole('button', { name: 'Close' }).focus();
  await page.keyboard.press('Enter');
  await expect
    .poll(() => page.evaluate(() => document.activeElement?.closest('[data-index]')?.getAttribute('data-index')))
    .toBe('1');
  // A slide that is added is gone to.
  await page.getByRole('button', { name: 'Add a slide' }).click();
  await expect
    .poll(() =>
      page.evaluate(() => document.activeElement?.closest('[data-slide]')?.textContent?.includes('New slide')),
    )
    .toBe(true);
});

test('the first Tab skips to the work; what a change made is said', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'skip.md', content: SOURCE });
  await page.reload();
  await expect(page.getByTestId('slide-count')).toBeVisible();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the work' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.locator('#work')).toBeFocused();
  await slide(page, 2).getByRole('button', { name: 'Copy this slide' }).click();
  await expect(page.getByRole('status', { name: 'What changed' })).toHaveText('5 slides, 1 more');
  await station(page, 'Map').click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('status', { name: 'What changed' })).toHaveText('4 slides, 1 fewer');
});
