/** Brings slides back that were taken out. */
import type { SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface RestoreEdit {
  readonly kind: 'restore';
  readonly slides: readonly SlideId[];
}

export const restore: EditKind<RestoreEdit> = {
  carry: (edit, ids) => ({ ...edit, slides: edit.slides.map(ids.slide) }),
  apply(desk, { slides }) {
    const there = slides.filter((id) => desk.slides.has(id) && desk.isRemoved(id));
    if (there.length === 0) return 'slide-gone';
    desk.restore(there);
    return undefined;
  },
  says: ({ slides }) => ({ code: 'restore', count: slides.length }),
};
