/** The slides of a talk. */
import type { PageKey } from '@alvex/core';
import type { Pages } from '../worker/protocol.ts';

export interface ShownSlide {
  readonly key: PageKey;
  /** As it stands on the slide, 1 for the first. */
  readonly number: number;
  readonly seconds: number;
}

/** Slides that are presented: all but those that are hidden. */
export const shownSlides = ({ order, hidden, seconds }: Pages): readonly ShownSlide[] =>
  order.flatMap((key, i) => (hidden[i] ? [] : [{ key, number: i + 1, seconds: seconds[i] ?? 0 }]));
