/** Makes lines another kind of text or another level; the whole selection at once. */
import type { StructureChange } from '../../structure/index.ts';
import type { EditKind } from '../kind.ts';

export type ShapeEdit = StructureChange & { readonly kind: 'shape' };

export const shape: EditKind<ShapeEdit> = {
  carry: (edit, ids) => ({ ...edit, shapes: edit.shapes.map((one) => ({ ...one, block: ids.block(one.block) })) }),
  says: ({ shapes }) => ({ code: 'shape', count: shapes.length }),
};
