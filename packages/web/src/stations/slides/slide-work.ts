/** What the Slides station does to slides and their parts, as edits, from what is seen. */
import {
  branchOfPoint,
  together,
  type Content,
  type Destination,
  type Edit,
  type PartId,
  type Point,
  type PointLevel,
  type SlideId,
  type BlockId,
  type MovableId,
  ownId,
  passageOf,
  speakParts,
} from '@alvex/core';
import { uuid } from '../../worker/uuid.ts';
import type { Row } from '../../worker/shown.ts';

/** Slides in their order, each once however many pages it takes. */
export const slideOrder = (slides: readonly SlideId[]): readonly SlideId[] => [...new Set(slides)];

/** Moves chosen slides over one neighbour. @returns undefined at the end of the way. */
export function stepSlides(order: readonly SlideId[], chosen: ReadonlySet<SlideId>, by: 1 | -1): Edit | undefined {
  const places = order.flatMap((id, i) => (chosen.has(id) ? [i] : []));
  const [first, last] = [places[0], places.at(-1)];
  if (first === undefined || last === undefined) return undefined;
  const slides = places.map((i) => order[i]!);
  if (by < 0) return first === 0 ? undefined : { kind: 'order', slides, before: order[first - 1]! };
  return last === order.length - 1 ? undefined : { kind: 'order', slides, before: order[last + 2] ?? null };
}

/** Puts chosen slides before or behind another. @returns undefined when nothing would move. */
export function placeSlides(
  order: readonly SlideId[],
  chosen: readonly SlideId[],
  at: SlideId,
  behind: boolean,
): Edit | undefined {
  const moved = new Set(chosen);
  let place = order.indexOf(at) + (behind ? 1 : 0);
  while (moved.has(order[place]!)) place++;
  const before = order[place] ?? null;
  const slides = order.filter((id) => moved.has(id));
  const stays = order.filter((id) => !moved.has(id));
  const after = [...stays.slice(0, before === null ? stays.length : stays.indexOf(before)), ...slides];
  if (slides.length === 0 || order.slice(0, after.length).every((id, i) => id === after[i])) return undefined;
  return { kind: 'order', slides, before };
}

/** A section opener with all slides up to the next. */
export function sectionOf(
  order: readonly SlideId[],
  openers: ReadonlySet<SlideId>,
  opener: SlideId,
): readonly SlideId[] {
  const from = order.indexOf(opener);
  let to = from + 1;
  while (to < order.length && !openers.has(order[to]!)) to++;
  return order.slice(from, to);
}

type Seen = Pick<Row, 'slide' | 'kind' | 'matter' | 'all' | 'notes'>;

const takesParts = (row: Seen | undefined): row is Seen => row?.kind === 'content' && row.matter === null;

/** Moves a point with what is below it, or a text, over its neighbour; at the edge onto the next slide. */
export function stepPart(
  row: Seen,
  above: Seen | undefined,
  below: Seen | undefined,
  part: PartId,
  by: 1 | -1,
): Edit | undefined {
  const parts = branchOfPoint(row.all, part);
  const from = row.all.findIndex(({ id }) => id === part);
  if (from < 0) return undefined;
  if (by < 0) {
    const before = headBefore(row.all, from);
    if (before !== undefined) return { kind: 'carry', parts, to: row.slide, before };
    return takesParts(above) ? { kind: 'carry', parts, to: above.slide, before: null } : undefined;
  }
  const next = row.all[from + parts.length];
  if (next !== undefined) {
    const skipped = branchOfPoint(row.all, next.id).length;
    return { kind: 'carry', parts, to: row.slide, before: row.all[from + parts.length + skipped]?.id ?? null };
  }
  return takesParts(below) ? { kind: 'carry', parts, to: below.slide, before: below.all[0]?.id ?? null } : undefined;
}

/** The part before which one must stand to be over its upper neighbour: of a point, the nearest of its level or above. */
function headBefore(content: readonly Content[], from: number): PartId | undefined {
  const moved = content[from]!;
  for (let i = from - 1; i >= 0; i--) {
    const part = content[i]!;
    if (moved.kind !== 'point' || part.kind !== 'point' || part.level <= moved.level) return part.id;
  }
  return undefined;
}

/** Parts and notes that come from blocks. */
export function partsOf(rows: Iterable<Pick<Row, 'all' | 'notes'>>, blocks: ReadonlySet<string>): readonly MovableId[] {
  const found = new Set<MovableId>();
  for (const { all, notes } of rows)
    for (const part of [...all, ...notes]) if (part.blocks.some((block) => blocks.has(block))) found.add(part.id);
  return [...found];
}

/** Moves points with those below them in or out. */
export function levelled(row: Pick<Row, 'all'>, parts: readonly PartId[], by: 1 | -1): readonly Edit[] {
  const moved = new Set(parts.flatMap((part) => branchOfPoint(row.all, part)));
  const points = row.all.filter((part) => part.kind === 'point' && moved.has(part.id)) as readonly Point[];
  const own = points.filter((point) => passageOf(point) === undefined).map(({ id }) => id);
  return together([
    ...points.flatMap((point): readonly Edit[] => {
      const block = passageOf(point);
      const to: Destination = `point${Math.min(5, Math.max(1, point.level + by)) as PointLevel}`;
      return block === undefined ? [] : [{ kind: 'turn', block, to }];
    }),
    ...(own.length === 0 ? [] : [{ kind: 'level' as const, parts: own, by }]),
  ]);
}

/** Speaks parts instead of showing them. */
export const spokenInstead = (row: Pick<Row, 'all'>, parts: readonly PartId[]): readonly Edit[] =>
  together(speakParts(row.all, parts));

/** For a slide or a part of the author’s own. */
export const newId = (): SlideId & PartId => ownId(uuid().slice(0, 13));

const STARTS: readonly Destination[] = ['title', 'section'];

/** Whether a slide can start at a passage. */
export const mayCutAt = (row: Row, block: BlockId, destination: Destination): boolean =>
  row.kind === 'content' &&
  row.passages.indexOf(block) > 0 &&
  !STARTS.includes(destination) &&
  row.content.some((part) => !part.blocks.includes(block));
