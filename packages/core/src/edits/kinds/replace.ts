/** Another picture in the place of one. */
import type { Picture } from '../../content/index.ts';
import type { PartId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface ReplaceEdit {
  readonly kind: 'replace';
  readonly part: PartId;
  readonly picture: Picture;
  readonly alt: string | null;
}

export const replace: EditKind<ReplaceEdit> = {
  carry: (edit, ids) => ({ ...edit, part: ids.part(edit.part) }),
  apply: (desk, { part, picture: own, alt }) =>
    desk.changePart(part, 'picture', (before) => ({ ...before, picture: own.id, own, alt })),
  pictures: ({ picture }) => [picture],
  says: () => ({ code: 'replace' }),
};
