/** Where every word of the document went: a sum over its blocks, by the parts of the deck that know them. */
import type { Deck, LeftOutReason } from '../deck/index.ts';
import { blockIndex, type DocumentModel } from '../document/index.ts';

export type Account = 'slides' | 'notes' | 'leftOut' | 'lost';

export interface LedgerEntry {
  readonly block: string;
  readonly account: Account;
  readonly words: number;
  readonly reason?: LeftOutReason;
}

/** Sums in words; `slides + notes + leftOut + lost = document`. */
export interface Ledger {
  readonly document: number;
  readonly slides: number;
  readonly notes: number;
  readonly leftOut: number;
  /** Words that no part of the deck accounts for. Anything but 0 is a fault of ours, and is shown. */
  readonly lost: number;
}

export function makeLedger(document: DocumentModel, deck: Deck): Ledger {
  const { words } = blockIndex(document);
  const sums = { document: 0, slides: 0, notes: 0, leftOut: 0, lost: 0 };
  accountsOf(document, deck).forEach((account, i) => {
    sums.document += words[i]!;
    sums[ACCOUNTS[account]!] += words[i]!;
  });
  return sums;
}

/** One entry for each block that has words. */
export function ledgerEntries(document: DocumentModel, deck: Deck): readonly LedgerEntry[] {
  const { words } = blockIndex(document);
  const accounts = accountsOf(document, deck);
  const reasons = new Map(deck.leftOut.map(({ block, reason }) => [block, reason]));
  return document.blocks.flatMap((block, i): readonly LedgerEntry[] => {
    const account = ACCOUNTS[accounts[i]!]!;
    const reason = account === 'leftOut' ? reasons.get(block.id) : undefined;
    return words[i] === 0
      ? []
      : [{ block: block.id, account, words: words[i]!, ...(reason === undefined ? {} : { reason }) }];
  });
}

/** By rank: what is on a slide and in the notes too counts as on the slide. */
const ACCOUNTS: readonly Account[] = ['lost', 'leftOut', 'notes', 'slides'];

/** The account of every block, in document order, as its rank. */
function accountsOf(document: DocumentModel, deck: Deck): Uint8Array {
  const { places } = blockIndex(document);
  const accounts = new Uint8Array(document.blocks.length);
  const enter = (blocks: readonly string[], rank: number): void => {
    for (const block of blocks) {
      const place = places.get(block);
      if (place !== undefined && accounts[place]! < rank) accounts[place] = rank;
    }
  };
  enter(
    deck.leftOut.map(({ block }) => block),
    1,
  );
  for (const slide of deck.slides) {
    for (const note of slide.notes) enter(note.blocks, 2);
    enter(slide.title.blocks, 3);
    for (const part of slide.content) enter(part.blocks, 3);
  }
  return accounts;
}
