/** Figures as things that can be moved: a group of items, each a group of its shapes with their text in them (ECMA-376-1 §19.3.1.22). */
import { runsText } from '../../content/index.ts';
import type { Box, ConnectorBox, ConnectorEnd, IconBox, ShapeBox, TextBox } from '../../scene/index.ts';
import { contains, middleOf, type Geometry, type LayoutName, type Rect, type Side } from '../../theme/index.ts';
import { solidFill } from './colors.ts';
import { freeText, iconXml, NO_INSETS, shapeXml, textRect, type Insets } from './shapes.ts';
import { freeTextBody, type TextContext } from './text.ts';
import { fileWords, itemName } from './words.ts';
import { emuOf, nonVisual, xfrm } from './xml.ts';

type FigurePart = ShapeBox | IconBox | ConnectorBox | TextBox;

/** What is part of a figure: shapes, symbols, connectors, and the text of its items. */
export const isFigurePart = (box: Box): box is FigurePart =>
  box.kind === 'shape' ||
  box.kind === 'icon' ||
  box.kind === 'connector' ||
  (box.kind === 'text' && box.item !== undefined);

/** Figures whose items follow each other. */
const IN_ORDER: ReadonlySet<LayoutName> = new Set(['steps', 'cycle', 'timeline']);

/** A shape as it was written. */
interface WrittenShape {
  readonly id: number;
  readonly box: ShapeBox;
}

/**
 * A figure as a group whose own lengths are the slide's.
 * @param next Gives the next free id.
 */
export function figureGroup(
  parts: readonly FigurePart[],
  layout: { readonly name: LayoutName; readonly label: string },
  next: () => number,
  context: TextContext,
): string {
  const items = new Map<number, FigurePart[]>();
  for (const part of parts)
    if (part.kind !== 'connector' && part.item !== undefined)
      items.set(part.item, [...(items.get(part.item) ?? []), part]);
  const id = next();
  const shapes = new Map<number, readonly WrittenShape[]>();
  const common = parts.filter((part) => part.kind !== 'connector' && part.item === undefined);
  const behind = drawn(common, next, context, '').xml;
  if (items.size === 0) return behind;
  const ours = fileWords(context.language);
  const names: string[] = [];
  const inside = [...items]
    .sort(([a], [b]) => a - b)
    .map(([i, own]) => {
      const words = firstWords(own);
      names.push(words);
      const name = `${itemName(ours, layout.name)} ${i + 1}${words === '' ? '' : `: ${words}`}`;
      const group = next();
      const { xml, written, count } = drawn(own, next, context, name);
      shapes.set(i, written);
      return count === 1 ? xml : groupXml(nonVisual(group, name), extentOf(own), xml);
    });
  const lines = parts.flatMap((part) => (part.kind === 'connector' ? [connectorXml(part, shapes, next())] : []));
  const said = names.filter((name) => name !== '').join(IN_ORDER.has(layout.name) ? ' → ' : '; ');
  return groupXml(
    nonVisual(
      id,
      `${ours === fileWords(null) ? layout.label : ours.roles.figure} ${id}`,
      said === '' ? undefined : said,
    ),
    extentOf(parts),
    behind + inside.join('') + lines.join(''),
  );
}

const groupXml = (named: string, { x, y, width, height }: Rect, inner: string): string =>
  `<p:grpSp><p:nvGrpSpPr>${named}<p:cNvGrpSpPr/><p:nvPr/></p:nvGrpSpPr><p:grpSpPr><a:xfrm><a:off x="${x}" y="${y}"/><a:ext cx="${width}" cy="${height}"/><a:chOff x="${x}" y="${y}"/><a:chExt cx="${width}" cy="${height}"/></a:xfrm></p:grpSpPr>${inner}</p:grpSp>`;

