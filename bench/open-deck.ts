/** A deck of 1,000 slides, opened in the real page as its author would. */
import type { Browser, Page } from '@playwright/test';
import type { Alvex } from '../e2e/alvex.ts';
import { deckSource } from './deck-source.ts';

/** @returns The page at Slides, its first slides drawn. */
export async function openDeck(browser: Browser, { address }: Alvex): Promise<Page> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address);
  await page
    .getByLabel('Document')
    .setInputFiles({ name: 'big.md', mimeType: 'text/markdown', buffer: Buffer.from(deckSource(1000)) });
  await page.waitForURL(/overview/);
  await page.getByRole('link', { name: 'Open the deck' }).click();
  await page.locator('g[data-target="title"]').first().waitFor();
  return page;
}
