/** What a rehearsal that ends now took, slide by slide. */
import type { Rehearsal, SlideId } from '@alvex/core';
import type { Pages } from '../worker/shown.ts';
import { spentBy, type Talk } from './talk.ts';

/** @returns null where the clock never ran. */
export function rehearsalOf(talk: Talk, { slides }: Pick<Pages, 'slides'>, now: number): Rehearsal | null {
  if (talk.since === null) return null;
  const seconds = new Map<SlideId, number>();
  for (const [number, spent] of Object.entries(spentBy(talk, now))) {
    const slide = slides[Number(number) - 1];
    if (slide !== undefined) seconds.set(slide, (seconds.get(slide) ?? 0) + Math.round(spent / 100) / 10);
  }
  const stumbled = talk.stumbled.flatMap((number) => slides[number - 1] ?? []);
  return { began: new Date(talk.since).toISOString(), seconds: [...seconds], stumbled: [...new Set(stumbled)] };
}
