/** How large pictures are shown at most, so that they need not be written larger. */
import type { PictureId } from '../content/index.ts';
import type { Page } from '../layout/index.ts';
import type { Theme } from '../theme/index.ts';

const EMU_PER_INCH = 914_400;
/** Pixels to the inch that a slide is shown with on the largest usual screens. */
const DENSITY = 220;

/** @returns Width in pixels of the whole picture, by its id; for the largest of its places. */
export function neededSizes(pages: readonly Page[], theme: Theme): ReadonlyMap<PictureId, number> {
  const needed = new Map<PictureId, number>();
  const need = (id: PictureId, width: number): void => {
    needed.set(id, Math.max(needed.get(id) ?? 0, (width / EMU_PER_INCH) * DENSITY));
  };
  for (const { boxes } of pages)
    for (const box of boxes)
      if (box.kind === 'picture') need(box.picture, box.rect.width / Math.max(0.05, 1 - box.cut[0] - box.cut[2]));
  for (const layout of theme.layouts) for (const { picture, width } of layout.pictures ?? []) need(picture, width);
  return needed;
}
