/** A chart comes as the table of its numbers, under its title. */
import type { Report, SourcePlace } from '../base/index.ts';
import type { Table } from '../content/index.ts';
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
  const caption = title ?? alt;
  const drafts: readonly Draft[] = [{ kind: 'table', table, place }];
  return caption === null
    ? drafts
    : [{ kind: 'paragraph', role: 'caption', runs: [{ text: caption }], place }, ...drafts];
}
