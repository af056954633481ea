/** Puts the pieces of a page together into lines, in reading order: down one column, then down the next. */
import { remembered } from '../../base/index.ts';
import type { Item, PdfPage } from './page.ts';

/** Pieces that stand side by side without a gap: a line of a column, or a cell of a table. */
export interface Segment {
  readonly items: readonly Item[];
  readonly text: string;
  readonly x: number;
  readonly right: number;
  readonly y: number;
  readonly size: number;
  readonly bold: boolean;
}
/** What stands on one baseline of one column; more than one segment where there are wide gaps. */
export interface Line {
  readonly page: number;
  readonly segments: readonly Segment[];
  readonly x: number;
  readonly right: number;
  readonly y: number;
  readonly size: number;
  readonly bold: boolean;
  readonly text: string;
  /** Left and right edge of the column. */
  readonly column: readonly [number, number];
}

const SAME_LINE = 0.4; // of the size
const GAP = 1.6; // of the size, between two segments
const SPACE = 0.18; // of the size, between two words

export function linesOf(page: PdfPage): readonly Line[] {
  const items = page.items.filter((item) => item.text.trim() !== '');
  return columnsOf(items).flatMap((column) => {
    const segments = segmentsOf(column);
    const edges = [Math.min(...segments.map(({ x }) => x)), Math.max(...segments.map(({ right }) => right))] as const;
    return byBaseline(segments).map((row) => lineOf(row, page.number, edges));
  });
}

function lineOf(segments: readonly Segment[], page: number, column: readonly [number, number]): Line {
  return {
    page,
    segments,
    x: Math.min(...segments.map(({ x }) => x)),
    right: Math.max(...segments.map(({ right }) => right)),
    y: segments[0]!.y,
    size: Math.max(...segments.map(({ size }) => size)),
    bold: segments.every(({ bold }) => bold),
    text: segments.map(({ text }) => text).join(' '),
    column,
  };
}

const rowsOf = remembered((items: readonly Item[]): readonly (readonly Item[])[] => {
  const rows: Item[][] = [];
  for (const item of [...items].sort((a, b) => b.y - a.y || a.x - b.x)) {
    const row = rows.at(-1);
    // Superscripts stand higher than their line and are smaller.
    const tolerance = SAME_LINE * Math.max(item.size, row?.[0]?.size ?? 0);
    if (row !== undefined && Math.abs(row[0]!.y - item.y) <= tolerance) row.push(item);
    else rows.push([item]);
  }
  return rows.map((row) => inReadingOrder(row));
});

const RIGHT_TO_LEFT = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufefc]/;

/** From the left, or from the right where most letters are of a script that runs so. */
function inReadingOrder<P extends { readonly x: number; readonly text: string }>(row: P[]): P[] {
  if (row.length < 2) return row;
  return row.sort(isReversed(row) ? (a, b) => b.x - a.x : (a, b) => a.x - b.x);
}

function isReversed(row: readonly { readonly text: string }[]): boolean {
  if (!row.some(({ text }) => RIGHT_TO_LEFT.test(text))) return false;
  const letters = row.flatMap(({ text }) => text.match(/\p{L}/gu) ?? []);
  return letters.filter((letter) => RIGHT_TO_LEFT.test(letter)).length > letters.length / 2;
}

const segmentsOf = (items: readonly Item[]): readonly Segment[] =>
  rowsOf(items).flatMap((row) => grouped(row, GAP).map(segmentOf));

/** Parts a row where a gap is wider than `gap` sizes. */
function grouped(row: readonly Item[], gap: number): readonly (readonly Item[])[] {
  const groups: Item[][] = [];
  for (const item of row) {
    const before = groups.at(-1)?.at(-1);
    const between = before === undefined ? Infinity : gapBetween(before, item);
    if (before !== undefined && between < gap * Math.max(item.size, before.size)) groups.at(-1)!.push(item);
    else groups.push([item]);
  }
  return groups;
}

/** In either direction. */
const gapBetween = (one: Item, other: Item): number =>
  Math.max(other.x - one.x - one.width, one.x - other.x - other.width);

function segmentOf(raw: readonly Item[]): Segment {
  const items = raw.map((item, i): Item => {
    const before = raw[i - 1];
    const gap = before === undefined ? 0 : gapBetween(before, item);
    const spaced =
      before !== undefined && (gap > SPACE * item.size || /\s$/.test(before.text) || /^\s/.test(item.text));
    return { ...item, text: (spaced ? ' ' : '') + item.text.trim().replace(/\s+/g, ' ') };
  });
  const letters = (item: Item): number => item.text.length;
  const main = raw.reduce((a, b) => (letters(b) > letters(a) ? b : a));
  return {
    items,
    text: items.map(({ text }) => text).join(''),
    x: Math.min(...raw.map(({ x }) => x)),
    right: Math.max(...raw.map(({ x, width }) => x + width)),
    y: main.y,
    size: main.size,
    bold: raw.every((item) => item.bold || !/[\p{L}\p{N}]/u.test(item.text)),
  };
}

