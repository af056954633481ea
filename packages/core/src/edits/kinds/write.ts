/** Puts text where other text stood. */
import { runsText } from '../../content/index.ts';
import type { StructureChange } from '../../structure/index.ts';
import type { EditKind } from '../kind.ts';

export type WriteEdit = StructureChange & { readonly kind: 'write' };

export const write: EditKind<WriteEdit> = {
  carry: (edit, ids) => ({
    ...edit,
    replaces: edit.replaces.map(ids.block),
    after: edit.after === null ? null : ids.block(edit.after),
    blocks: edit.blocks.map((one) => ({ ...one, id: ids.block(one.id) })),
  }),
  pictures: ({ pictures }) => pictures ?? [],
  says: ({ blocks }) => ({
    code: 'write',
    text: blocks.map((block) => ('runs' in block ? runsText(block.runs) : '')).join(' '),
  }),
};
