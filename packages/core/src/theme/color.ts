/** Colours in OKLCH (Ottosson, "A perceptual color space for image processing", 2020) and their contrast (WCAG 2.2, 1.4.3). */
import chroma from 'chroma-js';

/** Six hexadecimal digits. */
export type Hex = string;

export interface Lch {
  readonly l: number /* 0 black .. 1 white */;
  readonly c: number /* 0 grey .. about 0.37 */;
  readonly h: number /* degrees */;
}

/** Light of each of the 256 values of a channel: 0 to 1. */
const LIGHT = Array.from({ length: 256 }, (_, value) => {
  const share = value / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
});

/** Relative luminance (WCAG 2.2): 0 black to 1 white. Asked for each colour of a picture behind text, so without an object of a colour. */
function luminance(hex: Hex): number {
  const value = Number.parseInt(hex, 16);
  const light = (shift: number): number => LIGHT[(value >> shift) & 255] ?? 0;
  return 0.2126 * light(16) + 0.7152 * light(8) + 0.0722 * light(0);
}

/** @returns 1 to 21. */
export function contrastRatio(a: Hex, b: Hex): number {
  const [one, other] = [luminance(a) + 0.05, luminance(b) + 0.05];
  return one > other ? one / other : other / one;
}

/** @throws Error when `hex` is no colour. */
export function lchOf(hex: Hex): Lch {
  const [l, c, h] = chroma(`#${hex}`).oklch();
  return { l, c, h: Number.isNaN(h) ? 0 : h };
}

/** The colour itself, or the one of its hue and lightness with as much chroma as a screen can show. */
export function hexOf({ l, c, h }: Lch): Hex {
  let chromaLeft = c;
  for (; chromaLeft > 0.002; chromaLeft -= 0.004) {
    const color = chroma.oklch(l, chromaLeft, h);
    if (!color.clipped()) return asHex(color);
  }
  return asHex(chroma.oklch(l, 0, h));
}

/** Of two colours in OKLab. */
export function distance(a: Hex, b: Hex): number {
  const [[l1, a1, b1], [l2, a2, b2]] = [chroma(`#${a}`).oklab(), chroma(`#${b}`).oklab()];
  return Math.hypot(l1 - l2, a1 - a2, b1 - b2);
}

const asHex = (color: chroma.Color): Hex => color.hex('rgb').slice(1).toUpperCase();

export const isHex = (text: string): boolean => /^[0-9A-F]{6}$/i.test(text);

/**
 * The colour of a hue that is nearest to `wish` and still has `ratio` against all of `grounds`.
 * @param darker Which way lightness goes where it must.
 */
export function readable(wish: Lch, grounds: readonly Hex[], ratio: number, darker: boolean): Hex {
  const enough = (hex: Hex): boolean => grounds.every((ground) => contrastRatio(hex, ground) >= ratio);
  for (let l = wish.l; l >= 0 && l <= 1; l += darker ? -0.01 : 0.01) {
    const hex = hexOf({ ...wish, l });
    if (enough(hex)) return hex;
  }
  return darker ? '000000' : 'FFFFFF';
}
