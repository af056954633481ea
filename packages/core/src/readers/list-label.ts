/** Labels of lists: `iv.`, `(b)`, `3.1`. */
import type { NumberFormat } from '../base/index.ts';

/** By the sign with which HTML and ODF name a format; ODF 1.3 part 3 (§20.322) names some by their first numbers. */
const BY_SIGN: ReadonlyMap<string, NumberFormat> = new Map([
  ['1', 'decimal'],
  ['a', 'lower-letter'],
  ['A', 'upper-letter'],
  ['i', 'lower-roman'],
  ['I', 'upper-roman'],
  ['١', 'arabic-indic'],
  ['۱', 'persian'],
  ['१', 'devanagari'],
  ['১', 'bengali'],
  ['๑', 'thai'],
  ['１', 'fullwidth-decimal'],
  ['①', 'circled-decimal'],
  ['一', 'cjk-ideographic'],
]);

/** By its name in a style sheet (CSS Counter Styles Level 3). */
const BY_NAME: ReadonlyMap<string, NumberFormat> = new Map([
  ['decimal', 'decimal'],
  ['decimal-leading-zero', 'decimal-zero'],
  ['lower-alpha', 'lower-letter'],
  ['lower-latin', 'lower-letter'],
  ['upper-alpha', 'upper-letter'],
  ['upper-latin', 'upper-letter'],
  ['lower-roman', 'lower-roman'],
  ['upper-roman', 'upper-roman'],
  ['arabic-indic', 'arabic-indic'],
  ['persian', 'persian'],
  ['devanagari', 'devanagari'],
  ['bengali', 'bengali'],
  ['thai', 'thai'],
  ['cjk-ideographic', 'cjk-ideographic'],
  ['cjk-decimal', 'cjk-ideographic'],
  ['simp-chinese-informal', 'cjk-ideographic'],
  ['trad-chinese-informal', 'cjk-ideographic'],
  ['japanese-informal', 'cjk-ideographic'],
]);

/** @param sign Of HTML or ODF: `i`, `一, 二, 三, ...`. */
export const formatOfSign = (sign = ''): NumberFormat =>
  BY_SIGN.get(sign) ?? BY_SIGN.get(sign.split(',')[0]!.trim()) ?? 'decimal';

/** @param style Inline, as `list-style: thai inside`. @returns undefined where it names no kind of numbers. */
export function formatOfStyle(style: string): NumberFormat | undefined {
  const value = /list-style(?:-type)?\s*:([^;]*)/i.exec(style)?.[1] ?? '';
  for (const word of value.toLowerCase().split(/\s+/)) if (BY_NAME.has(word)) return BY_NAME.get(word);
  return undefined;
}

/** The label of an item, where it is not the usual `1.`. */
export const itemLabel = (number: number, label: string | undefined): { readonly label?: string } =>
  label === undefined || label.trim() === '' || label.trim() === `${number}.` ? {} : { label: label.trim() };

/** The number and the label of an item, where its list is a numbered one. */
export const itemNumber = (
  ordered: boolean,
  number: number,
  label: string | undefined,
): { readonly number?: number; readonly label?: string } => (ordered ? { number, ...itemLabel(number, label) } : {});
