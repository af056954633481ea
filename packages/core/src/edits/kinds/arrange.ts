/** Layouts that were chosen for all slides together, in the place of those chosen so before. */
import { getOrMake, remembered } from '../../base/index.ts';
import type { Slide } from '../../deck/index.ts';
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
      if (layout !== slide.arranged) desk.put(arrangedAs(slide, layout));
    }
    return undefined;
  },
  says: ({ layouts }) => ({ code: layouts.length === 0 ? 'arrange-back' : 'arrange' }),
};

// The same slide every time, down to its identity, so that who turns a map to and fro has nothing laid out anew.
const arranged = remembered((_: Slide) => new Map<LayoutName | undefined, Slide>());

/** A slide with the layout that was chosen for it, or without one. */
export const arrangedAs = (slide: Slide, layout: LayoutName | undefined): Slide =>
  slide.arranged === layout
    ? slide
    : getOrMake(arranged(slide), layout, () => {
        const { arranged: _, ...plain } = slide;
        return layout === undefined ? plain : { ...plain, arranged: layout };
      });