function rectOf(part: FigurePart): Rect {
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

/** What an item begins with. */
function firstWords(parts: readonly FigurePart[]): string {
  const texts = parts.flatMap((part) => (part.kind === 'text' ? part.paras : []));
  const first = texts.find(({ part, runs }) => part !== null && runs.length > 0);
  const text = first === undefined ? '' : runsText(first.runs).replace(/\s+/g, ' ').trim();
  return text.length <= MOST_OF_NAME ? text : `${text.slice(0, MOST_OF_NAME - 1).trimEnd()}…`;
}

const lettersOf = ({ paras }: TextBox): number => paras.reduce((sum, { runs }) => sum + runsText(runs).length, 0);

/** Parts of one item, or of what belongs to all: each text in the shape that it stands on, where that has room for it. */
function drawn(parts: readonly FigurePart[], next: () => number, context: TextContext, name: string) {
  const shapes = parts.filter((part) => part.kind === 'shape');
  const held = new Map<ShapeBox, { readonly text: TextBox; readonly insets: Insets; readonly wraps: boolean }>();
  for (const text of parts) {
    if (text.kind !== 'text') continue;
    const on = shapes.findLast((shape) => contains(shape.rect, text.frame));
    const place = on === undefined ? undefined : placeIn(on, text);
    const known = on === undefined ? undefined : held.get(on);
    if (on === undefined || place === undefined) continue;
    if (known === undefined || lettersOf(known.text) < lettersOf(text)) held.set(on, { text, ...place });
  }
  const inShapes = new Set([...held.values()].map(({ text }) => text));
  const left = parts.filter((part) => part.kind !== 'text' || !inShapes.has(part));
  const written: WrittenShape[] = [];
  const xml = left.map((part) => {
    const id = next();
    const called = left.length === 1 && name !== '' ? name : undefined;
    switch (part.kind) {
      case 'shape': {
        written.push({ id, box: part });
        const holds = held.get(part);
        if (holds === undefined) return shapeXml(part, nonVisual(id, called ?? `Shape ${id}`, null));
        const body = freeTextBody(holds.text, context, holds.insets, holds.wraps);
        return shapeXml(part, nonVisual(id, called ?? textName(holds.text, id)), body);
      }
      case 'icon':
        return iconXml(part, nonVisual(id, `Symbol ${id}: ${part.icon.name}`, null));
      case 'text':
        return freeText(part, nonVisual(id, called ?? textName(part, id)), context);
      case 'connector':
        return '';
    }
  });
  return { xml: xml.join(''), written, count: left.length };
}

const textName = ({ paras }: TextBox, id: number): string =>
  `${paras.every(({ part }) => part === null) ? 'Number' : 'Text'} ${id}`;

/** How a text stands in a shape; undefined where it would have to stand out of its room, or be turned with it. */
function placeIn(shape: ShapeBox, { frame, paragraphs }: TextBox): { insets: Insets; wraps: boolean } | undefined {
  const room = shape.turned !== 0 || shape.upsideDown ? null : textRect(shape);
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
const CLOSE = 25_400; // EMU: 2 points

/** Indices of the places where connectors hold on to a shape (`cxnLst` of presetShapeDefinitions), by side. */
const SITES: Readonly<Record<Side, number>> = { top: 0, left: 1, bottom: 2, right: 3 };
const siteOf = (geometry: Geometry, side: Side): number => SITES[side] * (geometry === 'ellipse' ? 2 : 1);

function connectorXml(box: ConnectorBox, shapes: ReadonlyMap<number, readonly WrittenShape[]>, id: number): string {
  const { from, to, color, width, arrow } = box;
  const glue = (tag: string, end: ConnectorEnd): string => {
    const shape = shapes.get(end.item)?.find((one) => isAt(one.box, end));
    return shape === undefined ? '' : `<a:${tag} id="${shape.id}" idx="${siteOf(shape.box.geometry, end.side)}"/>`;
  };
  const turned = `${to.x < from.x ? ' flipH="1"' : ''}${to.y < from.y ? ' flipV="1"' : ''}`;
  const head = arrow ? '<a:tailEnd type="triangle" w="lg" len="lg"/>' : '';
  return `<p:cxnSp><p:nvCxnSpPr>${nonVisual(id, `Connector ${id}`, null)}<p:cNvCxnSpPr>${glue('stCxn', from)}${glue('endCxn', to)}</p:cNvCxnSpPr><p:nvPr/></p:nvCxnSpPr><p:spPr>${xfrm(rectOf(box), 'a:xfrm', turned)}<a:prstGeom prst="straightConnector1"><a:avLst/></a:prstGeom><a:ln w="${emuOf(width)}">${solidFill(color)}${head}</a:ln></p:spPr></p:cxnSp>`;
}

function isAt({ rect }: ShapeBox, { side, x, y }: ConnectorEnd): boolean {
  const middle = middleOf(rect, side);
  return Math.abs(x - middle.x) < CLOSE && Math.abs(y - middle.y) < CLOSE;
}
