/** What is cut off of a picture, and what must stay in sight: shares of its own width and height. */
import type { PictureDress } from '@alvex/core';

export type Crop = PictureDress['crop'];
export type Share = PictureDress['focus'];
/** Left, top, right, bottom, as a crop lists them. */
export type Edge = 0 | 1 | 2 | 3;

/** Of each edge: something is left in the middle, whatever is done. */
export const MOST_CUT = 0.45;

const within = (value: number, most: number): number => Math.round(Math.min(most, Math.max(0, value)) * 100) / 100;

/** Where a pointer is, in hundredths. */
export function placeOn(
  { left, top, width, height }: Pick<DOMRect, 'left' | 'top' | 'width' | 'height'>,
  { clientX, clientY }: { readonly clientX: number; readonly clientY: number },
): Share {
  return [within((clientX - left) / width, 1), within((clientY - top) / height, 1)];
}

export const movedBy = ([x, y]: Share, [dx, dy]: Share): Share => [within(x + dx, 1), within(y + dy, 1)];

/** One edge is moved to a place. */
export function cutTo(crop: Crop, edge: Edge, [x, y]: Share): Crop {
  const cut = [x, y, 1 - x, 1 - y][edge]!;
  return crop.with(edge, within(cut, MOST_CUT)) as unknown as Crop;
}
