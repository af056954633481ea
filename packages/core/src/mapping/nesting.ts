/**
 * Nests points under one title: each stands one level below the nearest one before it that outranks it, so no level is
 * ever skipped and list items stand below the point of their heading. Where that needs more levels than a slide has, headings
 * share the level above the lists, which keep theirs.
 */
import type { PointLevel } from '../deck/index.ts';

const DEEPEST = 5;

/** Added to the rank of list items and body text: every heading outranks them. */
export const BELOW_HEADINGS = 10;

export class Nesting {
  /** Points that are open, outermost first. */
  #open: { readonly rank: number; readonly level: number }[] = [];
  #headings = DEEPEST;

  /** @param headings How many levels headings may take: see `levelsForHeadings`. */
  reset(headings = DEEPEST): void {
    this.#open = [];
    this.#headings = headings;
  }

  /** @param rank Lower outranks higher. */
  place(rank: number): PointLevel {
    while (this.#open.length > 0 && this.#open.at(-1)!.rank >= rank) this.#open.pop();
    const below = (this.#open.at(-1)?.level ?? 0) + 1;
    return this.#push(rank, Math.min(below, rank < BELOW_HEADINGS ? this.#headings : DEEPEST));
  }

  /** Puts a point where the author wants it, as far as no level is skipped. */
  placeAt(level: PointLevel, rank: number): PointLevel {
    while (this.#open.length > 0 && this.#open.at(-1)!.level >= level) this.#open.pop();
    return this.#push(rank, Math.min(level, (this.#open.at(-1)?.level ?? 0) + 1));
  }

  #push(rank: number, level: number): PointLevel {
    this.#open.push({ rank, level });
    return level as PointLevel;
  }
}

/** How many levels headings may take for the lists below them to keep theirs. @param ranks Of the points of one slide, in order. */
export function levelsForHeadings(ranks: readonly number[]): number {
  const open: number[] = [];
  let [deepest, lists] = [0, 0];
  for (const rank of ranks) {
    while (open.length > 0 && open.at(-1)! >= rank) open.pop();
    open.push(rank);
    deepest = Math.max(deepest, open.length);
    lists = Math.max(lists, open.filter((one) => one >= BELOW_HEADINGS).length);
  }
  return deepest <= DEEPEST ? DEEPEST : Math.max(1, DEEPEST - lists);
}
