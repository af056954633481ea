/** How a picture stands in its frame; null is as it comes. */
import type { PictureDress } from '../../deck/index.ts';
import type { PartId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface FrameEdit {
  readonly kind: 'frame';
  readonly part: PartId;
  readonly dress: PictureDress | null;
}

export const frame: EditKind<FrameEdit> = {
  carry: (edit, ids) => ({ ...edit, part: ids.part(edit.part) }),
  apply: (desk, { part, dress }) =>
    desk.changePart(part, 'picture', ({ dress: _, ...picture }) => (dress === null ? picture : { ...picture, dress })),
  says: () => ({ code: 'frame' }),
};
