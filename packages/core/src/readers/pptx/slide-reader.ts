/** Reads one slide (ECMA-376-1 §19.3.1.38): what stands on it, with its place and what it is for. */
import { nodeAt, nodesNamed, type XmlNode } from '../../container/index.ts';
import type { Draft } from '../read-result.ts';
import { leaveEdge } from '../slides/page-edges.ts';
import type { Box, SlidePiece } from '../slides/read-slide.ts';
import { readingOrder } from '../slides/reading-order.ts';
import type { SlideContext } from './context.ts';
import { descriptionOf, filmAddress, frameDrafts, pictureDraft } from './objects.ts';
import { shapeText } from './paragraphs.ts';

/** A placeholder of a layout or a master. */
interface Held {
  readonly type: string;
  readonly index: string;
  readonly shape: XmlNode;
}

/** What a slide inherits from. */
export interface Origin {
  readonly layout: readonly Held[];
  readonly master: readonly Held[];
  /** Text styles of the master by use (§19.3.1.51). */
  readonly styles: XmlNode | undefined;
}

const treeOf = (root: XmlNode | undefined): XmlNode | undefined => nodeAt(root, 'p:cSld', 'p:spTree');

const placeholderIn = (shape: XmlNode): XmlNode | undefined =>
  nodeAt(
    shape.children.find(({ name }) => /^p:nv\w*Pr$/.test(name)),
    'p:nvPr',
    'p:ph',
  );

export function heldIn(root: XmlNode | undefined): readonly Held[] {
  return (treeOf(root)?.children ?? []).flatMap((shape) => {
    const ph = placeholderIn(shape);
    return ph === undefined ? [] : [{ type: ph.attributes.type ?? 'obj', index: ph.attributes.idx ?? '0', shape }];
  });
}

const ROLES: Readonly<Record<string, SlidePiece['role']>> = {
  title: 'title',
  ctrTitle: 'title',
  subTitle: 'subtitle',
  dt: 'foot',
  ftr: 'foot',
  hdr: 'foot',
  sldNum: 'number',
};
const isTitle = (type: string): boolean => ROLES[type] === 'title';

/** Lengths of a group's own plane, as they stand on the slide. */
type Plane = (box: Box) => Box;

export function slidePieces(root: XmlNode, origin: Origin, context: SlideContext): readonly SlidePiece[] {
  const onSlide: Plane = ({ x, y, width, height }) => ({
    x: x / context.width,
    y: y / context.height,
    width: width / context.width,
    height: height / context.height,
  });
  const ground = pictureDraft(nodeAt(root, 'p:cSld', 'p:bg', 'p:bgPr', 'a:blipFill'), null, context);
  return [
    ...piecesIn(treeOf(root), onSlide, origin, context),
    ...(ground === undefined ? [] : [free([ground], undefined, 0)]),
  ];
}

const free = (drafts: readonly Draft[], box: Box | undefined, size: number): SlidePiece => ({
  role: 'free',
  box,
  size,
  drafts,
});

function piecesIn(
  tree: XmlNode | undefined,
  plane: Plane,
  origin: Origin,
  context: SlideContext,
): readonly SlidePiece[] {
  return (tree?.children ?? []).flatMap((shape) => pieceOf(shape, plane, origin, context));
}

function pieceOf(shape: XmlNode, plane: Plane, origin: Origin, context: SlideContext): readonly SlidePiece[] {
  switch (shape.name) {
    case 'p:sp':
    case 'p:cxnSp':
      return textPiece(shape, plane, origin, context);
    case 'p:pic': {
      const box = boxOf(nodeAt(shape, 'p:spPr', 'a:xfrm'), plane);
      const picture = pictureDraft(nodeAt(shape, 'p:blipFill'), descriptionOf(shape), context);
      const film = filmAddress(shape, context);
      const link: readonly Draft[] =
        film === undefined
          ? []
          : [{ kind: 'listItem', depth: 1, ordered: false, runs: [{ text: film, link: film }], place: context.place }];
      return picture === undefined && link.length === 0
        ? []
        : [free([...(picture === undefined ? [] : [picture]), ...link], box, 0)];
    }
    case 'p:graphicFrame': {
      const role = placeholderIn(shape) === undefined ? 'free' : 'body';
      return [{ role, box: boxOf(nodeAt(shape, 'p:xfrm'), plane), size: 0, drafts: frameDrafts(shape, context) }];
    }
    case 'p:grpSp': {
      const place = nodeAt(shape, 'p:grpSpPr', 'a:xfrm');
      const within = piecesIn(shape, planeOf(place, plane), origin, context);
      if (within.length === 0) return [];
      // A group is read as a whole.
      const drafts = readingOrder(within, ({ box }) => box, context.width / context.height, false).flatMap(
        (piece) => piece.drafts,
      );
      return [free(drafts, boxOf(place, plane), Math.max(...within.map(({ size }) => size)))];
    }
    case 'mc:AlternateContent': {
      // The first branch that gives anything; the others say the same in other terms.
      for (const branch of shape.children) {
        const pieces = piecesIn(branch, plane, origin, context);
        if (pieces.some(({ drafts }) => drafts.length > 0)) return pieces;
      }
      return [];
    }
    default:
      return [];
  }
}

