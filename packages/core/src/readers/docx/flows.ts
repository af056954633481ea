/** Places that hold paragraphs, one within another: the body, cells, text boxes. */
import type { Report } from '../../base/index.ts';
import type { Draft } from '../read-result.ts';
import type { TableDraft } from '../table-draft.ts';
import type { ParagraphDraft } from './paragraph.ts';

/** A place that holds paragraphs: the body, a cell, a text box, a note. */
export interface Flow {
  readonly out: (draft: Draft) => void;
  paragraph: ParagraphDraft | undefined;
  table: TableDraft | undefined;
}
interface Cell {
  readonly drafts: Draft[];
  span: number;
  continues: boolean;
  readonly outer: Flow;
}

const MOST_COLUMNS = 100;

export class Flows {
  #now: Flow;
  readonly #boxes: Flow[] = [];
  readonly #cells: Cell[] = [];
  readonly #report: Report;

  constructor(out: (draft: Draft) => void, report: Report) {
    this.#now = begun(out);
    this.#report = report;
  }

  get now(): Flow {
    return this.#now;
  }

  get inCell(): boolean {
    return this.#cells.length > 0;
  }

  startCell(): void {
    const drafts: Draft[] = [];
    this.#cells.push({ drafts, span: 1, continues: false, outer: this.#now });
    this.#now = begun((draft) => drafts.push(draft));
  }

  spanCell(columns: number): void {
    const cell = this.#cells.at(-1);
    if (cell !== undefined) cell.span = Math.min(Math.max(1, columns || 1), MOST_COLUMNS);
  }

  /** It goes on with the cell above it. */
  continueCell(is: boolean): void {
    const cell = this.#cells.at(-1);
    if (cell !== undefined) cell.continues = is;
  }

  endCell(): void {
    const cell = this.#cells.pop();
    if (cell === undefined) return;
    this.#now = cell.outer;
    this.#now.table?.addCell(cell.drafts, cell.span, cell.continues);
  }

  endTable(): void {
    const { table } = this.#now;
    if (table === undefined) return;
    for (const draft of table.finish(this.#report)) {
      if (draft.kind === 'table' && this.inCell) this.#report.add('table-flattened', table.place);
      this.#now.out(draft);
    }
    this.#now.table = undefined;
  }

  /** A text box, whose paragraphs come after the one that it hangs on. */
  startBox(): void {
    const host = this.#now.paragraph;
    const out = host === undefined ? this.#now.out : (draft: Draft) => host.after.push(draft);
    this.#boxes.push(this.#now);
    this.#now = begun(out);
  }

  endBox(): void {
    this.#now = this.#boxes.pop() ?? this.#now;
  }
}

const begun = (out: Flow['out']): Flow => ({ out, paragraph: undefined, table: undefined });
