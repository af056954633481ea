/** Colours in OKLCH (Ottosson, "A perceptual color space for image processing", 2020) and their contrast (WCAG 2.2, 1.4.3). */
import chroma from 'chroma-js';

/** Six hexadecimal digits. */
export type Hex = string;

export interface Lch {
  readonly l: number /* 0 black .. 1 white */;
  readonly c: number /* 0 grey .. about 0.37 */;
  readonly h: number /* degrees */;
}

/** @returns 1 to 21. */
export const contrastRatio = (a: Hex, b: Hex): number => chroma.contrast(`#${a}`, `#${b}`);

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

/** The colour itself where it reads on all grounds, else the nearest of its hue that does. */
export const readableOn = (hex: Hex, grounds: readonly Hex[], darker: boolean, ratio = 4.5): Hex =>
  readable(lchOf(hex), grounds, ratio, darker);

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
