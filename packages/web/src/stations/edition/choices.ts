/** What the author decides about a new edition, and the one action that it comes to. */
import type { Edit, EditionReview } from '@alvex/core';
import type { Candidate } from './edition-path.ts';

/** By the place of an item: passages that stay as they were, and works of the author's that give way to the new text. */
export interface Choices {
  readonly asBefore: ReadonlySet<number>;
  /** `item work`, by their places. */
  readonly givenUp: ReadonlySet<string>;
}

export const NO_CHOICES: Choices = { asBefore: new Set(), givenUp: new Set() };

export const workKey = (item: number, work: number): string => `${item} ${work}`;

export function turned<T>(set: ReadonlySet<T>, value: T): ReadonlySet<T> {
  const next = new Set(set);
  if (!next.delete(value)) next.add(value);
  return next;
}

/** The edition with everything that was decided; undone as one. */
export function editionEdit(candidate: Candidate, review: EditionReview, choices: Choices): Edit {
  const decided = review.items.flatMap((item, i): readonly Edit[] =>
    choices.asBefore.has(i)
      ? [item.keepOld]
      : item.own.flatMap(({ takeNew }, k) => (choices.givenUp.has(workKey(i, k)) ? [takeNew] : [])),
  );
  return { kind: 'all', edits: [{ kind: 'edition', ...candidate, ids: review.ids }, ...decided] };
}
