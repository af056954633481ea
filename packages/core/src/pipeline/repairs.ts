/**
 * What can be done about a remark: ways are tried on the deck itself, and offered where the remark is then gone and nothing worse has
 * come. So every repair keeps its promise, and repairing one after another ends.
 */
import { badness, isOfDeck, remarksOf, remarksOn, type Looked, type Remark, type RemarkKind } from '../checks/index.ts';
import type { DocumentModel } from '../document/index.ts';
import type { Edit, SingleEdit } from '../edits/index.ts';
import type { Page } from '../layout/index.ts';
import { documentLanguage } from '../mapping/index.ts';
import { convert, type Converted, type Templates } from './convert.ts';
import type { Way } from './repair-way.ts';
import { waysFor } from './repair-ways.ts';

/** A deck that can be repaired. */
export interface Repairable {
  /** As it was read. */
  readonly original: DocumentModel;
  readonly edits: readonly Edit[];
  readonly converted: Converted;
  readonly templates: Templates;
  /** A name that nothing has yet, for what a repair adds. */
  readonly fresh: () => string;
}

/** What Check looks at, of a converted deck. */
export function lookedAt({ pages, theme, document, map, decisions }: Converted): Looked {
  const last = [...decisions.rehearsals.values()].at(-1);
  return {
    pages,
    theme,
    document,
    language: documentLanguage(document),
    read: map.body === 'slide',
    pace: decisions.pace,
    accepted: decisions.accepted,
    stumbled: new Set(last?.stumbled),
  };
}

/** Ways that mend a remark, the gentlest first; one is tried at each step. */
export function* repairsOf(remark: Remark, deck: Repairable, most = MOST_OFFERED): Generator<void, readonly Way[]> {
  const found: Way[] = [];
  for (const way of waysFor(remark, deck.converted, deck.fresh)) {
    if (found.length === most) break;
    if (way.edits.length > 0 && mends(remark, way.edits, deck)) found.push(way);
    yield;
  }
  return found;
}
const MOST_OFFERED = 3;

/** A deck with more edits laid on it. */
export const repaired = (deck: Repairable, edits: readonly Edit[]): Repairable => {
  const more = [...deck.edits, ...edits];
  return { ...deck, edits: more, converted: convert(deck.original, more, deck.converted, deck.templates) };
};

function mends(remark: Remark, edits: readonly SingleEdit[], deck: Repairable): boolean {
  const before = deck.converted;
  const { converted: after } = repaired(deck, edits);
  if (after.ledger.lost > 0 || after.unplaced.length > before.unplaced.length) return false;
  const whole = isOfDeck(remark.kind);
  const known = tallied(remarksOn(lookedAt(before), lookedOver(before, after, remark), whole));
  const remarks = remarksOn(lookedAt(after), lookedOver(after, before, remark), whole);
  const now = tallied(remarks);
  const more = (name: string): number => (now.get(name) ?? 0) - (known.get(name) ?? 0);
  return (
    more(nameOf(remark)) < 0 &&
    remarks.every((one) => badness(one.kind) > badness(remark.kind) || more(nameOf(one)) <= 0)
  );
}

/** Places of pages that another deck does not have, of those behind them, which are seen beside them, and of the one that is remarked on: what mends it may be elsewhere. */
function lookedOver({ pages }: Converted, other: Converted, { key }: Remark): ReadonlySet<number> {
  const there = new Set(other.pages);
  const following = new Map(other.pages.map((page, i) => [page, other.pages[i - 1]]));
  const same = (page: Page, i: number): boolean =>
    page.key !== key && there.has(page) && following.get(page) === pages[i - 1];
  return new Set(pages.flatMap((page, i) => (same(page, i) ? [] : [i])));
}

const nameOf = ({ kind, slide }: Remark): string => `${kind} ${slide}`;
function tallied(remarks: readonly Remark[]): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const remark of remarks) counts.set(nameOf(remark), (counts.get(nameOf(remark)) ?? 0) + 1);
  return counts;
}

export interface Mended {
  readonly edits: readonly SingleEdit[];
  /** Remarks that are no more. */
  readonly mended: number;
  /** Those that are. */
  readonly left: number;
  /** What was tried, by names that are given in again to go on. */
  readonly tried: readonly string[];
  /** There are others to try. */
  readonly more: boolean;
}

/**
 * Repairs remarks of some kinds that its author has not accepted, each in its gentlest way; a step is a way that was tried.
 * @param before What was tried already.
 * @param most Remarks to try; with fewer than there are, one goes on with what was tried.
 */
export function* repairAll(
  kinds: ReadonlySet<RemarkKind>,
  deck: Repairable,
  before: Iterable<string> = [],
  most = Infinity,
): Generator<void, Mended> {
  const tried = new Set(before);
  const edits: SingleEdit[] = [];
  let now = deck;
  let mended = 0;
  let open: readonly Remark[] = [];
  const openRemarks = (): readonly Remark[] =>
    remarksOf(lookedAt(now.converted)).filter(({ kind, accepted }) => kinds.has(kind) && !accepted);
  // Repairs bring up lesser remarks, which are mended in their turn.
  for (open = openRemarks(); open.some((one) => !tried.has(triedName(one))); open = openRemarks())
    for (const remark of open) {
      if (tried.has(triedName(remark)) || !stillOpen(remark, now)) continue;
      if (most-- <= 0) return { edits, mended, left: open.length, tried: [...tried], more: true };
      tried.add(triedName(remark));
      const [way] = yield* repairsOf(remark, now, 1);
      if (way === undefined) continue;
      now = repaired(now, way.edits);
      edits.push(...way.edits);
      mended++;
    }
  return { edits, mended, left: open.length, tried: [...tried], more: false };
}
/** Of a slide that goes on over pages each may have notes to mend. */
const triedName = ({ kind, slide, text = '', notes = [] }: Remark): string => [kind, slide, text, ...notes].join(' ');

/** Another repair may have mended it too. */
function stillOpen(remark: Remark, { converted }: Repairable): boolean {
  const at = converted.pages.findIndex(({ key }) => key === remark.key);
  return (
    at >= 0 &&
    remarksOn(lookedAt(converted), new Set([at]), isOfDeck(remark.kind)).some(({ kind }) => kind === remark.kind)
  );
}
