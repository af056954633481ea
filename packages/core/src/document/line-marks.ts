/**
 * Marks at the beginning of a line that say what it is, where the format itself does not: bullets and numbers. A mark
 * is taken off a line only with evidence: signs that are nothing else, a bracket or a full stop that begins a count, or
 * neighbours that count on. So "12 boats came in" and "C. Reed steers" keep their first word.
 */

/** A line without its mark. */
export interface MarkedLine {
  readonly kind: 'bullet' | 'number';
  readonly text: string;
  /** As written, without the white space behind it. */
  readonly mark: string;
  /** How many parts the number has: 3 in `2.1.4`. */
  readonly parts: number;
  readonly number: number | undefined;
  /** What the marks of one list share: `1.`, `(a)`, `•`. */
  readonly style: string;
  /** `alone`: is a mark wherever it stands; `first`: where it begins a count or goes on with one; `row`: only in a count that is longer. */
  readonly needs: 'alone' | 'first' | 'row';
}

// Bullets of text files and of symbol fonts.
const BULLET =
  /^([-*+•·◦▪▫‣⁃●○■□➢➤✓✔–—§\uf0b7\uf0a7\uf0d8\uf0fc\uf076\uf02d]|o)(?:[ \u2000-\u200a\u3000]{1,8}|\u00a0+|\t)\s{0,8}(?=\S)/u;
/** Signs that sentences also begin with: dashes of speech, sections of a law, a letter that is a word. */
const ALSO_TEXT = /[–—§o✓✔+]/u;
const NUMBER =
  /^(?:(\()?(\d{1,3}(?:\.\d{1,3}){0,5})([.)]{0,2})|(\()?([a-z]|[ivx]{1,5})([.)]{1,2}))(?:\s+|\u00a0+)(?=\S)/iu;

