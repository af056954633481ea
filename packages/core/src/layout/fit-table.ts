/** Fits a table: column widths by content, type stepped down, then continued over pages with its head repeated. */
import { emu, emuFromPt, ptFromEmu, type Emu } from '../base/index.ts';
import { isSum, splitNumber } from '../charts/index.ts';
import {
  cellText,
  placeCells,
  runsText,
  sliceRuns,
  type Runs,
  type Table,
  type TableCell,
  type TableRow,
} from '../content/index.ts';
import { breakLines, type Line } from '../fonts/index.ts';
import type { Frame, Theme } from '../theme/index.ts';
import type { SetCell, SetLine, TableBox } from './page.ts';
import { decimalPads } from './align-decimals.ts';
import { lineHeight, measureRuns, sideOf } from './set-text.ts';
import { splitColumns } from './split-columns.ts';
import type { PartId } from '../ids/index.ts';

/** Space around the text of a cell, in points; also written into the file. */
export const CELL_PADDING = { x: 6, y: 3 };
/** More columns than these on one slide leave no room for a word. */
const MOST_COLUMNS = 12;

const PLAIN = { italic: false, mono: false };

export interface FittedTable {
  readonly size: number;
  /** Smaller than designed. */
  readonly tight: boolean;
  readonly boxes: readonly TableBox[];
}

export function fitTable(source: Table, part: PartId, frame: Frame, theme: Theme): FittedTable {
  const whole = onOneSlide(source, part, frame, theme);
  if (whole !== undefined) return whole;
  const size = theme.table.sizes.at(-1)!;
  const boxes = splitColumns(withBold(source), MOST_COLUMNS).flatMap((group) => {
    const single = withoutRowSpans(group);
    const widths = columnWidths(single, frame, theme, size);
    return pagesOf(single, widths, frame, theme, size).map((page) => setTable(page, widths, part, frame, theme, size));
  });
  return { size, tight: size < theme.table.sizes[0]!, boxes };
}

/** All of a table in one frame, at the largest size that allows it. @returns undefined where none does. */
export function onOneSlide(source: Table, part: PartId, frame: Frame, theme: Theme): FittedTable | undefined {
  if (source.columns > MOST_COLUMNS) return undefined;
  const table = withBold(source);
  const { sizes } = theme.table;
  const room = ptFromEmu(frame.height);
  const size = sizes.find((candidate) => {
    const widths = columnWidths(table, frame, theme, candidate);
    return (
      sum(rowHeights(table, widths, theme, frame, candidate)) <= room &&
      holdsWords(table, widths, frame, theme, candidate)
    );
  });
  if (size === undefined) return undefined;
  const box = setTable(table, columnWidths(table, frame, theme, size), part, frame, theme, size);
  return { size, tight: size < sizes[0]!, boxes: [box] };
}

/** Whether no column is narrower than its longest word, or the size is the least. */
function holdsWords(table: Table, widths: readonly number[], frame: Frame, theme: Theme, size: number): boolean {
  if (size <= theme.table.sizes.at(-1)!) return true;
  return placeCells(table.rows).every(({ column, cell }) => {
    const room = sum(widths.slice(column, column + cell.columns)) - 2 * CELL_PADDING.x;
    return measureRuns(cell.runs, theme, frame, PLAIN).words.every(({ width }) => width * size <= room + 0.5);
  });
}

/** Rows grow into the room that is left, small tables more than long ones. */
const FILLED = 0.62;
const MOST_GROWTH = 1.6;
const MOST_GROWTH_OF_FEW = 2.6;
const FEW_ROWS = 5;

/** Heights of rows in points, taller where there is room. */
function grown(heights: readonly number[], room: number): readonly number[] {
  const height = sum(heights);
  const most = heights.length <= FEW_ROWS ? MOST_GROWTH_OF_FEW : MOST_GROWTH;
  const factor = Math.max(1, Math.min(most, (room * FILLED) / height));
  return heights.map((row) => row * factor);
}

