/** A native chart (ECMA-376-1 §21.2) over a workbook of its own, so that its numbers can be edited where it is received. */
import type { LanguageTag } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import {
  accentOf,
  CHART_TYPE,
  coloredByCategory,
  formatCode,
  inkWithin,
  isMirrored,
  OVERLAP_OPACITY,
  type Chart,
} from '../../scene/index.ts';
import type { ChartHand, ColorName, Palette, Theme } from '../../theme/index.ts';
import { SCHEME, solidFill } from './colors.ts';
import { XML } from '../opc/package.ts';
import { emuOf } from './xml.ts';
import { columnName } from '../slides/column-name.ts';

const NAMES =
  'xmlns:c="http://schemas.openxmlformats.org/drawingml/2006/chart" xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"';
const SHEET = 'Sheet1';

const FACES = '<a:latin typeface="+mn-lt"/><a:ea typeface="+mn-ea"/><a:cs typeface="+mn-cs"/>';

/** How words of a chart are set, in the theme's font. */
const typeIn = (language: LanguageTag, palette: Palette) => ({
  palette,
  text: (color: ColorName, size: number = CHART_TYPE.text, bold = false): string =>
    `<c:txPr><a:bodyPr/><a:lstStyle/><a:p><a:pPr><a:defRPr sz="${size * 100}" b="${bold ? 1 : 0}">${solidFill(color)}${FACES}</a:defRPr></a:pPr><a:endParaRPr lang="${language}"/></a:p></c:txPr>`,
  title: (words: string, color: ColorName, size: number): string =>
    `<c:title><c:tx><c:rich><a:bodyPr/><a:lstStyle/><a:p><a:pPr><a:defRPr sz="${size * 100}" b="1">${solidFill(color)}${FACES}</a:defRPr></a:pPr><a:r><a:rPr lang="${language}" sz="${size * 100}" b="1">${solidFill(color)}${FACES}</a:rPr><a:t>${xmlText(words)}</a:t></a:r></a:p></c:rich></c:tx><c:overlay val="0"/></c:title>`,
});
type Type = ReturnType<typeof typeIn>;

/** @param workbook Relationship id of the embedded workbook. */
export function chartPart(
  chart: Chart,
  { hand: { chart: hand }, mirrored, palette }: Theme,
  language: LanguageTag,
  workbook: string,
): string {
  const type = typeIn(language, palette);
  const { text, title } = type;
  const { settings } = chart;
  const shown = settings.title === null || settings.title === '' ? '' : title(settings.title, 'text', CHART_TYPE.title);
  const legend =
    settings.legend === 'none'
      ? ''
      : `<c:legend><c:legendPos val="${settings.legend === 'right' ? (mirrored ? 'l' : 'r') : 'b'}"/><c:overlay val="0"/>${text('text')}</c:legend>`;
  return `${XML}<c:chartSpace ${NAMES}><c:date1904 val="0"/><c:roundedCorners val="0"/><c:chart>${shown}<c:autoTitleDeleted val="${shown === '' ? 1 : 0}"/><c:plotArea><c:layout/>${plot(chart, hand, mirrored === true && isMirrored(settings.kind), type)}<c:spPr><a:noFill/></c:spPr></c:plotArea>${legend}<c:plotVisOnly val="1"/><c:dispBlanksAs val="gap"/></c:chart><c:spPr><a:noFill/><a:ln><a:noFill/></a:ln></c:spPr>${text('text')}<c:externalData r:id="${workbook}"><c:autoUpdate val="0"/></c:externalData></c:chartSpace>`;
}

const AXES = '<c:axId val="111111111"/><c:axId val="222222222"/>';

