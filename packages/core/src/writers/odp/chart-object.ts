/** A chart as a document within the presentation (OASIS ODF 1.3 part 3, §11), over a table of its own. */
import type { LanguageTag } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import {
  accentOf,
  CHART_TYPE,
  coloredByCategory,
  inkWithin,
  isMirrored,
  OVERLAP_OPACITY,
  type Chart,
  type SlideColors,
} from '../../scene/index.ts';
import type { ColorName, Hex, Theme } from '../../theme/index.ts';
import { columnName } from '../slides/column-name.ts';
import { filled, stroked } from './graphic.ts';
import { fontFaces } from './master-styles.ts';
import { fontSize, fontWeight } from '../odf/runs.ts';
import { StyleSheet } from '../odf/style-sheet.ts';
import { color, element, languageProperties, length, NS, percent, VERSION, XML, type Attributes } from '../odf/xml.ts';

const CLASSES: Readonly<Record<Chart['settings']['kind'], string>> = {
  column: 'chart:bar',
  bar: 'chart:bar',
  stacked: 'chart:bar',
  line: 'chart:line',
  area: 'chart:area',
  pie: 'chart:circle',
  doughnut: 'chart:ring',
  scatter: 'chart:scatter',
};
const TABLE = 'local-table';
const SYMBOLS = { circle: 'circle', square: 'square', diamond: 'diamond' } as const;

interface ChartPlace {
  readonly theme: Theme;
  readonly colors: SlideColors;
  readonly language: LanguageTag;
  readonly size: { readonly width: number; readonly height: number } /* EMU */;
}

export function chartPart(chart: Chart, at: ChartPlace): string {
  const { theme, colors, size } = at;
  const { settings } = chart;
  const { kind } = settings;
  const styles = new StyleSheet();
  const write = new ChartWriter(chart, at, styles);
  const words = (tag: string, text: string | null, name: ColorName, points_: number): string =>
    text === null || text === ''
      ? ''
      : element(tag, { 'chart:style-name': write.text(name, points_, true) }, element('text:p', {}, xmlText(text)));
  const legend =
    settings.legend === 'none'
      ? ''
      : element('chart:legend', {
          'chart:legend-position': settings.legend === 'right' ? (theme.mirrored ? 'start' : 'end') : 'bottom',
          'chart:style-name': write.text('text', CHART_TYPE.text),
        });
  const body = element(
    'chart:chart',
    {
      'chart:class': CLASSES[kind],
      'svg:width': length(size.width),
      'svg:height': length(size.height),
      'chart:style-name': styles.style(
        'chart',
        element('style:graphic-properties', { ...filled(null), ...stroked(null) }),
      ),
    },
    words('chart:title', settings.title, 'text', CHART_TYPE.title) + legend + write.plot(colors) + write.table(),
  );
  return `${XML}<office:document-content ${NS} office:version="${VERSION}">${fontFaces(theme)}<office:automatic-styles>${styles.xml}</office:automatic-styles><office:body><office:chart>${body}</office:chart></office:body></office:document-content>`;
}

class ChartWriter {
  readonly #chart: Chart;
  readonly #at: ChartPlace;
  readonly #styles: StyleSheet;
  /** Columns before those of the series. */
  readonly #first: number;

  constructor(chart: Chart, at: ChartPlace, styles: StyleSheet) {
    this.#chart = chart;
    this.#at = at;
    this.#styles = styles;
    this.#first = chart.settings.kind === 'scatter' ? 2 : 1;
  }

  /** A style for words. */
  text(name: ColorName, size: number, bold = false): string {
    return this.#styles.style('chart', this.#textProperties(name, size, bold));
  }

