/** Marks at the beginning of a line that say what it is, where the format itself does not: bullets and numbers. */

/** A line without its mark. `numbers` are the parts of the number as written, outermost first; none for a bullet. */
export interface MarkedLine {
  readonly kind: 'bullet' | 'number';
  readonly text: string;
  readonly mark: string;
  /** How many parts the number has: 3 in `2.1.4`. */
  readonly parts: number;
  readonly number: number | undefined;
}

// Bullets of text files and of symbol fonts; `o` and the section sign are what such fonts show as circle and square.
const BULLET = /^([-*+•·◦▪▫‣⁃●○■□➢➤✓–—§\uf0b7\uf0a7\uf0d8]|o)(?:\s{1,8}|\u00a0+|\t)(?=\S)/u;
const NUMBER = /^(?:(\d{1,3}(?:\.\d{1,3}){0,5})([.)]?)|\(?([a-z]|[ivx]{1,5})([.)]))(?:\s+|\u00a0+)(?=\S)/iu;

/** @returns undefined for a line without a mark. */
export function lineMark(line: string): MarkedLine | undefined {
  const bullet = BULLET.exec(line);
  if (bullet !== null)
    return { kind: 'bullet', text: line.slice(bullet[0].length), mark: bullet[1]!, parts: 0, number: undefined };
  const number = NUMBER.exec(line);
  if (number === null) return undefined;
  const parts = number[1]?.split('.') ?? [];
  return {
    kind: 'number',
    text: line.slice(number[0].length),
    mark: number[0].trim(),
    parts: Math.max(1, parts.length),
    number: parts.length > 0 ? Number(parts.at(-1)) : letterNumber(number[3]!),
  };
}

const ROMAN: Readonly<Record<string, number>> = { i: 1, v: 5, x: 10 };

function letterNumber(letters: string): number {
  const lower = letters.toLowerCase();
  if (lower.length === 1 && lower !== 'i' && lower !== 'v' && lower !== 'x') return lower.charCodeAt(0) - 96;
  let sum = 0;
  for (let i = 0; i < lower.length; i++) {
    const value = ROMAN[lower[i]!]!;
    sum += value < (ROMAN[lower[i + 1] ?? ''] ?? 0) ? -value : value;
  }
  return sum;
}

/** `Chapter 3`, `Part II`, `Appendix B`, with or without a title behind. */
const DIVISION =
  /^(chapter|part|section|appendix|annex|lesson|unit|module|kapitel|teil|abschnitt|anhang|chapitre|partie|annexe|capítulo|parte|sección|anexo|capitolo|sezione)\s+(\d{1,3}|[ivxlc]{1,7}|[a-z])\b[.:]?/iu;

/** Whether a line names a division of a text. */
export const isDivision = (line: string): boolean => DIVISION.test(line);

/** Whether a line is written in capitals throughout: at least two letters, no small one. */
export function isCapitals(line: string): boolean {
  const letters = line.match(/\p{L}/gu)?.length ?? 0;
  return letters >= 2 && line === line.toUpperCase() && line !== line.toLowerCase();
}

/** Whether a line ends as sentences do. A question may be a heading. */
export const endsAsSentence = (line: string): boolean => /[.;,:!…]["”’)]?\s*$/.test(line) && !/\betc\.$/.test(line);
