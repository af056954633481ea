/** Shapes as they are drawn: outlines as SVG path data (SVG 2 §9.3), all lengths in points. */
import { ptFromEmu } from '../base/index.ts';
import type { ConnectorBox, IconBox, ShapeBox } from '../layout/index.ts';
import type { Geometry, Hex, Mark, Palette, Rect } from '../theme/index.ts';

export interface DrawnShape {
  readonly d: string;
  readonly fill: Hex | null;
  readonly stroke: Hex | null;
  readonly strokeWidth: number;
  /** Of its fill, 0 to 1; without, nothing is seen through it. */
  readonly opacity?: number;
  /** Lengths of dashes and gaps in points; a whole line without. */
  readonly dashes?: string;
  /** Clockwise about its middle, in degrees. */
  readonly turned?: readonly [angle: number, x: number, y: number];
  /** From the outline's own units: x, y, factor. */
  readonly placed?: readonly [x: number, y: number, factor: number];
}

/** How far the point of a chevron or a tag stands out, of its shorter side. */
export const POINT_DEPTH = 0.3;
/** Radius of round corners, of the shorter side. */
export const CORNER = 0.08;

const n = (value: number): string => String(Math.round(value * 100) / 100);
const polygon = (...corners: readonly (readonly [number, number])[]): string =>
  `M${corners.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}Z`;

export function outline(
  geometry: Geometry,
  { x: left, y, width: w, height: h }: { x: number; y: number; width: number; height: number },
  inset = 0,
  upsideDown = false,
  mirrored = false,
): string {
  // What points to the left is drawn from its right edge on.
  const x = mirrored ? left + w : left;
  const right = mirrored ? left : left + w;
  const to = (distance: number): number => (mirrored ? right + distance : right - distance);
  const bottom = y + h;
  const middle = y + h / 2;
  const depth = Math.min(w, h) * POINT_DEPTH;
  switch (geometry) {
    case 'rect':
      return `M${n(x)} ${n(y)}h${n(w)}v${n(h)}h${n(-w)}Z`;
    case 'round': {
      const r = Math.min(w, h) * CORNER;
      const arc = (dx: number, dy: number): string => `a${n(r)} ${n(r)} 0 0 1 ${n(dx)} ${n(dy)}`;
      return `M${n(x + r)} ${n(y)}h${n(w - 2 * r)}${arc(r, r)}v${n(h - 2 * r)}${arc(-r, r)}h${n(2 * r - w)}${arc(-r, -r)}v${n(2 * r - h)}${arc(r, -r)}Z`;
    }
    case 'ellipse':
      return `M${n(x)} ${n(middle)}a${n(w / 2)} ${n(h / 2)} 0 1 1 ${n(w)} 0a${n(w / 2)} ${n(h / 2)} 0 1 1 ${n(-w)} 0Z`;
    case 'triangle':
      return polygon([x + w / 2, y], [right, bottom], [x, bottom]);
    case 'diamond':
      return polygon([x + w / 2, y], [right, middle], [x + w / 2, bottom], [x, middle]);
    case 'chevron':
      return polygon(
        [x, y],
        [to(depth), y],
        [right, middle],
        [to(depth), bottom],
        [x, bottom],
        [mirrored ? x - depth : x + depth, middle],
      );
    case 'tag':
      return polygon([x, y], [to(depth), y], [right, middle], [to(depth), bottom], [x, bottom]);
    case 'arrow': {
      const neck = to(Math.min(w, h) / 2);
      return polygon(
        [x, y + h / 4],
        [neck, y + h / 4],
        [neck, y],
        [right, middle],
        [neck, bottom],
        [neck, y + (h * 3) / 4],
        [x, y + (h * 3) / 4],
      );
    }
    case 'trapezoid': {
      const in_ = w * inset;
      return upsideDown
        ? polygon([x, y], [right, y], [right - in_, bottom], [x + in_, bottom])
        : polygon([x + in_, y], [right - in_, y], [right, bottom], [x, bottom]);
    }
  }
}

const points = ({ x, y, width, height }: Rect) => ({
  x: ptFromEmu(x),
  y: ptFromEmu(y),
  width: ptFromEmu(width),
  height: ptFromEmu(height),
});

export function drawMark(mark: Mark, palette: Palette): DrawnShape {
  const d = outline(mark.shape ?? 'rect', points(mark), 0, false, mark.mirrored);
  const color = palette[mark.color];
  return mark.outline === undefined
    ? { d, fill: color, stroke: null, strokeWidth: 0 }
    : { d, fill: null, stroke: color, strokeWidth: mark.outline };
}

export function drawShape(box: ShapeBox, palette: Palette): DrawnShape {
  const rect = points(box.rect);
  return {
    d: outline(box.geometry, rect, box.inset, box.upsideDown, box.mirrored),
    fill: box.fill === null ? null : palette[box.fill],
    stroke: box.line === null ? null : palette[box.line.color],
    strokeWidth: box.line?.width ?? 0,
    ...(box.turned === 0 ? {} : { turned: [box.turned, rect.x + rect.width / 2, rect.y + rect.height / 2] }),
  };
}

/** Sides of an arrow's head, in widths of its line, as ECMA-376-1 §20.1.10.33 and §20.1.10.32 have it for a large one. */
const HEAD = 5;

/** A line that ends where its head begins. */
export function drawConnector(
  { from, to, color, width, arrow }: ConnectorBox,
  palette: Palette,
): readonly DrawnShape[] {
  const [x, y, endX, endY] = [ptFromEmu(from.x), ptFromEmu(from.y), ptFromEmu(to.x), ptFromEmu(to.y)];
  const length = Math.hypot(endX - x, endY - y);
  const [dx, dy] = length === 0 ? [0, 0] : [(endX - x) / length, (endY - y) / length];
  const head = arrow ? Math.min(length, HEAD * width) : 0;
  const [neckX, neckY, half] = [endX - dx * head, endY - dy * head, head / 2];
  const line: DrawnShape = {
    d: `M${n(x)} ${n(y)}L${n(neckX)} ${n(neckY)}`,
    fill: null,
    stroke: palette[color],
    strokeWidth: width,
  };
  if (!arrow) return [line];
  const d = polygon([endX, endY], [neckX - dy * half, neckY + dx * half], [neckX + dy * half, neckY - dx * half]);
  return [line, { d, fill: palette[color], stroke: null, strokeWidth: 0 }];
}

/** Side of the square in which icons are drawn. */
export const ICON_SIDE = 24;

export function drawIcon({ icon, rect, color }: IconBox, palette: Palette): readonly DrawnShape[] {
  const { x, y, width } = points(rect);
  return icon.paths.map((d) => ({
    d,
    fill: null,
    stroke: palette[color],
    strokeWidth: 2,
    placed: [x, y, width / ICON_SIDE],
  }));
}