  #textProperties(name: ColorName, size: number, bold = false): string {
    const { theme, colors, language } = this.#at;
    return element('style:text-properties', {
      'fo:color': color(colors.inks[name]),
      'style:font-name': theme.fonts.body,
      ...fontSize(size),
      ...fontWeight(bold),
      ...languageProperties(language),
    });
  }

  plot(colors: SlideColors): string {
    const chart = this.#chart;
    const { settings, series, categories } = chart;
    const { kind } = settings;
    const { hand } = this.#at.theme;
    const bars = kind === 'column' || kind === 'bar' || kind === 'stacked';
    const gap = Math.round((1 / hand.chart.bars - 1) * 100 * (kind === 'stacked' ? 1 : series.length));
    const properties: Attributes = {
      'chart:vertical': kind === 'bar' ? 'true' : null,
      'chart:stacked': kind === 'stacked' ? 'true' : null,
      'chart:gap-width': bars ? Math.min(500, gap) : null,
      'chart:overlap': kind === 'stacked' ? 100 : null,
      'chart:include-hidden-cells': 'false',
      'chart:treat-empty-cells': 'leave-gap',
    };
    const style = this.#styles.style('chart', element('style:chart-properties', properties));
    const last = this.#cell(this.#first + (coloredByCategory(kind) ? 1 : series.length) - 1, categories.length);
    const shown = coloredByCategory(kind) ? series.slice(0, 1) : series;
    const inner = this.#axes() + shown.map((_, i) => this.#series(i, colors)).join('');
    return element(
      'chart:plot-area',
      {
        'chart:style-name': style,
        'table:cell-range-address': `${TABLE}.${this.#cell(0, 0)}:${TABLE}.${last}`,
        'chart:data-source-has-labels': 'both',
      },
      inner,
    );
  }

  #axes(): string {
    const { settings, categories } = this.#chart;
    const { kind } = settings;
    const { theme, colors } = this.#at;
    const flat = kind === 'bar';
    const mirrored = theme.mirrored === true && isMirrored(kind);
    const title = (text: string | null): string =>
      text === null || text === ''
        ? ''
        : element(
            'chart:title',
            { 'chart:style-name': this.text('muted', CHART_TYPE.text, true) },
            element('text:p', {}, xmlText(text)),
          );
    const round = coloredByCategory(kind);
    const axis = (properties: Attributes, paint: Attributes, ink: ColorName, data?: string): string =>
      this.#styles.style(
        'chart',
        element('style:chart-properties', {
          'chart:display-label': round ? 'false' : 'true',
          'chart:visible': round ? 'false' : 'true',
          ...properties,
        }) +
          element('style:graphic-properties', paint) +
          this.#textProperties(ink, CHART_TYPE.text),
        data === undefined ? {} : { 'style:data-style-name': data },
      );
    // Bars read from the top down, as the table does.
    const across = axis(
      {
        'chart:reverse-direction': flat || mirrored ? 'true' : 'false',
        'chart:tick-marks-major-outer': 'false',
        'chart:axis-label-position': 'outside-start',
      },
      stroked({ hex: colors.palette.muted, width: theme.hand.chart.base }),
      'text',
      kind === 'scatter' ? this.#format() : undefined,
    );
    const up = axis(
      {
        'chart:reverse-direction': mirrored && flat ? 'true' : 'false',
        'chart:tick-marks-major-outer': 'false',
        'chart:link-data-style-to-source': 'false',
        'chart:axis-position': flat || mirrored ? 'end' : 'start',
      },
      stroked(null),
      'muted',
      this.#format(),
    );
    const grid =
      settings.grid && !round
        ? element('chart:grid', {
            'chart:class': 'major',
            'chart:style-name': this.#styles.style(
              'chart',
              element('style:graphic-properties', stroked({ hex: colors.palette.panel, width: 0.75 })),
            ),
          })
        : '';
    const names = element('chart:categories', {
      'table:cell-range-address': `${TABLE}.${this.#cell(0, 1)}:${TABLE}.${this.#cell(0, categories.length)}`,
    });
    return (
      element(
        'chart:axis',
        { 'chart:dimension': 'x', 'chart:name': 'primary-x', 'chart:style-name': across },
        title(settings.acrossTitle) + (kind === 'scatter' ? '' : names),
      ) +
      element(
        'chart:axis',
        { 'chart:dimension': 'y', 'chart:name': 'primary-y', 'chart:style-name': up },
        title(settings.upTitle) + grid,
      )
    );
  }

  /** How its numbers are written (§16.29.2). */
  #format(): string {
    const { decimals, group, prefix, suffix } = this.#chart.format;
    const text = (words: string): string => (words === '' ? '' : element('number:text', {}, xmlText(words)));
    const number = element('number:number', {
      'number:decimal-places': decimals,
      'number:min-decimal-places': decimals,
      'number:min-integer-digits': 1,
      'number:grouping': group === '' ? null : 'true',
    });
    return this.#styles.number(text(prefix) + number + text(suffix));
  }

  #series(i: number, { palette }: SlideColors): string {
    const chart = this.#chart;
    const { settings, categories, series } = chart;
    const { kind } = settings;
    const accent = (k: number): Hex => palette[`accent${accentOf(chart, k)}` as ColorName];
    const { dots } = this.#at.theme.hand.chart;
    const symbol: Attributes = { 'chart:symbol-type': 'named-symbol', 'chart:symbol-name': SYMBOLS[dots] };
    const labelled = settings.labels && kind !== 'area' && kind !== 'scatter';
    const inside = coloredByCategory(kind) || kind === 'stacked';
    const label: Attributes = labelled
      ? {
          'chart:data-label-number': 'value',
          'chart:label-position': kind === 'doughnut' ? null : inside ? 'center' : kind === 'line' ? 'top' : 'outside',
          'chart:link-data-style-to-source': 'false',
        }
      : { 'chart:data-label-number': 'none' };
    const ink = inside ? inkWithin(chart, palette, i) : 'text';
    const style = (paint: Attributes, properties: Attributes = {}): string =>
      this.#styles.style(
        'chart',
        element('style:chart-properties', { ...properties, ...label }) +
          element('style:graphic-properties', paint) +
          this.#textProperties(ink, CHART_TYPE.text, coloredByCategory(kind)),
        labelled ? { 'style:data-style-name': this.#format() } : {},
      );
    const overlaps = kind === 'area' && series.length > 1;
    const own =
      kind === 'line'
        ? style({ ...stroked({ hex: accent(i), width: 2.5 }), ...filled(accent(i)) }, symbol)
        : kind === 'scatter'
          ? style(
              { ...stroked(null), ...filled(accent(i)) },
              { ...symbol, 'chart:symbol-width': '9pt', 'chart:symbol-height': '9pt', 'chart:lines': 'false' },
            )
          : style({
              ...stroked(null),
              ...filled(accent(i)),
              'draw:opacity': overlaps ? percent(OVERLAP_OPACITY) : null,
            });
    const column = this.#first + i;
    const pieces = coloredByCategory(kind)
      ? categories.map((_, k) =>
          element('chart:data-point', {
            'chart:style-name': style({ ...filled(accent(k)), ...stroked({ hex: palette.ground, width: 1.5 }) }),
          }),
        )
      : [];
    const domain =
      kind === 'scatter' && i === 0
        ? element('chart:domain', {
            'table:cell-range-address': `${TABLE}.${this.#cell(1, 1)}:${TABLE}.${this.#cell(1, categories.length)}`,
          })
        : '';
    return element(
      'chart:series',
      {
        'chart:style-name': own,
        'chart:values-cell-range-address': `${TABLE}.${this.#cell(column, 1)}:${TABLE}.${this.#cell(column, categories.length)}`,
        'chart:label-cell-address': `${TABLE}.${this.#cell(column, 0)}`,
        'chart:class': CLASSES[kind],
      },
      domain + pieces.join(''),
    );
  }

  /** The numbers, names of categories in the first column and of series in the first row. */
  table(): string {
    const { categories, series, settings } = this.#chart;
    const words = (text: string): string =>
      element('table:table-cell', { 'office:value-type': 'string' }, element('text:p', {}, xmlText(text)));
    const number = (value: number | null): string =>
      value === null
        ? '<table:table-cell/>'
        : element(
            'table:table-cell',
            { 'office:value-type': 'float', 'office:value': value },
            element('text:p', {}, String(value)),
          );
    const scatter = settings.kind === 'scatter';
    const across = (k: number): number | null =>
      series[0]?.across?.[k] ?? (series[0]?.across === undefined ? k + 1 : null);
    const head = [
      words(''),
      ...(scatter ? [words(settings.acrossTitle ?? '')] : []),
      ...series.map(({ name }) => words(name)),
    ];
    const rows = categories.map((category, k) => {
      const cells = [
        words(category),
        ...(scatter ? [number(across(k))] : []),
        ...series.map(({ values }) => number(values[k] ?? null)),
      ];
      return element('table:table-row', {}, cells.join(''));
    });
    return element(
      'table:table',
      { 'table:name': TABLE },
      `<table:table-header-columns><table:table-column/></table:table-header-columns>${element('table:table-columns', {}, element('table:table-column', { 'table:number-columns-repeated': head.length - 1 }))}<table:table-header-rows><table:table-row>${head.join('')}</table:table-row></table:table-header-rows>${element('table:table-rows', {}, rows.join(''))}`,
    );
  }

  /** The address of a cell of its table (§18.3.5). */
  #cell(column: number, row: number): string {
    return `$${columnName(column)}$${row + 1}`;
  }
}
