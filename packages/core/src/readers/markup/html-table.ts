/** Rows and spans of HTML tables, and which of them are tables at all. */
import type { Runs, Table, TableCell, TableRow } from '../../content/index.ts';
import { attribute, isElement, type Element } from './elements.ts';

/** @param read Gives the words of a cell. */
export function tableOf(table: Element, read: (cell: Element) => Runs): Table {
  const rows: TableRow[] = [];
  for (const { row, head } of tableRows(table)) {
    const cells = row.childNodes.filter((node): node is Element => node.nodeName === 'td' || node.nodeName === 'th');
    rows.push({
      header: head || (rows.length === 0 && cells.length > 1 && cells.every((cell) => cell.tagName === 'th')),
      cells: cells.map((cell): TableCell => ({
        runs: read(cell),
        columns: span(cell, 'colspan'),
        rows: span(cell, 'rowspan'),
      })),
    });
  }
  const columns = Math.max(0, ...rows.map((row) => row.cells.reduce((sum, cell) => sum + cell.columns, 0)));
  return { rows, columns };
}

/** A table that only places things: it says so, or has one cell, or headings, other tables or whole texts in its cells. */
export function isLayout(table: Element): boolean {
  if (/^(presentation|none)$/.test(attribute(table, 'role') ?? '')) return true;
  let cells = 0;
  let headed = false;
  let longest = 0;
  for (const { row } of tableRows(table))
    for (const cell of row.childNodes) {
      if (!isElement(cell)) continue;
      cells++;
      headed ||= cell.tagName === 'th';
      longest = Math.max(longest, paragraphsIn(cell));
      if (hasParts(cell)) return true;
    }
  return cells === 1 || (!headed && longest >= LEAST_PARAGRAPHS);
}

/** Paragraphs in one cell from which on it is a column of a page. */
const LEAST_PARAGRAPHS = 3;

const paragraphsIn = (cell: Element): number =>
  cell.childNodes.reduce(
    (sum, node) =>
      !isElement(node)
        ? sum
        : node.tagName === 'p' || node.tagName === 'ul' || node.tagName === 'ol'
          ? sum + 1
          : sum + paragraphsIn(node),
    0,
  );

const hasParts = (element: Element): boolean =>
  element.childNodes.some((node) => isElement(node) && (/^(h[1-6]|table)$/.test(node.tagName) || hasParts(node)));

function* tableRows(table: Element): Generator<{ row: Element; head: boolean }> {
  for (const part of table.childNodes) {
    if (!('tagName' in part)) continue;
    if (part.tagName === 'tr') yield { row: part, head: false };
    else
      for (const row of part.childNodes) if (row.nodeName === 'tr') yield { row: row, head: part.tagName === 'thead' };
  }
}

const span = (cell: Element, name: string): number => Math.min(Math.max(1, Number(attribute(cell, name)) || 1), 100);
