/** A talk: the speaker's window leads the audience's. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { bringIn, expect, test } from './alvex.ts';

const report = readFileSync(join(import.meta.dirname, '../packages/demo/files/sallow-quay-feasibility-report.docx'));

/** Opens both windows. */
async function present(page: Page): Promise<Page> {
  await page.getByRole('link', { name: 'Present', exact: true }).click();
  const [audience] = await Promise.all([
    page.waitForEvent('popup'),
    page.getByRole('button', { name: 'Open the audience’s window' }).click(),
  ]);
  await expect(seen(audience)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Audience’s window is open' })).toBeVisible();
  return audience;
}
/** The slide that the audience sees. */
const seen = (audience: Page) => audience.getByRole('img', { name: /^Slide \d/ }).filter({ visible: true });
const position = (page: Page) => page.getByRole('status').filter({ hasText: /^slide \d/ });

test('both windows are in step, led by keys and pointer in either', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'report.docx', content: report });
  const audience = await present(page);
  await expect(seen(audience)).toHaveAccessibleName(/^Slide 1/);
  await page.keyboard.press('ArrowRight');
  await expect(seen(audience)).toHaveAccessibleName('Slide 2: What the tide gives us');
  await expect(page.getByRole('region', { name: 'Speaker notes' })).toContainText('eleven thousand cubic metres');
  await expect(page.getByRole('img', { name: /^Next: Slide 3/ })).toBeVisible();
  // A remote control may speak to the audience's window.
  await audience.keyboard.press('PageDown');
  await expect(position(page)).toHaveText(/^slide 3 of/);
  await audience.mouse.click(300, 200);
  await expect(position(page)).toHaveText(/^slide 4 of/);
  await page.keyboard.press('2');
  await expect(position(page)).toContainText('go to 2');
  await page.keyboard.press('Enter');
  await expect(seen(audience)).toHaveAccessibleName(/^Slide 2/);
  await page.keyboard.press('End');
  await expect(page.getByText('This is the last slide')).toBeVisible();
  await page.keyboard.press('Home');
  await expect(seen(audience)).toHaveAccessibleName(/^Slide 1/);

  await page.getByRole('button', { name: 'All slides' }).click();
  await expect(page.getByRole('button', { name: 'Go to slide 1', exact: true })).toBeFocused();
  await page.getByRole('button', { name: 'Go to slide 6' }).click();
  await expect(seen(audience)).toHaveAccessibleName(/^Slide 6/);
  await page.keyboard.press(' ');
  await expect(seen(audience)).toHaveAccessibleName(/^Slide 7/);
});

test('a link in the document leads to the slide of what it means, in either window', async ({ page, alvex }) => {
  const content =
    '# Mill\n\n## Gates\n\n- See [the wheel](#the-wheel)\n- Oak\n- Elm\n\n## Pit\n\n- Silt\n- Eels\n- Mud\n\n## The wheel\n\n- Turns\n- Creaks\n- Back to [gates](#gates)\n';
  await bringIn(page, alvex, { name: 'mill.md', content });
  const audience = await present(page);
  await page.keyboard.press('2');
  await page.keyboard.press('Enter');
  const link = (name: string) => audience.getByRole('link', { name });
  await link('the wheel').click();
  await expect(position(page)).toHaveText(/^slide 4 of/);
  // By keys too: a link is reached as in any page.
  await link('gates').focus();
  await audience.keyboard.press('Enter');
  await expect(position(page)).toHaveText(/^slide 2 of/);
  await audience.keyboard.press(' ');
  await expect(position(page)).toHaveText(/^slide 3 of/);
});

test('a pen where all is shown on one screen', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'report.docx', content: report });
  await page.getByRole('link', { name: 'Present', exact: true }).click();
  await page.getByRole('button', { name: 'Show on this screen' }).click();
  const slide = page.getByRole('img', { name: /^Slide 1/ });
  await expect(slide).toBeVisible();
  await page.keyboard.press('p');
  await page.mouse.move(300, 300);
  await page.mouse.down();
  await page.mouse.move(500, 380, { steps: 6 });
  await page.mouse.up();
  await expect(page.locator('[data-stroke] path').first()).toHaveAttribute('d', /^M0\.\d+ 0\.\d+(L0\.\d+ 0\.\d+){3,}/);
  await expect(slide).toBeVisible();
  // It goes by itself, and without the pen a press goes on.
  await expect(page.locator('[data-stroke]')).toHaveCount(0, { timeout: 8000 });
  await page.keyboard.press('p');
  await page.mouse.click(500, 380);
  await expect(page.getByRole('img', { name: /^Slide 2/ })).toBeVisible();
});

