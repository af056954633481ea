/** Divides a wide table; cells that reach over an edge are clipped, so that each part is a table by itself. */
import { placeCells, type Table, type TableCell, type TableRow } from '../content/index.ts';

interface Placed {
  readonly at: number;
  readonly cell: TableCell;
}

/** Divides a table into tables of at most `most` columns; one that is no wider comes back as it is. */
export function splitColumns(table: Table, most: number): readonly Table[] {
  if (table.columns <= most) return [table];
  const groups = Array.from({ length: Math.ceil(table.columns / most) }, () => table.rows.map((): Placed[] => []));
  for (const { row, column, cell } of placeCells(table.rows))
    for (
      let group = Math.floor(column / most);
      group * most < column + cell.columns && group < groups.length;
      group++
    ) {
      const left = Math.max(column, group * most);
      const width = Math.min(column + cell.columns, (group + 1) * most) - left;
      groups[group]![row]!.push({ at: left, cell: width === cell.columns ? cell : { ...cell, columns: width } });
    }
  return groups.map((rows, i) => ({
    columns: Math.min(most, table.columns - i * most),
    rows: rows.map((cells, r): TableRow => ({
      header: table.rows[r]!.header,
      cells: cells.sort((a, b) => a.at - b.at).map(({ cell }) => cell),
    })),
  }));
}
