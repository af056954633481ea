/** The style of a deck's tables (ECMA-376-1 §20.1.4.2), so that a table that is changed where it is received still looks like the others. */
import { xmlText } from '../../container/index.ts';
import {
  cellInk,
  cellLook,
  type CellLine,
  type CellLook,
  type ColorName,
  type Paint,
  type Theme,
} from '../../theme/index.ts';
import { paintFill, schemeColor } from './colors.ts';
import { XML } from '../opc/package.ts';
import { emuOf, guid } from './xml.ts';

/** A GUID for the way in which a theme draws tables. */
export function tableStyleId({ name, table: { lines, headColor, headText, rule, own } }: Theme): string {
  if (own !== undefined) return own.id;
  let seed = 0;
  for (const letter of `${name} ${lines} ${headColor} ${headText} ${rule}`)
    seed = (seed * 31 + letter.codePointAt(0)!) % 0x1000000;
  return guid(seed, 2);
}

const INNER = { header: false, endsHead: false, row: 1, last: false } as const;
const HEAD = { header: true, endsHead: true, row: 0, last: false } as const;

/** Which parts of the style a table turns on. */
export interface TableFlags {
  /** Its first row is a head, and the only one. */
  readonly head: boolean;
  readonly total: boolean;
}

/** How a cell looks by the style alone. @param row Counted from 0. */
export function styledLook(theme: Theme, { head }: TableFlags, row: number, last: boolean): CellLook {
  if (theme.table.own !== undefined) return cellLook(theme, { header: head && row === 0, endsHead: head, row, last });
  const inner = cellLook(theme, INNER);
  const first = row === 0;
  const isHead = head && first;
  const band = isHead || (row - (head ? 1 : 0)) % 2 === 0 ? inner : cellLook(theme, { ...INNER, row: 2 });
  const { fill, bottom } = isHead ? cellLook(theme, HEAD) : band;
  return {
    fill,
    top: first ? cellLook(theme, { ...INNER, row: 0 }).top : inner.top,
    bottom: last ? cellLook(theme, { ...INNER, last }).bottom : bottom,
    sides: inner.sides,
  };
}

/** The colour of text by the style alone. */
export const styledText = (theme: Theme, { head }: TableFlags, row: number): Paint =>
  cellInk(theme, { ...INNER, header: head && row === 0 });

export const tableStyles = (theme: Theme): string =>
  `${XML}<a:tblStyleLst xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" def="${tableStyleId(theme)}">${tableStyle(theme)}</a:tblStyleLst>`;

export function tableStyle(theme: Theme): string {
  const edge = (side: string, line: CellLine | null): string =>
    `<a:${side}>${line === null ? '<a:ln><a:noFill/></a:ln>' : `<a:ln w="${emuOf(line.width)}" cmpd="sng">${paintFill(line.color)}</a:ln>`}</a:${side}>`;
  const filled = (fill: Paint | null): string => `<a:fill>${fill === null ? '<a:noFill/>' : paintFill(fill)}</a:fill>`;
  const text = (color: ColorName, bold: boolean): string =>
    `<a:tcTxStyle${bold ? ' b="on"' : ''}><a:fontRef idx="minor"/>${schemeColor(color)}</a:tcTxStyle>`;
  const [inner, head] = [cellLook(theme, INNER), cellLook(theme, HEAD)];
  const top = cellLook(theme, { ...INNER, row: 0 }).top;
  const bottom = cellLook(theme, { ...INNER, last: true }).bottom;
  const borders = [
    edge('left', inner.sides),
    edge('right', inner.sides),
    edge('top', top),
    edge('bottom', bottom),
    edge('insideH', inner.bottom),
    edge('insideV', inner.sides),
  ].join('');
  const second = cellLook(theme, { ...INNER, row: 2 }).fill;
  const band = second === inner.fill ? '' : `<a:band2H><a:tcStyle><a:tcBdr/>${filled(second)}</a:tcStyle></a:band2H>`;
  return `<a:tblStyle styleId="${tableStyleId(theme)}" styleName="${xmlText(theme.label)}"><a:wholeTbl>${text('text', false)}<a:tcStyle><a:tcBdr>${borders}</a:tcBdr>${filled(inner.fill)}</a:tcStyle></a:wholeTbl>${band}<a:lastRow>${text('text', true)}<a:tcStyle><a:tcBdr/></a:tcStyle></a:lastRow><a:firstRow>${text(theme.table.headText, true)}<a:tcStyle><a:tcBdr>${edge('bottom', head.bottom)}</a:tcBdr>${filled(head.fill)}</a:tcStyle></a:firstRow></a:tblStyle>`;
}
