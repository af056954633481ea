/** Items in lists (OASIS ODF 1.3 part 3, §5.3 and §16.30). */
import { formatNumber, type NumberFormat } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import type { ItemMark } from '../../deck/index.ts';
import type { Hex } from '../../theme/index.ts';
import type { StyleSheet } from './style-sheet.ts';
import { color, element, points, type Attributes } from './xml.ts';

/** What stands before an item: its sign or number, and how far. Lengths in points. */
export interface ItemWay {
  readonly level: number;
  /** Its list level, given how far it stands in. */
  readonly label: (places: string) => string;
  readonly indent: number;
  readonly hanging: number;
  /** The number that it has, where it is counted. */
  readonly value: number | undefined;
  /** What is written out before its text, as no receiver counts so. */
  readonly written: string;
}

/** One paragraph with what its file says of it. */
export interface Written {
  readonly item: ItemWay | undefined;
  readonly xml: string;
}

/** Numbers that a receiver counts by itself (§20.260), by their sign. */
const COUNTED: readonly (readonly [sign: string, format: NumberFormat, most: number])[] = [
  ['1', 'decimal', 1_000_000],
  ['i', 'lower-roman', 3999],
  ['I', 'upper-roman', 3999],
  ['a', 'lower-letter', 26],
  ['A', 'upper-letter', 26],
];

function numberOf({ text, value }: ItemMark): Attributes | undefined {
  if (value === undefined || value < 1) return undefined;
  for (const [before, after] of AROUND)
    for (const [sign, format, most] of COUNTED)
      if (value <= most && text === `${before}${formatNumber(value, format)}${after}`)
        return {
          'style:num-prefix': before === '' ? null : before,
          'style:num-suffix': after === '' ? null : after,
          'style:num-format': sign,
        };
  return undefined;
}
const AROUND = [
  ['', '.'],
  ['', ')'],
  ['(', ')'],
  ['', ''],
] as const;

export function itemWay(
  { level, mark }: { readonly level: number; readonly mark?: ItemMark },
  { bullet, indent, hanging }: { readonly bullet: string | null; readonly indent: number; readonly hanging: number },
  ink: Hex,
): ItemWay {
  const look = element('style:text-properties', { 'fo:color': color(ink) });
  const at = { level, indent, hanging, value: undefined, written: '' };
  const signed = (sign: string): ItemWay => ({
    ...at,
    label: (places) =>
      element('text:list-level-style-bullet', { 'text:level': level, 'text:bullet-char': sign }, places + look),
  });
  const numbered = (number: Attributes) => (places: string) =>
    element('text:list-level-style-number', { 'text:level': level, ...number }, places + look);
  // Without a sign it is a number that is not shown (§20.260).
  const bare = numbered({ 'style:num-format': '' });
  if (mark === undefined) return bullet === null || bullet === '' ? { ...at, label: bare } : signed(bullet);
  if (mark.text === '') return { ...at, label: bare };
  const counted = numberOf(mark);
  if (counted !== undefined) return { ...at, value: mark.value, label: numbered(counted) };
  if (mark.value === undefined && [...mark.text].length === 1) return signed(mark.text);
  return { ...at, label: bare, written: `${xmlText(mark.text)}<text:tab/>` };
}

function listStyle({ label, indent, hanging }: ItemWay, styles: StyleSheet): string {
  const places = element('style:list-level-properties', {
    'text:space-before': points(indent - hanging),
    'text:min-label-width': points(hanging),
  });
  return styles.list(label(places));
}

/** Items in lists within lists (§5.3), one list for what is counted or marked alike. */
export function nested(written: readonly Written[], styles: StyleSheet): string {
  let xml = '';
  /** Lists that are open, from the outermost; undefined for one that is open only for those within it. */
  const open: ({ readonly style: string; next: number } | undefined)[] = [];
  const closeTo = (depth: number): void => {
    while (open.length > depth) {
      xml += '</text:list-item></text:list>';
      open.pop();
    }
  };
  for (const { item, xml: text } of written) {
    if (item === undefined) {
      closeTo(0);
      xml += text;
      continue;
    }
    const style = listStyle(item, styles);
    closeTo(item.level);
    const same = open.length === item.level && open.at(-1)?.style === style;
    if (open.length === item.level && !same) closeTo(item.level - 1);
    while (open.length < item.level - 1) {
      xml += '<text:list><text:list-item>';
      open.push(undefined);
    }
    if (same) xml += '</text:list-item>';
    else {
      xml += `<text:list text:style-name="${style}">`;
      open.push({ style, next: 1 });
    }
    const list = open.at(-1)!;
    const start = item.value === undefined || item.value === list.next ? null : item.value;
    if (item.value !== undefined) list.next = item.value + 1;
    xml += `<text:list-item${start === null ? '' : ` text:start-value="${start}"`}>${text}`;
  }
  closeTo(0);
  return xml;
}
