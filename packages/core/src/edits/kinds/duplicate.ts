/** A copy of a slide, behind it. */
import type { SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';
import { copyOf } from '../slide-parts.ts';

export interface DuplicateEdit {
  readonly kind: 'duplicate';
  readonly slide: SlideId;
  readonly as: SlideId;
}

export const duplicate: EditKind<DuplicateEdit> = {
  carry: (edit, ids) => ({ ...edit, slide: ids.slide(edit.slide), as: ids.slide(edit.as) }),
  makes: ({ as }) => as,
  apply: (desk, { slide: id, as }) =>
    desk.withShown(id, (slide) => {
      desk.insert(copyOf(slide, as), slide.id);
      return undefined;
    }),
  says: () => ({ code: 'duplicate' }),
};
