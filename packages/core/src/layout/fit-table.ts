/** Fits a table: column widths by content, type stepped down, then continued over pages with its head repeated. */
import { emu, emuFromPt, ptFromEmu, type Emu } from '../base/index.ts';
import {
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
import { lineHeight, measureRuns } from './set-text.ts';
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
  const table = withBoldHead(source);
  const groups = splitColumns(table, MOST_COLUMNS);
  const { sizes } = theme.table;
  const room = ptFromEmu(frame.height);
  // All of it on one slide if any size allows, else continued at the floor.
  const whole =
    groups.length === 1 ? sizes.find((candidate) => tableHeight(table, frame, theme, candidate) <= room) : undefined;
  const size = whole ?? sizes.at(-1)!;
  const boxes =
    whole === undefined
      ? groups.flatMap((group) => {
          const single = withoutRowSpans(group);
          const widths = columnWidths(single, frame, theme, size);
          return pagesOf(single, widths, frame, theme, size).map((page) =>
            setTable(page, widths, part, frame, theme, size),
          );
        })
      : [setTable(table, columnWidths(table, frame, theme, size), part, frame, theme, size)];
  return { size, tight: size < sizes[0]!, boxes };
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

function withBoldHead(table: Table): Table {
  if (!table.rows.some((row) => row.header)) return table;
  const bold = (row: TableRow): TableRow => ({
    ...row,
    cells: row.cells.map((cell) => ({ ...cell, runs: cell.runs.map((run) => ({ ...run, bold: true as const })) })),
  });
  return { ...table, rows: table.rows.map((row) => (row.header ? bold(row) : row)) };
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
  const pages: Table[] = [];
  let from = headRows;
  while (from < split.rows.length) {
    let to = from;
    let height = headRoom;
    while (to < split.rows.length && (to === from || height + heights[to]! <= room)) height += heights[to++]!;
    pages.push({ columns: table.columns, rows: [...head, ...split.rows.slice(from, to)] });
    from = to;
  }
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

function tableHeight(table: Table, frame: Frame, theme: Theme, size: number): number {
  return sum(rowHeights(table, columnWidths(table, frame, theme, size), theme, frame, size));
}

function setTable(
  table: Table,
  widths: readonly number[],
  part: PartId,
  frame: Frame,
  theme: Theme,
  size: number,
): TableBox {
  const heights = rowHeights(table, widths, theme, frame, size);
  const columnEmu = widths.map(emuFromPt);
  const rowEmu = heights.map(emuFromPt);
  const offset = (values: readonly Emu[], count: number): number =>
    values.slice(0, count).reduce((total, value) => total + value, 0);
  const line = lineHeight(theme, frame, PLAIN) * size;
  const ascent = line * 0.78;
  const cells = placeCells(table.rows).map(({ row, column, cell }): SetCell => {
    const x = frame.x + offset(columnEmu, column);
    const y = frame.y + offset(rowEmu, row);
    const width = emu(offset(columnEmu, column + cell.columns) - offset(columnEmu, column));
    const height = emu(offset(rowEmu, Math.min(row + cell.rows, rowEmu.length)) - offset(rowEmu, row));
    const text = ptFromEmu(width) - 2 * CELL_PADDING.x;
    const lines = cellLines(cell.runs, text, theme, frame, size).map((set, i): SetLine => ({
      start: set.start,
      end: set.end,
      x: emu(x + emuFromPt(CELL_PADDING.x)),
      baseline: emu(y + emuFromPt(CELL_PADDING.y + i * line + ascent)),
      width: emuFromPt(Math.min(set.width * size, Math.max(text, 0))),
    }));
    return {
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
