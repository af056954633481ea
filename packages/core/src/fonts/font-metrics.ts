/** Measures of one font face: advances and pair kerning by character. */

import { otherScript } from './other-scripts.ts';
import { isShaped, shapedAdvance } from './shaping.ts';

/** As written by scripts/build-font-metrics.mjs; all lengths in font units. */
export interface FaceData {
  readonly unitsPerEm: number;
  readonly ascent: number;
  readonly descent: number;
  readonly lineGap: number;
  /** Runs of characters that follow one another: the first code point, then their advances. */
  readonly advances: readonly (readonly number[])[];
  /** GPOS pair adjustment (OpenType 1.9, lookup type 2), by code point. All lookups apply; in each the first subtable that knows a pair decides. */
  readonly kerning: readonly {
    readonly scripts?: readonly Script[];
    readonly tables: readonly (PairTable | ClassTable)[];
  }[];
}
/** Of the text that a lookup is for, where it is not for all that is kerned. */
type Script = 'latn' | 'grek' | 'cyrl';
interface PairTable {
  readonly pairs: readonly {
    readonly left: readonly number[];
    readonly row: readonly number[]; /* right, value, right, value, ... */
  }[];
}
interface ClassTable {
  readonly left: readonly (readonly number[])[];
  readonly right: readonly (readonly number[])[];
  readonly values: readonly (readonly number[])[];
}

const NEAR = 0x2100;
/** Advance of a character that the face does not have, in em: receivers fall back to some other font. */
const MISSING_NARROW = 0.6;
const MISSING_WIDE = 1;

const missing = (codePoint: number): number =>
  codePoint >= 0x1100 && WIDE.test(String.fromCodePoint(codePoint)) ? MISSING_WIDE : MISSING_NARROW;

type PairLookup = (left: number, right: number) => number | undefined;

export class FontMetrics {
  /** In em, at single line spacing. */
  readonly ascent: number;
  readonly lineHeight: number;
  readonly #advances = new Float32Array(NEAR).fill(-1);
  readonly #far = new Map<number, number>();
  /** Of other scripts, looked up once. */
  readonly #others = new Map<number, number>();
  readonly #kerning: readonly {
    readonly scripts: readonly Script[] | undefined;
    readonly tables: readonly PairLookup[];
  }[];
  readonly #pairs = new Map<number, number>();
  // Pairs of ASCII characters are most of every text; -128 marks one that was not looked up yet.
  readonly #ascii = new Float32Array(128 * 128).fill(-128);

  readonly #bold: boolean;

  /** @param bold Of which weight characters of other scripts are. */
  constructor(data: FaceData, bold = false) {
    this.#bold = bold;
    const em = data.unitsPerEm;
    this.ascent = (data.ascent + data.lineGap / 2) / em;
    this.lineHeight = (data.ascent + data.descent + data.lineGap) / em;
    for (const [first, ...advances] of data.advances)
      advances.forEach((advance, i) => {
        const cp = first! + i;
        if (cp < NEAR) this.#advances[cp] = advance / em;
        else this.#far.set(cp, advance / em);
      });
    this.#kerning = data.kerning.map(({ scripts, tables }) => ({
      scripts,
      tables: tables.map((table) => ('pairs' in table ? pairLookup(table, em) : classLookup(table, em))),
    }));
  }

  has(codePoint: number): boolean {
    return (
      (codePoint < NEAR ? this.#advances[codePoint]! >= 0 : this.#far.has(codePoint)) ||
      otherScript(codePoint, this.#bold) !== undefined
    );
  }

  /** In em. */
  advance(codePoint: number): number {
    const near = codePoint < NEAR ? this.#advances[codePoint]! : (this.#far.get(codePoint) ?? -1);
    if (near >= 0) return near;
    const other = this.#others.get(codePoint);
    if (other !== undefined) return other;
    const found = ZERO_WIDTH.test(String.fromCodePoint(codePoint))
      ? 0
      : (otherScript(codePoint, this.#bold)?.advance(codePoint) ?? missing(codePoint));
    this.#others.set(codePoint, found);
    return found;
  }

  /** What a character takes where it stands in `text`, in em: some letters join those beside them. */
  advanceIn(text: string, at: number, codePoint: number): number {
    const alone = this.advance(codePoint);
    if (!isShaped(codePoint) || this.#advances[codePoint]! >= 0) return alone;
    return shapedAdvance(text, at, alone, this.#bold) ?? alone;
  }

  /** Adjustment between two characters, in em. */
  kern(left: number, right: number): number {
    if (left < 128 && right < 128) {
      const at = left * 128 + right;
      const known = this.#ascii[at]!;
      if (known !== -128) return known;
      return (this.#ascii[at] = this.#lookUp(left, right));
    }
    const key = left * 0x110000 + right;
    let value = this.#pairs.get(key);
    if (value === undefined) this.#pairs.set(key, (value = this.#lookUp(left, right)));
    return value;
  }

  #lookUp(left: number, right: number): number {
    const script = scriptOf(left) ?? scriptOf(right) ?? 'latn';
    let sum = 0;
    for (const { scripts, tables } of this.#kerning) {
      if (scripts?.includes(script) === false) continue;
      for (const table of tables) {
        const value = table(left, right);
        if (value === undefined) continue;
        sum += value;
        break;
      }
    }
    return sum;
  }

  /** Width of `text` on one line, in em. */
  width(text: string): number {
    let width = 0;
    let left = -1;
    for (let i = 0; i < text.length; i++) {
      const cp = text.codePointAt(i)!;
      width += this.advanceIn(text, i, cp);
      if (left >= 0) width += this.kern(left, cp);
      if (cp > 0xffff) i++;
      left = cp;
    }
    return width;
  }
}

/** Undefined for Latin, and for signs of all scripts, which go with the letters beside them. */
const scriptOf = (codePoint: number): Script | undefined =>
  codePoint >= 0x370 && codePoint < 0x400 ? 'grek' : codePoint >= 0x400 && codePoint < 0x530 ? 'cyrl' : undefined;

const ZERO_WIDTH = /[\p{Mn}\p{Me}\p{Cf}]/u;
const WIDE =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}\p{Extended_Pictographic}\u3000-\u303f\uff00-\uff60]/u;

function pairLookup(table: PairTable, em: number): PairLookup {
  const rows = new Map<number, Map<number, number>>();
  for (const { left, row } of table.pairs) {
    const values = new Map<number, number>();
    for (let i = 0; i < row.length; i += 2) values.set(row[i]!, row[i + 1]! / em);
    for (const cp of left) rows.set(cp, values);
  }
  return (left, right) => rows.get(left)?.get(right);
}

function classLookup(table: ClassTable, em: number): PairLookup {
  const classes = (lists: readonly (readonly number[])[]): Map<number, number> =>
    new Map(lists.flatMap((cps, i) => cps.map((cp) => [cp, i] as const)));
  const left = classes(table.left);
  const right = classes(table.right);
  return (l, r) => {
    const row = left.get(l);
    const column = right.get(r);
    return row === undefined || column === undefined ? undefined : table.values[row]![column]! / em;
  };
}
