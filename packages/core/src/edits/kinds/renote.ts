/** Puts `notes` in the place of those with the ids `replaces`; with none of those, behind `anchor`. */
import { runsText, type Runs } from '../../content/index.ts';
import type { Note, Slide } from '../../deck/index.ts';
import { relievedPart, writtenNote, type NoteId, type PartId, type SlideId } from '../../ids/index.ts';
import type { Desk } from '../desk.ts';
import type { EditKind } from '../kind.ts';
import type { UnplacedReason } from '../reason.ts';

export interface NoteText {
  readonly kind: 'paragraph' | 'item';
  readonly depth: number;
  readonly ordered: boolean;
  readonly runs: Runs;
}

export interface RenoteEdit {
  readonly kind: 'renote';
  readonly slide: SlideId;
  readonly replaces: readonly NoteId[];
  readonly anchor: PartId | null;
  readonly notes: readonly NoteText[];
}

export const renote: EditKind<RenoteEdit> = {
  carry: (edit, ids) => ({
    ...edit,
    slide: ids.slide(edit.slide),
    replaces: edit.replaces.map(ids.note),
    anchor: edit.anchor === null ? null : ids.part(edit.anchor),
  }),
  apply(desk, edit) {
    const slide = desk.slides.get(edit.slide);
    return slide === undefined ? 'slide-gone' : rewrite(desk, slide, edit);
  },
  says: ({ notes }) =>
    notes.length === 0
      ? { code: 'renote-off' }
      : { code: 'renote', text: notes.map(({ runs }) => runsText(runs)).join(' ') },
};

function rewrite(desk: Desk, slide: Slide, edit: RenoteEdit): UnplacedReason | undefined {
  const old = slide.notes.filter((note) => edit.replaces.includes(note.id));
  // Notes that a rule for full slides made: the rule comes later, and is told that they are written.
  const said = edit.replaces.flatMap((id) => relievedPart(id) ?? []);
  const saidParts = slide.content.filter(({ id }) => said.includes(id));
  if (edit.replaces.length > 0 && old.length === 0 && saidParts.length === 0) return 'notes-gone';
  const first = desk.writtenNotes(slide.id, edit.notes.length);
  const anchor = old[0]?.anchor ?? edit.anchor;
  const sources = [...new Set([...old, ...saidParts].flatMap(({ blocks }) => blocks))];
  const fresh = edit.notes.map((note, i): Note => ({
    ...note,
    id: writtenNote(slide.id, first + i),
    anchor,
    // Which sentence came from which block is not known any more; the first stands for all.
    blocks: i === 0 ? sources : [],
  }));
  if (fresh.length === 0) desk.leaveOut(sources);
  const at =
    old[0] === undefined
      ? slide.notes.findLastIndex((note) => note.anchor === anchor) + 1
      : slide.notes.indexOf(old[0]);
  const rest = slide.notes.filter((note) => !old.includes(note));
  desk.settle({
    ...slide,
    notes: [...rest.slice(0, at), ...fresh, ...rest.slice(at)],
    ...(said.length === 0 ? {} : { said: [...(slide.said ?? []), ...said] }),
  });
  return undefined;
}
