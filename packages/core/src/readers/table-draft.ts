/** Gathers a table of a word processor and resolves its merged cells (ECMA-376-1 §17.4). */
import type { Report, SourcePlace } from '../base/index.ts';
import { runsText, tableText, type TableCell, type TableRow } from '../content/index.ts';
import { cellRuns } from './cell-runs.ts';
import type { Draft } from './read-result.ts';

interface RawCell {
  readonly drafts: readonly Draft[];
  readonly column: number;
  readonly span: number;
  /** The lower part of a vertically merged cell. */
  readonly continues: boolean;
}
interface RawRow {
  readonly cells: RawCell[];
  header: boolean;
  deleted: boolean;
  nextColumn: number;
}

export class TableDraft {
  readonly place: SourcePlace;
  firstRowIsHeader = false;
  readonly #rows: RawRow[] = [];

  constructor(place: SourcePlace) {
    this.place = place;
  }

  startRow(): RawRow {
    const row: RawRow = { cells: [], header: false, deleted: false, nextColumn: 0 };
    this.#rows.push(row);
    return row;
  }

  get row(): RawRow | undefined {
    return this.#rows.at(-1);
  }

  addCell(drafts: readonly Draft[], span: number, continues: boolean): void {
    const row = this.row;
    if (row === undefined) return;
    row.cells.push({ drafts, column: row.nextColumn, span, continues });
    row.nextColumn += span;
  }

  /** The table, then what cannot stand in a cell: pictures and footnotes. A table of one cell is a box: its content comes as it is. */
  finish(report: Report): readonly Draft[] {
    for (const row of this.#rows.filter(({ deleted }) => deleted)) {
      const text = row.cells.map(({ drafts }) => runsText(cellRuns(drafts, []))).join(' ');
      if (text.trim() !== '') report.add('row-deleted', this.place, { text });
    }
    const rows = this.#rows.filter((row) => !row.deleted && row.cells.length > 0);
    const [only] = rows;
    if (rows.length === 1 && only!.cells.length === 1) return only!.cells[0]!.drafts;
    const outside: Draft[] = [];
    const finished = rows.map((row, r): TableRow => ({
      header: row.header || (r === 0 && this.firstRowIsHeader && rows.length > 1),
      cells: row.cells
        .filter((cell) => !isLower(rows, r, cell))
        .map((cell): TableCell => ({
          // What stands in the lower parts of a merged cell is not shown, yet it is text.
          runs: cellRuns([...cell.drafts, ...draftsBelow(rows, r, cell.column)], outside),
          columns: cell.span,
          rows: 1 + continuedBelow(rows, r, cell.column),
        })),
    }));
    const columns = Math.max(0, ...rows.map((row) => row.nextColumn));
    const table = { rows: finished, columns };
    return tableText(table).replaceAll(/[|\s]/g, '') === ''
      ? outside
      : [{ kind: 'table', table, place: this.place }, ...outside];
  }
}

/** Whether a cell goes on from the one above it; one that has none above stands for itself, whatever it says. */
const isLower = (rows: readonly RawRow[], at: number, { continues, column }: RawCell): boolean =>
  continues && rows[at - 1]?.cells.some((cell) => cell.column === column) === true;

const draftsBelow = (rows: readonly RawRow[], from: number, column: number): readonly Draft[] =>
  rows
    .slice(from + 1, from + 1 + continuedBelow(rows, from, column))
    .flatMap((row) => row.cells.find((cell) => cell.column === column)!.drafts);

function continuedBelow(rows: readonly RawRow[], from: number, column: number): number {
  let count = 0;
  while (rows[from + 1 + count]?.cells.some((cell) => cell.continues && cell.column === column)) count++;
  return count;
}
