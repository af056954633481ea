/** Keeps what a rehearsal took, or puts it away. */
import type { EditKind } from '../kind.ts';
import type { Rehearsal } from '../rehearsal.ts';

export interface RehearseEdit {
  readonly kind: 'rehearse';
  readonly id: string;
  /** Null puts it away. */
  readonly rehearsal: Rehearsal | null;
}

export const rehearse: EditKind<RehearseEdit> = {
  carry: (edit, ids) =>
    edit.rehearsal === null
      ? edit
      : {
          ...edit,
          rehearsal: {
            ...edit.rehearsal,
            seconds: edit.rehearsal.seconds.map(([slide, time]) => [ids.slide(slide), time] as const),
            stumbled: edit.rehearsal.stumbled.map(ids.slide),
          },
        },
  decide({ rehearsals }, { id, rehearsal }) {
    if (rehearsal === null) rehearsals.delete(id);
    else rehearsals.set(id, rehearsal);
  },
  says: ({ rehearsal }) => ({ code: rehearsal === null ? 'rehearse-off' : 'rehearse' }),
};
