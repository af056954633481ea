/** Where links within the document lead on the slides. */
import { remembered } from '../base/index.ts';
import type { BlockId, SlideId } from '../ids/index.ts';
import type { Slide } from './deck.ts';

/** Slides by the names of places that links use. */
export type LinkGoals = ReadonlyMap<string, SlideId>;

/**
 * The slide that shows a place, or else the one at which it stands.
 * @param places Where each name stands.
 */
export function linkGoals(slides: readonly Slide[], places: ReadonlyMap<string, BlockId>): LinkGoals {
  const goals = new Map<string, SlideId>();
  if (places.size === 0) return goals;
  const at = slidesOfBlocks(slides);
  for (const [name, block] of places) {
    const slide = at.get(block);
    if (slide !== undefined) goals.set(name, slide);
  }
  return goals;
}

const slidesOfBlocks = remembered((slides: readonly Slide[]): ReadonlyMap<BlockId, SlideId> => {
  const at = new Map<BlockId, SlideId>();
  for (const { id, passages } of slides) for (const block of passages) at.set(block, id);
  // What was moved by hand is found where it is now; of a place that several slides show, the first.
  for (const { id, title, content } of slides.toReversed())
    for (const block of [...content.flatMap(({ blocks }) => blocks), ...title.blocks]) at.set(block, id);
  return at;
});
