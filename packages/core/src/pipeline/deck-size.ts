/** One size for the points of a whole deck: slides beside each other in very different type look like an accident. */
import type { Slide } from '../deck/index.ts';
import { isOnePage, textFits } from '../layout/index.ts';
import { dress, TYPE_SCALE, type Theme } from '../theme/index.ts';

/** Slides that fit at a size, or the step below it, for it to be the deck's. */
const MOST = 0.85;
const LARGEST = 28;

/** @returns null where the theme's own size is right, or it is a template's. */
export function deckSize(slides: readonly Slide[], theme: Theme): number | null {
  const { look } = theme;
  if (look === undefined) return null;
  const own = theme.layouts.find(({ name }) => name === 'points')!.frames.find(({ role }) => role === 'body')!.style
    .sizes[0]!;
  // What has more words than a slide may hold goes on on another at any size.
  const texts = slides.filter((slide) => slide.kind === 'content' && isOnePage(slide));
  if (texts.length === 0) return null;
  for (const size of TYPE_SCALE) {
    if (size > LARGEST) continue;
    const sized = dress({ ...look, rules: { ...look.rules, points: { ...look.rules.points, size } } });
    const fitting = texts.filter((slide) => textFits(slide, sized)).length;
    if (fitting >= texts.length * MOST || size === TYPE_SCALE.at(-1)) return size === own ? null : size;
  }
  return null;
}
