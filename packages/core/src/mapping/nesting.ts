/**
 * Nests points under one title: each stands one level below the nearest one before it that outranks it, so no level is
 * ever skipped and list items stand below the point of their heading.
 */
import type { PointLevel } from '../deck/index.ts';

export class Nesting {
  /** Ranks of the points that are open, outermost first. */
  #open: number[] = [];

  reset(): void {
    this.#open = [];
  }

  /** @param rank Lower outranks higher. */
  place(rank: number): PointLevel {
    while (this.#open.length > 0 && this.#open.at(-1)! >= rank) this.#open.pop();
    this.#open.push(rank);
    return Math.min(this.#open.length, 5) as PointLevel;
  }

  /** Puts a point where the author wants it, as far as no level is skipped. */
  placeAt(level: PointLevel, rank: number): PointLevel {
    this.#open.length = Math.min(level - 1, this.#open.length);
    this.#open.push(rank);
    return Math.min(this.#open.length, 5) as PointLevel;
  }
}
