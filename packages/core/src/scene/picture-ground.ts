/** What stands behind a picture that has no ground of its own, where it would be lost on the slide's. */
import type { PictureBox } from '../layout/index.ts';
import { contrastRatio, type ColorName } from '../theme/index.ts';
import type { SlideColors } from './scene.ts';

/** @returns The colour that its ink is read on; undefined where that is as good as the ground. */
export function pictureGround(
  { ink }: Pick<PictureBox, 'ink'>,
  { palette, ground }: SlideColors,
): ColorName | undefined {
  if (ink === undefined) return undefined;
  const written = ink === 'dark' ? '000000' : 'FFFFFF';
  if (contrastRatio(ground, written) >= ENOUGH) return undefined;
  return contrastRatio(palette.ground, written) > contrastRatio(palette.text, written) ? 'ground' : 'text';
}
/** As of ink that is not quite black. */
const ENOUGH = 7;
