/** How many slides of a deck can be shown as they are, and what the others lack. */
import type { Picture } from '../content/index.ts';
import type { Page } from '../layout/index.ts';
import type { Theme } from '../theme/index.ts';
import { faultsOf, MOST_WORDS, type Rule } from './rules.ts';

/** What of a converted deck is looked at. */
export interface Shown {
  readonly pages: readonly Page[];
  readonly theme: Theme;
  readonly document: { readonly pictures: readonly Picture[] };
}
export interface Tally {
  /** Pages with content that break no rule. */
  readonly ready: number;
  /** Pages with content, and openings that break one. */
  readonly of: number;
}

/**
 * @param read Whether the deck is to be read rather than spoken to: more words are right then.
 * @returns Gives the rules that a page breaks, by its place; what a page was found to break is remembered.
 */
export function faultsIn({ pages, theme, document }: Shown, read = false): (at: number) => readonly Rule[] {
  const pictures = new Map(document.pictures.map((picture) => [picture.id, picture]));
  const words = read ? MOST_WORDS.read : MOST_WORDS.spoken;
  return (at) => faultsOf({ page: pages[at]!, before: pages[at - 1], theme, pictures, words });
}

/** @param faults Of each page; what is not known of a page is nothing. */
export function tally(pages: readonly Page[], faults: readonly (readonly Rule[])[]): Tally {
  const broken = pages.map((_, i) => (faults[i] ?? []).length > 0);
  const counted = pages.filter(({ slide }, i) => slide.kind === 'content' || broken[i]).length;
  return { ready: counted - broken.filter(Boolean).length, of: counted };
}

export function readiness(shown: Shown, read = false): Tally & { readonly faults: readonly (readonly Rule[])[] } {
  const at = faultsIn(shown, read);
  const faults = shown.pages.map((_, i) => at(i));
  return { ...tally(shown.pages, faults), faults };
}
