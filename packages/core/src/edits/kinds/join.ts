/** Lets the slide that starts at a block go on the slide before it. */
import type { BlockId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface JoinEdit {
  readonly kind: 'join';
  readonly block: BlockId;
}

export const join: EditKind<JoinEdit> = {
  carry: (edit, ids) => ({ ...edit, block: ids.block(edit.block) }),
  decide(draft, { block }) {
    // A join takes back the cut that made the slide; else the slide is the document's own.
    if (!draft.cuts.delete(block)) draft.joins.add(block);
  },
  apply: (desk, { block }) => desk.blockGone(block),
  says: ({ block }) => ({ code: 'join', block }),
};
