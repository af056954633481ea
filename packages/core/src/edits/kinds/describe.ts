/** Describes a picture of the document. */
import type { StructureChange } from '../../structure/index.ts';
import type { EditKind } from '../kind.ts';

export type DescribeEdit = StructureChange & { readonly kind: 'describe' };

export const describe: EditKind<DescribeEdit> = {
  carry: (edit, ids) => ({ ...edit, block: ids.block(edit.block) }),
  says: ({ alt: text }) => ({ code: 'description', text }),
};
