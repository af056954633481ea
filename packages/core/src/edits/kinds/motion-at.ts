/** How single slides and their points come on a screen; null gives them back to the deck’s. */
import type { Motion } from '../../deck/index.ts';
import type { SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface MotionAtEdit {
  readonly kind: 'motionAt';
  readonly slides: readonly SlideId[];
  readonly motion: Motion | null;
}

export const motionAt: EditKind<MotionAtEdit> = {
  carry: (edit, ids) => ({ ...edit, slides: edit.slides.map(ids.slide) }),
  apply: (desk, { slides, motion }) =>
    desk.change(slides, ({ motion: _, ...slide }) => (motion === null ? slide : { ...slide, motion })),
  says: ({ slides, motion }) =>
    motion === null
      ? { code: 'motion-at-back', count: slides.length }
      : {
          code: motion.points ? 'motion-at-points' : 'motion-at',
          count: slides.length,
          labels: [{ of: 'transition', name: motion.transition }],
        },
};
