/** What a template draws on its layouts and slides, from the back to the front. All lengths in points, colours as they are seen. */
import type { PictureId } from '../content/index.ts';
import type { Hex } from './color.ts';

/** x, y, width, height. */
export type Bounds = readonly [x: number, y: number, width: number, height: number];
/** As SVG writes them: x becomes ax + cy + e, y becomes bx + dy + f. */
export type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export interface GradientStop {
  readonly at: number /* 0 to 1 */;
  readonly color: Hex;
  readonly opacity: number;
}
/** Along a line, or around a point. */
export type Gradient = { readonly stops: readonly GradientStop[] } & (
  | { readonly from: readonly [number, number]; readonly to: readonly [number, number] }
  | { readonly middle: readonly [number, number]; readonly radius: number }
);
export interface BackdropShape {
  readonly kind: 'shape';
  /** SVG path data. */
  readonly d: string;
  readonly box: Bounds;
  readonly fill: Hex | Gradient | null;
  readonly opacity: number;
  readonly stroke: Hex | null;
  readonly strokeWidth: number;
  readonly dashes?: string;
}
export interface BackdropPicture {
  readonly kind: 'picture';
  readonly picture: PictureId;
  readonly alt: string;
  readonly box: Bounds;
  /** What of it is not seen, of its own width and height: left, top, right, bottom; less than none where it is set in. */
  readonly cut: readonly [number, number, number, number];
  readonly opacity: number;
  /** Where it does not fill its box upright. */
  readonly matrix?: Matrix;
  /** The outline in which it is seen, after the matrix. */
  readonly clip?: string;
}
/** One line of words of one look. */
export interface BackdropText {
  readonly kind: 'text';
  readonly text: string;
  readonly x: number;
  /** Of its base line. */
  readonly y: number;
  readonly size: number;
  readonly family: string;
  readonly bold: boolean;
  readonly italic: boolean;
  readonly color: Hex;
  readonly matrix?: Matrix;
}
export type BackdropItem = BackdropShape | BackdropPicture | BackdropText;
