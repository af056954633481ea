/** Every station in a wide and a narrow window, light and dark: nothing runs over the edge, nothing fails on the way. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { bringIn, expect, goWithin, openShelf, root, SHELVES, station, test } from './alvex.ts';

const SOURCE = `# The tide gives us a good deal more than anybody thought when the report was begun

The pond holds eleven thousand cubic metres. It was measured in 1811.

- spring
- a_word_that_is_so_long_that_it_cannot_be_broken_anywhere_at_all_by_any_means_whatsoever

| a | b | c |
|---|---|---|
| 1 | 2 | 3 |

## Neap

> You could hear the stones from the ferry.

# Gates
`;
const STATIONS = ['document', 'map', 'slides', 'look', 'check', 'hand-over'];

for (const [name, width] of [
  ['wide', 1280],
  ['narrow', 400],
] as const)
  test(`stations stay within a ${name} window`, async ({ page, alvex }) => {
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(error.message));
    page.on('console', (message) => message.type() === 'error' && faults.push(message.text()));
    await page.setViewportSize({ width, height: 800 });
    await page.goto(alvex.address);
    const fits = async (where: string) => {
      await page.evaluate(() => document.fonts.ready);
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      expect([where, over]).toEqual([where, 0]);
    };
    await expect(page.getByRole('link', { name: /Reopening/ }).first()).toBeVisible();
    await fits('decks');
    await bringIn(page, alvex, { name: 'looks.md', content: SOURCE });
    const deck = page.url().replace(/\/slides.*/, '');
    for (const station of STATIONS) {
      await goWithin(page, station);
      await expect(page.getByRole('main')).not.toContainText('Opening the document');
      await expect(page.getByRole('navigation', { name: 'Stations' }).locator('[aria-current]')).toBeInViewport({
        ratio: 0.9,
      });
      await fits(station);
      await page.getByRole('button', { name: 'Light or dark' }).click();
      await fits(`${station}, other mode`);
    }
    await goWithin(page, 'look');
    for (const shelf of SHELVES) {
      await openShelf(page, shelf);
      await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible();
      await fits(`shelf ${shelf}`);
      // A shelf scrolls down only: what stands over its edge would be cut off.
      const over = await page
        .getByRole('main')
        .evaluate((main) =>
          Math.max(
            ...[...main.querySelectorAll('*')].map((one) =>
              getComputedStyle(one).overflowY === 'auto' ? one.scrollWidth - one.clientWidth : 0,
            ),
          ),
        );
      expect([shelf, over]).toEqual([shelf, 0]);
    }
    await goWithin(page, 'slides');
    await page.getByRole('button', { name: 'Two outlines' }).click();
    await expect(page.getByTestId('outlines')).toBeVisible();
    await fits('outlines');
    await page.getByRole('button', { name: 'History' }).click();
    await fits('history');
    await page.getByRole('button', { name: 'History' }).click();
    await goWithin(page, 'map');
    await page.getByRole('button', { name: 'Compare takes' }).click();
    await expect(page.getByTestId('takes')).toBeVisible();
    await fits('takes');
    await page.goto(`${deck}/edition`);
    await expect(page.getByRole('heading', { name: 'There is no edition to look at' })).toBeVisible();
    await fits('edition');
    await page.goto(`${deck}/nowhere`);
    await fits('nowhere');
    expect(faults).toEqual([]);
  });

test('what comes later has its room from the start: nothing that is seen moves', async ({ page, alvex }) => {
  await page.addInitScript(() => {
    const moved = { sum: 0 };
    Object.assign(window, { moved });
    new PerformanceObserver((list) => {
      for (const { value } of list.getEntries() as (PerformanceEntry & { readonly value: number })[])
        moved.sum += value;
    }).observe({ type: 'layout-shift', buffered: true });
  });
  const name = 'sallow-quay-feasibility-report.docx';
  await bringIn(page, alvex, { name, content: readFileSync(join(root, 'packages/demo/files', name)) });
  const deck = page.url().replace(/\/slides.*/, '');
  const seen = {
    document: page.getByTestId('document-text').getByRole('row').first(),
    slides: page.getByTestId('facing-pages').locator('[data-slide] svg text').first(),
    check: page.getByTestId('remarks').getByRole('listitem').first(),
    rehearse: page.getByRole('region', { name: 'Slides' }).getByRole('img', { name: /^Next/ }),
  };
  for (const [station, last] of Object.entries(seen)) {
    await page.goto(`${deck}/${station}`);
    await expect(last).toBeVisible();
    // Fonts, pictures and what is asked of the worker come after the first sight of it.
    await page.waitForTimeout(1000);
    // Of the window's height and width, as the Layout Instability API counts it.
    const moved = await page.evaluate(() => (window as unknown as { moved: { sum: number } }).moved.sum);
    expect([station, moved < 0.02]).toEqual([station, true]);
  }
});

test('an empty document, and one of a title alone, can be worked with', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'title.md', content: '# Only a title\n' });
  await expect(page.getByTestId('slide-count')).toHaveText('1 slide');
  await page.getByRole('button', { name: 'Two outlines' }).click();
  await expect(page.getByText('The document: 1 heading')).toBeVisible();
  await station(page, 'Map').click();
  await page.getByRole('button', { name: 'Suggest a map' }).click();
  await expect(page.getByTestId('suggestion')).toContainText('Suggested because it makes 1 slide');
  await page.getByRole('radiogroup', { name: 'Heading 1' }).getByRole('radio', { name: 'left out' }).click();
  await station(page, 'Slides').click();
  await expect(page.getByText('This map makes no slides')).toBeVisible();
});
