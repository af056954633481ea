/** Starts a new slide at a block. */
import type { BlockId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface CutEdit {
  readonly kind: 'cut';
  readonly block: BlockId;
}

export const cut: EditKind<CutEdit> = {
  carry: (edit, ids) => ({ ...edit, block: ids.block(edit.block) }),
  decide(draft, { block }) {
    draft.joins.delete(block);
    draft.cuts.add(block);
  },
  apply: (desk, { block }) => desk.blockGone(block),
  says: ({ block }) => ({ code: 'cut', block }),
};
