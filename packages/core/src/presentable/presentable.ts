/** How many slides of a deck can be shown as they are, and what the others lack. */
import type { Picture, PictureId } from '../content/index.ts';
import type { Page } from '../layout/index.ts';
import type { Theme } from '../theme/index.ts';
import { faultsOf, MOST_WORDS, type Rule } from './rules.ts';

export interface Readiness {
  /** Pages with content that break no rule. */
  readonly ready: number;
  /** Pages with content, and openings that break one. */
  readonly of: number;
  /** For each page, the rules that it breaks. */
  readonly faults: readonly (readonly Rule[])[];
}

/** @param read Whether the deck is to be read rather than spoken to: more words are right then. */
export function readiness(
  pages: readonly Page[],
  theme: Theme,
  pictures: ReadonlyMap<PictureId, Picture>,
  read = false,
): Readiness {
  const words = read ? MOST_WORDS.read : MOST_WORDS.spoken;
  const faults = pages.map((page, i) => faultsOf({ page, before: pages[i - 1], theme, pictures, words }));
  const counted = pages.flatMap(({ slide }, i) =>
    slide.kind === 'content' || faults[i]!.length > 0 ? [faults[i]!] : [],
  );
  return { ready: counted.filter((broken) => broken.length === 0).length, of: counted.length, faults };
}
