/** Moves slides, kept in their order, before another; null is the end. */
import type { SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface OrderEdit {
  readonly kind: 'order';
  readonly slides: readonly SlideId[];
  readonly before: SlideId | null;
}

export const order: EditKind<OrderEdit> = {
  carry: (edit, ids) => ({
    ...edit,
    slides: edit.slides.map(ids.slide),
    before: edit.before === null ? null : ids.slide(edit.before),
  }),
  apply(desk, { slides, before }) {
    const there = slides.filter((id) => desk.stands(id));
    const place = desk.placeOf(before);
    if (there.length === 0 || place === undefined) return 'slide-gone';
    desk.move(there, place);
    return undefined;
  },
  says: ({ slides }) => ({ code: 'order', count: slides.length }),
};