function byBaseline(segments: readonly Segment[]): readonly (readonly Segment[])[] {
  const rows: Segment[][] = [];
  for (const segment of [...segments].sort((a, b) => b.y - a.y || a.x - b.x)) {
    const row = rows.at(-1);
    if (row !== undefined && Math.abs(row[0]!.y - segment.y) <= SAME_LINE * segment.size) row.push(segment);
    else rows.push([segment]);
  }
  return rows.map((row) => inReadingOrder(row));
}

const BIN = 1; // points
const LEAST_GUTTER = 5; // points
const LEAST_ROWS = 6;
const WORD_GAP = 0.6; // of the size

/**
 * Parts a page into columns where a gutter runs through most of it, as in the projection profiles of recursive X-Y cuts
 * (Nagy and Seth, "Hierarchical representation of optically scanned documents", 1984). What spans the gutter parts the
 * page into bands, which are read one after the other.
 */
function columnsOf(items: readonly Item[]): readonly (readonly Item[])[] {
  if (items.length === 0) return [];
  const gutter = gutterOf(items);
  if (gutter === undefined) return [items];
  const bands: { left: Item[]; right: Item[]; across: Item[] }[] = [];
  const open = (across: boolean) => {
    const last = bands.at(-1);
    if (last !== undefined && last.across.length > 0 === across) return last;
    const band = { left: [], right: [], across: [] };
    bands.push(band);
    return band;
  };
  for (const row of rowsOf(items))
    for (const group of grouped(row, WORD_GAP)) {
      const [from, to] = extent(group);
      if (to <= gutter + 1) open(false).left.push(...group);
      else if (from >= gutter - 1) open(false).right.push(...group);
      else open(true).across.push(...group);
    }
  return bands.flatMap(({ left, right, across }) => [across, left, right].filter((column) => column.length > 0));
}

const extent = (group: readonly Item[]): readonly [number, number] => [
  Math.min(...group.map(({ x }) => x)),
  Math.max(...group.map((item) => item.x + item.width)),
];

function gutterOf(items: readonly Item[]): number | undefined {
  const extents = rowsOf(items).flatMap((row) => grouped(row, WORD_GAP).map(extent));
  if (extents.length < 2 * LEAST_ROWS) return undefined;
  const from = Math.min(...extents.map(([x]) => x));
  const to = Math.max(...extents.map(([, right]) => right));
  // How many begin in a bin, less those that ended before it; then how many there are.
  const bins = new Int32Array(Math.ceil((to - from) / BIN) + 1);
  for (const [x, right] of extents) {
    bins[Math.floor((x - from) / BIN)]!++;
    const behind = Math.floor((right - from) / BIN) + 1;
    if (behind < bins.length) bins[behind]!--;
  }
  for (let i = 1; i < bins.length; i++) bins[i]! += bins[i - 1]!;
  const most = Math.max(...bins);
  let best: { at: number; width: number } | undefined;
  for (let i = Math.floor(bins.length * 0.25); i < bins.length * 0.75;) {
    let end = i;
    while (end < bins.length && bins[end]! <= most * 0.12) end++;
    const width = (end - i) * BIN;
    if (width >= LEAST_GUTTER && (best === undefined || width > best.width))
      best = { at: from + (i + end) * (BIN / 2), width };
    i = Math.max(end, i + 1);
  }
  if (best === undefined) return undefined;
  const gutter = best.at;
  const left = rowsOf(items.filter((item) => item.x + item.width <= gutter + 1));
  const right = rowsOf(items.filter((item) => item.x >= gutter - 1));
  if (left.length < LEAST_ROWS || right.length < LEAST_ROWS) return undefined;
  // The cells of a table share their baselines; columns of text do so only where both run on in one size.
  const apart = left.filter((row) => !right.some((other) => Math.abs(other[0]!.y - row[0]!.y) < 1)).length;
  return apart > left.length * 0.4 || (isProse(left) && isProse(right)) ? gutter : undefined;
}

/** Many lines of prose fill their column, and hold some words; the cells of a table do not. */
function isProse(rows: readonly (readonly Item[])[]): boolean {
  const extents = rows.map(extent);
  const width = Math.max(...extents.map(([, right]) => right)) - Math.min(...extents.map(([x]) => x));
  const full = extents.filter(([x, right]) => right - x >= width * 0.8).length;
  const letters = rows.reduce((sum, row) => sum + row.reduce((inner, item) => inner + item.text.length, 0), 0);
  return full >= rows.length * 0.25 && letters >= rows.length * 18;
}

/** Whether a piece stands above its line and is smaller: a number that refers to a note, an exponent. */
export const isRaised = (item: Item, line: { readonly size: number; readonly y: number }): boolean =>
  item.size <= line.size * 0.85 && item.y > line.y + line.size * 0.12;
