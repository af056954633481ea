/** Writes the tables of a deck as values between commas (RFC 4180): one alone, or each as a file of an archive. */
import { encodeUtf8, NoSuchPart, numberedName } from '../../base/index.ts';
import { ZipWriter, type Deflate } from '../../container/index.ts';
import { runsText, textGrid } from '../../content/index.ts';
import type { Deck, TablePart } from '../../deck/index.ts';
import { deckText } from './deck-text.ts';

/** A table that is shown, drawn as a chart or not. */
export interface DeckTable {
  /** Of the slide that it stands on. */
  readonly title: string;
  /** Rows of equal length; a cell that spans others is the first of them. */
  readonly rows: readonly (readonly string[])[];
}

/** In the order of the slides, those left out that are hidden. Where a chart's numbers were written over, these. */
export const deckTables = (deck: Pick<Deck, 'slides'>): readonly DeckTable[] =>
  deckText(deck).flatMap(({ title, content }) =>
    content.flatMap((part) => (part.kind === 'table' ? [{ title: runsText(title), rows: rowsOf(part) }] : [])),
  );

function rowsOf({ table, chart }: TablePart): DeckTable['rows'] {
  const written = chart?.data ?? null;
  if (written !== null)
    return [
      ['', ...written.series.map(({ name }) => name)],
      ...written.categories.map((name, i) => [name, ...written.series.map(({ values }) => String(values[i] ?? ''))]),
    ];
  return textGrid(table);
}

/** @param only Which of them, counted from one; all in an archive where it is not said. @throws NoSuchPart. */
export function writeCsv(deck: Pick<Deck, 'slides'>, only: number | undefined, deflate?: Deflate): Uint8Array {
  const tables = deckTables(deck);
  if (only !== undefined) {
    const one = tables[only - 1];
    if (one === undefined) throw new NoSuchPart('table', only, tables.length);
    return csvOf(one.rows);
  }
  const zip = new ZipWriter(deflate);
  for (const [i, { title, rows }] of tables.entries())
    zip.add({ name: numberedName(i + 1, tables.length, title, 'csv'), content: csvOf(rows) });
  return zip.finish([]);
}

/** With a byte order mark, without which spreadsheets take UTF-8 for what their country used before it. */
const MARK = '\uFEFF';

const csvOf = (rows: DeckTable['rows']): Uint8Array =>
  encodeUtf8(MARK + rows.map((cells) => `${cells.map(field).join(',')}\r\n`).join(''));

/** What a spreadsheet would run, and not show: a sign that begins more than a number. */
const FORMULA = /^(?:[=@\t\r]|[+\u002d](?:[^\d.,\s]|.*[|!()+*/]))/s;

/** A cell as it stands in the document; one that would be run as a formula is marked as text. */
function field(value: string): string {
  const safe = FORMULA.test(value) ? `'${value}` : value;
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
}