function plot(chart: Chart, hand: ChartHand, mirrored: boolean, type: Type): string {
  const { settings } = chart;
  const all = chart.series.map((_, i) => series(chart, hand, i, type)).join('');
  switch (settings.kind) {
    case 'column':
    case 'bar':
    case 'stacked': {
      const grouping = settings.kind === 'stacked' ? 'stacked' : 'clustered';
      const gap = Math.round((1 / hand.bars - 1) * 100 * (settings.kind === 'stacked' ? 1 : chart.series.length));
      const overlap = settings.kind === 'stacked' ? '<c:overlap val="100"/>' : '';
      return `<c:barChart><c:barDir val="${settings.kind === 'bar' ? 'bar' : 'col'}"/><c:grouping val="${grouping}"/><c:varyColors val="0"/>${all}<c:gapWidth val="${Math.min(500, gap)}"/>${overlap}${AXES}</c:barChart>${axes(chart, hand, mirrored, type)}`;
    }
    case 'line':
      return `<c:lineChart><c:grouping val="standard"/><c:varyColors val="0"/>${all}<c:marker val="1"/>${AXES}</c:lineChart>${axes(chart, hand, mirrored, type)}`;
    case 'area':
      return `<c:areaChart><c:grouping val="standard"/><c:varyColors val="0"/>${all}${AXES}</c:areaChart>${axes(chart, hand, mirrored, type)}`;
    case 'pie':
      return `<c:pieChart><c:varyColors val="1"/>${series(chart, hand, 0, type)}<c:firstSliceAng val="0"/></c:pieChart>`;
    case 'doughnut':
      return `<c:doughnutChart><c:varyColors val="1"/>${series(chart, hand, 0, type)}<c:firstSliceAng val="0"/><c:holeSize val="55"/></c:doughnutChart>`;
    case 'scatter':
      return `<c:scatterChart><c:scatterStyle val="lineMarker"/><c:varyColors val="0"/>${all}${AXES}</c:scatterChart>${axes(chart, hand, mirrored, type)}`;
  }
}

const DASH = {
  solid: '',
  dash: '<a:prstDash val="dash"/>',
  dot: '<a:prstDash val="sysDot"/>',
} as const satisfies Record<ChartHand['grid'], string>;

function axes(chart: Chart, { grid: kind, base }: ChartHand, mirrored: boolean, { text, title }: Type): string {
  const { settings } = chart;
  const scatter = settings.kind === 'scatter';
  const flat = settings.kind === 'bar';
  const line = `<c:spPr><a:ln w="${emuOf(base)}">${solidFill('muted')}</a:ln></c:spPr>`;
  const grid = settings.grid
    ? `<c:majorGridlines><c:spPr><a:ln w="9525">${solidFill('panel')}${DASH[kind]}</a:ln></c:spPr></c:majorGridlines>`
    : '';
  const named = (words: string | null): string => (words ? title(words, 'muted', CHART_TYPE.text) : '');
  const format = `<c:numFmt formatCode="${xmlText(formatCode(chart.format))}" sourceLinked="0"/>`;
  const value = (id: string, other: string, place: string, words: string | null, lines: string): string =>
    `<c:valAx><c:axId val="${id}"/><c:scaling><c:orientation val="${mirrored && flat ? 'maxMin' : 'minMax'}"/></c:scaling><c:delete val="0"/><c:axPos val="${place}"/>${lines}${named(words)}${format}<c:majorTickMark val="none"/><c:minorTickMark val="none"/><c:tickLblPos val="nextTo"/><c:spPr><a:ln><a:noFill/></a:ln></c:spPr>${text('muted')}<c:crossAx val="${other}"/><c:crosses val="${flat ? 'max' : 'autoZero'}"/><c:crossBetween val="${scatter ? 'midCat' : 'between'}"/></c:valAx>`;
  if (scatter)
    return (
      value('111111111', '222222222', 'b', settings.acrossTitle, '') +
      value('222222222', '111111111', 'l', settings.upTitle, grid)
    );
  // Bars read from the top down, as the table does.
  const order = flat || mirrored ? 'maxMin' : 'minMax';
  const side = mirrored ? 'r' : 'l';
  const category = `<c:catAx><c:axId val="111111111"/><c:scaling><c:orientation val="${order}"/></c:scaling><c:delete val="0"/><c:axPos val="${flat ? side : 'b'}"/>${named(settings.acrossTitle)}<c:numFmt formatCode="General" sourceLinked="0"/><c:majorTickMark val="none"/><c:minorTickMark val="none"/><c:tickLblPos val="low"/>${line}${text('text')}<c:crossAx val="222222222"/><c:crosses val="autoZero"/><c:auto val="0"/><c:lblAlgn val="ctr"/><c:lblOffset val="100"/><c:noMultiLvlLbl val="1"/></c:catAx>`;
  return category + value('222222222', '111111111', flat ? 'b' : side, settings.upTitle, grid);
}

