/** Takes parts off their slide and speaks them. */
import type { PartId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';
import { spokenInstead } from '../spoken.ts';

export interface SpeakEdit {
  readonly kind: 'speak';
  readonly parts: readonly PartId[];
}

export const speak: EditKind<SpeakEdit> = {
  carry: (edit, ids) => ({ ...edit, parts: edit.parts.map(ids.part) }),
  apply(desk, { parts }) {
    let found = false;
    for (const id of parts) {
      const { slide, part } = desk.find(id);
      if (slide === undefined || part === undefined) continue;
      const { slide: changed, leftOut } = spokenInstead(slide, part);
      desk.leaveOut(leftOut);
      desk.settle(changed);
      found = true;
    }
    return found ? undefined : 'part-gone';
  },
  says: ({ parts }) => ({ code: 'speak', count: parts.length }),
};