test('a dark and a light screen, a spot, and the end', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'report.docx', content: report });
  const audience = await present(page);
  await page.keyboard.press('b');
  await expect(seen(audience)).toHaveCount(0);
  await expect(page.getByText('The audience’s screen is dark')).toBeVisible();
  await page.keyboard.press('w');
  await expect(audience.locator('[data-screen=light]')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(seen(audience)).toHaveAccessibleName(/^Slide 1/);

  const slide = page.getByRole('img', { name: /^Slide 1/ });
  const box = (await slide.boundingBox())!;
  await page.mouse.move(box.x + box.width / 4, box.y + box.height / 2);
  const spot = audience.locator('[data-spot]');
  await expect(spot).toBeVisible();
  const at = (await spot.boundingBox())!;
  expect(Math.abs(at.x + at.width / 2 - 960 / 4)).toBeLessThan(6);
  // Pressed, it draws; what is drawn goes by itself, and with its slide.
  const strokes = audience.locator('[data-stroke]');
  const stroke = async (): Promise<void> => {
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 3, { steps: 4 });
    await page.mouse.up();
    await expect(strokes).toHaveCount(1);
  };
  await stroke();
  const drawn = (await strokes.first().boundingBox())!;
  expect(Math.abs(drawn.x - 960 / 4)).toBeLessThan(12);
  expect(Math.abs(drawn.width - 960 / 4)).toBeLessThan(24);
  await expect(strokes).toHaveCount(0);
  await page.mouse.move(box.x + box.width / 4, box.y + box.height / 2);
  await stroke();
  await page.keyboard.press('ArrowRight');
  await expect(strokes).toHaveCount(0, { timeout: 1500 });
  await page.keyboard.press('ArrowLeft');
  await page.mouse.move(5, 5);
  await expect(spot).toHaveCount(0);

  await page.getByRole('link', { name: 'End the talk' }).click();
  await expect(audience.getByText('The talk has ended.')).toBeVisible();
  await expect(page).toHaveURL(/\/slides$/);
});

test('the talk goes on when the server is gone, pictures included', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'report.docx', content: report });
  const audience = await present(page);
  const pictures = audience.locator('image');
  // All that the talk needs is brought at its beginning.
  const brought = () =>
    page.evaluate(
      () =>
        new Set(
          performance.getEntriesByType('resource').flatMap(({ name }) => (/\/pictures\//.test(name) ? [name] : [])),
        ).size,
    );
  await expect.poll(brought).toBeGreaterThanOrEqual(3);
  await page.context().setOffline(true);
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowRight');
  await expect(seen(audience)).toHaveAccessibleName(/^Slide 3/);
  await expect(pictures.first()).toBeAttached();
  const drawn = await audience.evaluate(async () => {
    const found = [...document.querySelectorAll('image')].map((one) => one.getAttribute('href')!);
    return Promise.all(
      found.map(async (href) => {
        const image = new Image();
        image.src = href;
        return image.decode().then(
          () => image.naturalWidth > 0,
          () => false,
        );
      }),
    );
  });
  expect(drawn.length).toBeGreaterThan(0);
  expect(drawn).not.toContain(false);
  await page.keyboard.press('End');
  await expect(seen(audience)).toHaveAccessibleName(/What we ask of the meeting/);
  await page.context().setOffline(false);
});

test('the clock keeps time against the plan', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'report.docx', content: report });
  await page.clock.install({ time: new Date('2026-03-14T10:00:00') });
  await page.getByRole('link', { name: 'Present', exact: true }).click();
  const time = page.getByRole('region', { name: 'Time' });
  await expect(time).toContainText('the clock starts with your first move');
  await page.keyboard.press('ArrowRight');
  await page.clock.runFor('20:00');
  await expect(time).toContainText('20:00 of');
  await expect(time).toContainText(/\d+:\d\d behind/);
  await expect(time).toContainText('10:20');
  await time.getByRole('button', { name: 'Start the clock again' }).click();
  await page.clock.runFor(2000);
  await expect(time).toContainText('on time');
});

