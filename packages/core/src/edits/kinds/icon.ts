/** A symbol beside a point in a figure; null takes it off. */
import type { Icon } from '../../deck/index.ts';
import type { PartId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface IconEdit {
  readonly kind: 'icon';
  readonly part: PartId;
  readonly icon: Icon | null;
}

export const icon: EditKind<IconEdit> = {
  carry: (edit, ids) => ({ ...edit, part: ids.part(edit.part) }),
  apply: (desk, { part, icon: chosen }) =>
    desk.changePart(part, 'point', ({ icon: _, ...point }) => (chosen === null ? point : { ...point, icon: chosen })),
  says: ({ icon: chosen }) => (chosen === null ? { code: 'icon-off' } : { code: 'icon', text: chosen.name }),
};
