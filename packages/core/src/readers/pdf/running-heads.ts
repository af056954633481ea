/** Finds what stands on page after page at the same place: running headers, running footers and page numbers. */
import { groupBy, mostCommon } from '../../base/index.ts';
import { isDivision, type LeftKind } from '../../document/index.ts';
import type { Line } from './lines.ts';

export interface PageLines {
  readonly number: number;
  readonly height: number;
  readonly lines: readonly Line[];
}

const EDGE = 3; // lines from the top and the foot
const BAND = 0.14; // of the height
const SHARE = 0.35; // of the pages
const LEAST_PAGES = 3;
/** Documents this short have a head on two pages, where the first has none. */
const SHORT_DOCUMENT = 4; // pages
/** Headings are larger than the text; heads are not. */
const LARGER = 1.12;

/** @param bodySize Size of most of the text, in points. @returns The lines that are no text, each with what it is. */
export function runningHeads(pages: readonly PageLines[], bodySize: number): ReadonlyMap<Line, LeftKind> {
  const found = new Map<Line, LeftKind>();
  const least = leastOf(pages.length);
  const edge = pages.flatMap((page) => edges(page).map((line) => ({ line, page })));
  const isHeading = ({ line }: { readonly line: Line }): boolean => line.size > bodySize * LARGER;
  // The same text at the same height.
  for (const group of groupBy(edge, ({ line, page }) => `${heightOf(line, page)} ${line.text}`).values())
    // Rows of numbers alone are rows of a table, unless they number the pages.
    if (group.length >= least && /\p{L}/u.test(group[0]!.line.text) && !group.every(isHeading))
      for (const { line } of group) found.set(line, 'running-head');
  // Texts that change with the chapter but count the pages: at one height, each with the number that its page would have.
  const numbered = edge.flatMap(({ line, page }) => {
    const number = pageNumberIn(line.text);
    return number === undefined ? [] : [{ line, page, ...number, offset: number.value - page.number }];
  });
  for (const group of groupBy(
    numbered,
    ({ line, page, offset, roman }) => `${roman} ${heightOf(line, page)} ${offset}`,
  ).values()) {
    const heads = group.filter((one) => !isHeading(one) && !(isDivision(one.line.text) && /^\p{L}+$/u.test(one.rest)));
    if (heads.length < least) continue;
    for (const { line, rest } of heads)
      if (!found.has(line)) found.set(line, rest === '' ? 'page-number' : 'running-head');
  }
  // Numbers that stand alone, wherever at the edge: those that count on with the pages.
  const lone = numbered.filter(({ rest }) => rest === '');
  for (const roman of [false, true]) {
    const some = lone.filter((one) => one.roman === roman);
    const usual = mostCommon(some, (one) => one.offset);
    for (const [offset, group] of groupBy(some, (one) => one.offset)) {
      // Two years on two pages may count on by chance; the usual ones and rows of three do not.
      const counts = group.length >= LEAST_PAGES || (offset === usual && group.length >= 2);
      for (const { line, signed } of group)
        if (!found.has(line) && (counts || (signed && offset === 0))) found.set(line, 'page-number');
    }
  }
  return found;
}

const leastOf = (pages: number): number =>
  pages <= SHORT_DOCUMENT ? Math.max(2, pages - 1) : Math.max(LEAST_PAGES, pages * SHARE);

/** Left and right pages mirror each other; half a line of difference is none. */
const heightOf = (line: Line, { height }: PageLines): number => Math.round((line.y / height) * 50);

function edges({ lines, height }: PageLines): readonly Line[] {
  const sorted = [...lines].sort((a, b) => b.y - a.y);
  return [...new Set([...sorted.slice(0, EDGE), ...sorted.slice(-EDGE)])].filter(
    (line) => line.y > height * (1 - BAND) || line.y < height * BAND,
  );
}

interface PageNumber {
  readonly value: number;
  readonly roman: boolean;
  /** What stands beside it, without signs and the words that say what it is. */
  readonly rest: string;
  /** Signs or a word beside it say that it numbers something. */
  readonly signed: boolean;
}

const ROMAN: Readonly<Record<string, number>> = { i: 1, v: 5, x: 10, l: 50, c: 100 };

/** The number at the begin or the end of a line. */
function pageNumberIn(line: string): PageNumber | undefined {
  // Behind a number may stand how many there are.
  const text = line.trim().replace(/(?<=\d)\s*(?:of|von|sur|de|\/)\s*\d{1,4}$/i, '');
  const match = AT_BEGIN.exec(text) ?? AT_END.exec(text);
  if (match === null) return undefined;
  const [, digits, roman] = match;
  const value = digits === undefined ? romanValue(roman!) : Number(digits);
  const rest = text
    .replace(digits ?? roman!, '')
    .replace(/^\W*(?:page|seite|p\.|s\.)?\W*$/iu, '')
    .trim();
  const signed = line.trim() !== (digits ?? roman);
  return { value, roman: digits === undefined, rest: /[\p{L}\p{N}]/u.test(rest) ? rest : '', signed };
}

const AT_BEGIN = /^(?:[-–—[(]\s*)?(?:(\d{1,4})|([ivxlc]{1,7}))(?=[\s\])–—-]|$)/;
const AT_END = /(?:^|[\s[(–—-])(?:(\d{1,4})|([ivxlc]{1,7}))(?:\s*[-–—\])])?$/;

function romanValue(text: string): number {
  let sum = 0;
  for (let i = 0; i < text.length; i++) {
    const value = ROMAN[text[i]!]!;
    sum += value < (ROMAN[text[i + 1] ?? ''] ?? 0) ? -value : value;
  }
  return sum;
}
