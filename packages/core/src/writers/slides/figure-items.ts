/** A figure taken apart into what one moves: its items, each with its shapes and the text that stands in them. */
import { runsText } from '../../content/index.ts';
import type { Box, ConnectorBox, IconBox, ShapeBox, TextBox } from '../../scene/index.ts';
import { contains, type LayoutName, type Rect } from '../../theme/index.ts';

export type FigurePart = ShapeBox | IconBox | ConnectorBox | TextBox;

/** What is part of a figure: shapes, symbols, connectors, and the text of its items. */
export const isFigurePart = (box: Box): box is FigurePart =>
  box.kind === 'shape' ||
  box.kind === 'icon' ||
  box.kind === 'connector' ||
  (box.kind === 'text' && box.item !== undefined);

/** How far text stands in from each side of a shape: left, top, right, bottom, in EMU. */
export type Insets = readonly [number, number, number, number];
export const NO_INSETS: Insets = [0, 0, 0, 0];

/** A text in the shape that it stands on. */
export interface HeldText {
  readonly text: TextBox;
  readonly insets: Insets;
  /** Whether it may take several lines there. */
  readonly wraps: boolean;
}
/** What is drawn of a figure, in its order: a shape with the text in it, a symbol, or a text that no shape has room for. */
export interface Drawn {
  readonly box: ShapeBox | IconBox | TextBox;
  readonly held?: HeldText | undefined;
}
export interface FigureItem {
  readonly index: number /* 0.. */;
  /** What it begins with. */
  readonly words: string;
  readonly extent: Rect;
  readonly drawn: readonly Drawn[];
}
export interface Figure {
  readonly extent: Rect;
  /** What belongs to no item. */
  readonly behind: readonly Drawn[];
  readonly items: readonly FigureItem[];
  readonly connectors: readonly ConnectorBox[];
  /** What it says, for those who do not see it; empty where its own words say it. */
  readonly said: string;
}

/** Figures whose items follow each other. */
const IN_ORDER: ReadonlySet<LayoutName> = new Set(['steps', 'cycle', 'timeline']);

/**
 * @param roomIn Where a format has the text of a shape; null where none can stand in it.
 * @param parts At least one.
 */
export function figureOf(
  parts: readonly FigurePart[],
  layout: LayoutName,
  roomIn: (shape: ShapeBox) => Rect | null,
): Figure {
  const owned = new Map<number, FigurePart[]>();
  for (const part of parts)
    if (part.kind !== 'connector' && part.item !== undefined)
      owned.set(part.item, [...(owned.get(part.item) ?? []), part]);
  const items = [...owned]
    .sort(([a], [b]) => a - b)
    .map(([index, own]): FigureItem => ({
      index,
      words: firstWords(own),
      extent: extentOf(own),
      drawn: drawnOf(own, roomIn),
    }));
  const named = items.flatMap(({ words }) => (words === '' ? [] : [words]));
  return {
    extent: extentOf(parts),
    behind: drawnOf(
      parts.filter((part) => part.kind !== 'connector' && part.item === undefined),
      roomIn,
    ),
    items,
    connectors: parts.filter((part) => part.kind === 'connector'),
    said: named.join(IN_ORDER.has(layout) ? ' → ' : '; '),
  };
}

export function rectOf(part: FigurePart): Rect {
  switch (part.kind) {
    case 'text':
      return part.frame;
    case 'connector': {
      const { from, to } = part;
      return {
        x: Math.min(from.x, to.x) as Rect['x'],
        y: Math.min(from.y, to.y) as Rect['y'],
        width: Math.abs(from.x - to.x) as Rect['width'],
        height: Math.abs(from.y - to.y) as Rect['height'],
      };
    }
    case 'shape':
    case 'icon':
      return part.rect;
  }
}

function extentOf(parts: readonly FigurePart[]): Rect {
  const rects = parts.map(rectOf);
  const [x, y] = [Math.min(...rects.map((rect) => rect.x)), Math.min(...rects.map((rect) => rect.y))];
  const width = Math.max(...rects.map((rect) => rect.x + rect.width)) - x;
  const height = Math.max(...rects.map((rect) => rect.y + rect.height)) - y;
  return { x, y, width, height } as Rect;
}

const MOST_OF_NAME = 60; // characters

function firstWords(parts: readonly FigurePart[]): string {
  const texts = parts.flatMap((part) => (part.kind === 'text' ? part.paras : []));
  const first = texts.find(({ part, runs }) => part !== null && runs.length > 0);
  const text = first === undefined ? '' : runsText(first.runs).replace(/\s+/g, ' ').trim();
  return text.length <= MOST_OF_NAME ? text : `${text.slice(0, MOST_OF_NAME - 1).trimEnd()}…`;
}

const lettersOf = ({ paras }: TextBox): number => paras.reduce((sum, { runs }) => sum + runsText(runs).length, 0);

/** Each text in the shape that it stands on, where that has room for it. */
function drawnOf(parts: readonly FigurePart[], roomIn: (shape: ShapeBox) => Rect | null): readonly Drawn[] {
  const shapes = parts.filter((part) => part.kind === 'shape');
  const held = new Map<ShapeBox, HeldText>();
  for (const text of parts) {
    if (text.kind !== 'text') continue;
    const on = shapes.findLast((shape) => contains(shape.rect, text.frame));
    const place = on === undefined ? undefined : placeIn(on, text, roomIn);
    const known = on === undefined ? undefined : held.get(on);
    if (on === undefined || place === undefined) continue;
    if (known === undefined || lettersOf(known.text) < lettersOf(text)) held.set(on, { text, ...place });
  }
  const inShapes = new Set([...held.values()].map(({ text }) => text));
  return parts.flatMap((box): readonly Drawn[] => {
    if (box.kind === 'connector' || (box.kind === 'text' && inShapes.has(box))) return [];
    return [box.kind === 'shape' ? { box, held: held.get(box) } : { box }];
  });
}

/** How a text stands in a shape; undefined where it would have to stand out of its room, or be turned with it. */
function placeIn(
  shape: ShapeBox,
  { frame, paragraphs }: TextBox,
  roomIn: (shape: ShapeBox) => Rect | null,
): Omit<HeldText, 'text'> | undefined {
  const room = shape.turned !== 0 || shape.upsideDown ? null : roomIn(shape);
  if (room === null) return undefined;
  if (contains(room, frame))
    return {
      insets: [
        frame.x - room.x,
        frame.y - room.y,
        room.x + room.width - frame.x - frame.width,
        room.y + room.height - frame.y - frame.height,
      ],
      wraps: true,
    };
  // One line in the middle of both needs no room to wrap in.
  const single = paragraphs.length === 1 && paragraphs[0]!.lines.length <= 1;
  const centred = frame.align === 'center' && frame.anchor === 'middle';
  const offset = Math.abs(2 * (frame.x - room.x) + frame.width - room.width);
  return single && centred && offset < CLOSE ? { insets: NO_INSETS, wraps: false } : undefined;
}
/** Places that are the same, in EMU: 2 points. */
export const CLOSE = 25_400;
