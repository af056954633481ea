/** A deck as a page of its own, opened from the disk with no server and no network: shown, spoken, printed, read aloud. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { bringIn, expect, root, station, test } from './alvex.ts';
import { foundByAxe } from './axe.ts';

const course = join(root, 'packages/demo/files/volunteer-induction-course.md');

test('saved at Hand over, a page shows the deck from the disk, in step with its speaker’s window', async ({
  page,
  alvex,
  context,
}, info) => {
  test.setTimeout(120_000);
  await bringIn(page, alvex, { name: 'course.md', content: readFileSync(course) });
  await station(page, 'Hand over').click();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Download HTML' }).click();
  const path = info.outputPath('course.html');
  await (await saved).saveAs(path);
  await expect(page.getByText(/^Saved: .*\.html, \d+ slides, \d/)).toBeVisible();

  await context.setOffline(true);
  const shown = await context.newPage();
  const faults: string[] = [];
  shown.on('console', (message) => message.type() === 'error' && faults.push(message.text()));
  shown.on('pageerror', ({ message }) => faults.push(message));
  await shown.goto(`file://${path}`);
  const now = shown.locator('.slide.now');
  await expect(now).toHaveAttribute('id', 'slide-1');
  await expect(shown.getByRole('heading', { name: 'Volunteer induction course' })).toBeVisible();
  await shown.keyboard.press('ArrowRight');
  await expect(now).toHaveAttribute('id', 'slide-2');
  expect(shown.url()).toContain('#slide-2');
  await expect(now).toBeFocused();

  const opened = shown.waitForEvent('popup');
  await shown.getByRole('button', { name: 'Speaker’s window' }).click();
  const speaker = await opened;
  const told = speaker.locator('.slide.now');
  await expect(told).toHaveAttribute('id', 'slide-2');
  await expect(told.getByText('You need stout shoes')).toBeVisible();
  await expect(speaker.getByText('Next', { exact: true }).first()).toBeVisible();
  await speaker.keyboard.press('PageDown');
  await expect(now).toHaveAttribute('id', 'slide-3');
  await expect(shown.locator('.notes:visible')).toHaveCount(0);
  await speaker.keyboard.press('b');
  await expect(shown.locator('body')).toHaveClass(/dark/);
  await shown.keyboard.press('b');
  await expect(shown.locator('body')).not.toHaveClass(/dark/);
  for (const key of ['5', 'Enter']) await shown.keyboard.press(key);
  await expect(told).toHaveAttribute('id', 'slide-5');
  await speaker.close();

  await shown.keyboard.press('a');
  await expect(shown.getByRole('link', { name: 'Slide 7: ' })).toBeVisible();
  await shown.getByRole('link', { name: 'Slide 7: ' }).press('Enter');
  await expect(now).toHaveAttribute('id', 'slide-7');
  expect(await foundByAxe(shown)).toEqual([]);
  expect(faults).toEqual([]);

  // A page for each slide; without a script they stand below each other.
  const pdf = await shown.pdf({ preferCSSPageSize: true });
  expect(pdf.toString('latin1').match(/\/Type\s*\/Page\b/g)).toHaveLength(await shown.locator('.slide').count());
});
