/** What the deck should come to. */
import type { EditKind } from '../kind.ts';
import type { Target } from '../target.ts';

export interface TargetEdit {
  readonly kind: 'target';
  readonly target: Target | null;
}

export const target: EditKind<TargetEdit> = {
  carry: (edit) => edit,
  rule: (edit) => ({ of: 'target', edit }),
  decide(draft, { target }) {
    draft.target = target;
  },
  says: ({ target }) =>
    target === null ? { code: 'target-none' } : { code: `target-${target.unit}`, count: target.amount },
};
