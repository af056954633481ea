/** A talk outlives its window being loaded again; it is kept in that window alone, until it is ended. */
import type { PageKey } from '@alvex/core';
import { talkSlides, type ShownSlide } from './shown-slides.ts';
import { beginTalk, withSlides, type Talk } from './talk.ts';

interface Kept {
  readonly key: PageKey;
  readonly talk: Talk;
}
/** What the window is for: a rehearsal is not gone on with as a talk. */
export type Mode = 'talk' | 'rehearsal';
const nameOf = (deck: string, mode: Mode): string => `alvex-${mode}-${deck}`;

export const keepTalk = (deck: string, mode: Mode, kept: Kept): void =>
  sessionStorage.setItem(nameOf(deck, mode), JSON.stringify(kept));
export const endTalk = (deck: string, mode: Mode): void => sessionStorage.removeItem(nameOf(deck, mode));

/** @param from Number of the slide with which one is to begin anew; null to go on with what is kept. */
export function resumedTalk(deck: string, mode: Mode, slides: readonly ShownSlide[], from: number | null): Talk {
  const { numbers, steps } = talkSlides(slides);
  const text = sessionStorage.getItem(nameOf(deck, mode));
  if (text === null || from !== null) return beginTalk(numbers, steps, from ?? 0);
  const { key, talk } = JSON.parse(text) as Kept;
  const at = slides.findIndex((slide) => slide.key === key);
  return withSlides({ ...beginTalk(numbers), ...talk, typed: '' }, { numbers, steps }, at < 0 ? talk.at : at);
}
