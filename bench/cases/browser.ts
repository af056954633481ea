/** A deck of 1,000 slides in the real page: from an edit to its new drawing, frames dropped, and from a plug to new counts. */
import { chromium } from '@playwright/test';
import { Alvex, station } from '../../e2e/alvex.ts';
import { CHROMIUM } from '../../e2e/browser.ts';
import { tell } from '../measure.ts';
import { openDeck } from '../open-deck.ts';

const alvex = new Alvex();
await alvex.start();
const browser = await chromium.launch(CHROMIUM);
try {
  const page = await openDeck(browser, alvex);
  const edits: number[] = [];
  const gaps: number[] = [];
  for (let i = 0; i < 5; i++) {
    await page.locator('g[data-target="title"]').first().dblclick();
    const measured = await page.evaluate(async (text) => {
      const area = document.querySelector<HTMLTextAreaElement>('textarea[aria-label="Title"]')!;
      area.value = text;
      area.dispatchEvent(new Event('input', { bubbles: true }));
      const frames: number[] = [];
      let last = performance.now();
      let running = true;
      const tick = (now: number) => {
        frames.push(now - last);
        last = now;
        if (running) requestAnimationFrame(tick);
      };
      requestAnimationFrame(tick);
      const start = performance.now();
      area.blur();
      while (!document.querySelector('g[data-target="title"]')?.textContent?.includes(text))
        await new Promise((resolve) => requestAnimationFrame(resolve));
      const ms = performance.now() - start;
      running = false;
      return { ms, longest: Math.max(...frames.slice(1)) };
    }, `Edited ${i}`);
    edits.push(measured.ms);
    gaps.push(measured.longest);
  }
  await station(page, 'Map').click();
  await page.getByTestId('map-slides').waitFor();
  const plugs: number[] = [];
  for (const to of ['text on the slide', 'speaker notes', 'text on the slide', 'speaker notes'])
    plugs.push(
      await page.evaluate(async (label) => {
        const slides = document.querySelector('[data-testid="map-sums"]')!;
        const before = slides.textContent;
        const start = performance.now();
        document.querySelector<HTMLButtonElement>(`[data-kind="body"] [aria-label="${label}"]`)!.click();
        while (slides.textContent === before) await new Promise((resolve) => requestAnimationFrame(resolve));
        return performance.now() - start;
      }, to),
    );
  const median = (values: readonly number[]): number =>
    [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
  tell(median(edits), { longestFrame: median(gaps), firstPlug: plugs[0]!, plug: median(plugs) });
} finally {
  await browser.close();
  await alvex.stop();
  alvex.clean();
}
