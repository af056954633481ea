/** How the pixels of a picture are toned, for whoever draws it: grey, then between two colours, then by a line through the middle. */
import type { PictureDress } from '../deck/index.ts';

type Toned = Pick<PictureDress, 'filter' | 'brightness' | 'contrast'>;

export const isToned = ({ filter, brightness, contrast }: Toned): boolean =>
  filter !== 'none' || brightness !== 0 || contrast !== 0;

/** Shares of red, green and blue in how light a pixel is (ITU-R BT.709). */
export const LUMINANCE = [0.2126, 0.7152, 0.0722] as const;

/** What becomes of each channel, from 0 to 1: `value * slope + intercept`. */
export function toneLine({ brightness, contrast }: Omit<Toned, 'filter'>) {
  const slope = contrast >= 0 ? 1 / Math.max(0.05, 1 - contrast) : 1 + contrast;
  return { slope, intercept: 0.5 - 0.5 * slope + brightness };
}
