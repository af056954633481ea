/** Reads from the style attribute and other traces of a word processor or browser what plain elements do not say. */
import type { Level } from '../../document/index.ts';
import { styleUse, type StyleUse } from '../style-names.ts';
import { attribute, type Element } from './elements.ts';

export interface InlineStyle {
  readonly size: number | undefined /* points */;
  readonly bold: boolean | undefined;
  readonly italic: boolean | undefined;
  readonly strike: boolean;
  readonly mono: boolean;
  readonly align: 'center' | 'right' | undefined;
  readonly indent: number /* points */;
  readonly hidden: boolean;
  /** As its attributes and style say, in points. */
  readonly width: number | undefined;
  readonly height: number | undefined;
  /** A heading or a title by its outline level, role or class. */
  readonly use: StyleUse | undefined;
  /** 1-based, of a paragraph that says it is a list item. */
  readonly listLevel: number | undefined;
}

const PLAIN: InlineStyle = {
  size: undefined,
  bold: undefined,
  italic: undefined,
  strike: false,
  mono: false,
  align: undefined,
  indent: 0,
  hidden: false,
  width: undefined,
  height: undefined,
  use: undefined,
  listLevel: undefined,
};

/** Sizes of the font element, 1 to 7, in points (HTML Standard, "Rendering"). */
const FONT_SIZES = [7.5, 10, 12, 13.5, 18, 24, 36];

export function inlineStyle(element: Element): InlineStyle {
  if (element.attrs.length === 0) return PLAIN;
  const declared = new Map<string, string>();
  for (const part of (attribute(element, 'style') ?? '').split(';')) {
    const colon = part.indexOf(':');
    if (colon > 0)
      declared.set(
        part.slice(0, colon).trim().toLowerCase(),
        part
          .slice(colon + 1)
          .trim()
          .toLowerCase(),
      );
  }
  const weight = declared.get('font-weight');
  const slant = declared.get('font-style');
  const align = declared.get('text-align') ?? attribute(element, 'align')?.toLowerCase();
  const fontSize = element.tagName === 'font' ? FONT_SIZES[Number(attribute(element, 'size')) - 1] : undefined;
  return {
    size: lengthOf(declared.get('font-size')) ?? fontSize,
    bold: weight === undefined ? undefined : weight.startsWith('bold') || Number(weight) >= 600,
    italic: slant === undefined ? undefined : slant === 'italic' || slant === 'oblique',
    strike: /line-through/.test(declared.get('text-decoration') ?? declared.get('text-decoration-line') ?? ''),
    mono: /mono|courier|consolas/.test(declared.get('font-family') ?? ''),
    align: align === 'center' || align === 'right' ? align : undefined,
    indent: lengthOf(declared.get('margin-left')) ?? lengthOf(declared.get('padding-left')) ?? 0,
    hidden:
      attribute(element, 'hidden') !== undefined ||
      declared.get('display') === 'none' ||
      declared.get('visibility') === 'hidden' ||
      [...declared].some(([name, value]) => name.endsWith('-hide') && value === 'all'),
    width: extentOf(declared.get('width'), attribute(element, 'width')),
    height: extentOf(declared.get('height'), attribute(element, 'height')),
    use: useOf(element, declared),
    listLevel: listLevelOf(declared),
  };
}

function useOf(element: Element, declared: ReadonlyMap<string, string>): StyleUse | undefined {
  if (attribute(element, 'role') === 'heading')
    return Math.min(Math.max(1, Number(attribute(element, 'aria-level') ?? 2) || 2), 6) as Level;
  for (const [name, value] of declared)
    if (name.endsWith('outline-level') && /^[1-6]$/.test(value)) return Number(value) as Level;
  if (element.tagName !== 'p' && element.tagName !== 'div') return undefined;
  for (const token of (attribute(element, 'class') ?? '').split(/\s+/)) {
    const heading = /^[a-z]*heading[-_]?([1-6])$/i.exec(token);
    if (heading !== null) return Number(heading[1]) as Level;
    // Processors put a prefix of their own before the style's name.
    const plain = styleUse(token) ?? styleUse(token.replace(/^[A-Z][a-z]{1,4}(?=[A-Z])/, ''));
    if (plain === 'title' || plain === 'subtitle' || plain === 'quote' || plain === 'caption') return plain;
  }
  return undefined;
}

const extentOf = (styled: string | undefined, said: string | undefined): number | undefined =>
  lengthOf(styled) ?? (said !== undefined && /^\d+$/.test(said) ? Number(said) * UNITS['px']! : lengthOf(said));

/** Word processors say `…-list: l0 level2 lfo1` of paragraphs that are items. */
function listLevelOf(declared: ReadonlyMap<string, string>): number | undefined {
  for (const [name, value] of declared) {
    const level = name.endsWith('list') ? /\blevel(\d)\b/.exec(value)?.[1] : undefined;
    if (level !== undefined) return Number(level);
  }
  return undefined;
}

const UNITS: Readonly<Record<string, number>> = { pt: 1, px: 0.75, in: 72, cm: 28.35, mm: 2.835, em: 12, rem: 12 };

/** A CSS length in points; undefined for what depends on the page around. */
function lengthOf(value: string | undefined): number | undefined {
  const match = /^(-?[\d.]+)(pt|px|in|cm|mm|em|rem)$/.exec(value ?? '');
  if (match === null) return undefined;
  const points = Number(match[1]) * UNITS[match[2]!]!;
  return Number.isFinite(points) ? Math.round(points * 10) / 10 : undefined;
}
