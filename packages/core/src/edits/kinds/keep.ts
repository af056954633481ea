/** Brings back what was left out. */
import type { StructureChange } from '../../structure/index.ts';
import type { EditKind } from '../kind.ts';

export type KeepEdit = StructureChange & { readonly kind: 'keep' };

export const keep: EditKind<KeepEdit> = {
  carry: (edit, ids) => ({ ...edit, blocks: edit.blocks.map(ids.block) }),
  says: ({ blocks }) => ({ code: 'keep', count: blocks.length }),
};
