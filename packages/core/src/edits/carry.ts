/** Moves parts and notes within their slide or onto another; what explains a point goes with it, and its passages too. */
import type { Content, Note, PartId, Slide, SourceId } from '../deck/index.ts';
import type { Desk } from './desk.ts';
import type { SlideEdit } from './edit.ts';
import type { UnplacedReason } from './unplaced.ts';

interface Taken {
  readonly content: readonly Content[];
  /** With the points that they explain. */
  readonly along: readonly Note[];
  /** By themselves. */
  readonly notes: readonly Note[];
}

export function carry(desk: Desk, { parts, to, before }: SlideEdit & { kind: 'carry' }): UnplacedReason | undefined {
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

function takeFrom(slide: Slide, wanted: ReadonlySet<PartId>): Taken {
  const content = slide.content.filter(({ id }) => wanted.has(id));
  const ids = new Set(content.map(({ id }) => id));
  const along = slide.notes.filter(({ anchor }) => anchor !== null && ids.has(anchor));
  return {
    content,
    along,
    notes: slide.notes.filter((note) => wanted.has(note.id) && !along.includes(note) && !ids.has(note.id)),
  };
}

function without(slide: Slide, wanted: ReadonlySet<PartId>, keepPassages = false): Slide {
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
  before: PartId | null,
  moved: readonly { readonly blocks: readonly SourceId[] }[],
): readonly SourceId[] {
  const there = new Set(slide.passages);
  const blocks = [...new Set(moved.flatMap((one) => one.blocks))].filter((block) => !there.has(block));
  const next = [...slide.content, ...slide.notes].find(({ id }) => id === before)?.blocks[0];
  const at = next === undefined ? -1 : slide.passages.indexOf(next);
  return slide.passages.toSpliced(at < 0 ? slide.passages.length : at, 0, ...blocks);
}

/** The parts that go with a point: itself and what is nested below it. */
export function branchOfPoint(content: readonly Content[], id: PartId): readonly PartId[] {
  const from = content.findIndex((part) => part.id === id);
  const first = content[from];
  if (first === undefined) return [];
  if (first.kind !== 'point') return [id];
  let to = from + 1;
  for (; to < content.length; to++) {
    const part = content[to]!;
    if (part.kind === 'point' && part.level <= first.level) break;
  }
  return content.slice(from, to).map((part) => part.id);
}
