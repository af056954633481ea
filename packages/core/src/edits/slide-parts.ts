/** Slides of other slides: copied, parted, put together, with more on them. */
import type { Content, Note, Point, Slide } from '../deck/index.ts';
import { pointLevelNear } from '../deck/index.ts';
import { copiedNote, copiedPart, titlePart, type PartId, type SlideId } from '../ids/index.ts';

/** @param after Null is the beginning; what is not there is the end. */
export function withContentAfter(slide: Slide, after: PartId | null, part: Content): Slide {
  const at = slide.content.findIndex(({ id }) => id === after);
  const where = after === null ? 0 : at < 0 ? slide.content.length : at + 1;
  return { ...slide, content: slide.content.toSpliced(where, 0, part) };
}

/** A copy with ids of its own; what it shows is accounted for by either. */
export function copyOf(slide: Slide, as: SlideId): Slide {
  return {
    ...slide,
    id: as,
    content: slide.content.map((part) => ({ ...part, id: copiedPart(as, part.id) })),
    notes: slide.notes.map((note) => ({
      ...note,
      id: copiedNote(as, note.id),
      anchor: note.anchor === null ? null : copiedPart(as, note.anchor),
    })),
  };
}

/** Two slides of one; notes go with what they explain. @param at Of the first part on the second. */
export function parted(slide: Slide, at: number, as: SlideId): readonly [first: Slide, second: Slide] {
  const later = slide.content.slice(at);
  const moved = new Set(later.map(({ id }) => id));
  const goes = (note: Note): boolean => note.anchor !== null && moved.has(note.anchor);
  const first = later.flatMap(({ blocks }) => blocks).find((block) => slide.passages.includes(block));
  const from = first === undefined ? slide.passages.length : slide.passages.indexOf(first);
  return [
    {
      ...slide,
      content: slide.content.slice(0, at),
      notes: slide.notes.filter((note) => !goes(note)),
      passages: slide.passages.slice(0, from),
    },
    {
      ...slide,
      id: as,
      title: { runs: slide.title.runs, blocks: [] },
      content: later,
      notes: slide.notes.filter(goes),
      passages: slide.passages.slice(from),
      continues: true,
    },
  ];
}

/** A slide on another, its title as a point unless it only repeated the one before. */
export function merged(into: Slide, slide: Slide): Slide {
  const titled = slide.title.blocks.length > 0 || !slide.continues;
  const title: Point = {
    kind: 'point',
    id: titlePart(slide.id),
    level: 1,
    runs: slide.title.runs,
    blocks: slide.title.blocks,
  };
  const below = slide.content.map((part): Content =>
    part.kind === 'point' && titled ? { ...part, level: pointLevelNear(part.level + 1) } : part,
  );
  const anchor = titled ? title.id : (into.content.at(-1)?.id ?? null);
  return {
    ...into,
    content: [...into.content, ...(titled ? [title] : []), ...below],
    notes: [...into.notes, ...slide.notes.map((note) => (note.anchor === null ? { ...note, anchor } : note))],
    passages: [...into.passages, ...slide.passages],
  };
}
