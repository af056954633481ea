/** Fills and lines of shapes (ECMA-376-1 §20.1.8), with what a theme's styles give them (§20.1.4.1.14). */
import { nodeAt, nodesNamed, type XmlNode } from '../../container/index.ts';
import type { Bounds, Gradient, Hex, Matrix } from '../../theme/index.ts';
import { ptFromEmu } from '../../base/index.ts';
import { colorIn, opacityIn, type Scheme } from '../colors.ts';
import { flagIn, numberIn, shareOf } from '../values.ts';
import { at } from './matrix.ts';

/** What colours and styles mean where something stands. */
export interface Palettes {
  readonly scheme: Scheme;
  /** `a:fmtScheme` of the theme. */
  readonly styles: XmlNode | undefined;
}

export interface Fill {
  readonly fill: Hex | Gradient | null;
  readonly opacity: number;
  /** `a:blipFill`, where it is a picture. */
  readonly picture?: XmlNode;
}
const NONE: Fill = { fill: null, opacity: 1 };

const FILLS = new Set(['a:noFill', 'a:solidFill', 'a:gradFill', 'a:blipFill', 'a:pattFill', 'a:grpFill', 'p:blipFill']);
export const fillNode = (properties: XmlNode | undefined): XmlNode | undefined =>
  properties?.children.find(({ name }) => FILLS.has(name));

/** @param box Of the shape, in EMU. @param own The colour that a theme's style is given. @param group What shapes of a group are filled with. */
export function fillOf(
  node: XmlNode | undefined,
  palettes: Palettes,
  { box, matrix, own, group }: { box: Bounds; matrix: Matrix; own?: Hex | undefined; group?: XmlNode | undefined },
): Fill {
  const { scheme } = palettes;
  if (node === undefined) return NONE;
  switch (node.name) {
    case 'a:solidFill': {
      const color = colorIn(node, scheme, own);
      return color === undefined ? NONE : { fill: color, opacity: opacityIn(node) };
    }
    case 'a:gradFill':
      return { fill: gradientOf(node, scheme, own, box, matrix), opacity: 1 };
    case 'a:pattFill': {
      const color = colorIn(nodeAt(node, 'a:bgClr'), scheme, own) ?? colorIn(nodeAt(node, 'a:fgClr'), scheme, own);
      return { fill: color ?? null, opacity: 1 };
    }
    case 'a:blipFill':
    case 'p:blipFill':
      return { ...NONE, picture: node };
    case 'a:grpFill':
      return group === undefined ? NONE : fillOf(group, palettes, { box, matrix });
    default:
      return NONE;
  }
}

/** The fill of a theme's list that a reference means (§20.1.4.2.10); those from 1001 on are for grounds. */
export function styledFill(reference: XmlNode | undefined, { styles }: Palettes): XmlNode | undefined {
  const index = numberIn(reference?.attributes.idx, 0);
  if (!(index > 0)) return undefined;
  const list = nodeAt(styles, index > 1000 ? 'a:bgFillStyleLst' : 'a:fillStyleLst');
  return list?.children[(index > 1000 ? index - 1001 : index - 1) % Math.max(1, list.children.length)];
}

function gradientOf(
  node: XmlNode,
  scheme: Scheme,
  own: Hex | undefined,
  [x, y, width, height]: Bounds,
  matrix: Matrix,
): Gradient | Hex | null {
  const stops = nodesNamed(nodeAt(node, 'a:gsLst'), 'a:gs')
    .flatMap((stop) => {
      const color = colorIn(stop, scheme, own);
      return color === undefined
        ? []
        : [{ at: shareOf(stop.attributes.pos ?? '0') || 0, color, opacity: opacityIn(stop) }];
    })
    .sort((a, b) => a.at - b.at);
  if (stops.length === 0) return null;
  const [middleX, middleY] = [x + width / 2, y + height / 2];
  const round = nodeAt(node, 'a:path');
  if (round !== undefined) {
    // Its middle is a rectangle within the shape (§20.1.8.31): the shades go out from the middle of that.
    const to = nodeAt(round, 'a:fillToRect')?.attributes;
    const inner = (from: string | undefined, end: string | undefined): number =>
      ((shareOf(from ?? '0') || 0) + 1 - (shareOf(end ?? '0') || 0)) / 2;
    const middle = at(matrix, x + width * inner(to?.l, to?.r), y + height * inner(to?.t, to?.b));
    const corners = [at(matrix, x, y), at(matrix, x + width, y + height), at(matrix, x + width, y)];
    const radius = Math.max(...corners.map(([cx, cy]) => Math.hypot(cx - middle[0], cy - middle[1])));
    return { stops, middle, radius };
  }
  const line = nodeAt(node, 'a:lin')?.attributes;
  const angle = ((numberIn(line?.ang, 0) / 60_000) * Math.PI) / 180;
  // Where the shape is not square and the angle goes along with it, it is that of the diagonal (§20.1.8.41).
  const scaled = flagIn(line?.scaled) === true;
  const [dx, dy] = scaled ? [Math.cos(angle) * width, Math.sin(angle) * height] : [Math.cos(angle), Math.sin(angle)];
  const length = Math.hypot(dx, dy) || 1;
  const [ux, uy] = [dx / length, dy / length];
  const half = (Math.abs(width * ux) + Math.abs(height * uy)) / 2;
  return {
    stops,
    from: at(matrix, middleX - ux * half, middleY - uy * half),
    to: at(matrix, middleX + ux * half, middleY + uy * half),
  };
}

export interface Stroke {
  readonly stroke: Hex | null;
  readonly strokeWidth: number;
  readonly dashes?: string;
}
const HAIRLINE = 9525;
/** In widths of the line (§20.1.10.49). */
const DASHES: Readonly<Record<string, readonly number[]>> = {
  dot: [1, 3],
  sysDot: [1, 1],
  dash: [4, 3],
  sysDash: [3, 1],
  lgDash: [8, 3],
  dashDot: [4, 3, 1, 3],
  sysDashDot: [3, 1, 1, 1],
  lgDashDot: [8, 3, 1, 3],
  lgDashDotDot: [8, 3, 1, 3, 1, 3],
  sysDashDotDot: [3, 1, 1, 1, 1, 1],
};

/** @param reference `a:lnRef` of the shape's style. @param factor By which its lengths are drawn larger. */
export function strokeOf(
  line: XmlNode | undefined,
  reference: XmlNode | undefined,
  { scheme, styles }: Palettes,
  factor: number,
): Stroke {
  const index = numberIn(reference?.attributes.idx, 0);
  const styled = index > 0 ? nodeAt(styles, 'a:lnStyleLst')?.children[index - 1] : undefined;
  const own = colorIn(reference, scheme);
  const fill = fillNode(line) ?? fillNode(styled);
  const color =
    fill?.name === 'a:solidFill' || fill?.name === 'a:gradFill'
      ? colorIn({ ...fill, children: [fill] }, scheme, own)
      : undefined;
  if (color === undefined || opacityIn(fill) < 0.05) return { stroke: null, strokeWidth: 0 };
  const emus = numberIn(line?.attributes.w ?? styled?.attributes.w, HAIRLINE);
  const strokeWidth = Math.max(0.25, ptFromEmu(emus) * factor);
  const dashes = DASHES[nodeAt(line, 'a:prstDash')?.attributes.val ?? ''];
  return {
    stroke: color,
    strokeWidth,
    ...(dashes === undefined ? {} : { dashes: dashes.map((one) => Math.round(one * strokeWidth * 10) / 10).join(' ') }),
  };
}
