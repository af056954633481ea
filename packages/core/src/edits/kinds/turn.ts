/** Sends one block somewhere else; null gives it back to the map. */
import type { Destination } from '../../deck/index.ts';
import type { BlockId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface TurnEdit {
  readonly kind: 'turn';
  readonly block: BlockId;
  readonly to: Destination | null;
}

export const turn: EditKind<TurnEdit> = {
  carry: (edit, ids) => ({ ...edit, block: ids.block(edit.block) }),
  decide(draft, { block, to }) {
    if (to === null) draft.turned.delete(block);
    else draft.turned.set(block, to);
  },
  apply: (desk, { block }) => desk.blockGone(block),
  says: ({ block, to }) =>
    to === null ? { code: 'turn-back', block } : { code: 'turn', block, labels: [{ of: 'destination', name: to }] },
};
