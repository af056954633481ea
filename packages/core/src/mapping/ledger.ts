/** Where every word of the document went: a sum over its blocks, by the parts of the deck that know them. */
import { countWords, runsWords } from '../content/index.ts';
import type { Deck, LeftOutReason, Note, Range } from '../deck/index.ts';
import { blockIndex, blockText, type DocumentModel } from '../document/index.ts';
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
  const { ranks, parted } = accountsOf(document, deck);
  const sums = { document: 0, slides: 0, notes: 0, leftOut: 0, lost: 0 };
  ranks.forEach((rank, i) => {
    const shares = parted.get(i);
    sums.document += words[i]!;
    if (shares === undefined) sums[ACCOUNTS[rank]!] += words[i]!;
    else for (const [account, share] of shares) sums[account] += share;
  });
  return sums;
}

/** An entry for each block that has words; one for each account of a block that was shortened. */
export function ledgerEntries(document: DocumentModel, deck: Deck): readonly LedgerEntry[] {
  const { words } = blockIndex(document);
  const { ranks, parted } = accountsOf(document, deck);
  const reasons = new Map(deck.leftOut.map(({ block, reason }) => [block, reason]));
  return document.blocks.flatMap(({ id: block }, i): readonly LedgerEntry[] => {
    const all = words[i]!;
    if (all === 0) return [];
    const shares = parted.get(i)?.filter(([, share]) => share > 0);
    if (shares !== undefined)
      return shares.map(([account, share]) => ({
        block,
        account,
        words: share,
        ...(account === 'leftOut' ? { reason: 'shortened' as const } : {}),
      }));
    const account = ACCOUNTS[ranks[i]!]!;
    const reason = account === 'leftOut' ? reasons.get(block) : undefined;
    return [{ block, account, words: all, ...(reason === undefined ? {} : { reason }) }];
  });
}

/** By rank: what is on a slide and in the notes too counts as on the slide. */
const ACCOUNTS: readonly Account[] = ['lost', 'leftOut', 'notes', 'slides'];

/** How the words of a block are parted. */
type Shares = readonly (readonly [Account, number])[];

interface Accounts {
  /** The account of every block, in document order. */
  readonly ranks: Uint8Array;
  /** Blocks that were shortened, by place. */
  readonly parted: ReadonlyMap<number, Shares>;
}

function accountsOf(document: DocumentModel, deck: Deck): Accounts {
  const { places, words } = blockIndex(document);
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
  const unsaid = unsaidWords(document, deck);
  const shown = new Map<number, number>();
  for (const slide of deck.slides) {
    enter(slide.title.blocks, 3);
    for (const part of slide.content) {
      const place = part.kept === undefined ? undefined : places.get(part.blocks[0] ?? '');
      // Shortened without being spoken at all: what is not shown would be lost, so all of it counts where it stands.
      if (place === undefined || (ranks[place] !== 2 && !unsaid.has(place))) enter(part.blocks, 3);
      else if ('runs' in part) shown.set(place, (shown.get(place) ?? 0) + runsWords(part.runs));
    }
  }
  const parted = new Map<number, Shares>();
  for (const place of new Set([...shown.keys(), ...unsaid.keys()])) {
    if (ranks[place] === 3) continue;
    const slides = Math.min(shown.get(place) ?? 0, words[place]!);
    const leftOut = Math.min(unsaid.get(place) ?? 0, words[place]! - slides);
    parted.set(place, [
      ['slides', slides],
      ['notes', words[place]! - slides - leftOut],
      ['leftOut', leftOut],
    ]);
  }
  return { ranks, parted };
}

/** Words that are neither said nor shown of blocks whose notes were shortened, by place. */
function unsaidWords(document: DocumentModel, deck: Deck): ReadonlyMap<number, number> {
  const { places, words } = blockIndex(document);
  const found = new Map<number, Note[]>();
  for (const { block, reason } of deck.leftOut) if (reason === 'shortened') found.set(places.get(block) ?? -1, []);
  for (const { notes } of deck.slides)
    for (const { kept, blocks } of notes)
      if (kept !== undefined) for (const block of blocks) found.set(places.get(block) ?? -1, []);
  found.delete(-1);
  if (found.size === 0) return new Map();
  const shown = new Map<number, Range[]>();
  for (const { notes, content } of deck.slides) {
    for (const note of notes) for (const block of note.blocks) found.get(places.get(block) ?? -1)?.push(note);
    for (const { kept, blocks } of content) {
      const place = places.get(blocks[0] ?? '');
      if (kept !== undefined && place !== undefined && found.has(place))
        shown.set(place, [...(shown.get(place) ?? []), ...kept]);
    }
  }
  return new Map(
    [...found].map(([place, notes]) => {
      const said = [...(shown.get(place) ?? []), ...notes.flatMap(({ kept = [] }) => kept)];
      // Rows of a table are a note each, whose ranges are of its own text.
      const heard =
        notes.length > 1
          ? notes.reduce((sum, { runs }) => sum + runsWords(runs), 0)
          : wordsIn(blockText(document.blocks[place]!), said);
      return [place, Math.max(0, words[place]! - heard)];
    }),
  );
}

/** Words of a text in any of some ranges. */
function wordsIn(text: string, ranges: readonly Range[]): number {
  let at = 0;
  let words = 0;
  for (const [from, to] of [...ranges].sort((a, b) => a[0] - b[0])) {
    words += countWords(text.slice(Math.max(from, at), Math.max(to, at)));
    at = Math.max(at, to);
  }
  return words;
}
