/** Moves points, texts, pictures, tables or notes onto a slide, before another of its parts; null is the end. What explains a point goes with it, and its passages too. */
import type { Content, Note, Slide } from '../../deck/index.ts';
import type { BlockId, IdMap, MovableId, NoteId, SlideId } from '../../ids/index.ts';
import type { Desk } from '../desk.ts';
import type { EditKind } from '../kind.ts';
import type { UnplacedReason } from '../reason.ts';

export interface CarryEdit {
  readonly kind: 'carry';
  readonly parts: readonly MovableId[];
  readonly to: SlideId;
  readonly before: MovableId | null;
}

/** Ids of notes are made as those of parts are, and in one way more. */
const moved = (id: MovableId, ids: IdMap): MovableId => ids.note(id as NoteId);

export const carry: EditKind<CarryEdit> = {
  carry: (edit, ids) => ({
    ...edit,
    parts: edit.parts.map((id) => moved(id, ids)),
    to: ids.slide(edit.to),
    before: edit.before === null ? null : moved(edit.before, ids),
  }),
  apply: moveParts,
  says: ({ parts }) => ({ code: 'carry', count: parts.length }),
};

interface Taken {
  readonly content: readonly Content[];
  /** With the points that they explain. */
  readonly along: readonly Note[];
  /** By themselves. */
  readonly notes: readonly Note[];
}

function moveParts(desk: Desk, { parts, to, before }: CarryEdit): UnplacedReason | undefined {
  const target = desk.slides.get(to);
  if (target === undefined || desk.isRemoved(to)) return 'slide-gone';
  const wanted = new Set(parts);
  const sources = new Set(parts.flatMap((part) => desk.slideOf(part)?.id ?? []));
  if (sources.size === 0) return 'part-gone';
  const taken = [...sources].map((id) => takeFrom(desk.slides.get(id)!, wanted));
  const content = taken.flatMap((one) => one.content);
  if (content.length > 0 && target.kind !== 'content') return 'no-room';
  for (const id of sources) if (id !== to) desk.settle(without(desk.slides.get(id)!, wanted));
  const rest = sources.has(to) ? without(target, wanted, true) : target;
  const place = before === null ? -1 : rest.content.findIndex(({ id }) => id === before);
  const at = place < 0 ? rest.content.length : place;
  const anchor = rest.content[at - 1]?.id ?? null;
  const notes = taken.flatMap((one) => one.notes);
  const spokenPlace = before === null ? -1 : rest.notes.findIndex(({ id }) => id === before);
  const noteAt =
    spokenPlace >= 0
      ? spokenPlace
      : rest.notes.findLastIndex((note) => note.anchor === anchor) + 1 || rest.notes.length;
  const notesAnchor = spokenPlace >= 0 ? rest.notes[spokenPlace]!.anchor : anchor;
  const along = taken.flatMap((one) => one.along);
  desk.settle({
    ...rest,
    content: rest.content.toSpliced(at, 0, ...content),
    notes: rest.notes.toSpliced(noteAt, 0, ...along, ...notes.map((note) => ({ ...note, anchor: notesAnchor }))),
    passages:
      sources.size === 1 && sources.has(to)
        ? target.passages
        : withPassages(rest, before, [...content, ...along, ...notes]),
  });
  return undefined;
}

function takeFrom(slide: Slide, wanted: ReadonlySet<MovableId>): Taken {
  const content = slide.content.filter(({ id }) => wanted.has(id));
  const ids = new Set<MovableId>(content.map(({ id }) => id));
  const along = slide.notes.filter(({ anchor }) => anchor !== null && ids.has(anchor));
  return {
    content,
    along,
    // A note may have the id of a part that it speaks; then the part is meant.
    notes: slide.notes.filter((note) => wanted.has(note.id) && !along.includes(note) && !ids.has(note.id)),
  };
}

function without(slide: Slide, wanted: ReadonlySet<MovableId>, keepPassages = false): Slide {
  const { content, along, notes } = takeFrom(slide, wanted);
  const rest = {
    ...slide,
    content: slide.content.filter((part) => !content.includes(part)),
    notes: slide.notes.filter((note) => !along.includes(note) && !notes.includes(note)),
  };
  if (keepPassages) return rest;
  const stay = new Set([rest.title, ...rest.content, ...rest.notes].flatMap(({ blocks }) => blocks));
  const gone = new Set(
    [...content, ...along, ...notes].flatMap(({ blocks }) => blocks).filter((block) => !stay.has(block)),
  );
  return { ...rest, passages: rest.passages.filter((block) => !gone.has(block)) };
}

function withPassages(
  slide: Slide,
  before: MovableId | null,
  moved: readonly { readonly blocks: readonly BlockId[] }[],
): readonly BlockId[] {
  const there = new Set(slide.passages);
  const blocks = [...new Set(moved.flatMap((one) => one.blocks))].filter((block) => !there.has(block));
  const next = [...slide.content, ...slide.notes].find(({ id }) => id === before)?.blocks[0];
  const at = next === undefined ? -1 : slide.passages.indexOf(next);
  return slide.passages.toSpliced(at < 0 ? slide.passages.length : at, 0, ...blocks);
}
