/** Cuts a part out of a table; cells that reach over its edge are clipped, so that the part is a table by itself. */
import { placeCells, type Table, type TableCell, type TableRow } from '../content/index.ts';

/** @param columns From the first column, up to but without the second; rows likewise. */
export function sliceTable(
  table: Table,
  rows: readonly [number, number],
  columns: readonly [number, number] = [0, table.columns],
): Table {
  const out: { at: number; cell: TableCell }[][] = Array.from({ length: rows[1] - rows[0] }, () => []);
  for (const { row, column, cell } of placeCells(table.rows)) {
    const top = Math.max(row, rows[0]);
    const left = Math.max(column, columns[0]);
    const height = Math.min(row + cell.rows, rows[1]) - top;
    const width = Math.min(column + cell.columns, columns[1]) - left;
    if (height < 1 || width < 1) continue;
    const clipped = height === cell.rows && width === cell.columns ? cell : { ...cell, rows: height, columns: width };
    out[top - rows[0]]!.push({ at: left, cell: clipped });
  }
  return {
    columns: columns[1] - columns[0],
    rows: out.map((cells, i): TableRow => ({
      header: table.rows[rows[0] + i]!.header,
      cells: cells.sort((a, b) => a.at - b.at).map(({ cell }) => cell),
    })),
  };
}
