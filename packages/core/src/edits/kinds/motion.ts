/** How the deck’s slides and points come on a screen. */
import type { Motion } from '../../deck/index.ts';
import type { EditKind } from '../kind.ts';

export interface MotionEdit {
  readonly kind: 'motion';
  readonly motion: Motion;
}

export const motion: EditKind<MotionEdit> = {
  carry: (edit) => edit,
  rule: (edit) => ({ of: 'motion', edit }),
  decide(draft, edit) {
    draft.motion = edit.motion;
  },
  says: ({ motion: { transition, points } }) => ({
    code: points ? 'motion-points' : 'motion',
    labels: [{ of: 'transition', name: transition }],
  }),
};
