/** Colours of a template where they would not be read: others of its theme, by reference, or shades of them. */
import {
  COLOR_NAMES,
  contrastRatio,
  isLarge,
  LARGE_RATIO,
  READABLE,
  SPOILT,
  type ColorName,
  type Frame,
  type Hex,
  type LayoutColors,
  type MendedColor,
  type Palette,
} from '../theme/index.ts';
import { relit } from './colors.ts';

const isDarkHex = (hex: Hex): boolean => contrastRatio(hex, '000000') < contrastRatio(hex, 'FFFFFF');

/** The contrast with most of the colours: a line that runs across a place spoils no text on it. */
const worst = (hex: Hex, grounds: readonly Hex[]): number => {
  const sorted = grounds.map((ground) => contrastRatio(hex, ground)).sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length * SPOILT)] ?? 21;
};

const STEPS = 25;
/** Text on panels is small. */
const ON_PANEL = 7;
/** Of the theme, in the order in which text takes them where its own is not read. */
const OTHERS: readonly ColorName[] = ['text', 'ground', 'muted', 'panel'];

/**
 * A palette as it is read on grounds. Its own colours stay wherever they can be read: text takes another colour of the theme,
 * then a shade; shapes keep the theme's colours as long as light or dark text is read on them.
 */
export function colorsOn(own: Palette, grounds: readonly Hex[]): LayoutColors {
  const inks = new Mending(own);
  const dark = grounds.filter(isDarkHex).length * 2 > grounds.length;
  const reads = (hex: Hex): boolean => worst(hex, grounds) >= READABLE;
  const text = inks.take('text', reads, OTHERS, dark);
  const fills = new Mending(own);
  const panel = panelFor(text, fills, own);
  inks.copy(fills, 'panel');
  // What is written on shapes is this text.
  fills.copy(inks, 'text');
  for (const name of COLOR_NAMES) {
    if (name === 'ground' || name === 'panel' || name === 'text') continue;
    inks.take(name, (hex) => reads(hex) && contrastRatio(hex, panel) >= READABLE, [name], dark);
    if (name !== 'muted' && name !== 'link')
      fills.take(
        name,
        (hex) => Math.max(contrastRatio(own.ground, hex), contrastRatio(text, hex)) >= READABLE,
        [name],
        dark,
      );
  }
  return { inks: inks.palette, fills: fills.palette, mended: { inks: inks.mended, fills: fills.mended } };
}

/** A panel is the ground, a little shaded; where text is another colour than the theme's, the theme's may be under it. */
function panelFor(text: Hex, fills: Mending, own: Palette): Hex {
  const lighter = isDarkHex(own.ground);
  for (const ratio of [ON_PANEL, READABLE]) {
    const holds = (hex: Hex): boolean => contrastRatio(text, hex) >= ratio;
    const found =
      fills.plain('panel', holds, text === own.text ? ['panel'] : ['panel', 'text', 'muted']) ??
      fills.shade('panel', holds, 'ground', lighter) ??
      fills.shade('panel', holds, 'ground', !lighter);
    if (found !== undefined) return found;
  }
  return own.panel;
}

class Mending {
  readonly mended: MendedColor[] = [];
  readonly #own: Palette;
  readonly #found: Partial<Record<ColorName, Hex>> = {};

  constructor(own: Palette) {
    this.#own = own;
  }

  get palette(): Palette {
    return { ...this.#own, ...this.#found };
  }

  /** The first of some colours that will do, or else the first shade of them; its own where none will. */
  take(name: ColorName, does: (hex: Hex) => boolean, from: readonly ColorName[], lighter: boolean): Hex {
    let found = this.plain(name, does, from);
    for (const other of from) found ??= this.shade(name, does, other, lighter);
    return found ?? this.#own[name];
  }

  /** The first of some colours that will do, as it is. */
  plain(name: ColorName, does: (hex: Hex) => boolean, from: readonly ColorName[]): Hex | undefined {
    const found = from.find((other) => does(this.#own[other]));
    return found === undefined ? undefined : found === name ? this.#own[name] : this.#set(name, found, 1, 0);
  }

  /** The first shade of a colour that will do. */
  shade(name: ColorName, does: (hex: Hex) => boolean, from: ColorName, lighter: boolean): Hex | undefined {
    for (let step = 1; step <= STEPS; step++) {
      const share = step / STEPS;
      const [factor, plus] = [1 - share, lighter ? share : 0];
      if (does(relit(this.#own[from], factor, plus))) return this.#set(name, from, factor, plus);
    }
    return undefined;
  }

  copy(other: Mending, name: ColorName): void {
    const found = other.mended.find((one) => one.name === name);
    if (found !== undefined) this.#set(name, found.from, found.factor, found.plus);
  }

  #set(name: ColorName, from: ColorName, factor: number, plus: number): Hex {
    const hex = factor === 1 && plus === 0 ? this.#own[from] : relit(this.#own[from], factor, plus);
    this.#found[name] = hex;
    this.mended.push({ name, from, factor, plus });
    return hex;
  }
}

/** A frame whose text is read on what is behind it: where the template's own colour is not, slides say another. */
export function readableFrame(frame: Frame, { inks }: LayoutColors): Frame {
  const { style, behind = [], placeholder } = frame;
  if (behind.length === 0) return frame;
  const { paint, ...unpainted } = style;
  const size = style.sizes[0] ?? 0;
  const least = isLarge(size, style.bold) ? LARGE_RATIO : READABLE;
  // Free text says its colour by a name of the theme.
  const named = placeholder === null ? (OTHERS.find((name) => inks[name] === paint) ?? style.color) : undefined;
  const own = named === undefined ? (paint ?? inks[style.color]) : inks[named];
  if (worst(own, behind) >= least)
    return named === undefined ? frame : { ...frame, style: { ...unpainted, color: named } };
  const best = OTHERS.reduce((one, other) => (worst(inks[other], behind) > worst(inks[one], behind) ? other : one));
  const color = OTHERS.find((name) => worst(inks[name], behind) >= least) ?? best;
  // Nothing of the theme is read better: the template's own choice stays.
  if (worst(inks[color], behind) <= worst(own, behind)) return frame;
  const set = { ...unpainted, color };
  return placeholder === null ? { ...frame, style: set } : { ...frame, style: set, says: true };
}
