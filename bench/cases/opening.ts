/** A deck that was worked on for a year, opened in the real page, and the same deck untouched: from its address to its first slide. */
import { chromium } from '@playwright/test';
import { Alvex } from '../../e2e/alvex.ts';
import { CHROMIUM } from '../../e2e/browser.ts';
import { readDocument, type LogEntry } from '../../packages/core/src/index.ts';
import { deckSource } from '../deck-source.ts';
import { tell } from '../measure.ts';
import { yearsLog } from '../years-log.ts';

const ENTRIES = 20_000;
const SLIDES = 300;
const BATCH = 500;
const TURNS = 5;

const alvex = new Alvex();
await alvex.start();
const browser = await chromium.launch(CHROMIUM);
try {
  const source = new TextEncoder().encode(deckSource(SLIDES));
  const made = async (log: readonly LogEntry[]): Promise<string> => {
    const created = await fetch(`${alvex.address}/api/decks?name=year.md`, { method: 'POST', body: source });
    const { id } = ((await created.json()) as { deck: { id: string } }).deck;
    for (let base = 0; base < log.length; base += BATCH) {
      const response = await fetch(`${alvex.address}/api/decks/${id}/entries`, {
        method: 'POST',
        body: JSON.stringify({ base, entries: log.slice(base, base + BATCH) }),
      });
      if (!response.ok) throw new Error(await response.text());
    }
    return id;
  };
  const { document } = await readDocument(source, 'markdown');
  const decks = { worked: await made(yearsLog(document, ENTRIES)), untouched: await made([]) };
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const opening = async (id: string): Promise<number> => {
    await page.goto('about:blank');
    const start = performance.now();
    await page.goto(`${alvex.address}/decks/${id}/slides`, { waitUntil: 'commit' });
    await page.locator('g[data-target="title"]').first().waitFor();
    return performance.now() - start;
  };
  const least = { worked: Infinity, untouched: Infinity };
  for (let turn = 0; turn < TURNS; turn++)
    for (const name of ['untouched', 'worked'] as const)
      least[name] = Math.min(least[name], await opening(decks[name]));
  tell(least.worked, { untouched: least.untouched });
} finally {
  await browser.close();
  await alvex.stop();
  alvex.clean();
}
