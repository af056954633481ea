/** The layout of single slides; null gives them back to what suits them. */
import type { SlideId } from '../../ids/index.ts';
import type { LayoutName } from '../../theme/index.ts';
import type { EditKind } from '../kind.ts';

export interface LayoutEdit {
  readonly kind: 'layout';
  readonly slides: readonly SlideId[];
  readonly layout: LayoutName | null;
}

export const layout: EditKind<LayoutEdit> = {
  carry: (edit, ids) => ({ ...edit, slides: edit.slides.map(ids.slide) }),
  apply: (desk, { slides, layout: name }) =>
    desk.change(slides, ({ layout: _, ...slide }) => (name === null ? slide : { ...slide, layout: name })),
  says: ({ slides, layout: name }) =>
    name === null
      ? { code: 'layout-back', count: slides.length }
      : { code: 'layout', count: slides.length, labels: [{ of: 'layout', name }] },
};
