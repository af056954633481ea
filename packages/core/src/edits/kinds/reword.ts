/** Gives a point or a text another wording; no runs takes it off the slide. */
import { type Runs, runsText } from '../../content/index.ts';
import type { PartId } from '../../ids/index.ts';
import type { EditKind } from '../kind.ts';

export interface RewordEdit {
  readonly kind: 'reword';
  readonly part: PartId;
  readonly runs: Runs;
}

export const reword: EditKind<RewordEdit> = {
  carry: (edit, ids) => ({ ...edit, part: ids.part(edit.part) }),
  apply(desk, edit) {
    const { slide, part } = desk.find(edit.part);
    if (slide === undefined || part === undefined || !('runs' in part)) return 'part-gone';
    if (edit.runs.length > 0) {
      desk.put({ ...slide, content: slide.content.map((one) => (one === part ? { ...part, runs: edit.runs } : one)) });
      return undefined;
    }
    desk.leaveOut(part.blocks);
    const before = slide.content[slide.content.indexOf(part) - 1]?.id ?? null;
    const notes = slide.notes.map((note) => (note.anchor === part.id ? { ...note, anchor: before } : note));
    desk.settle({ ...slide, content: slide.content.filter((one) => one !== part), notes });
    return undefined;
  },
  says: ({ runs }) => (runs.length === 0 ? { code: 'reword-off' } : { code: 'reword', text: runsText(runs) }),
};
