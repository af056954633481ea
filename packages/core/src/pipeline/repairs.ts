/**
 * What can be done about a remark: ways are tried on the deck itself, and offered where the remark is then gone and nothing worse has
 * come. So every repair keeps its promise, and repairing one after another ends.
 */
import equal from 'fast-deep-equal';
import { badness, remarksOf, type Looked, type Remark, type RemarkKind } from '../checks/index.ts';
import type { DocumentModel } from '../document/index.ts';
import type { Edit, SingleEdit } from '../edits/index.ts';
import { documentLanguage } from '../mapping/index.ts';
import { convert, type Converted, type Templates } from './convert.ts';
import { waysFor, type Way } from './repair-ways.ts';

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
export function lookedAt({ pages, deck, theme, document, map, decisions }: Converted): Looked {
  const last = [...decisions.rehearsals.values()].at(-1);
  return {
    pages,
    deck,
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
  const before = remarksOf(lookedAt(deck.converted));
  const found: Way[] = [];
  for (const way of waysFor(remark, deck.converted, deck.fresh)) {
    if (found.length === most) break;
    if (way.edits.length > 0 && mends(remark, way.edits, before, deck)) found.push(way);
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

function mends(remark: Remark, edits: readonly SingleEdit[], before: readonly Remark[], deck: Repairable): boolean {
  const { converted } = repaired(deck, edits);
  if (converted.ledger.lost > 0 || converted.unplaced.length > deck.converted.unplaced.length) return false;
  const after = remarksOf(lookedAt(converted));
  const known = tallied(before);
  const now = tallied(after);
  const name = nameOf(remark);
  if ((now.get(name) ?? 0) >= (known.get(name) ?? 0)) return false;
  return after.every((one) => {
    const there = nameOf(one);
    return badness(one.kind) > badness(remark.kind) || (now.get(there) ?? 0) <= (known.get(there) ?? 0);
  });
}
const nameOf = ({ kind, slide }: Remark): string => `${kind} ${slide}`;
function tallied(remarks: readonly Remark[]): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const remark of remarks) counts.set(nameOf(remark), (counts.get(nameOf(remark)) ?? 0) + 1);
  return counts;
}

/**
 * Repairs every remark of some kinds that its author has not accepted, each in its gentlest way; a step is a way that was tried.
 * @returns The edits, and how many remarks they mend.
 */
export function* repairAll(
  kinds: ReadonlySet<RemarkKind>,
  deck: Repairable,
): Generator<void, { readonly edits: readonly SingleEdit[]; readonly mended: number; readonly left: number }> {
  let now = deck;
  const edits: SingleEdit[] = [];
  const tried: Remark[] = [];
  let mended = 0;
  for (;;) {
    const open = remarksOf(lookedAt(now.converted)).filter(({ kind, accepted }) => kinds.has(kind) && !accepted);
    const next = open.find((one) => !tried.some((other) => sameRemark(one, other)));
    if (next === undefined) return { edits, mended, left: open.length };
    tried.push(next);
    const [way] = yield* repairsOf(next, now, 1);
    if (way === undefined) continue;
    now = repaired(now, way.edits);
    edits.push(...way.edits);
    mended++;
  }
}
const sameRemark = (a: Remark, b: Remark): boolean =>
  a.kind === b.kind && a.slide === b.slide && a.text === b.text && equal(a.about, b.about);