test('a window that is loaded again goes on where the talk was; one that was ended begins anew', async ({
  page,
  alvex,
}) => {
  await bringIn(page, alvex, { name: 'report.docx', content: report });
  const audience = await present(page);
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight');
  await expect(seen(audience)).toHaveAccessibleName(/^Slide 4/);
  await page.reload();
  await expect(position(page)).toHaveText(/^slide 4 of/);
  await expect(page.getByRole('region', { name: 'Time' })).not.toContainText('starts with your first move');
  await expect(page.getByRole('button', { name: 'Audience’s window is open' })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(seen(audience)).toHaveAccessibleName(/^Slide 5/);
  await audience.reload();
  await expect(seen(audience)).toHaveAccessibleName(/^Slide 5/);
  await page.getByRole('link', { name: 'End the talk' }).click();
  await page.getByRole('link', { name: 'Present', exact: true }).click();
  await expect(position(page)).toHaveText(/^slide 1 of/);
});

test('hidden slides are left out; without any there is nothing to present', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'three.md', content: '# First\n\n- a\n\n# Second\n\n- b\n\n# Third\n\n- c\n' });
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Slides' }).click();
  await page.getByRole('button', { name: 'Hide' }).nth(1).click();
  await page.getByRole('link', { name: 'Present', exact: true }).click();
  await expect(position(page)).toHaveText('slide 1 of 2');
  await page.keyboard.press(' ');
  await expect(page.getByRole('img', { name: 'Slide 3: Third' })).toBeVisible();

  await page.goto(`${alvex.address}/decks/00000000-0000-4000-8000-000000000000/present`);
  await expect(page.getByRole('heading', { name: 'This deck could not be opened' })).toBeVisible();
});

test('one screen is enough, and notes can be read from further away', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'report.docx', content: report });
  await page.getByRole('link', { name: 'Present', exact: true }).click();
  const notes = page.getByRole('region', { name: 'Speaker notes' });
  await expect(position(page)).toHaveText(/^slide 1 of/);
  await page.keyboard.press('ArrowRight');
  const paragraph = notes.getByText('eleven thousand cubic metres');
  const size = () => paragraph.evaluate((node) => parseFloat(getComputedStyle(node).fontSize));
  const before = await size();
  await page.getByRole('button', { name: 'Larger notes' }).click();
  expect(await size()).toBeGreaterThan(before);
  await page.getByRole('button', { name: 'Show on this screen' }).click();
  await expect(page.getByRole('region', { name: 'Speaker notes' })).toHaveCount(0);
  await page.keyboard.press('ArrowRight');
  await expect(seen(page)).toHaveAccessibleName(/^Slide 3/);
  await page.evaluate(() => document.exitFullscreen().catch(() => {}));
  await page.keyboard.press('Escape');
  await expect(notes).toBeVisible();
  await expect(position(page)).toHaveText(/^slide 3 of/);
});

test('points come one by one where that is wanted, and slides move in; not for those who ask for less motion', async ({
  page,
  alvex,
}) => {
  await bringIn(page, alvex, { name: 'report.docx', content: report });
  await page.getByRole('link', { name: 'Look', exact: true }).click();
  await page.getByRole('button', { name: 'Movement' }).click();
  await page.getByRole('button', { name: 'Fade in' }).click();
  await page.getByLabel('Points come one by one').check();
  await expect(page.getByText(/^\d slides with points that come one by one/)).toBeVisible();
  const audience = await present(page);
  const point = (text: string) => seen(audience).getByText(text, { exact: true });
  await page.keyboard.press('ArrowRight');
  await expect(point('What the tide gives us')).toBeVisible();
  await expect(point('Two working tides a day')).toHaveCount(0);
  await page.keyboard.press('ArrowRight');
  await expect(point('Barely three on a neap')).toBeVisible();
  await expect(point('Enough for one pair of stones')).toHaveCount(0);
  await expect(position(page)).toContainText('point 1 of 2');
  await audience.keyboard.press('ArrowRight');
  await expect(point('Enough for one pair of stones')).toBeVisible();
  const animations = (): Promise<readonly string[]> =>
    audience.evaluate(() => [...document.querySelectorAll('*')].map((one) => getComputedStyle(one).animationName));
  await page.keyboard.press('ArrowRight');
  await expect(seen(audience)).toHaveAccessibleName(/^Slide 3/);
  expect(await animations()).toContain('slide-fade');
  await page.keyboard.press('ArrowLeft');
  await expect(point('Enough for one pair of stones')).toBeVisible();
  await audience.emulateMedia({ reducedMotion: 'reduce' });
  expect(await animations()).not.toContain('slide-fade');
});

test('a talk begins with the slide from which it is presented, and goes on there when its window is loaded again', async ({
  page,
  alvex,
}) => {
  await bringIn(page, alvex, { name: 'report.docx', content: report });
  await page.getByRole('link', { name: 'Slides', exact: true }).click();
  await page.getByRole('link', { name: 'Present from this slide' }).nth(2).click();
  await expect(position(page)).toHaveText(/^slide 3 of/);
  await expect(page).toHaveURL(/\/present$/);
  await page.keyboard.press('ArrowRight');
  await expect(position(page)).toHaveText(/^slide 4 of/);
  await page.reload();
  await expect(position(page)).toHaveText(/^slide 4 of/);
});
