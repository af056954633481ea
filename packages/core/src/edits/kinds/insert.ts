/** A point of the author’s own; null is the beginning. */
import { type Runs, runsText } from '../../content/index.ts';
import type { PointLevel } from '../../deck/index.ts';
import type { PartId, SlideId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';
import { withContentAfter } from '../slide-parts.ts';

export interface InsertEdit {
  readonly kind: 'insert';
  readonly slide: SlideId;
  readonly part: PartId;
  readonly after: PartId | null;
  readonly level: PointLevel;
  readonly runs: Runs;
}

export const insert: EditKind<InsertEdit> = {
  carry: (edit, ids) => ({
    ...edit,
    slide: ids.slide(edit.slide),
    part: ids.part(edit.part),
    after: edit.after === null ? null : ids.part(edit.after),
  }),
  makes: ({ part }) => part,
  apply(desk, { slide: id, part, after, level, runs }) {
    const slide = desk.slides.get(id);
    if (slide === undefined) return 'slide-gone';
    if (slide.kind !== 'content') return 'no-room';
    desk.settle(withContentAfter(slide, after, { kind: 'point', id: part, level, runs, blocks: [] }));
    return undefined;
  },
  says: ({ runs }) => ({ code: 'insert', text: runsText(runs) }),
};
