/** Rows and spans of HTML tables, and which of them are tables at all. */
import { attribute, isElement, type Element } from './elements.ts';

/** A table that only places things: with one cell, or with headings or other tables in its cells. */
export function isLayout(table: Element): boolean {
  let cells = 0;
  for (const { row } of tableRows(table))
    for (const cell of row.childNodes) {
      if (!isElement(cell)) continue;
      cells++;
      if (hasParts(cell)) return true;
    }
  return cells === 1;
}

const hasParts = (element: Element): boolean =>
  element.childNodes.some((node) => isElement(node) && (/^(h[1-6]|table)$/.test(node.tagName) || hasParts(node)));

export function* tableRows(table: Element): Generator<{ row: Element; head: boolean }> {
  for (const part of table.childNodes) {
    if (!('tagName' in part)) continue;
    if (part.tagName === 'tr') yield { row: part, head: false };
    else
      for (const row of part.childNodes) if (row.nodeName === 'tr') yield { row: row, head: part.tagName === 'thead' };
  }
}

export const span = (cell: Element, name: string): number =>
  Math.min(Math.max(1, Number(attribute(cell, name)) || 1), 100);
