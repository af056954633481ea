/** A picture of the author’s own; null is the beginning. */
import type { Picture } from '../../content/index.ts';
import type { PartId, SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';
import { withContentAfter } from '../slide-parts.ts';

export interface PlaceEdit {
  readonly kind: 'place';
  readonly slide: SlideId;
  readonly part: PartId;
  readonly after: PartId | null;
  readonly picture: Picture;
  readonly alt: string | null;
}

export const place: EditKind<PlaceEdit> = {
  carry: (edit, ids) => ({
    ...edit,
    slide: ids.slide(edit.slide),
    part: ids.part(edit.part),
    after: edit.after === null ? null : ids.part(edit.after),
  }),
  makes: ({ part }) => part,
  apply(desk, { slide: id, part, after, picture: own, alt }) {
    const slide = desk.slides.get(id);
    if (slide === undefined) return 'slide-gone';
    if (slide.kind === 'section') return 'no-room';
    desk.settle(withContentAfter(slide, after, { kind: 'picture', id: part, blocks: [], picture: own.id, own, alt }));
    return undefined;
  },
  pictures: ({ picture }) => [picture],
  says: () => ({ code: 'place' }),
};
