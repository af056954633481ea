/** Makes paragraphs, list items and tables of lines. */
import { groupBy, type Report } from '../../base/index.ts';
import { runsText, sliceRuns, trimRuns } from '../../content/index.ts';
import { lineMarks, type Look, type MarkedLine } from '../../document/index.ts';
import { itemNumber } from '../list-label.ts';
import type { Draft } from '../read-result.ts';
import type { Line } from './lines.ts';
import { joinLines } from './runs.ts';
import { tableAt } from './tables.ts';

export interface PdfText {
  /** Size of most of the text, in points. */
  readonly bodySize: number;
  readonly words: ReadonlySet<string>;
  /** Whether the text itself is set in type of one width, which then says nothing. */
  readonly mono: boolean;
}
/** A draft with where it begins, so that pictures find their place. */
export interface Placed {
  readonly draft: Draft;
  readonly page: number;
  readonly y: number;
}

const SIZE_STEP = 0.08;
const PARAGRAPH_GAP = 1.4; // of the usual distance of baselines
const SHORT_LINE = 0.82; // of the column

type Marks = ReadonlyMap<Line, MarkedLine>;

/** Marks of lines that stand at one place from the left are those of one list. */
const marksOf = (lines: readonly Line[]): Marks => {
  const found = lineMarks(
    lines,
    ({ text }) => text,
    ({ x }) => x / SAME_RANK,
  );
  return new Map(lines.flatMap((line, i) => (found[i] === undefined ? [] : [[line, found[i]] as const])));
};

/** @param report Is told of the marks of items. */
export function paragraphsOf(lines: readonly Line[], text: PdfText, report: Report): readonly Placed[] {
  const marks = marksOf(lines);
  const leading = usualLeading(lines);
  const rightEdge = edgesOf(lines);
  const ranks = markRanks(lines, marks);
  const placed: Placed[] = [];
  for (let i = 0; i < lines.length;) {
    const { page, y } = lines[i]!;
    const table = tableAt(lines, i);
    if (table !== undefined) {
      for (const draft of table.drafts) placed.push({ draft, page, y });
      i = table.end;
      continue;
    }
    let end = i + 1;
    while (
      end < lines.length &&
      !starts(lines, end, i, { leading, rightEdge, marks }) &&
      tableAt(lines, end) === undefined
    )
      end++;
    for (const draft of draftsOf(lines.slice(i, end), text, { ranks, marks, report })) placed.push({ draft, page, y });
    i = end;
  }
  return placed;
}

/** The usual distance of baselines in sizes of the type. */
function usualLeading(lines: readonly Line[]): number {
  const distances: number[] = [];
  for (let i = 1; i < lines.length; i++) {
    const distance = (lines[i - 1]!.y - lines[i]!.y) / lines[i]!.size;
    if (distance > 0.8 && distance < 2.5 && lines[i]!.page === lines[i - 1]!.page) distances.push(distance);
  }
  distances.sort((a, b) => a - b);
  return distances[Math.floor(distances.length / 2)] ?? 1.2;
}

