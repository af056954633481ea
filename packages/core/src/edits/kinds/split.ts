/** A slide starts at a part, under the same title. */
import type { PartId, SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';
import { parted } from '../slide-parts.ts';

export interface SplitEdit {
  readonly kind: 'split';
  readonly slide: SlideId;
  readonly part: PartId;
  readonly as: SlideId;
}

export const split: EditKind<SplitEdit> = {
  carry: (edit, ids) => ({
    ...edit,
    slide: ids.slide(edit.slide),
    part: ids.part(edit.part),
    as: ids.slide(edit.as),
  }),
  makes: ({ as }) => as,
  apply: (desk, { slide: id, part, as }) =>
    desk.withShown(id, (slide) => {
      const at = slide.content.findIndex((one) => one.id === part);
      if (at < 1) return 'part-gone';
      const [first, second] = parted(slide, at, as);
      desk.settle(first);
      desk.insert(second, slide.id);
      return undefined;
    }),
  says: () => ({ code: 'split' }),
};
