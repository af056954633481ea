/** Takes slides out; they can be brought back. */
import type { SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface RemoveEdit {
  readonly kind: 'remove';
  readonly slides: readonly SlideId[];
}

export const remove: EditKind<RemoveEdit> = {
  carry: (edit, ids) => ({ ...edit, slides: edit.slides.map(ids.slide) }),
  apply(desk, { slides }) {
    const there = slides.filter((id) => desk.stands(id));
    if (there.length === 0) return 'slide-gone';
    desk.remove(there);
    return undefined;
  },
  says: ({ slides }) => ({ code: 'remove', count: slides.length }),
};