/** What may be the mark of a line, whatever stands around it. @returns undefined for a line without one. */
export function lineMark(line: string): MarkedLine | undefined {
  const bullet = BULLET.exec(line);
  if (bullet !== null) {
    const mark = bullet[1]!;
    const text = line.slice(bullet[0].length);
    // A dash before a figure may be its sign.
    const needs = ALSO_TEXT.test(mark) || (mark === '-' && /^[\d.,]/.test(text)) ? 'row' : 'alone';
    return { kind: 'bullet', text, mark, parts: 0, number: undefined, style: mark, needs };
  }
  const number = NUMBER.exec(line);
  if (number === null) return undefined;
  const [all, open = number[4] ?? '', digits, , , letters] = number;
  const close = number[3] ?? number[6] ?? '';
  const parts = digits?.split('.') ?? [];
  const roman = letters !== undefined && /^[ivx]+$/i.test(letters);
  const sort =
    letters === undefined ? '1' : `${roman ? 'i' : 'a'}${letters === letters.toUpperCase() ? ' capital' : ''}`;
  // A full stop behind a lone capital is that of a name; behind two figures that of a time or a sum; none at all, of a count of things.
  const weak =
    close === '' || (letters !== undefined && letters === letters.toUpperCase() && !close.includes(')')) || all === '';
  return {
    kind: 'number',
    text: line.slice(all.length),
    mark: all.trim(),
    parts: Math.max(1, parts.length),
    number: parts.length > 0 ? Number(parts.at(-1)) : letterNumber(letters!),
    style: `${open}${sort}${close} ${parts.slice(0, -1).join('.')}`,
    needs: weak ? 'row' : 'first',
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

// A letter may count in either way: the ninth of the alphabet, or one in Roman numbers.
const isLetter = ({ mark }: MarkedLine): boolean => mark.replace(/[^a-z]/gi, '').length === 1;
const asLetters = (style: string): string => style.replace(/^(\(?)i/, '$1a');
const letterPlace = ({ mark }: MarkedLine): number =>
  mark
    .toLowerCase()
    .replace(/[^a-z]/g, '')
    .charCodeAt(0) - 96;

/** Members that a count without punctuation needs to be one. */
const LEAST_ROW = 3;
/** Lines between two members of a row of weak marks, at most. */
const NEAR = 12;

/**
 * The marks of lines that follow each other, decided together.
 * @param lines In their order; other lines may stand between two that are marked.
 * @param indentOf Where the text of a line stands; lines of one count stand at one place.
 * @returns The mark of each line, or undefined where what looks like one is a part of its text.
 */
export function lineMarks<L>(
  lines: readonly L[],
  textOf: (line: L) => string,
  indentOf: (line: L) => number = () => 0,
): readonly (MarkedLine | undefined)[] {
  const marks = lines.map((line) => lineMark(textOf(line)));
  const rows = new Map<string, Row>();
  const closed: Row[] = [];
  marks.forEach((mark, i) => {
    if (mark === undefined) return;
    const indent = Math.round(indentOf(lines[i]!));
    let key = `${indent} ${mark.style}`;
    let number = mark.number ?? 0;
    // `i.` behind `h.` goes on with the letters.
    const alike = isLetter(mark) ? rows.get(`${indent} ${asLetters(mark.style)}`) : undefined;
    if (alike !== undefined && alike.last + 1 === letterPlace(mark) && rows.get(key)?.last !== number - 1)
      [key, number] = [`${indent} ${asLetters(mark.style)}`, letterPlace(mark)];
    if (number !== (mark.number ?? 0)) marks[i] = { ...mark, number };
    const row = rows.get(key);
    const near = mark.needs === 'first' || i - (row?.members.at(-1) ?? i) <= NEAR;
    if (row !== undefined && near && (mark.kind === 'bullet' || row.last + 1 === number)) {
      row.members.push(i);
      row.last = number;
      return;
    }
    const begun: Row = { members: [i], last: number };
    rows.set(key, begun);
    closed.push(begun);
  });
  /** Whether a line that is surely an item stands shortly before, further out. */
  const standsBelow = (at: number): boolean => {
    for (let i = at - 1; i >= 0 && at - i <= NEAR; i--)
      if (marks[i]?.needs === 'alone') return indentOf(lines[i]!) < indentOf(lines[at]!);
    return false;
  };
  for (const { members } of closed) {
    const first = marks[members[0]!]!;
    const counts =
      first.kind === 'bullet'
        ? members.length >= 2
        : first.needs === 'row'
          ? first.number === 1 && members.length >= LEAST_ROW
          : members.length >= 2 || (first.number === 1 && /\d/.test(first.mark));
    const below = first.kind === 'bullet' && members.every((at) => standsBelow(at));
    if (!counts && !below) for (const at of members) if (marks[at]!.needs !== 'alone') marks[at] = undefined;
  }
  return marks;
}

interface Row {
  readonly members: number[];
  last: number;
}

/** `Chapter 3`, `Part II`, `Appendix B`, with or without a title behind. */
const DIVISION =
  /^(chapter|part|section|appendix|annex|lesson|unit|module|kapitel|teil|abschnitt|anhang|chapitre|partie|annexe|capítulo|parte|sección|anexo|capitolo|sezione)\s+(\d{1,3}|[ivxlc]{1,7}|[a-z])\b[.:]?/iu;

/** Whether a line names a division of a text. */
export const isDivision = (line: string): boolean => DIVISION.test(line);

/** A line without the words that number its division; `第2章` and its like too. */
export const withoutDivision = (line: string): string =>
  line
    .replace(DIVISION, '')
    .replace(/^第\s*[\d一二三四五六七八九十百]{1,5}\s*[章節节編编部条條回]\s*/u, '')
    .trim() || line;

/** Whether a line is written in capitals throughout: at least two letters, no small one. */
export function isCapitals(line: string): boolean {
  const letters = line.match(/\p{L}/gu)?.length ?? 0;
  return letters >= 2 && line === line.toUpperCase() && line !== line.toLowerCase();
}

/** Whether a line ends as sentences do. A question may be a heading. */
export const endsAsSentence = (line: string): boolean => /[.;,:!…]["”’)]?\s*$/.test(line) && !/\betc\.$/.test(line);
