/** How fast its author speaks. */
import type { EditKind } from '../kind.ts';

export interface PaceEdit {
  readonly kind: 'pace';
  /** Words a minute. */
  readonly rate: number;
}

export const pace: EditKind<PaceEdit> = {
  carry: (edit) => edit,
  rule: (edit) => ({ of: 'pace', edit }),
  decide(draft, { rate }) {
    draft.pace = rate;
  },
  says: ({ rate }) => ({ code: 'pace', count: rate }),
};
