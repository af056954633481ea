/** Affine matrices, as SVG writes them. */
import type { Bounds, Matrix } from '../../theme/index.ts';

/** The second within the first: what it draws is then placed by the first. */
export const within = ([a, b, c, d, e, f]: Matrix, [A, B, C, D, E, F]: Matrix): Matrix => [
  a * A + c * B,
  b * A + d * B,
  a * C + c * D,
  b * C + d * D,
  a * E + c * F + e,
  b * E + d * F + f,
];
export const at = ([a, b, c, d, e, f]: Matrix, x: number, y: number): readonly [number, number] => [
  a * x + c * y + e,
  b * x + d * y + f,
];
const moved = (x: number, y: number): Matrix => [1, 0, 0, 1, x, y];

/** Into a box, turned clockwise and flipped about its middle (ECMA-376-1 §20.1.7.6). @param degrees Clockwise. */
export function placed([x, y, width, height]: Bounds, degrees: number, flipsX: boolean, flipsY: boolean): Matrix {
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  const [sx, sy] = [flipsX ? -1 : 1, flipsY ? -1 : 1];
  const turned: Matrix = [cos * sx, sin * sx, -sin * sy, cos * sy, 0, 0];
  return within(within(moved(x + width / 2, y + height / 2), turned), moved(-width / 2, -height / 2));
}

/** From the lengths of a group's inside to its outside. */
export function scaled([x, y, width, height]: Bounds, outerWidth: number, outerHeight: number): Matrix {
  const [sx, sy] = [width === 0 ? 1 : outerWidth / width, height === 0 ? 1 : outerHeight / height];
  return [sx, 0, 0, sy, -x * sx, -y * sy];
}

/** The upright box around one that a matrix places. */
export function boxAround(matrix: Matrix, [x, y, width, height]: Bounds): Bounds {
  const corners = [
    at(matrix, x, y),
    at(matrix, x + width, y),
    at(matrix, x, y + height),
    at(matrix, x + width, y + height),
  ];
  const [xs, ys] = [corners.map(([one]) => one), corners.map(([, one]) => one)];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return [left, top, Math.max(...xs) - left, Math.max(...ys) - top];
}

export const isUpright = ([a, b, c, d]: Matrix): boolean => Math.abs(b) < 1e-6 && Math.abs(c) < 1e-6 && a > 0 && d > 0;
