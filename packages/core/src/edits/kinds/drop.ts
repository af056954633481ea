/** Takes off a picture that the author put there. */
import type { PartId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface DropEdit {
  readonly kind: 'drop';
  readonly part: PartId;
}

export const drop: EditKind<DropEdit> = {
  carry: (edit, ids) => ({ ...edit, part: ids.part(edit.part) }),
  apply(desk, edit) {
    const { slide, part } = desk.find(edit.part);
    if (slide === undefined || part?.kind !== 'picture' || part.own === undefined) return 'part-gone';
    // Of a picture that was replaced, the document's own is left out with it.
    desk.leaveOut(part.blocks);
    desk.settle({ ...slide, content: slide.content.filter((one) => one !== part) });
    return undefined;
  },
  says: () => ({ code: 'drop' }),
};
