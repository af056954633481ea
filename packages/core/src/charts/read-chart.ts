/** Finds the numbers in a table, and the charts that suit them. */
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { encodeUtf8 } from '../base/index.ts';
import { cellText, placeCells, type Table } from '../content/index.ts';
import type { Chart, ChartData, ChartKind, ChartSeries, ChartSettings } from './chart.ts';
import { decimalSign, formatOf, numberValue, splitNumber, type ReadNumber } from './number-text.ts';

const LEAST_ROWS = 2;
const MOST_ROWS = 60;
const MOST_SERIES = 6;
/** Of a column's filled cells that must be numbers. */
const MOSTLY = 0.75;
const SUM_ROW = /^(total|sum|subtotal|gesamt|summe|insgesamt|totale?|somme|suma|итого|всего)\b/i;
/** Whether a row or column of this name adds up the others. */
export const isSum = (name: string): boolean => SUM_ROW.test(name.trim());
const TIME =
  /^(\D{0,12}\s)?(1[5-9]|20|21)\d\d(\b|$)|^(jan|feb|m[aä]r|apr|ma[iy]|jun|jul|aug|sep|o[ck]t|nov|de[cz])\w{0,7}\.?$|^q[1-4]\b/i;

/** A table without merged cells, as rows of text. */
function gridOf(table: Table): readonly (readonly string[])[] | undefined {
  const rows = table.rows.map(() => Array.from({ length: table.columns }, () => ''));
  for (const { row, column, cell } of placeCells(table.rows)) {
    if (cell.rows > 1 || (cell.columns > 1 && !table.rows[row]!.header)) return undefined;
    if (column < table.columns) rows[row]![column] = cellText(cell).replace(/\s+/g, ' ').trim();
  }
  return rows;
}

/** The numbers of a table: its first column names them, each other column of numbers is a series. @returns undefined where there are none to draw. */
export function readChart(table: Table, language: string | null): ChartData | undefined {
  const grid = gridOf(table);
  if (grid === undefined || table.columns < 2) return undefined;
  const headRows = Math.max(1, table.rows.filter(({ header }) => header).length);
  const firstIsHead =
    table.rows[0]?.header === true ||
    grid[0]!.slice(1).every((text) => splitNumber(text) === undefined || TIME.test(text));
  const body = (firstIsHead ? grid.slice(headRows) : grid).filter(([name = '']) => !SUM_ROW.test(name));
  if (body.length < LEAST_ROWS || body.length > MOST_ROWS) return undefined;
  const head = firstIsHead ? grid[headRows - 1]! : [];
  const columns = Array.from({ length: table.columns - 1 }, (_, i) => {
    const cells = body.map((row) => (row[i + 1] === '' ? undefined : splitNumber(row[i + 1]!)));
    const filled = body.filter((row) => row[i + 1] !== '').length;
    const read = cells.filter((cell) => cell !== undefined);
    const numeric = filled >= LEAST_ROWS && read.length / filled >= MOSTLY;
    return { name: head[i + 1] ?? '', cells, read, numeric };
  }).filter(({ numeric }) => numeric);
  if (columns.length === 0) return undefined;
  const decimal = decimalSign(
    columns.flatMap(({ read }) => read.map(({ digits }) => digits)),
    language,
  );
  // A sum beside its own parts would dwarf them.
  const parts = columns.filter(({ name }) => !SUM_ROW.test(name));
  if (parts.length >= 2) columns.splice(0, columns.length, ...parts);
  // Series of one unit stand in one chart: that of the first column, and all that agree with it.
  const unit = unitOf(columns[0]!.read);
  const alike = columns.filter(({ read }) => unitOf(read) === unit).slice(0, MOST_SERIES);
  const value = (cell: ReadNumber | undefined): number | null =>
    cell === undefined ? null : cell.value * numberValue(cell.digits, decimal);
  const series = alike.map(({ name, cells }, i): ChartSeries => ({
    name: name === '' ? `${i + 1}` : name,
    values: cells.map(value),
  }));
  if (series.every(({ values }) => values.every((one) => one === null || Number.isNaN(one)))) return undefined;
  const format = formatOf(
    alike.flatMap(({ read }) => read),
    decimal,
  );
  const inHead = alike.length === 1 && format.prefix === '' && format.suffix === '' ? headUnit(alike[0]!.name) : '';
  return {
    categories: body.map((row, i) => row[0] || `${i + 1}`),
    series,
    format:
      inHead === ''
        ? format
        : { ...format, ...(PREFIXED.test(inHead) ? { prefix: inHead } : { suffix: ` ${inHead}` }) },
  };
}

