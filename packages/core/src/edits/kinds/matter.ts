/** Front or back matter is asked for or sent away. */
import type { MatterKind } from '../../deck/index.ts';
import type { EditKind } from '../kind.ts';

export interface MatterEdit {
  readonly kind: 'matter';
  readonly part: MatterKind;
  readonly on: boolean;
}

export const matter: EditKind<MatterEdit> = {
  carry: (edit) => edit,
  rule: (edit) => ({ of: `matter ${edit.part}`, edit }),
  decide(draft, { part, on }) {
    draft.matter.set(part, on);
  },
  says: ({ part, on }) => ({ code: on ? 'matter-on' : 'matter-off', labels: [{ of: 'matter', name: part }] }),
};
