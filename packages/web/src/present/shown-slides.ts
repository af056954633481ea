/** The slides of a talk. */
import { pageKey, type PageKey, type SlideId, type Transition } from '@alvex/core';
import type { Pages } from '../worker/shown.ts';

export interface ShownSlide {
  readonly key: PageKey;
  /** As it stands on the slide, 1 for the first. */
  readonly number: number;
  readonly seconds: number;
  readonly transition: Transition;
  /** How many of its points come one after the other. */
  readonly steps: number;
}

/** Slides that are presented: all but those that are hidden. */
export const shownSlides = ({ order, hidden, seconds, transitions, steps }: Pages): readonly ShownSlide[] =>
  order.flatMap((key, i) =>
    hidden[i]
      ? []
      : [
          {
            key,
            number: i + 1,
            seconds: seconds[i] ?? 0,
            transition: transitions[i] ?? 'none',
            steps: steps[i] ?? 0,
          },
        ],
  );

/** The first page of a slide among those that are shown; none of one that is hidden. */
export function placeOfSlide(slides: readonly ShownSlide[], id: SlideId): number | undefined {
  const at = slides.findIndex(({ key }) => key === pageKey(id, 0));
  return at < 0 ? undefined : at;
}

/** What a talk has to know of them. */
export const talkSlides = (slides: readonly ShownSlide[]) => ({
  numbers: slides.map(({ number }) => number),
  steps: slides.map(({ steps }) => steps),
});
