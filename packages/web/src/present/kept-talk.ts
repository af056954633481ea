/** A talk outlives its window being loaded again; it is kept in that window alone, until it is ended. */
import type { PageKey } from '@alvex/core';
import type { ShownSlide } from './shown-slides.ts';
import { beginTalk, withSlides, type Talk } from './talk.ts';

interface Kept {
  readonly key: PageKey;
  readonly talk: Talk;
}
const nameOf = (deck: string): string => `alvex-talk-${deck}`;

export const keepTalk = (deck: string, kept: Kept): void => sessionStorage.setItem(nameOf(deck), JSON.stringify(kept));
export const endTalk = (deck: string): void => sessionStorage.removeItem(nameOf(deck));

export function resumedTalk(deck: string, slides: readonly ShownSlide[]): Talk {
  const numbers = slides.map(({ number }) => number);
  const text = sessionStorage.getItem(nameOf(deck));
  if (text === null) return beginTalk(numbers);
  const { key, talk } = JSON.parse(text) as Kept;
  const at = slides.findIndex((slide) => slide.key === key);
  return withSlides({ ...talk, typed: '' }, numbers, at < 0 ? talk.at : at);
}
