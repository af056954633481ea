/** Lists of a page as they are read, with the number of the next item. */
import { formatNumber, type NumberFormat } from '../../base/index.ts';
import { formatOfSign, formatOfStyle, itemLabel } from '../list-label.ts';
import { attribute, type Element } from './elements.ts';

export interface ListState {
  readonly ordered: boolean;
  readonly format: NumberFormat;
  readonly step: 1 | -1;
  next: number;
}
export const PLAIN_LIST: ListState = { ordered: false, format: 'decimal', step: 1, next: 1 };

/** An ordered list with its kind and start (HTML Standard, "The ol element"). */
export function listState(element: Element): ListState {
  if (element.tagName !== 'ol') return { ...PLAIN_LIST };
  const reversed = attribute(element, 'reversed') !== undefined;
  const items = element.childNodes.filter((child) => child.nodeName === 'li').length;
  const start = Number.parseInt(attribute(element, 'start') ?? '', 10);
  return {
    ordered: true,
    format: formatOfStyle(attribute(element, 'style') ?? '') ?? formatOfSign(attribute(element, 'type')),
    step: reversed ? -1 : 1,
    next: Number.isNaN(start) ? (reversed ? items : 1) : start,
  };
}

/** The number of the next item, which is counted. */
export function numbered(list: ListState): { readonly number: number; readonly label?: string } {
  const number = list.next;
  list.next += list.step;
  return { number, ...itemLabel(number, `${formatNumber(number, list.format)}.`) };
}