/** Whether the line at `i` begins a paragraph, after one that began at `from`. */
function starts(
  lines: readonly Line[],
  i: number,
  from: number,
  { leading, rightEdge, marks }: { leading: number; rightEdge: (line: Line) => number; marks: Marks },
): boolean {
  const [line, before, first] = [lines[i]!, lines[i - 1]!, lines[from]!];
  if (Math.abs(line.size - before.size) > SIZE_STEP * before.size) return true;
  if (line.bold !== before.bold && !goesOn(before, line, leading, rightEdge)) return true;
  const ends = /[.!?:;”"’)]$/.test(before.text);
  const marked = marks.has(line);
  const inItem = marks.has(first);
  if (line.page !== before.page || line.y > before.y)
    // On over the edge of a page or column: a sentence that had not ended.
    return marked || ends || !/^[\p{Ll}\d(“"]/u.test(line.text);
  if ((before.y - line.y) / line.size > leading * PARAGRAPH_GAP) return true;
  if (marked && (inItem || ends || isShort(before) || line.x > before.x + line.size * 0.5)) return true;
  if (/\p{L}[-‐\u00ad]$/u.test(before.text)) return false;
  if (firstWordFits(before, line, rightEdge(before))) return true;
  if (inItem) return line.x < first.x - 1;
  const indented = line.x - line.column[0] > line.size * 0.7 && line.x - before.x > line.size * 0.7;
  return (indented && ends) || (ends && isShort(before));
}

/** Whether a line in another weight is in the midst of a sentence: the one before was full, and no gap parts them. */
const goesOn = (before: Line, line: Line, leading: number, rightEdge: (line: Line) => number): boolean =>
  line.page === before.page &&
  before.y > line.y &&
  (before.y - line.y) / line.size <= leading * 1.1 &&
  !/[.!?:;”"’)]$/.test(before.text) &&
  Math.abs(line.x - before.x) < line.size &&
  !firstWordFits(before, line, rightEdge(before));

/** Whether the line before had room for the first word of this one: then it was ended on purpose. */
function firstWordFits(before: Line, line: Line, edge: number): boolean {
  if (isCentred(before)) return false;
  const word = /^\S+/.exec(line.text)?.[0].length ?? 0;
  const width = ((line.right - line.x) * word) / Math.max(1, line.text.length);
  return edge - before.right > width * 1.3 + line.size * 1.5;
}

/** Where lines of one left edge and size end: where many of them end, else the column. */
function edgesOf(lines: readonly Line[]): (line: Line) => number {
  const keyOf = ({ page, x, size, column }: Line): string =>
    `${page} ${Math.round(column[0])} ${Math.round(x / 3)} ${Math.round(size)}`;
  const edges = new Map<string, { readonly at: number; readonly count: number; readonly near: number }>();
  for (const [key, group] of groupBy(lines, keyOf)) {
    const rights = group.map(({ right }) => right).sort((a, b) => a - b);
    const at = rights[Math.floor((rights.length - 1) * 0.95)]!;
    edges.set(key, { at, count: rights.length, near: rights.filter((right) => right >= at * 0.93).length });
  }
  return (line) => {
    const { at, count, near } = edges.get(keyOf(line))!;
    return count >= 4 && near >= count * 0.4 && at - line.x > 80 ? Math.min(at, line.column[1]) : line.column[1];
  };
}

const isShort = ({ right, column: [from, to] }: Line): boolean => right - from < (to - from) * SHORT_LINE;

function draftsOf(
  lines: readonly Line[],
  { bodySize, words, mono: plainMono }: PdfText,
  { ranks, marks, report }: { ranks: (line: Line) => readonly number[]; marks: Marks; report: Report },
): readonly Draft[] {
  const [first] = lines;
  const bold = lines.every((line) => line.bold);
  const place = { page: first!.page };
  if (!plainMono && lines.every(isMono)) return [{ kind: 'code', text: codeText(lines), place }];
  const runs = trimRuns(joinLines(lines, words, bold));
  const mark = marks.get(first!);
  const heading = bold || first!.size > bodySize * (1 + 2 * SIZE_STEP);
  if (mark !== undefined && !heading && (mark.kind === 'bullet' || mark.parts === 1)) {
    const ordered = mark.kind === 'number';
    const text = runsText(runs);
    const cut = first!.text.length - mark.text.length;
    report.mark(mark.mark);
    return [
      {
        kind: 'listItem',
        depth: depthOf(first!, ranks(first!)),
        ordered,
        ...itemNumber(ordered, mark.number ?? 1, mark.mark),
        runs: trimRuns(sliceRuns(runs, cut, text.length)),
        place,
      },
    ];
  }
  const look: Look = {
    size: Math.round(first!.size * 2) / 2,
    ...(bold ? { bold: true } : {}),
    ...(isCentred(first!) && lines.length < 3 ? { align: 'center' } : {}),
  };
  return [{ kind: 'paragraph', runs, place, look }];
}

export const isMono = ({ segments }: Line): boolean => segments.every(({ items }) => items.every(({ mono }) => mono));

const codeText = (lines: readonly Line[]): string => {
  const left = Math.min(...lines.map(({ x }) => x));
  return lines.map(({ text, x, size }) => ' '.repeat(Math.round((x - left) / (size * 0.6))) + text).join('\n');
};

/** Where marks begin, by page and column, from the left. */
function markRanks(lines: readonly Line[], marks: Marks): (line: Line) => readonly number[] {
  if (marks.size === 0) return () => [];
  const keyOf = ({ page, column }: Line): string => `${page} ${column[0]}`;
  const marked = groupBy(
    lines.filter((line) => marks.has(line)),
    keyOf,
  );
  const ranks = new Map<string, number[]>();
  for (const [key, some] of marked) {
    const places: number[] = [];
    for (const { x } of some) if (!places.some((place) => Math.abs(place - x) < SAME_RANK)) places.push(x);
    ranks.set(
      key,
      places.sort((a, b) => a - b),
    );
  }
  return (line) => ranks.get(keyOf(line)) ?? [];
}

const SAME_RANK = 5; // points

const depthOf = (line: Line, ranks: readonly number[]): number =>
  Math.max(1, ranks.findIndex((x) => Math.abs(x - line.x) < SAME_RANK) + 1);

function isCentred({ x, right, column: [from, to] }: Line): boolean {
  const [left, after] = [x - from, to - right];
  return left > (to - from) * 0.08 && Math.abs(left - after) < (to - from) * 0.04;
}
