/** Where every word of the document went: a sum over its blocks, by the parts of the deck that know them. */
import type { Deck, LeftOutReason } from '../deck/index.ts';
import { blockWords, type DocumentModel } from '../document/index.ts';

export type Account = 'slides' | 'notes' | 'leftOut' | 'lost';

export interface LedgerEntry {
  readonly block: string;
  readonly account: Account;
  readonly words: number;
  readonly reason?: LeftOutReason;
}

export interface Ledger {
  readonly document: number /* words */;
  readonly slides: number;
  readonly notes: number;
  readonly leftOut: number;
  /** Words that no part of the deck accounts for. Anything but 0 is a fault of ours, and is shown. */
  readonly lost: number;
  /** One for each block that has words. */
  readonly entries: readonly LedgerEntry[];
}

export function makeLedger(document: DocumentModel, deck: Deck): Ledger {
  const accounts = new Map<string, Account>();
  const reasons = new Map(deck.leftOut.map(({ block, reason }) => [block, reason]));
  for (const block of reasons.keys()) accounts.set(block, 'leftOut');
  for (const slide of deck.slides)
    for (const note of slide.notes) for (const block of note.blocks) accounts.set(block, 'notes');
  // What is on a slide and in the notes too counts as on the slide.
  for (const slide of deck.slides) {
    for (const block of slide.title.blocks) accounts.set(block, 'slides');
    for (const part of slide.content) for (const block of part.blocks) accounts.set(block, 'slides');
  }
  const sums = { document: 0, slides: 0, notes: 0, leftOut: 0, lost: 0 };
  const entries: LedgerEntry[] = [];
  for (const block of document.blocks) {
    const words = blockWords(block);
    if (words === 0) continue;
    const account = accounts.get(block.id) ?? 'lost';
    sums.document += words;
    sums[account] += words;
    const reason = account === 'leftOut' ? reasons.get(block.id) : undefined;
    entries.push({ block: block.id, account, words, ...(reason === undefined ? {} : { reason }) });
  }
  return { ...sums, entries };
}
