/** Keeps what a rehearsal took, or puts it away. */
import type { SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

/** One time through the deck aloud. */
export interface Rehearsal {
  /** When it began, ISO 8601 in UTC. */
  readonly began: string;
  /** Spent on each slide that was shown, all visits together. */
  readonly seconds: readonly (readonly [SlideId, number])[];
  /** Slides at which the speaker stumbled. */
  readonly stumbled: readonly SlideId[];
}

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
