/** Labels of lists: `iv.`, `(b)`, `3.1`. */
import type { NumberFormat } from '../base/index.ts';

/** By the sign with which HTML and ODF name a format; ODF 1.3 part 3 (§20.322) names some by their first numbers. */
const FORMAT_BY_SIGN: Readonly<Record<string, NumberFormat>> = {
  '1': 'decimal',
  a: 'lower-letter',
  A: 'upper-letter',
  i: 'lower-roman',
  I: 'upper-roman',
  '١': 'arabic-indic',
  '۱': 'persian',
  '१': 'devanagari',
  '১': 'bengali',
  '๑': 'thai',
  '１': 'fullwidth-decimal',
  '①': 'circled-decimal',
  一: 'cjk-ideographic',
};

/** The label of an item, where it is not the usual `1.`. */
export const itemLabel = (number: number, label: string | undefined): { readonly label?: string } =>
  label === undefined || label.trim() === '' || label.trim() === `${number}.` ? {} : { label: label.trim() };

/** @param sign Of HTML or ODF: `i`, `一, 二, 三, ...`. */
export const formatOfSign = (sign: string | undefined): NumberFormat =>
  FORMAT_BY_SIGN[sign ?? ''] ?? FORMAT_BY_SIGN[sign?.split(',')[0]?.trim() ?? ''] ?? 'decimal';
