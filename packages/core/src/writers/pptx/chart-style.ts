/**
 * How a receiver dresses a chart that is changed there: by parts beside it that say what each of its elements takes of the
 * theme (chartStyle and colorStyle of MS-ODRAWXML: extensions, as ECMA-376 leaves it to the receiver).
 */
import { CHART_TYPE } from '../../scene/index.ts';
import type { ColorName } from '../../theme/index.ts';
import { schemeColor, solidFill } from './colors.ts';
import { XML } from '../opc/package.ts';
import { hundredths } from './xml.ts';

const NAMES =
  'xmlns:cs="http://schemas.microsoft.com/office/drawing/2012/chartStyle" xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main"';
const RELATION = 'http://schemas.microsoft.com/office/2011/relationships';
const TYPE = 'application/vnd.ms-office';

interface ChartStylePart {
  readonly name: string;
  readonly relation: string;
  readonly type: string;
  readonly content: string;
}

/** What an element takes: none of the theme's lines and fills, if nothing else is said, and letters of this colour. */
interface Entry {
  readonly ink?: ColorName;
  readonly size?: number;
  readonly bold?: true;
  /** Filled, or drawn, in the colour of its series. */
  readonly colored?: 'fill' | 'line';
  readonly line?: ColorName;
}
/** In the order of the schema. */
const ENTRIES: readonly (readonly [name: string, entry: Entry])[] = [
  ['axisTitle', { ink: 'muted', bold: true }],
  ['categoryAxis', { ink: 'text', line: 'muted' }],
  ['chartArea', {}],
  ['dataLabel', { ink: 'text' }],
  ['dataLabelCallout', { ink: 'text', line: 'muted' }],
  ['dataPoint', { colored: 'fill' }],
  ['dataPoint3D', { colored: 'fill' }],
  ['dataPointLine', { colored: 'line' }],
  ['dataPointMarker', { colored: 'fill' }],
  ['dataPointMarkerLayout', {}],
  ['dataPointWireframe', { colored: 'line' }],
  ['dataTable', { ink: 'text', line: 'panel' }],
  ['downBar', { line: 'muted' }],
  ['dropLine', { line: 'muted' }],
  ['errorBar', { line: 'muted' }],
  ['floor', {}],
  ['gridlineMajor', { line: 'panel' }],
  ['gridlineMinor', { line: 'panel' }],
  ['hiLoLine', { line: 'muted' }],
  ['leaderLine', { line: 'muted' }],
  ['legend', { ink: 'text' }],
  ['plotArea', {}],
  ['plotArea3D', {}],
  ['seriesAxis', { ink: 'text', line: 'muted' }],
  ['seriesLine', { line: 'muted' }],
  ['title', { ink: 'text', size: CHART_TYPE.title, bold: true }],
  ['trendline', { colored: 'line' }],
  ['trendlineLabel', { ink: 'text' }],
  ['upBar', { line: 'muted' }],
  ['valueAxis', { ink: 'muted' }],
  ['wall', {}],
];

/** In the place of a colour: that of the series. */
const SERIES = '<cs:styleClr val="auto"/>';

function entryXml(name: string, { ink = 'text', size = CHART_TYPE.text, bold, colored, line }: Entry): string {
  if (name === 'dataPointMarkerLayout') return '<cs:dataPointMarkerLayout symbol="circle" size="7"/>';
  const drawn = line === undefined ? '' : `<cs:spPr><a:ln w="9525">${solidFill(line)}</a:ln></cs:spPr>`;
  const reference = (of: string, used: boolean): string =>
    used ? `<cs:${of} idx="1">${SERIES}</cs:${of}>` : `<cs:${of} idx="0"/>`;
  return `<cs:${name}>${reference('lnRef', colored === 'line')}${reference('fillRef', colored === 'fill')}<cs:effectRef idx="0"/><cs:fontRef idx="minor">${schemeColor(ink)}</cs:fontRef>${drawn}<cs:defRPr sz="${hundredths(size)}" b="${bold === true ? 1 : 0}"/></cs:${name}>`;
}

const STYLE = `${XML}<cs:chartStyle ${NAMES} id="1">${ENTRIES.map(([name, entry]) => entryXml(name, entry)).join('')}</cs:chartStyle>`;

/** The theme's accents in their order; more series than these take them darker, then lighter. */
const COLORS = `${XML}<cs:colorStyle ${NAMES} meth="cycle" id="1">${Array.from({ length: 6 }, (_, i) => `<a:schemeClr val="accent${i + 1}"/>`).join('')}<cs:variation/><cs:variation><a:lumMod val="60000"/></cs:variation><cs:variation><a:lumMod val="60000"/><a:lumOff val="40000"/></cs:variation></cs:colorStyle>`;

/** Parts beside a chart: name, how it leads there, what it is, content. All charts dress alike. */
export const CHART_STYLES: readonly ChartStylePart[] = [
  { name: 'style', relation: `${RELATION}/chartStyle`, type: `${TYPE}.chartstyle+xml`, content: STYLE },
  { name: 'colors', relation: `${RELATION}/chartColorStyle`, type: `${TYPE}.chartcolorstyle+xml`, content: COLORS },
];
