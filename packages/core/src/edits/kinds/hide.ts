/** Slides that are not shown when the deck is presented, or shown again. */
import type { SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface HideEdit {
  readonly kind: 'hide';
  readonly slides: readonly SlideId[];
  readonly hidden: boolean;
}

export const hide: EditKind<HideEdit> = {
  carry: (edit, ids) => ({ ...edit, slides: edit.slides.map(ids.slide) }),
  apply: (desk, { slides, hidden }) =>
    desk.change(slides, ({ hidden: _, ...slide }) => (hidden ? { ...slide, hidden: true } : slide)),
  says: ({ slides, hidden }) => ({ code: hidden ? 'hide' : 'show', count: slides.length }),
};
