/** A chart comes as the table of its numbers, under its title. */
import type { Report, SourcePlace } from '../base/index.ts';
import { cellText, type Table } from '../content/index.ts';
import type { Draft } from './read-result.ts';

export interface ChartNumbers {
  readonly title: string | null;
  readonly table: Table;
}

export function chartDrafts(
  { title, table }: ChartNumbers,
  alt: string | null,
  place: SourcePlace,
  report: Report,
): readonly Draft[] {
  report.add('chart-as-table', place);
  const says = alt !== null && saysNumbers(alt, table);
  // It is text of the file all the same.
  if (says) report.mark(alt);
  const caption = title ?? (says ? null : alt);
  const drafts: readonly Draft[] = [{ kind: 'table', table, place }];
  return caption === null
    ? drafts
    : [{ kind: 'paragraph', role: 'caption', runs: [{ text: caption }], place }, ...drafts];
}

/** Of a description's words, so many are the chart's own where it only says its numbers, which would stand there twice. */
const MOSTLY = 0.8;

/** Whether a description, behind what it calls the chart, tells the numbers of its table. */
function saysNumbers(alt: string, { rows }: Table): boolean {
  const own = new Set(rows.flatMap(({ cells }) => cells.flatMap((cell) => tokensOf(cellText(cell)))));
  const said = tokensOf(alt.slice(alt.indexOf(': ') + 1));
  const known = said.filter((token) => own.has(token));
  return known.filter((token) => /\d/.test(token)).length > 1 && known.length >= said.length * MOSTLY;
}

/** Words, and numbers without the signs between their digits. */
const tokensOf = (text: string): readonly string[] =>
  text
    .toLowerCase()
    .replace(/(?<=\d)[.,\s’'](?=\d)/gu, '')
    .match(/\p{L}+|\d+/gu) ?? [];
