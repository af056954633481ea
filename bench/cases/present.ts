/** A talk of 1,000 slides in the real page: how soon it begins, how soon a slide is seen, and which frames are dropped meanwhile. */
import { chromium } from '@playwright/test';
import { Alvex } from '../../e2e/alvex.ts';
import { CHROMIUM } from '../../e2e/browser.ts';
import { tell } from '../measure.ts';
import { openDeck } from '../open-deck.ts';

const CHANGES = 40;
const DROPPED = 25; // ms from frame to frame, at 60 a second

const alvex = new Alvex();
await alvex.start();
const browser = await chromium.launch(CHROMIUM);
try {
  const page = await openDeck(browser, alvex);
  const started = await page.evaluate(async () => {
    const start = performance.now();
    document.querySelector<HTMLElement>('a[href$="/present"]')!.click();
    // The deck's own drawing of it stands in the page before.
    while (document.querySelector('[aria-label="Speaker notes"] ~ * svg[aria-label^="Slide 1:"]') === null)
      await new Promise((resolve) => requestAnimationFrame(resolve));
    return performance.now() - start;
  });
  const [audience] = await Promise.all([
    page.waitForEvent('popup'),
    page.getByRole('button', { name: 'Open the audience’s window' }).click(),
  ]);
  await audience.locator('svg[aria-label^="Slide 1:"]').waitFor();
  const seen = await audience.evaluate(
    async ([changes, dropped]) => {
      const frame = (): Promise<number> => new Promise((resolve) => requestAnimationFrame(resolve));
      const shown = (): string | null | undefined =>
        [...document.querySelectorAll('svg[aria-label^="Slide "]')]
          .find((svg) => getComputedStyle(svg).visibility === 'visible')
          ?.getAttribute('aria-label');
      const waits: number[] = [];
      const gaps: number[] = [];
      for (let i = 0; i < changes!; i++) {
        const before = shown();
        let last = await frame();
        const start = performance.now();
        window.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight' }));
        while (shown() === before) {
          const now = await frame();
          gaps.push(now - last);
          last = now;
        }
        waits.push(performance.now() - start);
        for (let rest = 0; rest < 10; rest++) {
          const now = await frame();
          gaps.push(now - last);
          last = now;
        }
      }
      waits.sort((a, b) => a - b);
      return {
        median: waits[Math.floor(waits.length / 2)]!,
        dropped: gaps.filter((gap) => gap > dropped!).length,
        frames: gaps.length,
        longest: Math.max(...gaps),
      };
    },
    [CHANGES, DROPPED],
  );
  tell(started, seen);
} finally {
  await browser.close();
  await alvex.stop();
  alvex.clean();
}
