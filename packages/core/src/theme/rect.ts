/** Rectangles on a slide. */
import { emu, type Emu } from '../base/index.ts';

export interface Rect {
  readonly x: Emu;
  readonly y: Emu;
  readonly width: Emu;
  readonly height: Emu;
}

/** @param play So far they may stand over each other all the same, in EMU. */
export const overlaps = (a: Rect, b: Rect, play = 0): boolean =>
  a.x + play < b.x + b.width &&
  b.x + play < a.x + a.width &&
  a.y + play < b.y + b.height &&
  b.y + play < a.y + a.height;

export type Side = 'top' | 'right' | 'bottom' | 'left';

/** The middle of a side. */
export function middleOf({ x, y, width, height }: Rect, side: Side): { readonly x: Emu; readonly y: Emu } {
  const across = side === 'left' ? x : side === 'right' ? x + width : x + width / 2;
  const down = side === 'top' ? y : side === 'bottom' ? y + height : y + height / 2;
  return { x: emu(across), y: emu(down) };
}

/** @param play So far it may stand out all the same, in EMU. */
export const contains = (outer: Rect, inner: Rect, play = 0): boolean =>
  inner.x >= outer.x - play &&
  inner.y >= outer.y - play &&
  inner.x + inner.width <= outer.x + outer.width + play &&
  inner.y + inner.height <= outer.y + outer.height + play;
