/**
 * What letters take where they stand beside others: Arabic letters have other forms at the beginning, in the middle and at the end
 * of a word (The Unicode Standard 16.0, §9.2), Devanagari consonants join those that follow a virama (§12.1).
 */
import { joins } from './shipped/other-scripts.ts';

interface Joins {
  /** Code point, advance behind a letter that does not join it and at the end of a word, then at its beginning and in its middle for those that join what follows. */
  readonly forms: readonly (readonly number[])[];
  /** A letter that does not join the next, then each next one that stands nearer to it, and by how much. */
  readonly kerning: readonly (readonly number[])[];
  /** The second letter, and what lam takes with it: alone, and behind another letter. */
  readonly lamAlef: readonly (readonly [number, number, number])[];
  /** First consonant, what it takes more before most others, then each other with which that is otherwise, and its value. */
  readonly conjuncts: readonly (readonly number[])[];
}

interface Form {
  readonly behind: number;
  readonly end: number;
  readonly beginning: number | undefined;
  readonly middle: number | undefined;
}

function pairsOf(list: readonly number[]): ReadonlyMap<number, number> {
  const pairs = new Map<number, number>();
  for (let i = 0; i < list.length; i += 2) pairs.set(list[i]!, list[i + 1]!);
  return pairs;
}

class Shapes {
  readonly forms: ReadonlyMap<number, Form>;
  readonly lamAlef: ReadonlyMap<number, readonly [alone: number, joined: number]>;
  readonly conjuncts: ReadonlyMap<number, { readonly usual: number; readonly others: ReadonlyMap<number, number> }>;

  readonly kerning: ReadonlyMap<number, ReadonlyMap<number, number>>;

  constructor({ forms, kerning, lamAlef, conjuncts }: Joins) {
    this.forms = new Map(
      forms.map(([cp, behind, end, beginning, middle]) => [cp!, { behind: behind!, end: end!, beginning, middle }]),
    );
    this.lamAlef = new Map(lamAlef.map(([alef, alone, joined]) => [alef, [alone, joined]]));
    this.conjuncts = new Map(
      conjuncts.map(([first, usual, ...rest]) => [first!, { usual: usual!, others: pairsOf(rest) }]),
    );
    this.kerning = new Map(kerning.map(([first, ...rest]) => [first!, pairsOf(rest)]));
  }
}

const unpacked: { regular?: Shapes; bold?: Shapes } = {};
const shapesOf = (bold: boolean): Shapes => {
  const weight = bold ? 'bold' : 'regular';
  return (unpacked[weight] ??= new Shapes(JSON.parse(joins[weight]) as Joins));
};

/** Letters that may take more or less beside others. */
export const isShaped = (codePoint: number): boolean =>
  codePoint >= 0x620 && codePoint < 0x980 && (codePoint < 0x780 || codePoint >= 0x915);

const LAM = 0x644;
const VIRAMA = 0x94d;
const NUKTA = 0x93c;
const JOINER = 0x200d;
const TRANSPARENT = /[\p{Mn}\p{Me}]/u;

/** @param at Where in `text` the letter stands. @returns What it takes there in em; undefined where that is what it takes alone. */
export function shapedAdvance(text: string, at: number, alone: number, bold: boolean): number | undefined {
  const cp = text.charCodeAt(at);
  const shapes = shapesOf(bold);
  return cp < 0x900 ? arabic(shapes, text, at) : devanagari(shapes, text, at, alone);
}

/** The letter before or after, over the marks that stand on letters; 0 at an end of the text. */
function neighbour(text: string, at: number, step: 1 | -1): number {
  for (let i = at + step; i >= 0 && i < text.length; i += step)
    if (!TRANSPARENT.test(text[i]!)) return text.charCodeAt(i);
  return 0;
}

function arabic({ forms, kerning, lamAlef }: Shapes, text: string, at: number): number | undefined {
  const cp = text.charCodeAt(at);
  const form = forms.get(cp);
  if (form === undefined) return undefined;
  const [before, after] = [neighbour(text, at, -1), neighbour(text, at, 1)];
  const joinsBefore = before === JOINER || forms.get(before)?.beginning !== undefined;
  // Lam and alef are one sign; its room is taken by the lam.
  if (before === LAM && lamAlef.has(cp)) return 0;
  const ligature = cp === LAM ? lamAlef.get(after) : undefined;
  if (ligature !== undefined) return ligature[joinsBefore ? 1 : 0] / 1000;
  const joinsAfter = form.beginning !== undefined && (after === JOINER || forms.has(after));
  const nearer = kerning.get(before)?.get(cp) ?? 0;
  const alone = forms.has(before) ? form.behind + nearer : undefined;
  const advance = joinsAfter ? (joinsBefore ? form.middle! : form.beginning!) + nearer : joinsBefore ? form.end : alone;
  return advance === undefined ? undefined : advance / 1000;
}

function devanagari({ conjuncts }: Shapes, text: string, at: number, alone: number): number | undefined {
  const conjunct = conjuncts.get(text.charCodeAt(at));
  if (conjunct === undefined) return undefined;
  let next = at + 1;
  if (text.charCodeAt(next) === NUKTA) next++;
  if (text.charCodeAt(next) !== VIRAMA) return undefined;
  const second = text.charCodeAt(next + 1);
  if (second === JOINER) return alone + conjunct.usual / 1000;
  return conjuncts.has(second) ? alone + (conjunct.others.get(second) ?? conjunct.usual) / 1000 : undefined;
}
