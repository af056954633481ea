/**
 * Matches the blocks of two editions of one document: what is the same, has moved, has changed, is new, or is gone. Equal texts
 * first, those that come once as anchors for the others (patience, as in comparing files); then texts that share most of their words (Dice, 1945). What has kept
 * its order is the longest increasing run of places (Schensted, 1961); the rest has moved.
 */
import { groupBy, increasingRun } from '../base/index.ts';
import { tableText } from '../content/index.ts';
import { blockText, type Block } from '../document/index.ts';
import type { BlockId } from '../ids/index.ts';

export type BlockMatch =
  | { readonly kind: 'same'; readonly before: BlockId; readonly after: BlockId; readonly moved: boolean }
  | { readonly kind: 'changed'; readonly before: BlockId; readonly after: BlockId; readonly moved: boolean }
  | { readonly kind: 'new'; readonly after: BlockId }
  | { readonly kind: 'gone'; readonly before: BlockId };

/** @returns A match for every block: in the order of the new edition, what is gone behind what stood before it. */
export function matchEditions(before: readonly Block[], after: readonly Block[]): readonly BlockMatch[] {
  const pairs = new Pairs(before, after);
  const [old, fresh] = [before.map(keyOf), after.map(keyOf)];
  pairs.inOrder(old, fresh);
  pairs.equal(old, fresh);
  pairs.alike();
  pairs.renamedHeadings();
  return pairs.matches();
}

/** Kind, level and text: what makes two blocks equal. */
function keyOf(block: Block): string {
  const shape =
    block.kind === 'heading'
      ? block.level
      : block.kind === 'listItem'
        ? block.depth
        : block.kind === 'paragraph'
          ? (block.role ?? '')
          : '';
  return `${block.kind} ${shape} ${wordsIn(block)}`;
}

const wordsIn = (block: Block): string => {
  if (block.kind === 'picture') return block.picture ?? block.alt ?? '';
  return block.kind === 'table' ? tableText(block.table) : blockText(block);
};

const NONE = -1;

/** From one place up to another. */
type Stretch = readonly [number, number];

function timesOf(keys: readonly string[]): ReadonlyMap<string, number> {
  const times = new Map<string, number>();
  for (const key of keys) times.set(key, (times.get(key) ?? 0) + 1);
  return times;
}

class Pairs {
  readonly #before: readonly Block[];
  readonly #after: readonly Block[];
  /** Place in the new edition of each old block, and the other way round. */
  readonly #to: Int32Array;
  readonly #from: Int32Array;
  readonly #changed = new Set<number>();

  constructor(before: readonly Block[], after: readonly Block[]) {
    this.#before = before;
    this.#after = after;
    this.#to = new Int32Array(before.length).fill(NONE);
    this.#from = new Int32Array(after.length).fill(NONE);
  }

