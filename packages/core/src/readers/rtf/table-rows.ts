/** Gathers the rows of an RTF table, which is no more than cells one after the other and marks between them. */
import type { Report, SourcePlace } from '../../base/index.ts';
import type { Draft } from '../read-result.ts';
import { TableDraft } from '../table-draft.ts';

/** What a row's definition says of a cell: it goes on from the one before it, or from the one above. */
interface CellMerge {
  across: boolean;
  down: boolean;
}
const noMerge = (): CellMerge => ({ across: false, down: false });

export class TableRows {
  #table: TableDraft | undefined;
  /** Finished cells of the open row, and what the open cell holds so far. */
  #cells: Draft[][] = [];
  #cell: Draft[] = [];
  #merges: CellMerge[] = [];
  #merge = noMerge();
  #header = false;

  /** A control word that defines a row. @returns Whether it was one. */
  word(name: string): boolean {
    switch (name) {
      case 'trowd':
        this.#merges = [];
        this.#merge = noMerge();
        this.#header = false;
        return true;
      case 'trhdr':
        this.#header = true;
        return true;
      case 'clmrg':
        this.#merge.across = true;
        return true;
      case 'clvmrg':
        this.#merge.down = true;
        return true;
      case 'cellx':
        this.#merges.push(this.#merge);
        this.#merge = noMerge();
        return true;
      default:
        return false;
    }
  }

  add(drafts: readonly Draft[]): void {
    this.#cell.push(...drafts);
  }

  endCell(): void {
    this.#cells.push(this.#cell);
    this.#cell = [];
  }

  endRow(place: SourcePlace): void {
    if (this.#cells.length === 0) return;
    const table = (this.#table ??= new TableDraft(place));
    table.startRow().header = this.#header;
    for (let i = 0; i < this.#cells.length;) {
      let span = 1;
      while (i + span < this.#cells.length && this.#merges[i + span]?.across) span++;
      table.addCell(this.#cells.slice(i, i + span).flat(), span, this.#merges[i]?.down ?? false);
      i += span;
    }
    this.#cells = [];
  }

  /** What the table gives once it has ended; nothing where there was none. */
  take(place: SourcePlace, report: Report): readonly Draft[] {
    this.endRow(place);
    const drafts = [...(this.#table?.finish(report) ?? []), ...this.#cell];
    this.#table = undefined;
    this.#cell = [];
    return drafts;
  }
}
