/** What stands at the foot of slides. */
import type { Foot } from '../../theme/index.ts';
import type { EditKind } from '../kind.ts';

export interface FootEdit {
  readonly kind: 'foot';
  readonly foot: Foot;
}

export const foot: EditKind<FootEdit> = {
  carry: (edit) => edit,
  rule: (edit) => ({ of: 'foot', edit }),
  decide(draft, { foot: chosen }) {
    draft.look = { ...draft.look, foot: chosen };
  },
  pictures: ({ foot: { logo } }) => (logo === null ? [] : [logo.picture]),
  says: () => ({ code: 'foot' }),
};
