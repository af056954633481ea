/** Cuts parts out of a table; cells that reach over an edge are clipped, so that each part is a table by itself. */
import { placeCells, type Table, type TableCell, type TableRow } from '../content/index.ts';

interface Placed {
  readonly at: number;
  readonly cell: TableCell;
}

function tableOf(cells: readonly (readonly Placed[])[], headers: readonly boolean[], columns: number): Table {
  const rows = cells.map((row, i): TableRow => ({
    header: headers[i]!,
    cells: [...row].sort((a, b) => a.at - b.at).map(({ cell }) => cell),
  }));
  return { columns, rows };
}

/** @param rows From the first row, up to but without the second. */
export function sliceRows(table: Table, rows: readonly [number, number]): Table {
  const cells: Placed[][] = Array.from({ length: rows[1] - rows[0] }, () => []);
  for (const { row, column, cell } of placeCells(table.rows)) {
    const top = Math.max(row, rows[0]);
    const height = Math.min(row + cell.rows, rows[1]) - top;
    if (height > 0)
      cells[top - rows[0]]!.push({ at: column, cell: height === cell.rows ? cell : { ...cell, rows: height } });
  }
  return tableOf(
    cells,
    table.rows.slice(...rows).map((row) => row.header),
    table.columns,
  );
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
  const headers = table.rows.map((row) => row.header);
  return groups.map((cells, i) => tableOf(cells, headers, Math.min(most, table.columns - i * most)));
}
