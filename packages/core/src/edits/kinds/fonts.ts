/** A pair of fonts, by its name; null is the theme’s own. */
import { fontPairNamed } from '../../theme/index.ts';
import type { EditKind } from '../kind.ts';

export interface FontsEdit {
  readonly kind: 'fonts';
  readonly pair: string | null;
}

export const fonts: EditKind<FontsEdit> = {
  carry: (edit) => edit,
  rule: (edit) => ({ of: 'fonts', edit }),
  decide(draft, { pair }) {
    draft.look = { ...draft.look, fonts: pair };
  },
  says({ pair }) {
    const known = fontPairNamed(pair);
    return known === undefined ? { code: 'fonts-own' } : { code: 'fonts', text: known.label };
  },
};
