/** Dresses the deck in a theme. */
import { designNamed } from '../../theme/index.ts';
import type { EditKind } from '../kind.ts';

export interface ThemeEdit {
  readonly kind: 'theme';
  readonly theme: string;
}

export const theme: EditKind<ThemeEdit> = {
  carry: (edit) => edit,
  rule: (edit) => ({ of: 'theme', edit }),
  decide(draft, { theme: name }) {
    draft.look = { ...draft.look, theme: name };
  },
  says: ({ theme: name }) => ({ code: 'theme', text: designNamed(name).label }),
};
