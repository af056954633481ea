/** The deck’s rule for slides that hold too much. */
import type { FullRule } from '../../deck/index.ts';
import type { EditKind } from '../kind.ts';

export interface FullEdit {
  readonly kind: 'full';
  readonly rule: FullRule;
}

export const full: EditKind<FullEdit> = {
  carry: (edit) => edit,
  rule: (edit) => ({ of: 'full', edit }),
  decide(draft, { rule }) {
    draft.full = rule;
  },
  says: ({ rule }) => ({ code: 'full', labels: [{ of: 'full', name: rule }] }),
};
