/** Colours of the deck; null is the theme’s own. */
import { type PaletteChoice, THEME_DESIGNS } from '../../theme/index.ts';
import type { EditKind } from '../kind.ts';

export interface PaletteEdit {
  readonly kind: 'palette';
  readonly palette: PaletteChoice | null;
}

export const palette: EditKind<PaletteEdit> = {
  carry: (edit) => edit,
  rule: (edit) => ({ of: 'palette', edit }),
  decide(draft, { palette: choice }) {
    draft.look = { ...draft.look, palette: choice };
  },
  says({ palette: choice }) {
    if (choice === null) return { code: 'palette-own' };
    if (choice.from === 'colors') return { code: 'palette-made', text: `#${choice.colors[0]}` };
    const known = THEME_DESIGNS.flatMap(({ palettes }) => palettes).find(({ name }) => name === choice.name);
    return { code: 'palette', text: known?.label ?? choice.name };
  },
};
