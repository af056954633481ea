/** Tables as they are read, one within another. */
import type { SourcePlace } from '../../base/index.ts';
import type { Attributes } from '../../container/index.ts';
import type { TableCell, TableRow } from '../../content/index.ts';
import { cellRuns } from '../cell-runs.ts';
import type { Draft } from '../read-result.ts';

interface Grid {
  readonly rows: { readonly header: boolean; readonly cells: TableCell[] }[];
  header: boolean;
  readonly outside: Draft[];
  readonly place: SourcePlace;
}
interface Cell {
  readonly drafts: Draft[];
  readonly columns: number;
  readonly rows: number;
  readonly repeated: number;
}

const MOST_REPEATED = 100;

export class Grids {
  readonly #open: Grid[] = [];
  readonly #cells: Cell[] = [];

  get inCell(): boolean {
    return this.#cells.length > 0;
  }

  start(place: SourcePlace): void {
    this.#open.push({ rows: [], header: false, outside: [], place });
  }

  /** Whether the rows that follow are a head. */
  header(is: boolean): void {
    const grid = this.#open.at(-1);
    if (grid !== undefined) grid.header = is;
  }

  row(): void {
    const grid = this.#open.at(-1);
    grid?.rows.push({ header: grid.header, cells: [] });
  }

  /** @returns Where the paragraphs of the cell go. */
  startCell(a: Attributes): (draft: Draft) => void {
    const drafts: Draft[] = [];
    this.#cells.push({
      drafts,
      columns: spanOf(a['table:number-columns-spanned']),
      rows: spanOf(a['table:number-rows-spanned']),
      repeated: spanOf(a['table:number-columns-repeated']),
    });
    return (draft) => drafts.push(draft);
  }

  endCell(): void {
    const cell = this.#cells.pop();
    const grid = this.#open.at(-1);
    if (cell === undefined || grid === undefined) return;
    const { columns, rows } = cell;
    const made: TableCell = { runs: cellRuns(cell.drafts, grid.outside), columns, rows };
    for (let i = 0; i < cell.repeated; i++) grid.rows.at(-1)?.cells.push(made);
  }

  /** The table that ends, and what does not fit into its cells. */
  end(): readonly Draft[] {
    const grid = this.#open.pop();
    if (grid === undefined) return [];
    const rows: TableRow[] = grid.rows.filter((row) => row.cells.length > 0);
    const columns = Math.max(0, ...rows.map((row) => row.cells.reduce((sum, cell) => sum + cell.columns, 0)));
    const worded = rows.some((row) => row.cells.some((cell) => cell.runs.length > 0));
    return [
      ...(worded ? [{ kind: 'table', table: { rows, columns }, place: grid.place } as const] : []),
      ...grid.outside,
    ];
  }
}

const spanOf = (value: string | undefined): number => Math.min(Math.max(1, Number(value ?? 1) || 1), MOST_REPEATED);
