/** Moves points in (1) or out (-1) by levels. */
import { type Content, pointLevelNear } from '../../deck/index.ts';
import type { PartId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface LevelEdit {
  readonly kind: 'level';
  readonly parts: readonly PartId[];
  readonly by: number;
}

export const level: EditKind<LevelEdit> = {
  carry: (edit, ids) => ({ ...edit, parts: edit.parts.map(ids.part) }),
  apply(desk, { parts, by }) {
    const moved = new Set(parts);
    const slides = new Set(parts.flatMap((id) => desk.slideOf(id) ?? []));
    for (const slide of slides) {
      const content = slide.content.map((part): Content =>
        part.kind === 'point' && moved.has(part.id) ? { ...part, level: pointLevelNear(part.level + by) } : part,
      );
      desk.settle({ ...slide, content });
    }
    return slides.size === 0 ? 'part-gone' : undefined;
  },
  says: ({ parts, by }) => ({ code: by > 0 ? 'level-in' : 'level-out', count: parts.length }),
};
