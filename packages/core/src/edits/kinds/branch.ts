/** Below one heading, a kind of text goes elsewhere; null gives it back to the map. */
import type { Destination, TextKind } from '../../deck/index.ts';
import type { BlockId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface BranchEdit {
  readonly kind: 'branch';
  readonly block: BlockId;
  readonly text: TextKind;
  readonly to: Destination | null;
}

export const branch: EditKind<BranchEdit> = {
  carry: (edit, ids) => ({ ...edit, block: ids.block(edit.block) }),
  decide(draft, { block, text, to }) {
    draft.branches = draft.branches.filter((one) => one.block !== block || one.text !== text);
    if (to !== null) draft.branches = [...draft.branches, { block, text, to }];
  },
  apply: (desk, { block }) => desk.blockGone(block),
  says: ({ block, text, to }) => ({
    code: to === null ? 'branch-back' : 'branch',
    block,
    labels: [{ of: 'kind', name: text }, ...(to === null ? [] : [{ of: 'destination', name: to } as const])],
  }),
};
