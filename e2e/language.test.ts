/** The interface in another language: chosen by the browser or by hand, complete, and in layouts that hold longer words and mirrored pages. */
import type { Page } from '@playwright/test';
import { bringIn, expect, goWithin, test } from './alvex.ts';
import { foundByAxe } from './axe.ts';

const SOURCE = `# Die Gezeitenmühle

## Der Teich

- Er füllt sich zweimal am Tag
- Niemand hat den Schlamm gemessen

Der Teich fasst elftausend Kubikmeter Wasser. Er füllt sich zweimal am Tag.

## Kosten

| Arbeit | Summe |
|---|---|
| Tore | 31000 |
| Dach | 12000 |
`;
const LINKED = ['document', 'map', 'slides', 'look', 'check', 'check/pace', 'hand-over'];

const speak = (page: Page, language: string) =>
  page.addInitScript((chosen) => localStorage.setItem('alvex.language', chosen), language);

test.describe('where the browser asks for German', () => {
  test.use({ locale: 'de-AT' });
  test('all is German, numbers and dates too, and nothing is found by axe', async ({ page, alvex }) => {
    await page.goto(alvex.address);
    await expect(page.locator('html')).toHaveAttribute('lang', 'de');
    await expect(page.getByRole('heading', { name: 'Dokumente hier ablegen' })).toBeVisible();
    await page.getByRole('button', { name: 'Text einfügen' }).click();
    await page.getByLabel('Text', { exact: true }).fill(SOURCE);
    await page.getByRole('button', { name: 'Folien daraus machen' }).click();
    await expect(page.getByTestId('summary')).toContainText('Als Vortrag ergibt es 3 Folien');
    const deck = page.url().replace('/overview', '');
    for (const path of ['overview', 'map', 'slides', 'hand-over']) {
      await page.goto(`${deck}/${path}`);
      await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
      await page.waitForTimeout(400); // what is asked of the worker
      expect([path, await foundByAxe(page)]).toEqual([path, []]);
    }
    await page.goto(`${deck}/slides`);
    await expect(page.getByTestId('slide-count')).toHaveText('3 Folien');
    // What was done is told in it, and refused files are too.
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Diese Folie ausblenden' }).last().click();
    await page.getByRole('button', { name: 'Verlauf' }).click();
    await expect(page.getByText('1 Folie ausgeblendet')).toBeVisible();
    await page.goto(alvex.address);
    await page.getByLabel('Dokument', { exact: true }).setInputFiles({
      name: 'leer.docx',
      mimeType: 'application/octet-stream',
      buffer: Buffer.alloc(0),
    });
    const alert = page.getByRole('alert');
    await expect(alert).toContainText('Nicht eingelesen: leer.docx');
    await expect(alert).toContainText('Die Datei ist leer. Wählen Sie eine, in der Text steht.');
    await expect(alert).toContainText('Ihre Datei wurde nicht angetastet');
  });

  test('English is chosen by hand, and stays', async ({ page, alvex }) => {
    await page.goto(alvex.address);
    await page.getByRole('combobox', { name: 'Sprache' }).selectOption('English');
    await expect(page.getByRole('heading', { name: 'Drop documents here' })).toBeVisible();
    await page.reload();
    await expect(page.locator('html')).toHaveAttribute('lang', 'en');
    await expect(page.getByRole('button', { name: 'Choose files' })).toBeVisible();
  });
});

for (const language of ['long', 'mirrored'])
  test(`layouts hold: ${language}`, async ({ page, alvex }) => {
    await bringIn(page, alvex, { name: 'mill.md', content: SOURCE });
    const deck = page.url().replace(/\/\w+$/, '');
    await speak(page, language);
    const faults: string[] = [];
    for (const width of language === 'long' ? [1280, 390] : [1280]) {
      await page.setViewportSize({ width, height: 800 });
      for (const path of [null, 'overview', 'look?shelf=type', ...LINKED]) {
        if (path !== null && LINKED.includes(path)) await goWithin(page, path);
        else await page.goto(path === null ? alvex.address : `${deck}/${path}`);
        await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
        await page.waitForTimeout(300); // what is asked of the worker
        const found = await page.evaluate(() => {
          const beside = document.documentElement.scrollWidth - innerWidth;
          // Words of the interface in the header that lie on each other.
          const boxes = [...document.querySelectorAll('header a, header button, header [role=status]')].map((one) =>
            one.getBoundingClientRect(),
          );
          const over = boxes.filter((a, i) =>
            boxes.some(
              (b, k) =>
                k > i &&
                a.width > 0 &&
                b.width > 0 &&
                Math.min(a.right, b.right) - Math.max(a.left, b.left) > 2 &&
                Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 2,
            ),
          );
          return [beside > 0 ? `${beside} px beside the page` : '', over.length > 0 ? `${over.length} overlap` : ''];
        });
        for (const fault of found.filter(Boolean)) faults.push(`${path ?? 'decks'} ${width}: ${fault}`);
      }
    }
    expect(faults).toEqual([]);
    // What is drawn stands where it did, whichever way the page is read.
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(`${deck}/slides`);
    const title = page.locator('svg text', { hasText: 'Der Teich' }).first();
    await expect(title).toBeVisible();
    const inside = await title.evaluate((text) => {
      const [words, sheet] = [text.getBoundingClientRect(), text.closest('svg')!.getBoundingClientRect()];
      return words.left >= sheet.left && words.right <= sheet.right;
    });
    expect(inside).toBe(true);
  });

test('a deck goes on in the language that is chosen meanwhile', async ({ page, alvex }) => {
  await bringIn(page, alvex, { name: 'mill.md', content: SOURCE });
  // What is read aloud is the document's, whatever the interface speaks.
  await expect(page.locator('html')).toHaveAttribute('lang', 'en');
  const passage = page.locator('[data-block]').filter({ hasText: 'Er füllt sich zweimal am Tag' });
  await expect(passage.locator('[lang]').first()).toHaveAttribute('lang', /^de/);
  await page.getByRole('button', { name: 'Hide this slide' }).last().click();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  await page.getByRole('link', { name: 'Alvex: all decks' }).click();
  await page.getByRole('combobox', { name: 'Language' }).selectOption('Deutsch');
  await page
    .getByRole('link', { name: /Die Gezeitenmühle/ })
    .first()
    .click();
  await expect(page.getByTestId('slide-count')).toHaveText('3 Folien');
  await page.getByRole('button', { name: 'Rückgängig' }).click();
  await expect(page.getByRole('button', { name: 'Diese Folie wieder zeigen' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Ausgeben' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'PPTX herunterladen' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/\.pptx$/);
});
