/** A new edition of the document comes in. What was made before it is carried over by `ids`. */
import type { BlockId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface EditionEdit {
  readonly kind: 'edition';
  /** Hash of the file, and how it is read. */
  readonly original: string;
  readonly type: string;
  readonly fileName: string;
  /** Blocks that have another id in the new edition: the old, the new. */
  readonly ids: readonly (readonly [BlockId, BlockId])[];
}

export const edition: EditKind<EditionEdit> = {
  carry: (edit, ids) => ({ ...edit, ids: edit.ids.map(([old, now]) => [ids.block(old), ids.block(now)] as const) }),
  says: ({ fileName: text }) => ({ code: 'edition', text }),
};