/** A cell over several rows cannot go over the edge of a slide: its text stays in its first row, the others get an empty cell. */
function withoutRowSpans(table: Table): Table {
  if (!table.rows.some((row) => row.cells.some((cell) => cell.rows > 1))) return table;
  const rows: { column: number; cell: TableCell }[][] = table.rows.map(() => []);
  for (const { row, column, cell } of placeCells(table.rows))
    for (let below = 0; below < cell.rows && row + below < rows.length; below++)
      rows[row + below]!.push({ column, cell: { ...cell, rows: 1, runs: below === 0 ? cell.runs : [] } });
  return {
    columns: table.columns,
    rows: table.rows.map((row, i) => ({
      header: row.header,
      cells: rows[i]!.sort((x, y) => x.column - y.column).map(({ cell }) => cell),
    })),
  };
}

/** Heads and sums stand out. */
function withBold(table: Table): Table {
  const bolds = (row: TableRow, i: number): boolean =>
    row.header || (i > 0 && row.cells.length > 1 && isSum(cellText(row.cells[0]!)));
  if (!table.rows.some(bolds)) return table;
  const bold = (row: TableRow): TableRow => ({
    ...row,
    cells: row.cells.map((cell) => ({ ...cell, runs: cell.runs.map((run) => ({ ...run, bold: true as const })) })),
  });
  return { ...table, rows: table.rows.map((row, i) => (bolds(row, i) ? bold(row) : row)) };
}

/** @param table Without cells over several rows. */
function pagesOf(table: Table, widths: readonly number[], frame: Frame, theme: Theme, size: number): readonly Table[] {
  const room = ptFromEmu(frame.height);
  let headRows = 0;
  while (headRows < table.rows.length - 1 && table.rows[headRows]!.header) headRows++;
  let head = table.rows.slice(0, headRows);
  const headHeight = sum(rowHeights({ rows: head, columns: table.columns }, widths, theme, frame, size));
  // A head that takes half the slide is not repeated.
  if (headHeight > room / 2) [head, headRows] = [[], 0];
  const headRoom = head.length === 0 ? 0 : headHeight;
  const split = splitTallRows(table, widths, frame, theme, size, room - headRoom, headRows);
  const heights = rowHeights(split, widths, theme, frame, size);
  const ends = (limit: number): readonly number[] => {
    const found: number[] = [];
    for (let from = headRows; from < split.rows.length; from = found.at(-1)!) {
      let to = from;
      let height = headRoom;
      while (to < split.rows.length && (to === from || height + heights[to]! <= limit)) height += heights[to++]!;
      found.push(to);
    }
    return found;
  };
  const { length } = ends(room);
  // As few slides as can be, and of those evenly filled ones: the least height that needs no more of them.
  let least: number = headRoom;
  let most: number = room;
  while (most - least > 1) {
    const middle = (least + most) / 2;
    if (ends(middle).length > length) least = middle;
    else most = middle;
  }
  const pages = ends(most).map((to, i, all): Table => ({
    columns: table.columns,
    rows: [...head, ...split.rows.slice(i === 0 ? headRows : all[i - 1], to)],
  }));
  return pages.length === 0 ? [table] : pages;
}

/** Divides rows that alone are taller than the room: each cell goes on where its text stopped. */
function splitTallRows(
  table: Table,
  widths: readonly number[],
  frame: Frame,
  theme: Theme,
  size: number,
  room: number,
  from: number,
): Table {
  const heights = rowHeights(table, widths, theme, frame, size);
  if (heights.every((height, i) => i < from || height <= room)) return table;
  const most = Math.max(1, Math.floor((room - 2 * CELL_PADDING.y) / (lineHeight(theme, frame, PLAIN) * size)));
  const rows = table.rows.flatMap((row, r): readonly TableRow[] => {
    if (r < from || heights[r]! <= room) return [row];
    const pieces: TableRow[] = [];
    let cells: readonly TableCell[] = row.cells;
    while (cells.some((cell) => cell.runs.length > 0)) {
      const cut = cells.map((cell, i) => cutCell(cell, widths, row, i, most, frame, theme, size));
      pieces.push({ header: row.header, cells: cut.map(([now]) => now) });
      cells = cut.map(([, later]) => later);
    }
    return pieces;
  });
  return { columns: table.columns, rows };
}

