/** Charts: the numbers of a table, and how they are drawn. */
import type { NumberFormat } from './number-text.ts';

export const CHART_KINDS = ['column', 'bar', 'stacked', 'line', 'area', 'pie', 'doughnut', 'scatter'] as const;
export type ChartKind = (typeof CHART_KINDS)[number];

export interface ChartSeries {
  readonly name: string;
  /** One for each category; null where the table has none. */
  readonly values: readonly (number | null)[];
  /** Of a scatter chart: where each value stands across. */
  readonly across?: readonly (number | null)[];
}
export interface ChartData {
  readonly categories: readonly string[];
  readonly series: readonly ChartSeries[];
  readonly format: NumberFormat;
}

export type LegendPlace = 'none' | 'bottom' | 'right';

/** What the author decided of a chart; null is as the table says. */
export interface ChartSettings {
  readonly kind: ChartKind;
  readonly title: string | null;
  readonly acrossTitle: string | null;
  readonly upTitle: string | null;
  readonly legend: LegendPlace;
  /** Numbers at the bars, points or pieces. */
  readonly labels: boolean;
  readonly grid: boolean;
  /** Which accent each series has, 1 to 6; a series beyond the list has the next one. */
  readonly colors: readonly number[];
  /** Numbers that were written over those of the table, and a sum of what these were then (`sumOf`). */
  readonly data: {
    readonly categories: readonly string[];
    readonly series: readonly ChartSeries[];
    readonly of?: string;
  } | null;
}

export interface Chart extends ChartData {
  readonly settings: ChartSettings;
  /** The table has other numbers than when the author wrote these over them: what its sum is now. */
  readonly stale?: string;
}

export const accentOf = ({ settings }: Chart, i: number): number => settings.colors[i] ?? (i % 6) + 1;

/** Charts that are read along their categories begin at the right where text does; a circle and a field of dots stay. */
export const isMirrored = (kind: ChartKind): boolean => !coloredByCategory(kind) && kind !== 'scatter';
/** Pieces of a whole have each a colour of their own. */
export const coloredByCategory = (kind: ChartKind): boolean => kind === 'pie' || kind === 'doughnut';