  #join(old: number, fresh: number): void {
    this.#to[old] = fresh;
    this.#from[fresh] = old;
  }

  readonly #open = (places: Int32Array): number[] => [...places.keys()].filter((i) => places[i] === NONE);

  /** Pairs equal keys that have kept their order: those that come once are sure, and lead through the rest. */
  inOrder(before: readonly string[], after: readonly string[]): void {
    const [times, timesAfter] = [timesOf(before), timesOf(after)];
    const place = new Map(after.map((key, i) => [key, i]));
    const to = before.map((key) => (times.get(key) === 1 && timesAfter.get(key) === 1 ? place.get(key)! : NONE));
    let [old, fresh] = [0, 0];
    for (const anchor of [...increasingRun(to)].sort((a, b) => a - b)) {
      this.#between(before, after, [old, anchor], [fresh, to[anchor]!]);
      this.#join(anchor, to[anchor]!);
      [old, fresh] = [anchor + 1, to[anchor]! + 1];
    }
    this.#between(before, after, [old, before.length], [fresh, after.length]);
  }

  /** Between two that are sure: what is equal from the beginning, from the end, and then wherever it comes next. */
  #between(before: readonly string[], after: readonly string[], old: Stretch, fresh: Stretch): void {
    let [from, start] = [old[0], fresh[0]];
    let [to, end] = [old[1], fresh[1]];
    while (from < to && start < end && before[from] === after[start]) this.#join(from++, start++);
    while (from < to && start < end && before[to - 1] === after[end - 1]) this.#join(--to, --end);
    const waiting = groupBy(
      Array.from({ length: end - start }, (_, i) => start + i),
      (i) => after[i]!,
    );
    let least = start;
    for (let i = from; i < to; i++) {
      const next = waiting.get(before[i]!)?.find((place) => place >= least);
      if (next === undefined) continue;
      this.#join(i, next);
      least = next + 1;
    }
  }

  /** Pairs equal keys in the order in which they come. */
  equal(before: readonly string[], after: readonly string[]): void {
    const waiting = groupBy(this.#open(this.#to), (i) => before[i]!);
    for (const i of this.#open(this.#from)) {
      const old = waiting.get(after[i]!)?.shift();
      if (old !== undefined) this.#join(old, i);
    }
  }

  /** Pairs what shares most of its words, the likest first. */
  alike(): void {
    const olds = this.#open(this.#to);
    const bags = new Map(olds.map((i) => [i, bagOf(this.#before[i]!)]));
    const having = new Map<string, number[]>();
    for (const [i, bag] of bags)
      for (const word of bag.keys()) {
        const places = having.get(word);
        if (places === undefined) having.set(word, [i]);
        else places.push(i);
      }
    const candidates: { readonly old: number; readonly fresh: number; readonly score: number }[] = [];
    for (const fresh of this.#open(this.#from)) {
      const block = this.#after[fresh]!;
      const bag = bagOf(block);
      const near = new Set<number>();
      for (const word of bag.keys()) {
        const places = having.get(word) ?? [];
        if (places.length <= COMMON) for (const i of places) near.add(i);
      }
      for (const old of near) {
        const other = this.#before[old]!;
        const kin = other.kind === block.kind ? 1 : isText(other) && isText(block) ? OTHER_KIND : 0;
        const likeness = kin * dice(bags.get(old)!, bag);
        const neighbours = this.#neighbours(old, fresh);
        if (likeness >= (neighbours ? ALIKE_IN_PLACE : ALIKE))
          candidates.push({ old, fresh, score: likeness + (neighbours ? IN_PLACE : 0) });
      }
    }
    candidates.sort((a, b) => b.score - a.score || a.old - b.old || a.fresh - b.fresh);
    for (const { old, fresh } of candidates) this.#change(old, fresh);
  }

  /** Between two blocks that were matched, one heading that is gone and one of its level that is new are the same heading. */
  renamedHeadings(): void {
    for (let i = 0; i < this.#after.length; i++) {
      const block = this.#after[i]!;
      if (this.#from[i] !== NONE || block.kind !== 'heading') continue;
      const above = i === 0 ? NONE : this.#from[i - 1]!;
      const old = this.#before[above + 1];
      if ((i > 0 && above === NONE) || this.#to[above + 1] !== NONE) continue;
      if (old?.kind === 'heading' && old.level === block.level) this.#change(above + 1, i);
    }
  }

  #change(old: number, fresh: number): void {
    if (this.#to[old] !== NONE || this.#from[fresh] !== NONE) return;
    this.#join(old, fresh);
    this.#changed.add(fresh);
  }

  /** Whether what stands before or behind is matched too. */
  #neighbours(old: number, fresh: number): boolean {
    const above = old === 0 ? fresh === 0 : fresh > 0 && this.#to[old - 1] === fresh - 1;
    const below = old + 1 < this.#to.length && this.#to[old + 1] === fresh + 1;
    return above || below;
  }

  matches(): readonly BlockMatch[] {
    const stayed = increasingRun(this.#to);
    const gone = groupBy(
      this.#open(this.#to).map((old) => ({ old, behind: this.#placeBefore(old, stayed) })),
      ({ behind }) => behind,
    );
    const goneBehind = (place: number): readonly BlockMatch[] =>
      (gone.get(place) ?? []).map(({ old }) => ({ kind: 'gone', before: this.#before[old]!.id }));
    return [
      ...goneBehind(NONE),
      ...this.#after.flatMap((block, i): readonly BlockMatch[] => {
        const old = this.#from[i]!;
        if (old === NONE) return [{ kind: 'new', after: block.id }, ...goneBehind(i)];
        const kind = this.#changed.has(i) ? 'changed' : 'same';
        const match = { kind, before: this.#before[old]!.id, after: block.id, moved: !stayed.has(old) } as const;
        return [match, ...goneBehind(i)];
      }),
    ];
  }

  /** Place in the new edition of the nearest block before an old one that has stayed. */
  #placeBefore(old: number, stayed: ReadonlySet<number>): number {
    for (let i = old - 1; i >= 0; i--) if (stayed.has(i)) return this.#to[i]!;
    return NONE;
  }
}

/** Words that more old blocks have than this tell nothing. */
const COMMON = 60;
const ALIKE = 0.6;
const ALIKE_IN_PLACE = 0.4;
const IN_PLACE = 0.2;
const OTHER_KIND = 0.95;

const isText = (block: Block): boolean => 'runs' in block;

type Bag = ReadonlyMap<string, number>;

/** Words of a text; of a short one pairs of letters, so that “Costs” is like “Cost”. */
function bagOf(block: Block): Bag {
  const text = wordsIn(block).toLowerCase();
  const pieces =
    text.length > SHORT
      ? (text.match(/[\p{L}\p{N}]+/gu) ?? [])
      : Array.from({ length: Math.max(1, text.length - 1) }, (_, i) => text.slice(i, i + 2));
  const bag = new Map<string, number>();
  for (const piece of pieces) bag.set(piece, (bag.get(piece) ?? 0) + 1);
  return bag;
}

const SHORT = 40; // characters

function dice(a: Bag, b: Bag): number {
  let common = 0;
  let total = 0;
  for (const [word, count] of a) {
    common += Math.min(count, b.get(word) ?? 0);
    total += count;
  }
  for (const count of b.values()) total += count;
  return total === 0 ? 0 : (2 * common) / total;
}

/** Blocks that are known by another id in the new edition: the old, the new. */
export const changedIds = (matches: readonly BlockMatch[]): readonly (readonly [BlockId, BlockId])[] =>
  matches.flatMap((match) =>
    (match.kind === 'same' || match.kind === 'changed') && match.before !== match.after
      ? [[match.before, match.after] as const]
      : [],
  );
