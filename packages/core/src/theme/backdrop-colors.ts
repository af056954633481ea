/** Which colours are seen behind something that stands on a backdrop: looked for at some of its points. */
import chroma from 'chroma-js';
import svgPath from 'svgpath';
import { EMU_PER_POINT } from '../base/index.ts';
import type { PictureId } from '../content/index.ts';
import type { BackdropItem, BackdropPicture, Bounds, Gradient } from './backdrop.ts';
import type { Hex } from './color.ts';
import type { Rect } from './rect.ts';

/** Colours of a picture, made small: row by row, six digits each; what is seen through has the colour of nothing. */
export interface PictureColors {
  readonly columns: number;
  readonly colors: readonly (Hex | null)[];
}
export type ColorsOf = (picture: PictureId) => PictureColors | undefined;

const ACROSS = 6;
const DOWN = 3;

/** The colours behind a rectangle, one for each place that was looked at. @param ground Under everything. */
export function colorsBehind(
  { x, y, width, height }: Rect,
  backdrop: readonly BackdropItem[],
  ground: Hex,
  colorsOf: ColorsOf,
): readonly Hex[] {
  const found: Hex[] = [];
  for (let row = 0; row < DOWN; row++)
    for (let column = 0; column < ACROSS; column++) {
      const at = [x + (width * (column + 0.5)) / ACROSS, y + (height * (row + 0.5)) / DOWN].map(
        (one) => one / EMU_PER_POINT,
      ) as [number, number];
      found.push(colorAt(at, backdrop, ground, colorsOf));
    }
  return found;
}

function colorAt(
  at: readonly [number, number],
  backdrop: readonly BackdropItem[],
  ground: Hex,
  colorsOf: ColorsOf,
): Hex {
  let color = ground;
  for (const item of backdrop) {
    if (item.kind === 'text' || !isIn(at, item.box)) continue;
    const own = item.kind === 'picture' ? pictureAt(at, item, colorsOf) : shapeAt(at, item);
    if (own !== undefined) color = mixed(color, own.color, own.opacity * item.opacity);
  }
  return color;
}

const isIn = ([x, y]: readonly [number, number], [left, top, width, height]: Bounds): boolean =>
  x >= left && x <= left + width && y >= top && y <= top + height;

interface Seen {
  readonly color: Hex;
  readonly opacity: number;
}
const mixed = (under: Hex, over: Hex, opacity: number): Hex =>
  opacity >= 1
    ? over
    : opacity <= 0
      ? under
      : chroma.mix(`#${under}`, `#${over}`, opacity, 'rgb').hex('rgb').slice(1).toUpperCase();

function shapeAt(
  at: readonly [number, number],
  { d, fill }: Extract<BackdropItem, { kind: 'shape' }>,
): Seen | undefined {
  if (fill === null || !isInside(at, d)) return undefined;
  return typeof fill === 'string' ? { color: fill, opacity: 1 } : shadeAt(at, fill);
}

/** The shade of a gradient at a point. */
function shadeAt([x, y]: readonly [number, number], gradient: Gradient): Seen {
  const { stops } = gradient;
  let t: number;
  if ('from' in gradient) {
    const [[x1, y1], [x2, y2]] = [gradient.from, gradient.to];
    const length = (x2 - x1) ** 2 + (y2 - y1) ** 2;
    t = length === 0 ? 0 : ((x - x1) * (x2 - x1) + (y - y1) * (y2 - y1)) / length;
  } else t = Math.hypot(x - gradient.middle[0], y - gradient.middle[1]) / Math.max(1e-6, gradient.radius);
  const after = stops.findIndex((stop) => stop.at >= t);
  if (after <= 0) return after < 0 ? stops.at(-1)! : stops[0]!;
  const [a, b] = [stops[after - 1]!, stops[after]!];
  const share = b.at === a.at ? 1 : (t - a.at) / (b.at - a.at);
  return { color: mixed(a.color, b.color, share), opacity: a.opacity + (b.opacity - a.opacity) * share };
}

function pictureAt([x, y]: readonly [number, number], item: BackdropPicture, colorsOf: ColorsOf): Seen | undefined {
  const colors = colorsOf(item.picture);
  if (colors === undefined || item.matrix !== undefined) return undefined;
  const [left, top, width, height] = item.box;
  const [cutLeft, cutTop, cutRight, cutBottom] = item.cut;
  const across = cutLeft + ((x - left) / Math.max(1e-6, width)) * (1 - cutLeft - cutRight);
  const down = cutTop + ((y - top) / Math.max(1e-6, height)) * (1 - cutTop - cutBottom);
  const rows = colors.colors.length / colors.columns;
  const [column, row] = [Math.floor(across * colors.columns), Math.floor(down * rows)];
  if (column < 0 || row < 0 || column >= colors.columns || row >= rows) return undefined;
  const color = colors.colors[row * colors.columns + column];
  return color === null || color === undefined ? undefined : { color, opacity: 1 };
}

/** Whether a point is inside an outline, by the lines between the ends of its steps. */
function isInside([x, y]: readonly [number, number], d: string): boolean {
  let inside = false;
  for (const corners of polygons(d))
    for (let i = 0, j = corners.length - 1; i < corners.length; j = i++) {
      const [[x1, y1], [x2, y2]] = [corners[i]!, corners[j]!];
      if (y1 > y !== y2 > y && x < ((x2 - x1) * (y - y1)) / (y2 - y1) + x1) inside = !inside;
    }
  return inside;
}

const known = new Map<string, readonly (readonly (readonly [number, number])[])[]>();
const MOST_KNOWN = 500;

/** The corners of each part of an outline; of a curve its end and a point near its middle. */
function polygons(d: string): readonly (readonly (readonly [number, number])[])[] {
  const before = known.get(d);
  if (before !== undefined) return before;
  const all: [number, number][][] = [];
  svgPath(d)
    .abs()
    .unarc()
    .unshort()
    .iterate((segment, _, x, y) => {
      const [step, ...values] = segment as [string, ...number[]];
      if (step === 'M') all.push([]);
      const part = all.at(-1);
      // Both handles of a curve pull it about as far out as the point between them.
      if (step === 'C') part?.push([(values[0]! + values[2]!) / 2, (values[1]! + values[3]!) / 2]);
      if (step === 'H') part?.push([values[0]!, y]);
      else if (step === 'V') part?.push([x, values[0]!]);
      else if (step !== 'Z') part?.push([values.at(-2)!, values.at(-1)!]);
    });
  if (known.size > MOST_KNOWN) known.clear();
  known.set(d, all);
  return all;
}
