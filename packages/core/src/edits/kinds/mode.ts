/** Light or dark; null is as the theme has it. */
import type { EditKind } from '../kind.ts';

export interface ModeEdit {
  readonly kind: 'mode';
  readonly dark: boolean | null;
}

export const mode: EditKind<ModeEdit> = {
  carry: (edit) => edit,
  rule: (edit) => ({ of: 'mode', edit }),
  decide(draft, { dark }) {
    draft.look = { ...draft.look, dark };
  },
  says: ({ dark }) => ({ code: dark === null ? 'mode-own' : dark ? 'mode-dark' : 'mode-light' }),
};
