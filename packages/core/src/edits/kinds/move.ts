/** Moves blocks, kept in their order, before another. */
import type { StructureChange } from '../../structure/index.ts';
import type { EditKind } from '../kind.ts';

export type MoveEdit = StructureChange & { readonly kind: 'move' };

export const move: EditKind<MoveEdit> = {
  carry: (edit, ids) => ({
    ...edit,
    blocks: edit.blocks.map(ids.block),
    before: edit.before === null ? null : ids.block(edit.before),
  }),
  says: ({ blocks: [block] }) => (block === undefined ? { code: 'move' } : { code: 'move', block }),
};
