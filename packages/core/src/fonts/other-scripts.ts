/**
 * Measures of characters that the themes' families do not have: other scripts, symbols, mathematics, emoji. Each group is drawn
 * by fonts that ship (see web/src/ui/other-scripts.css). What letters take where they join is in shaping.ts.
 */
import packed from './shipped/other-scripts.ts';

export interface OtherScript {
  /** In em. */
  readonly ascent: number;
  readonly lineHeight: number;
  /** In em; undefined for a character that it does not have. */
  advance(codePoint: number): number | undefined;
}

interface Packed {
  readonly ascent: number;
  readonly descent: number;
  /** Three numbers for each stretch of equal advances: its distance from the one before, its length less one, the advance in thousandths of an em. */
  readonly spans: readonly number[];
}

class Script implements OtherScript {
  readonly ascent: number;
  readonly lineHeight: number;
  readonly #from: Uint32Array;
  readonly #to: Uint32Array;
  readonly #advance: Uint16Array;

  constructor({ ascent, descent, spans }: Packed) {
    this.ascent = ascent;
    this.lineHeight = ascent + descent;
    const count = spans.length / 3;
    this.#from = new Uint32Array(count);
    this.#to = new Uint32Array(count);
    this.#advance = new Uint16Array(count);
    let at = 0;
    for (let i = 0; i < count; i++) {
      this.#from[i] = at + spans[3 * i]!;
      this.#to[i] = at = this.#from[i]! + spans[3 * i + 1]!;
      this.#advance[i] = spans[3 * i + 2]!;
    }
  }

  advance(codePoint: number): number | undefined {
    let [least, most] = [0, this.#from.length - 1];
    while (least <= most) {
      const middle = (least + most) >> 1;
      if (codePoint < this.#from[middle]!) most = middle - 1;
      else if (codePoint > this.#to[middle]!) least = middle + 1;
      else return this.#advance[middle]! / 1000;
    }
    return undefined;
  }
}

const unpacked: Partial<Record<keyof typeof packed, readonly Script[]>> = {};
const scriptsIn = (weight: keyof typeof packed): readonly Script[] =>
  (unpacked[weight] ??= Object.values(JSON.parse(packed[weight]) as Record<string, Packed>).map(
    (one) => new Script(one),
  ));

/** The script that draws a character which no family of the themes has; undefined where none does. */
export const otherScript = (codePoint: number, bold = false): OtherScript | undefined =>
  scriptsIn(bold ? 'bold' : 'regular').find((script) => script.advance(codePoint) !== undefined);

/** What another script takes of a line's height, for the tallest in a text; 0 where there is none. */
export function otherHeight(text: string): { readonly ascent: number; readonly lineHeight: number } {
  let [ascent, lineHeight] = [0, 0];
  if (!LETTER.test(text)) return { ascent, lineHeight };
  const seen = new Set<OtherScript>();
  for (const sign of text) {
    if (!LETTER.test(sign)) continue;
    const script = otherScript(sign.codePointAt(0)!);
    if (script === undefined || seen.has(script)) continue;
    seen.add(script);
    ascent = Math.max(ascent, script.ascent);
    lineHeight = Math.max(lineHeight, script.lineHeight);
  }
  return { ascent, lineHeight };
}
/** Signs among letters are drawn no taller than these. */
const LETTER = /[\u0590-\u1cff\u2e80-\ufdff\ufe70-\ufeff\u{20000}-\u{3ffff}]/u;
