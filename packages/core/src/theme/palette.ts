/** Makes palettes whose roles always read well: from a theme's seeds, from one colour, from the colours of a picture. */
import { getOrMake, remembered } from '../base/index.ts';
import { contrastRatio, distance, hexOf, lchOf, readable, type Hex, type Lch } from './color.ts';

export const COLOR_NAMES = [
  'ground',
  'text',
  'panel',
  'muted',
  'accent1',
  'accent2',
  'accent3',
  'accent4',
  'accent5',
  'accent6',
  'link',
] as const;
/** Names of colours; writers turn them into references to the theme. */
export type ColorName = (typeof COLOR_NAMES)[number];
export type Palette = Readonly<Record<ColorName, Hex>>;

/** How the other accents stand to the first one on the circle of hues. */
export const SCHEMES = ['near', 'opposite', 'triad', 'one-hue', 'wide'] as const;
export type Scheme = (typeof SCHEMES)[number];
/** How much of the colour is in the ground. */
export const PAPERS = ['white', 'warm', 'tinted', 'cool'] as const;
export type Paper = (typeof PAPERS)[number];

export interface PaletteSeed {
  /** The first is the base; others become accents as they are, as far as they read well. */
  readonly colors: readonly Hex[];
  readonly scheme: Scheme;
  readonly paper: Paper;
}
export interface NamedPalette extends PaletteSeed {
  readonly name: string;
  readonly label: string;
}

const HUES: Readonly<Record<Scheme, readonly number[]>> = {
  near: [0, 35, -35, 70, -70, 110],
  opposite: [0, 180, 25, 205, -25, 155],
  triad: [0, 120, 240, 60, 180, 300],
  'one-hue': [0, 8, -8, 14, -14, 4],
  wide: [0, 150, 75, 225, 300, 30],
};
const WARM = 85;
const COOL = 245;
/** WCAG 2.2 AA for text of any size; a title may be set small. */
export const READABLE = 4.5;
/** Of text that is large, in points (WCAG 2.2, 1.4.3): as much as is asked of it at least. */
export const LARGE_RATIO = 3;
/** Share of the ground behind a place on which its text need not be read: a line that runs across it. */
export const SPOILT = 0.2;
export const isLarge = (size: number, bold: boolean): boolean => size >= (bold ? 18.5 : 24);
const TEXT_RATIO = 7;
/** The colour of text on filled shapes: that of the ground, where it is read on all of them. Palettes made here are so; an organisation's may be pale. */
export const inkOn = (palette: Palette, fills: readonly ColorName[]): 'ground' | 'text' =>
  getOrMake(inksOf(palette), fills.join(' '), () => {
    const least = (ink: ColorName): number =>
      Math.min(...fills.map((fill) => contrastRatio(palette[ink], palette[fill])));
    return least('ground') >= READABLE || least('ground') >= least('text') ? 'ground' : 'text';
  });
const inksOf = remembered((_: Palette) => new Map<string, 'ground' | 'text'>());
const TURNS = [0, 40, 80, 120, 160, 200, 240, 280, 320];
/** Least distance of two accents in OKLab. */
const APART = 0.09;

export function makePalette({ colors, scheme, paper }: PaletteSeed, dark: boolean): Palette {
  const base = lchOf(colors[0] ?? '1F5A4A');
  const hue = paper === 'warm' ? WARM : paper === 'cool' ? COOL : base.h;
  const tint = paper === 'white' ? 0 : paper === 'tinted' ? 0.014 : 0.01;
  const ground = dark ? hexOf({ l: 0.205, c: Math.max(tint, 0.012), h: hue }) : paperOf(paper, tint, hue);
  const panel = dark
    ? hexOf({ l: 0.285, c: Math.max(tint, 0.014) * 1.3, h: hue })
    : hexOf({ l: paper === 'white' ? 0.955 : 0.94, c: Math.max(tint * 1.7, 0.008), h: hue });
  const grounds = [ground, panel];
  const ink = (wish: Lch, ratio = READABLE): Hex => readable(wish, grounds, ratio, !dark);
  const accents: Hex[] = [];
  for (let i = 0; i < 6; i++) {
    const wish = accentWish(colors, scheme, i, dark);
    // Accents that would be taken for one another turn on the circle of hues; shades of one hue are meant to be near.
    const turns = colors[i] !== undefined || scheme === 'one-hue' ? [0] : TURNS;
    const tried = turns.map((turn) => ink({ ...wish, h: (wish.h + turn) % 360 }));
    accents.push(tried.find((hex) => accents.every((other) => distance(hex, other) >= APART)) ?? tried[0]!);
  }
  return {
    ground,
    panel,
    text: ink({ l: dark ? 0.93 : 0.26, c: 0.012, h: hue }, TEXT_RATIO),
    muted: ink({ l: dark ? 0.76 : 0.5, c: 0.018, h: hue }),
    accent1: accents[0]!,
    accent2: accents[1]!,
    accent3: accents[2]!,
    accent4: accents[3]!,
    accent5: accents[4]!,
    accent6: accents[5]!,
    link: ink({ l: dark ? 0.8 : 0.48, c: 0.12, h: 250 }),
  };
}

const paperOf = (paper: Paper, tint: number, hue: number): Hex =>
  paper === 'white' ? 'FFFFFF' : hexOf({ l: paper === 'tinted' ? 0.972 : 0.988, c: tint, h: hue });

function accentWish(colors: readonly Hex[], scheme: Scheme, i: number, dark: boolean): Lch {
  const given = colors[i];
  const base = lchOf(given ?? colors[0] ?? '1F5A4A');
  const tone = dark ? Math.max(base.l, 0.74) : base.l;
  if (given !== undefined) return { ...base, l: tone, c: dark ? Math.min(base.c, 0.14) : base.c };
  // Accents that are made differ in lightness too, so that they can be told apart in grey.
  const step = [0, 0.05, -0.05, 0.09, -0.09, 0.03][i]! * (scheme === 'one-hue' ? 2.2 : 1);
  const level = dark ? 0.8 : 0.5;
  return {
    l: level + step,
    c: Math.min(0.15, Math.max(base.c, scheme === 'one-hue' ? 0.04 : 0.09)),
    h: (base.h + HUES[scheme][i]! + 360) % 360,
  };
}

/** Ways to go on from a seed: its colours in each other scheme, on each other paper. The first is the seed itself. */
export const VARIATIONS = SCHEMES.length * PAPERS.length;

export function variation(seed: PaletteSeed, n: number): PaletteSeed {
  const at = ((n % VARIATIONS) + VARIATIONS) % VARIATIONS;
  if (at === 0) return seed;
  const from = SCHEMES.indexOf(seed.scheme);
  const paper = PAPERS.indexOf(seed.paper);
  return {
    // What was given beyond the base would hide the scheme.
    colors: seed.colors.slice(0, 1),
    scheme: SCHEMES[(from + at) % SCHEMES.length]!,
    paper: PAPERS[(paper + Math.floor(at / SCHEMES.length)) % PAPERS.length]!,
  };
}
