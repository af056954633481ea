/** A table: rows of cells, spans as in HTML and OOXML, no cell under another. */
import { runsText, type Runs } from './run.ts';

export interface TableCell {
  /** Paragraphs of the cell are parted by `\n`. */
  readonly runs: Runs;
  readonly columns: number /* 1.. */;
  readonly rows: number /* 1.. */;
}
export interface TableRow {
  readonly cells: readonly TableCell[];
  readonly header: boolean;
}
export interface Table {
  readonly rows: readonly TableRow[];
  /** Columns of the widest row, spans counted. */
  readonly columns: number;
}

export const cellText = (cell: TableCell): string => runsText(cell.runs);

export function tableText(table: Table): string {
  return table.rows.map((row) => row.cells.map(cellText).join(' | ')).join('\n');
}

/** A cell with the grid position of its upper left corner, both 0-based. */
export interface PlacedCell {
  readonly row: number;
  readonly column: number;
  readonly cell: TableCell;
}

/** Places every cell on the grid, as HTML's table model does (HTML Standard, "Forming a table"). */
export function placeCells(rows: readonly TableRow[]): readonly PlacedCell[] {
  const taken = new Set<string>();
  const placed: PlacedCell[] = [];
  rows.forEach((row, r) => {
    let column = 0;
    for (const cell of row.cells) {
      while (taken.has(`${r} ${column}`)) column++;
      placed.push({ row: r, column, cell });
      if (cell.rows > 1)
        for (let y = r; y < Math.min(r + cell.rows, rows.length); y++)
          for (let x = column; x < column + cell.columns; x++) taken.add(`${y} ${x}`);
      column += cell.columns;
    }
  });
  return placed;
}

/** What stands in every cell, in rows of equal length; a cell that spans others is the first of them. */
export function textGrid(
  { rows, columns }: Table,
  said: (runs: Runs) => string = runsText,
): readonly (readonly string[])[] {
  const grid = rows.map(() => Array.from({ length: columns }, () => ''));
  for (const { row, column, cell } of placeCells(rows)) grid[row]![column] = said(cell.runs);
  return grid;
}

const MOST_CELLS = 200_000;

/** What is wrong with a table that was not read but written, as a sentence; undefined where nothing is. */
export function tableFault({ rows, columns }: Table): string | undefined {
  let cells = 0;
  for (const [i, row] of rows.entries()) {
    let width = 0;
    for (const cell of row.cells) {
      width += cell.columns;
      cells += cell.columns * Math.min(cell.rows, rows.length - i);
    }
    if (width > columns) return `Row ${i + 1} of a table is ${width} columns wide, and the table has ${columns}.`;
    if (cells > MOST_CELLS) return `A table has more than ${MOST_CELLS.toLocaleString('en')} cells.`;
  }
  return columns * rows.length > MOST_CELLS
    ? `A table has more than ${MOST_CELLS.toLocaleString('en')} cells.`
    : undefined;
}
