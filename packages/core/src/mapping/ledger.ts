/** Where every word of the document went: a sum over its blocks, by the parts of the deck that know them. */
import { runsWords } from '../content/index.ts';
import type { Deck, LeftOutReason } from '../deck/index.ts';
import { blockIndex, type DocumentModel } from '../document/index.ts';
import type { BlockId } from '../ids/index.ts';

export type Account = 'slides' | 'notes' | 'leftOut' | 'lost';

export interface LedgerEntry {
  readonly block: BlockId;
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
  const { ranks, shortened } = accountsOf(document, deck);
  const sums = { document: 0, slides: 0, notes: 0, leftOut: 0, lost: 0 };
  ranks.forEach((rank, i) => {
    const shown = shortened.get(i);
    sums.document += words[i]!;
    if (shown === undefined) sums[ACCOUNTS[rank]!] += words[i]!;
    else {
      sums.slides += shown;
      sums.notes += words[i]! - shown;
    }
  });
  return sums;
}

/** An entry for each block that has words; two for one of which only a part is shown. */
export function ledgerEntries(document: DocumentModel, deck: Deck): readonly LedgerEntry[] {
  const { words } = blockIndex(document);
  const { ranks, shortened } = accountsOf(document, deck);
  const reasons = new Map(deck.leftOut.map(({ block, reason }) => [block, reason]));
  return document.blocks.flatMap(({ id: block }, i): readonly LedgerEntry[] => {
    const all = words[i]!;
    if (all === 0) return [];
    const account = ACCOUNTS[ranks[i]!]!;
    const shown = shortened.get(i);
    if (shown !== undefined && shown < all)
      return [
        { block, account: 'slides', words: shown },
        { block, account: 'notes', words: all - shown },
      ];
    const reason = account === 'leftOut' ? reasons.get(block) : undefined;
    return [{ block, account, words: all, ...(reason === undefined ? {} : { reason }) }];
  });
}

/** By rank: what is on a slide and in the notes too counts as on the slide. */
const ACCOUNTS: readonly Account[] = ['lost', 'leftOut', 'notes', 'slides'];

interface Accounts {
  /** The account of every block, in document order. */
  readonly ranks: Uint8Array;
  /** Words shown of blocks that were shortened and are spoken in full, by the block's place. */
  readonly shortened: ReadonlyMap<number, number>;
}

function accountsOf(document: DocumentModel, deck: Deck): Accounts {
  const { places } = blockIndex(document);
  const ranks = new Uint8Array(document.blocks.length);
  const enter = (blocks: readonly string[], rank: number): void => {
    for (const block of blocks) {
      const place = places.get(block);
      if (place !== undefined && ranks[place]! < rank) ranks[place] = rank;
    }
  };
  enter(
    deck.leftOut.map(({ block }) => block),
    1,
  );
  for (const slide of deck.slides) for (const note of slide.notes) enter(note.blocks, 2);
  const shown = new Map<number, number>();
  for (const slide of deck.slides) {
    enter(slide.title.blocks, 3);
    for (const part of slide.content) {
      const place = part.kept === undefined ? undefined : places.get(part.blocks[0] ?? '');
      // Shortened without being spoken in full: what is not shown would be lost, so all of it counts where it stands.
      if (place === undefined || ranks[place] !== 2) enter(part.blocks, 3);
      else if ('runs' in part) shown.set(place, (shown.get(place) ?? 0) + runsWords(part.runs));
    }
  }
  const shortened = new Map<number, number>();
  for (const [place, words] of shown) {
    shortened.set(place, Math.min(words, blockIndex(document).words[place]!));
    ranks[place] = 3;
  }
  return { ranks, shortened };
}
