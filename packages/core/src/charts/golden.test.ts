/** What is read of tables that look like numbers, and which charts are offered: the golden file says it. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import type { Table } from '../content/index.ts';
import { table } from '../test/build.ts';
import { GOLDEN, holdTo, under } from '../test/golden.ts';
import { CHART_KINDS, chartOf, readChart, suggestCharts, sumOf, usualSettings } from './index.ts';

const of = (rows: readonly (readonly string[])[], header = true): Table =>
  (table(rows, header) as unknown as { readonly table: Table }).table;
const rows = (count: number, cell: (i: number) => readonly string[]): readonly (readonly string[])[] =>
  Array.from({ length: count }, (_, i) => cell(i));
const wide = (columns: number): Table =>
  of([
    ['Year', ...rows(columns, (i) => [`S${i}`]).flat()],
    ...rows(3, (i) => [`202${i}`, ...rows(columns, (k) => [`${i * k}`]).flat()]),
  ]);

const TABLES: Readonly<Record<string, Table>> = {
  years: of([
    ['Year', 'Tides'],
    ['2021', '310'],
    ['2022', '402'],
    ['2023', '515'],
  ]),
  months: of([
    ['Month', 'Spring', 'Neap'],
    ['Jan', '3.1', '1'],
    ['Feb', '', '2'],
    ['March', '5.5', '3'],
  ]),
  shares: of([
    ['Work', 'Share'],
    ['Gates', '42 %'],
    ['Wheel', '30 %'],
    ['Roof', '28 %'],
  ]),
  'shares that are no whole': of([
    ['Work', 'Share'],
    ['Gates', '42 %'],
    ['Wheel', '30 %'],
  ]),
  sums: of([
    ['Work', 'Cost'],
    ['Gates', '£31,000'],
    ['Wheel', '£44,500'],
    ['Total', '£75,500'],
  ]),
  'a column of sums': of([
    ['Work', 'Year 1', 'Year 2', 'Total'],
    ['Gates', '1', '2', '3'],
    ['Roof', '4', '5', '9'],
  ]),
  'a sum alone': of([
    ['Work', 'Total'],
    ['Gates', '3'],
    ['Roof', '9'],
  ]),
  german: of([
    ['Jahr', 'Kosten'],
    ['2021', '1.310,5 €'],
    ['2022', '2.040,75 €'],
  ]),
  negative: of([
    ['Year', 'Change'],
    ['2021', '−40'],
    ['2022', '(12)'],
    ['2023', '+7'],
  ]),
  'two units': of([
    ['Year', 'Cost', 'Share'],
    ['2021', '€ 3', '10 %'],
    ['2022', '€ 4', '20 %'],
  ]),
  'mostly numbers': of([
    ['Year', 'Tides'],
    ['2021', '3'],
    ['2022', 'none'],
    ['2023', '4'],
    ['2024', '5'],
  ]),
  'half numbers': of([
    ['Year', 'Tides'],
    ['2021', '3'],
    ['2022', 'none'],
    ['2023', '?'],
    ['2024', '5'],
  ]),
  'without a head': of(
    [
      ['2021', '3'],
      ['2022', '4'],
      ['2023', '5'],
    ],
    false,
  ),
  'a head that is not marked': of(
    [
      ['Year', 'Tides'],
      ['2021', '3'],
      ['2022', '4'],
    ],
    false,
  ),
  'years for heads': of(
    [
      ['Work', '2021', '2022'],
      ['Gates', '3', '4'],
      ['Roof', '5', '6'],
    ],
    false,
  ),
  'one row': of([
    ['Year', 'Tides'],
    ['2021', '3'],
  ]),
  words: of([
    ['Work', 'State'],
    ['Gates', 'oak'],
    ['Roof', 'slate'],
  ]),
  'long names': of([
    ['Work', 'Cost'],
    ['Sluice gates and all that belongs to them', '3'],
    ['The wheel with its shaft and pit', '4'],
  ]),
  'sixty rows': of([['Day', 'Level'], ...rows(60, (i) => [`Day ${i}`, `${i % 7}`])]),
  'sixty-one rows': of([['Day', 'Level'], ...rows(61, (i) => [`Day ${i}`, `${i % 7}`])]),
  'six series': wide(6),
  'seven series': wide(7),
  'one column': of([['Year'], ['2021'], ['2022']]),
  'two numbers': of([
    ['Head', 'Flow'],
    ['1.0', '3.2'],
    ['1.5', '4.1'],
    ['2.0', '5.6'],
  ]),
};

test('tables of all kinds', () => {
  holdTo(
    join(GOLDEN, 'charts.txt'),
    Object.entries(TABLES).flatMap(([name, one]) =>
      ['en', 'de'].flatMap((language) => {
        const data = readChart(one, language);
        if (data === undefined) return under(`${name}, ${language}`, ['no chart']);
        const usual = CHART_KINDS.map((kind) => `${kind}: ${JSON.stringify(usualSettings(data, kind))}`);
        const kept = usualSettings(data, CHART_KINDS[0]);
        const other = chartOf(one, language, { ...kept, values: 'other' } as never);
        return under(`${name}, ${language}`, [
          JSON.stringify(data),
          ...suggestCharts(data).map((offer) => `offered ${JSON.stringify(offer)}`),
          ...usual,
          `by its settings ${JSON.stringify(chartOf(one, language, kept)?.series)}, by others ${JSON.stringify(other)}`,
          `sum ${sumOf(data).slice(0, 8)}`,
        ]);
      }),
    ),
  );
});