function cutCell(
  cell: TableCell,
  widths: readonly number[],
  row: TableRow,
  index: number,
  most: number,
  frame: Frame,
  theme: Theme,
  size: number,
): readonly [TableCell, TableCell] {
  const column = row.cells.slice(0, index).reduce((at, before) => at + before.columns, 0);
  const width = sum(widths.slice(column, column + cell.columns)) - 2 * CELL_PADDING.x;
  const lines = cellLines(cell.runs, width, theme, frame, size);
  if (lines.length <= most) return [cell, { ...cell, runs: [] }];
  const at = lines[most]!.start;
  return [
    { ...cell, runs: sliceRuns(cell.runs, 0, at) },
    { ...cell, runs: sliceRuns(cell.runs, at, runsText(cell.runs).length) },
  ];
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

function cellLines(runs: Runs, width: number, theme: Theme, frame: Frame, size: number): readonly Line[] {
  return breakLines(measureRuns(runs, theme, frame, PLAIN), Math.max(width, size) / size);
}

/** In points: what each column's longest line wants, held between its longest word and the room there is. */
function columnWidths(table: Table, frame: Frame, theme: Theme, size: number): readonly number[] {
  const least = new Array<number>(table.columns).fill(size);
  const wanted = new Array<number>(table.columns).fill(size);
  for (const { column, cell } of placeCells(table.rows)) {
    if (cell.columns > 1) continue;
    const { words } = measureRuns(cell.runs, theme, frame, PLAIN);
    let line = 0;
    for (const word of words) {
      least[column] = Math.max(least[column]!, word.width * size);
      line += word.width;
      wanted[column] = Math.max(wanted[column]!, line * size);
      line = word.mandatory ? 0 : line + word.space;
    }
  }
  const padding = 2 * CELL_PADDING.x;
  const room = ptFromEmu(frame.width) - padding * table.columns;
  const total = sum(wanted);
  const leastTotal = sum(least);
  const share = (i: number): number => {
    if (total <= room) return wanted[i]! + ((room - total) * wanted[i]!) / total;
    if (leastTotal >= room) return (room * least[i]!) / leastTotal;
    return least[i]! + ((room - leastTotal) * (wanted[i]! - least[i]!)) / (total - leastTotal);
  };
  return wanted.map((_, i) => share(i) + padding);
}

/** Columns that hold mostly numbers: they are compared digit by digit, and so stand at the right. */
function numberColumns(table: Table): ReadonlySet<number> {
  const counts = Array.from({ length: table.columns }, () => ({ filled: 0, numbers: 0 }));
  for (const { row, column, cell } of placeCells(table.rows)) {
    const text = cellText(cell).trim();
    if (table.rows[row]!.header || cell.columns > 1 || text === '' || column >= table.columns) continue;
    counts[column]!.filled++;
    if (splitNumber(text) !== undefined) counts[column]!.numbers++;
  }
  return new Set(
    counts.flatMap(({ filled, numbers }, i) => (i > 0 && filled > 0 && numbers >= filled * MOSTLY ? [i] : [])),
  );
}
const MOSTLY = 0.75;

function rowHeights(
  table: Table,
  widths: readonly number[],
  theme: Theme,
  frame: Frame,
  size: number,
): readonly number[] {
  const line = lineHeight(theme, frame, PLAIN) * size;
  const heights = table.rows.map(() => line + 2 * CELL_PADDING.y);
  const placed = placeCells(table.rows).map((at) => {
    const width = sum(widths.slice(at.column, at.column + at.cell.columns)) - 2 * CELL_PADDING.x;
    return {
      ...at,
      height: Math.max(1, cellLines(at.cell.runs, width, theme, frame, size).length) * line + 2 * CELL_PADDING.y,
    };
  });
  // Cells of one row first, then what cells over several rows still lack is given to their last row.
  for (const { row, cell, height } of placed) if (cell.rows === 1) heights[row] = Math.max(heights[row]!, height);
  for (const { row, cell, height } of placed) {
    const last = Math.min(row + cell.rows, table.rows.length) - 1;
    const lacking = height - sum(heights.slice(row, last + 1));
    if (lacking > 0) heights[last]! += lacking;
  }
  return heights;
}

function setTable(
  table: Table,
  widths: readonly number[],
  part: PartId,
  frame: Frame,
  theme: Theme,
  size: number,
): TableBox {
  const heights = grown(rowHeights(table, widths, theme, frame, size), ptFromEmu(frame.height));
  const right = numberColumns(table);
  const pads = decimalPads(table, right, (runs) => widthIn(runs, theme, frame) * size);
  const columnEmu = widths.map(emuFromPt);
  const rowEmu = heights.map(emuFromPt);
  const offset = (values: readonly Emu[], count: number): number =>
    values.slice(0, count).reduce((total, value) => total + value, 0);
  const line = lineHeight(theme, frame, PLAIN) * size;
  const ascent = line * 0.78;
  const cells = placeCells(table.rows).map(({ row, column, cell }): SetCell => {
    const y = frame.y + offset(rowEmu, row);
    const width = emu(offset(columnEmu, column + cell.columns) - offset(columnEmu, column));
    const before = offset(columnEmu, column);
    const x = theme.mirrored ? frame.x + frame.width - before - width : frame.x + before;
    const height = emu(offset(rowEmu, Math.min(row + cell.rows, rowEmu.length)) - offset(rowEmu, row));
    const text = ptFromEmu(width) - 2 * CELL_PADDING.x;
    const { fromRight } = sideOf(cell, theme);
    const align = fromRight || (cell.columns === 1 && right.has(column)) ? 'right' : 'left';
    const pad = align === 'right' ? (pads.get(cell.runs) ?? 0) : 0;
    const broken = cellLines(cell.runs, text, theme, frame, size);
    const over = Math.max(0, ptFromEmu(height) - 2 * CELL_PADDING.y - Math.max(1, broken.length) * line);
    const lines = broken.map((set, i): SetLine => {
      const own = Math.min(set.width * size, Math.max(text, 0));
      return {
        start: set.start,
        end: set.end,
        x: emu(x + emuFromPt(CELL_PADDING.x + (align === 'right' ? Math.max(0, text - own - pad) : 0))),
        baseline: emu(y + emuFromPt(CELL_PADDING.y + over / 2 + i * line + ascent)),
        width: emuFromPt(own),
      };
    });
    return {
      align,
      ...(pad === 0 ? {} : { pad: emuFromPt(pad) }),
      row,
      column,
      rows: cell.rows,
      columns: cell.columns,
      header: table.rows[row]!.header,
      runs: cell.runs,
      rect: { x: emu(x), y: emu(y), width, height },
      lines,
    };
  });
  return { kind: 'table', frame, part, table, size, columnWidths: columnEmu, rowHeights: rowEmu, cells };
}

/** Of a text on one line, in em. */
const widthIn = (runs: Runs, theme: Theme, frame: Frame): number =>
  measureRuns(runs, theme, frame, PLAIN).words.reduce((total, { width, space }) => total + width + space, 0);

/** Where a cell stands in its table, for how it looks. */
export function placeOf({ row, rows, header }: SetCell, { cells, rowHeights }: TableBox) {
  const goesOn = header && cells.some((cell) => cell.header && cell.row === row + rows);
  const tall = cells.some((cell) => cell.header && cell.row + cell.rows > 1);
  return { header, row, last: row + rows >= rowHeights.length, endsHead: header && !goesOn, tall };
}
