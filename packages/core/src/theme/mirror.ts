/** Layouts for decks that are written from right to left: what stands at the left of a design stands at the right. */
import { emu, type Emu } from '../base/index.ts';
import type { Align } from './look.ts';
import type { Rect } from './rect.ts';
import type { Frame, Geometry, Layout, Mark } from './theme.ts';

const OPPOSITE: Readonly<Record<Align, Align>> = { left: 'right', center: 'center', right: 'left' };
export const opposite = (align: Align): Align => OPPOSITE[align];

/** Outlines that point somewhere. */
const POINTING: ReadonlySet<Geometry> = new Set(['chevron', 'tag', 'arrow']);
export const isPointing = (geometry: Geometry): boolean => POINTING.has(geometry);

/** @param within What it is mirrored in. */
export const mirroredRect = <T extends Rect>(rect: T, within: Pick<Rect, 'x' | 'width'>): T => ({
  ...rect,
  x: emu(2 * within.x + within.width - rect.x - rect.width),
});

export function mirrored(layout: Layout, width: Emu): Layout {
  const slide = { x: emu(0), width };
  return {
    ...layout,
    frames: layout.frames.map((frame): Frame => ({ ...mirroredRect(frame, slide), align: opposite(frame.align) })),
    marks: layout.marks.map((mark): Mark => ({
      ...mirroredRect(mark, slide),
      ...(isPointing(mark.shape ?? 'rect') ? { mirrored: true as const } : {}),
    })),
    ...(layout.pictures === undefined
      ? {}
      : { pictures: layout.pictures.map((picture) => mirroredRect(picture, slide)) }),
  };
}
