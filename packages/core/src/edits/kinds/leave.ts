/** Leaves blocks out. */
import type { StructureChange } from '../../structure/index.ts';
import type { EditKind } from '../kind.ts';

export type LeaveEdit = StructureChange & { readonly kind: 'leave' };

export const leave: EditKind<LeaveEdit> = {
  carry: (edit, ids) => ({ ...edit, blocks: edit.blocks.map(ids.block) }),
  says: ({ blocks }) => ({ code: 'leave', count: blocks.length }),
};
