/** Layouts that were chosen for all slides together, in the place of those chosen so before. */
import type { SlideId } from '../../ids/index.ts';
import type { LayoutName } from '../../theme/index.ts';
import type { EditKind } from '../kind.ts';

export interface ArrangeEdit {
  readonly kind: 'arrange';
  readonly layouts: readonly { readonly slide: SlideId; readonly layout: LayoutName }[];
}

export const arrange: EditKind<ArrangeEdit> = {
  carry: (edit, ids) => ({ ...edit, layouts: edit.layouts.map((one) => ({ ...one, slide: ids.slide(one.slide) })) }),
  apply(desk, edit) {
    const layouts = new Map(edit.layouts.map(({ slide, layout }) => [slide, layout]));
    for (const slide of [...desk.slides.values()]) {
      const layout = layouts.get(slide.id);
      if (layout === slide.arranged) continue;
      const { arranged: _, ...plain } = slide;
      desk.put(layout === undefined ? plain : { ...plain, arranged: layout });
    }
    return undefined;
  },
  says: ({ layouts }) => ({ code: layouts.length === 0 ? 'arrange-back' : 'arrange' }),
};
