/** Takes simple tables out of lines: rows that follow each other, whose segments stand in common columns. */
import { mergeRuns, trimRuns, type TableCell, type TableRow } from '../../content/index.ts';
import type { Draft } from '../read-result.ts';
import type { Line, Segment } from './lines.ts';
import { joinLines, segmentRuns, wordsOf } from './runs.ts';

const LEAST_ROWS = 2;
/** Edges of cells this far apart are one. */
const EDGE = 3; // points
const MOST_ROWS = 300;
const ROW_GAP = 3.4; // of the size

/** @returns The table that begins at `from`, and the line behind it; undefined when there is none. */
export function tableAt(
  lines: readonly Line[],
  from: number,
): { readonly drafts: readonly Draft[]; readonly end: number } | undefined {
  let end = from;
  const rows: Line[] = [];
  while (end < lines.length && rows.length < MOST_ROWS) {
    const line = lines[end]!;
    const before = rows.at(-1);
    if (
      before !== undefined &&
      (before.page !== line.page || before.y - line.y > ROW_GAP * line.size || line.y > before.y)
    )
      break;
    // A line of one segment goes on in a cell, if it does not stand where rows begin.
    if (line.segments.length < 2 && (before === undefined || line.x < rows[0]!.segments[1]!.x - 2)) break;
    rows.push(line);
    end++;
  }
  if (areTerms(rows)) return { drafts: termDrafts(rows), end };
  while (rows.length > 0 && rows.at(-1)!.segments.length < 2 && rows.length > LEAST_ROWS + 1) {
    rows.pop();
    end--;
  }
  const full = rows.filter((row) => row.segments.length >= 2);
  if (full.length < LEAST_ROWS) return undefined;
  const columns = columnsOf(full);
  if (columns.length < 2 || columns.length > 20) return undefined;
  // Most rows have most columns, or it is text with gaps.
  const cells = full.reduce((sum, row) => sum + row.segments.length, 0);
  if (cells < full.length * columns.length * 0.6) return undefined;
  if (!columns.every((column) => isAligned(full.flatMap((row) => row.segments.filter((one) => touches(one, column))))))
    return undefined;
  const made: Segment[][][] = [];
  for (const row of rows) {
    const target = row.segments.length < 2 && made.length > 0 ? made.at(-1)! : columns.map((): Segment[] => []);
    for (const segment of row.segments) target[columnOf(columns, segment)]!.push(segment);
    if (row.segments.length >= 2 || made.length === 0) made.push(target);
  }
  const headed = full[0]!.bold && !full.slice(1).every(({ bold }) => bold);
  const table = {
    columns: columns.length,
    rows: made.map((row, r): TableRow => ({
      header: r === 0 && headed,
      cells: row.map((segments): TableCell => ({
        runs: mergeRuns(
          segments.flatMap((segment, i) => [
            ...(i > 0 ? [{ text: ' ' }] : []),
            ...segmentRuns(segment, r === 0 && headed),
          ]),
        ),
        columns: 1,
        rows: 1,
      })),
    })),
  };
  return { drafts: [{ kind: 'table', table, place: { page: lines[from]!.page } }], end };
}

const LONG_TEXT = 40; // characters

/** Terms at the left, and beside them what they mean, in whole sentences over several lines. */
function areTerms(rows: readonly Line[]): boolean {
  const full = rows.filter(({ segments }) => segments.length >= 2);
  const texts = rows.map(({ segments }) => segments.at(-1)!.text);
  const long = texts.filter((text) => text.length >= LONG_TEXT).length;
  return (
    full.length >= LEAST_ROWS &&
    rows.length >= full.length * 1.5 &&
    long >= rows.length * 0.5 &&
    full.every(({ segments }) => segments.length === 2)
  );
}

function termDrafts(rows: readonly Line[]): readonly Draft[] {
  const terms: { readonly term: Segment; readonly lines: Line[] }[] = [];
  const alone = (line: Line, segment: Segment): Line => ({ ...line, segments: [segment], text: segment.text });
  for (const line of rows) {
    if (line.segments.length >= 2) terms.push({ term: line.segments[0]!, lines: [alone(line, line.segments[1]!)] });
    else terms.at(-1)?.lines.push(line);
  }
  const words = wordsOf(rows);
  return terms.flatMap(({ term, lines }): Draft[] => {
    const place = { page: lines[0]!.page };
    return [
      { kind: 'listItem', depth: 1, ordered: false, runs: trimRuns(segmentRuns(term, false)), place },
      { kind: 'paragraph', runs: trimRuns(joinLines(lines, words, false)), place },
    ];
  });
}

type Range = readonly [number, number];

/** Ranges of x that segments cover, joined where they overlap. */
function columnsOf(rows: readonly Line[]): readonly Range[] {
  const ranges = rows
    .flatMap((row) => row.segments.map(({ x, right }): [number, number] => [x, right]))
    .sort((a, b) => a[0] - b[0]);
  const columns: [number, number][] = [];
  for (const range of ranges) {
    const last = columns.at(-1);
    if (last !== undefined && range[0] <= last[1]) last[1] = Math.max(last[1], range[1]);
    else columns.push([...range]);
  }
  // A heading at the left above numbers at the right: two ranges that no row fills both are one column.
  for (let i = columns.length - 2; i >= 0; i--) {
    const both = rows.some((row) =>
      [columns[i]!, columns[i + 1]!].every((column) => row.segments.some((one) => touches(one, column))),
    );
    if (!both) columns.splice(i, 2, [columns[i]![0], columns[i + 1]![1]]);
  }
  return columns;
}

/** Cells of one column begin, end or are centred at one place; the gaps of justified text are anywhere. */
function isAligned(cells: readonly Segment[]): boolean {
  return [({ x }: Segment) => x, ({ right }: Segment) => right, ({ x, right }: Segment) => (x + right) / 2].some(
    (edge) => {
      const counts = new Map<number, number>();
      for (const cell of cells) {
        const bin = Math.round(edge(cell) / EDGE);
        for (const near of [bin, bin + 1]) counts.set(near, (counts.get(near) ?? 0) + 1);
      }
      return Math.max(...counts.values()) >= cells.length * 0.65;
    },
  );
}

const touches = ({ x, right }: Segment, [from, to]: Range): boolean => x <= to && right >= from;

function columnOf(columns: readonly Range[], { x, right }: Segment): number {
  const middle = (x + right) / 2;
  const inside = columns.findIndex(([from, to]) => middle >= from && middle <= to);
  if (inside >= 0) return inside;
  const after = columns.findIndex(([from]) => from > middle);
  return after < 0 ? columns.length - 1 : Math.max(0, after - 1);
}