function series(chart: Chart, { dots }: ChartHand, i: number, type: Type): string {
  const { categories, settings, format } = chart;
  const one = chart.series[i]!;
  const { kind } = settings;
  const color = `accent${accentOf(chart, i)}` as ColorName;
  const last = categories.length + 1;
  const column = columnName(i + (one.across === undefined ? 1 : 2));
  const numbers = (values: readonly (number | null)[], reference: string): string =>
    `<c:numRef><c:f>${reference}</c:f><c:numCache><c:formatCode>${xmlText(formatCode(format))}</c:formatCode><c:ptCount val="${values.length}"/>${values
      .map((value, k) => (value === null ? '' : `<c:pt idx="${k}"><c:v>${value}</c:v></c:pt>`))
      .join('')}</c:numCache></c:numRef>`;
  const name = `<c:tx><c:strRef><c:f>${SHEET}!$${column}$1</c:f><c:strCache><c:ptCount val="1"/><c:pt idx="0"><c:v>${xmlText(one.name)}</c:v></c:pt></c:strCache></c:strRef></c:tx>`;
  const names = `<c:cat><c:strRef><c:f>${SHEET}!$A$2:$A$${last}</c:f><c:strCache><c:ptCount val="${categories.length}"/>${categories
    .map((text_, k) => `<c:pt idx="${k}"><c:v>${xmlText(text_)}</c:v></c:pt>`)
    .join('')}</c:strCache></c:strRef></c:cat>`;
  const values = numbers(one.values, `${SHEET}!$${column}$2:$${column}$${last}`);
  const head = `<c:idx val="${i}"/><c:order val="${i}"/>${name}`;
  const labelled = labels(chart, type, inkWithin(chart, type.palette, i));
  if (kind === 'scatter') {
    const across = numbers(one.across ?? categories.map((_, k) => k + 1), `${SHEET}!$B$2:$B$${last}`);
    return `<c:ser>${head}<c:spPr><a:ln w="19050"><a:noFill/></a:ln></c:spPr><c:marker><c:symbol val="${dots}"/><c:size val="9"/><c:spPr>${solidFill(color)}</c:spPr></c:marker>${labelled}<c:xVal>${across}</c:xVal><c:yVal>${values}</c:yVal><c:smooth val="0"/></c:ser>`;
  }
  if (kind === 'line')
    return `<c:ser>${head}<c:spPr><a:ln w="31750" cap="rnd">${solidFill(color)}<a:round/></a:ln></c:spPr><c:marker><c:symbol val="${dots}"/><c:size val="7"/><c:spPr>${solidFill(color)}</c:spPr></c:marker>${labelled}${names}<c:val>${values}</c:val><c:smooth val="0"/></c:ser>`;
  const overlaps = kind === 'area' && chart.series.length > 1;
  const painted = overlaps
    ? `<a:solidFill><a:schemeClr val="${SCHEME[color]}"><a:alpha val="${Math.round(OVERLAP_OPACITY * 100_000)}"/></a:schemeClr></a:solidFill>`
    : solidFill(color);
  const fill = coloredByCategory(kind) ? '' : `<c:spPr>${painted}</c:spPr>`;
  const invert = kind === 'column' || kind === 'bar' || kind === 'stacked' ? '<c:invertIfNegative val="0"/>' : '';
  const pieces = coloredByCategory(kind)
    ? categories
        .map(
          (_, k) =>
            `<c:dPt><c:idx val="${k}"/><c:bubble3D val="0"/><c:spPr>${solidFill(`accent${accentOf(chart, k)}` as ColorName)}<a:ln w="19050">${solidFill('ground')}</a:ln></c:spPr></c:dPt>`,
        )
        .join('')
    : '';
  return `<c:ser>${head}${fill}${invert}${pieces}${labelled}${names}<c:val>${values}</c:val></c:ser>`;
}

function labels({ settings, format }: Chart, { text }: Type, within: ColorName): string {
  const { kind } = settings;
  const flags = (value: 0 | 1): string =>
    `<c:showLegendKey val="0"/><c:showVal val="${value}"/><c:showCatName val="0"/><c:showSerName val="0"/><c:showPercent val="0"/><c:showBubbleSize val="0"/>`;
  // Names at the dots of a scatter chart cannot be said before the second edition's extensions: the receiver shows none.
  if (!settings.labels || kind === 'area' || kind === 'scatter') return `<c:dLbls>${flags(0)}</c:dLbls>`;
  const inside = coloredByCategory(kind) || kind === 'stacked';
  const place = kind === 'doughnut' ? '' : `<c:dLblPos val="${inside ? 'ctr' : kind === 'line' ? 't' : 'outEnd'}"/>`;
  return `<c:dLbls><c:numFmt formatCode="${xmlText(formatCode(format))}" sourceLinked="0"/><c:spPr><a:noFill/></c:spPr>${text(inside ? within : 'text', CHART_TYPE.text, coloredByCategory(kind))}${place}${flags(1)}</c:dLbls>`;
}