const PREFIXED = /^[£$€¥₽]$/;
/** A unit in brackets at the head of a column: `Cost (£)`, `Height [m]`. */
const headUnit = (head: string): string => /[([]\s*([^\d)\]]{1,8})\s*[)\]]\s*$/.exec(head)?.[1]?.trim() ?? '';
const unitOf = (read: readonly ReadNumber[]): string => {
  const counts = new Map<string, number>();
  for (const { prefix, suffix } of read)
    counts.set(`${prefix}|${suffix}`, (counts.get(`${prefix}|${suffix}`) ?? 0) + 1);
  return [...counts].sort(([, a], [, b]) => b - a)[0]?.[0] ?? '';
};

export interface ChartOffer {
  readonly kind: ChartKind;
  readonly reason:
    'over-time' | 'parts-of-whole' | 'few-to-compare' | 'many-or-long' | 'several-together' | 'two-measures';
}

/** Charts that suit the numbers, the best first. */
export function suggestCharts({ categories, series, format }: ChartData): readonly ChartOffer[] {
  const offers: ChartOffer[] = [];
  const add = (kind: ChartKind, reason: ChartOffer['reason']): void => {
    if (!offers.some((offer) => offer.kind === kind)) offers.push({ kind, reason });
  };
  const values = series.flatMap((one) => one.values.filter((value) => value !== null));
  const positive = values.every((value) => value >= 0);
  const overTime = categories.filter((name) => TIME.test(name)).length >= categories.length * 0.75;
  const sum = values.reduce((total, value) => total + value, 0);
  const whole = format.suffix.includes('%') && Math.abs(sum - 100) < 2;
  const long = categories.length > 8 || categories.some((name) => name.length > 16);
  if (overTime) {
    add(categories.length > 4 ? 'line' : 'column', 'over-time');
    if (positive && series.length > 1) add('stacked', 'several-together');
    if (positive) add('area', 'over-time');
  }
  if (series.length === 1 && positive && whole && categories.length <= 7) {
    add('pie', 'parts-of-whole');
    add('doughnut', 'parts-of-whole');
  }
  add(long ? 'bar' : 'column', long ? 'many-or-long' : 'few-to-compare');
  add(long ? 'column' : 'bar', 'few-to-compare');
  if (series.length > 1 && positive) add('stacked', 'several-together');
  if (series.length === 1 && positive && sum > 0 && categories.length >= 2 && categories.length <= 7) {
    add('pie', 'parts-of-whole');
    add('doughnut', 'parts-of-whole');
  }
  if (series.length === 2) add('scatter', 'two-measures');
  add('line', 'over-time');
  return offers;
}

export function usualSettings(data: ChartData, kind: ChartKind): ChartSettings {
  const single = data.series.length === 1;
  const round = kind === 'pie' || kind === 'doughnut';
  return {
    kind,
    title: null,
    acrossTitle: null,
    upTitle: null,
    legend: round ? 'right' : single ? 'none' : 'bottom',
    labels: round || data.categories.length * data.series.length <= 12,
    grid: !round,
    colors: [],
    data: null,
  };
}

/** The chart of a table as the author decided, or as suits it best. */
export function chartOf(table: Table, language: string | null, settings: ChartSettings | undefined): Chart | undefined {
  const read = readChart(table, language);
  const own = settings?.data ?? null;
  const data = own === null ? read : { categories: own.categories, series: own.series, format: read?.format ?? PLAIN };
  if (data === undefined) return undefined;
  const decided = settings ?? usualSettings(data, suggestCharts(data)[0]!.kind);
  const sum = own?.of === undefined || read === undefined ? undefined : sumOf(read);
  return {
    ...(decided.kind === 'scatter' ? pairs(data) : data),
    settings: decided,
    ...(sum === undefined || sum === own?.of ? {} : { stale: sum }),
  };
}

const SUM = 8; // bytes

/** The same for the same numbers under the same names. */
export const sumOf = ({ categories, series }: ChartData): string =>
  bytesToHex(sha256(encodeUtf8(JSON.stringify([categories, series]))).subarray(0, SUM));

const PLAIN = { decimals: 0, decimal: '.', group: '', prefix: '', suffix: '' } as const;

/** Of a scatter chart the first series says where the others stand across. */
function pairs(data: ChartData): ChartData {
  const [first, ...rest] = data.series;
  if (first === undefined || rest.length === 0) return data;
  return { ...data, series: rest.map((one) => ({ ...one, across: first.values })) };
}
