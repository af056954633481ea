/** Whether separators and page breaks start slides. */
import type { EditKind } from '../kind.ts';

export interface BreaksEdit {
  readonly kind: 'breaks';
  readonly start: boolean;
}

export const breaks: EditKind<BreaksEdit> = {
  carry: (edit) => edit,
  rule: (edit) => ({ of: 'breaks', edit }),
  decide(draft, { start }) {
    draft.breaks = start;
  },
  says: ({ start }) => ({ code: start ? 'breaks-on' : 'breaks-off' }),
};
