import { describe, expect, test } from '@jest/globals';
import { table } from '../test/build.ts';
import type { Table } from '../content/index.ts';
import {
  chartOf,
  decimalSign,
  formatCode,
  readChart,
  splitNumber,
  suggestCharts,
  usualSettings,
  writeNumber,
} from './index.ts';

const made = (...rows: string[][]): Table => (table(rows) as { table: Table }).table;
const PLAIN = { decimals: 0, decimal: '.', group: '', prefix: '', suffix: '' } as const;

describe('numbers', () => {
  test.each([
    ['£31,000', { value: 1, prefix: '£', suffix: '', digits: '31,000' }],
    ['−4.5 %', { value: -1, prefix: '', suffix: ' %', digits: '4.5' }],
    ['12%', { value: 1, prefix: '', suffix: '%', digits: '12' }],
    ['(250)', { value: -1, prefix: '', suffix: '', digits: '250' }],
    ['1.234,56 €', { value: 1, prefix: '', suffix: ' €', digits: '1.234,56' }],
  ])('%s', (text, read) => expect(splitNumber(text)).toEqual(read));

  test.each(['', 'none', '3 of 4', '2 to 3', '1st', 'Gate 7 and 8'])('%s is no single number', (text) =>
    expect(splitNumber(text)).toBeUndefined(),
  );

  test('the sign for decimals is found from what only one reading allows, else from the language', () => {
    expect(decimalSign(['1.234,5', '2'], 'en')).toBe(',');
    expect(decimalSign(['1,234.5'], 'de')).toBe('.');
    expect(decimalSign(['12,5', '3,25'], 'en')).toBe(',');
    expect(decimalSign(['1,234,567'], 'de')).toBe('.');
    expect(decimalSign(['31,000', '12,500'], 'en')).toBe('.');
    expect(decimalSign(['31,000', '12,500'], 'de')).toBe(',');
  });

  test('are written as they were', () => {
    const format = { ...PLAIN, decimals: 1, decimal: ',', group: '.', suffix: ' €' } as const;
    expect(writeNumber(-1234.56, format)).toBe('−1.234,6 €');
    expect(formatCode(format)).toBe('#,##0.0" €"');
  });
});

describe('reading a table', () => {
  test('first column names, the others are series; sums and words are left out', () => {
    const data = readChart(
      made(
        ['Work', 'Year 1', 'Year 2', 'Who'],
        ['Gates', '£31,000', '0', 'Ann'],
        ['Wheel', '£12,500', '£44,000', 'Bo'],
        ['Total', '£43,500', '£44,000', ''],
      ),
      'en',
    );
    expect(data).toMatchObject({
      categories: ['Gates', 'Wheel'],
      series: [{ name: 'Year 1', values: [31_000, 12_500] }],
      format: { prefix: '£', group: ',', decimals: 0 },
    });
  });

  test('decimal commas, and a unit in the head', () => {
    expect(readChart(made(['Ort', 'Höhe (m)'], ['Wehr', '3,5'], ['Rad', '4,25']), 'de')).toMatchObject({
      series: [{ values: [3.5, 4.25] }],
      format: { decimal: ',', decimals: 2, suffix: ' m' },
    });
  });

  test('a sum beside its parts is no series', () => {
    const data = readChart(
      made(['', 'Year 1', 'Year 2', 'Total'], ['Gates', '1', '2', '3'], ['Roof', '2', '2', '4']),
      'en',
    );
    expect(data!.series.map(({ name }) => name)).toEqual(['Year 1', 'Year 2']);
  });

  test('gaps stay gaps', () => {
    expect(readChart(made(['', 'a'], ['x', '1'], ['y', ''], ['z', '3']), 'en')!.series[0]!.values).toEqual([
      1,
      null,
      3,
    ]);
  });

  test.each([
    [
      'words',
      [
        ['a', 'b'],
        ['x', 'one'],
        ['y', 'two'],
      ],
    ],
    [
      'one row',
      [
        ['a', 'b'],
        ['x', '1'],
      ],
    ],
    ['one column', [['a'], ['1'], ['2']]],
  ])('%s give no chart', (_, rows) => expect(readChart(made(...rows), 'en')).toBeUndefined());
});

describe('suggestions', () => {
  const kinds = (...rows: string[][]): readonly string[] =>
    suggestCharts(readChart(made(...rows), 'en')!).map(({ kind }) => kind);
  test('time is a line, parts of a whole are a pie, many names are bars', () => {
    expect(kinds(['', 'n'], ['2021', '1'], ['2022', '2'], ['2023', '3'], ['2024', '4'], ['2025', '5'])[0]).toBe('line');
    expect(kinds(['', 'n'], ['Gates', '60 %'], ['Wheel', '40 %'])[0]).toBe('pie');
    expect(kinds(['', 'n'], ['A very long name of a work', '1'], ['Roof', '2'])[0]).toBe('bar');
    expect(kinds(['', 'n', 'm'], ['a', '1', '2'], ['b', '2', '1'])).toContain('scatter');
  });

  test('no pie of numbers below zero', () => expect(kinds(['', 'n'], ['a', '-1'], ['b', '2'])).not.toContain('pie'));
});

test('an author’s numbers stand over the table’s, and a table without numbers can have them', () => {
  const words = made(['a', 'b'], ['x', 'one'], ['y', 'two']);
  const data = { categories: ['x', 'y'], series: [{ name: 'n', values: [1, 2] }] };
  const settings = { ...usualSettings({ ...data, format: PLAIN }, 'column'), data };
  expect(chartOf(words, 'en', settings)!.series[0]!.values).toEqual([1, 2]);
  expect(chartOf(words, 'en', undefined)).toBeUndefined();
});