function textPiece(shape: XmlNode, plane: Plane, origin: Origin, context: SlideContext): readonly SlidePiece[] {
  const ph = placeholderIn(shape);
  const body = nodeAt(shape, 'p:txBody');
  const type = ph?.attributes.type ?? 'obj';
  const held = ph === undefined ? [] : inherited(type, ph.attributes.idx ?? '0', origin);
  const use = isTitle(type) ? 'p:titleStyle' : ['dt', 'ftr', 'sldNum'].includes(type) ? 'p:otherStyle' : 'p:bodyStyle';
  const styles = [
    nodeAt(body, 'a:lstStyle'),
    ...held.map((one) => nodeAt(one, 'p:txBody', 'a:lstStyle')),
    ph === undefined ? context.usual : nodeAt(origin.styles, use),
  ].filter((style) => style !== undefined);
  const { drafts, size } = shapeText(
    body,
    styles,
    context,
    ph === undefined ? 'free' : isTitle(type) ? 'title' : 'held',
  );
  const places = [shape, ...held].map((one) => boxOf(nodeAt(one, 'p:spPr', 'a:xfrm'), plane));
  const box = places.find((one) => one !== undefined);
  const filled = pictureDraft(nodeAt(shape, 'p:spPr', 'a:blipFill'), descriptionOf(shape), context);
  const all = filled === undefined ? drafts : [filled, ...drafts];
  if (all.length === 0) return [];
  const sized = size || sizeIn(styles);
  const role = ph === undefined ? 'free' : (ROLES[type] ?? 'body');
  return [{ role, box, size: sized, drafts: all }];
}

const USUAL_SIZE = 18;

function sizeIn(styles: readonly XmlNode[]): number {
  for (const style of styles) {
    const size = Number(nodeAt(style, 'a:lvl1pPr', 'a:defRPr')?.attributes.sz ?? NaN);
    if (size > 0) return size / 100;
  }
  return USUAL_SIZE;
}

/** What a placeholder inherits from (§19.3.1.36): that of its index in the layout, that of its type in the master. */
function inherited(type: string, index: string, { layout, master }: Origin): readonly XmlNode[] {
  const same = (one: Held): boolean => (isTitle(type) ? isTitle(one.type) : one.type === type);
  const own = layout.find((one) => one.index === index && !isTitle(one.type) && !isTitle(type)) ?? layout.find(same);
  const wanted = isTitle(type) ? 'title' : type in ROLES && type !== 'subTitle' ? type : 'body';
  const above = master.find((one) => one.type === wanted);
  return [own, above].flatMap((one) => one?.shape ?? []);
}

function numbersOf(node: XmlNode | undefined, ...names: readonly string[]): readonly number[] | undefined {
  const numbers = names.map((name) => Number(node?.attributes[name] ?? NaN));
  return numbers.every(Number.isFinite) ? numbers : undefined;
}

function boxOf(place: XmlNode | undefined, plane: Plane): Box | undefined {
  const corner = numbersOf(nodeAt(place, 'a:off'), 'x', 'y');
  const size = numbersOf(nodeAt(place, 'a:ext'), 'cx', 'cy');
  if (corner === undefined || size === undefined) return undefined;
  return plane({ x: corner[0]!, y: corner[1]!, width: size[0]!, height: size[1]! });
}

/** §20.1.7.5: children are placed in the group's own plane. */
function planeOf(place: XmlNode | undefined, outer: Plane): Plane {
  const corner = numbersOf(nodeAt(place, 'a:off'), 'x', 'y');
  const size = numbersOf(nodeAt(place, 'a:ext'), 'cx', 'cy');
  const inner = numbersOf(nodeAt(place, 'a:chOff'), 'x', 'y');
  const innerSize = numbersOf(nodeAt(place, 'a:chExt'), 'cx', 'cy');
  if (corner === undefined || size === undefined || inner === undefined || innerSize === undefined) return outer;
  const [across, down] = [size[0]! / (innerSize[0]! || 1), size[1]! / (innerSize[1]! || 1)];
  return ({ x, y, width, height }) =>
    outer({
      x: corner[0]! + (x - inner[0]!) * across,
      y: corner[1]! + (y - inner[1]!) * down,
      width: width * across,
      height: height * down,
    });
}

/** Notes of a slide (§19.3.1.26): its text without what the page shows by itself. */
export function notesDrafts(root: XmlNode, context: SlideContext): readonly Draft[] {
  const drafts: Draft[] = [];
  for (const shape of nodesNamed(treeOf(root), 'p:sp')) {
    const type = placeholderIn(shape)?.attributes.type ?? 'body';
    const found = shapeText(nodeAt(shape, 'p:txBody'), [], context).drafts;
    if (ROLES[type] === 'foot' || ROLES[type] === 'number') leaveEdge(found, ROLES[type] === 'number', context.report);
    else drafts.push(...found);
  }
  return drafts;
}
