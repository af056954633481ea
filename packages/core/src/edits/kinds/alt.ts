/** Describes a picture on its slide. */
import type { PartId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface AltEdit {
  readonly kind: 'alt';
  readonly part: PartId;
  readonly alt: string;
}

export const alt: EditKind<AltEdit> = {
  carry: (edit, ids) => ({ ...edit, part: ids.part(edit.part) }),
  apply: (desk, { part, alt: words }) => desk.changePart(part, 'picture', (picture) => ({ ...picture, alt: words })),
  says: ({ alt: text }) => ({ code: 'description', text }),
};
