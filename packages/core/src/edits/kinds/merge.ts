/** A slide goes on another, its title as a point. */
import type { SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';
import { merged } from '../slide-parts.ts';

export interface MergeEdit {
  readonly kind: 'merge';
  readonly slide: SlideId;
  readonly into: SlideId;
}

export const merge: EditKind<MergeEdit> = {
  carry: (edit, ids) => ({ ...edit, slide: ids.slide(edit.slide), into: ids.slide(edit.into) }),
  apply: (desk, edit) =>
    desk.withShown(edit.slide, (slide) => {
      const into = desk.slides.get(edit.into);
      if (into === undefined || into === slide || desk.isRemoved(into.id)) return 'slide-gone';
      if (into.kind !== 'content' || slide.kind !== 'content') return 'no-room';
      desk.settle(merged(into, slide));
      desk.forget(slide.id);
      return undefined;
    }),
  says: () => ({ code: 'merge' }),
};
