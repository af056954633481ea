/** The rule of single slides that hold too much; null gives them back to the deck’s. */
import type { FullRule } from '../../deck/index.ts';
import type { SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface FullAtEdit {
  readonly kind: 'fullAt';
  readonly slides: readonly SlideId[];
  readonly rule: FullRule | null;
}

export const fullAt: EditKind<FullAtEdit> = {
  carry: (edit, ids) => ({ ...edit, slides: edit.slides.map(ids.slide) }),
  apply: (desk, { slides, rule }) =>
    desk.change(slides, ({ full: _, ...slide }) => (rule === null ? slide : { ...slide, full: rule })),
  says: ({ slides, rule }) =>
    rule === null
      ? { code: 'full-at-back', count: slides.length }
      : { code: 'full-at', count: slides.length, labels: [{ of: 'full', name: rule }] },
};
