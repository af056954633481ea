/** Colours of single slides; with neither a palette nor a mode they have the deck’s again. */
import type { SlideId } from '../../ids/index.ts';
import type { PaletteChoice } from '../../theme/index.ts';
import type { EditKind } from '../kind.ts';

export interface ColorsEdit {
  readonly kind: 'colors';
  readonly slides: readonly SlideId[];
  readonly palette: PaletteChoice | null;
  readonly dark: boolean | null;
}

export const colors: EditKind<ColorsEdit> = {
  carry: (edit, ids) => ({ ...edit, slides: edit.slides.map(ids.slide) }),
  apply: (desk, { slides, palette, dark }) =>
    desk.change(slides, ({ colors: _, ...slide }) =>
      palette === null && dark === null ? slide : { ...slide, colors: { palette, dark } },
    ),
  says: ({ slides, palette, dark }) => ({
    code: palette === null && dark === null ? 'colors-back' : 'colors',
    count: slides.length,
  }),
};
