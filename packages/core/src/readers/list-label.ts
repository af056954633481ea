/** Labels of lists: `iv.`, `(b)`, `3.1`. */
import type { NumberFormat } from '../base/index.ts';

/** By the sign with which HTML and ODF name a format. */
export const FORMAT_BY_SIGN: Readonly<Record<string, NumberFormat>> = {
  '1': 'decimal',
  a: 'lower-letter',
  A: 'upper-letter',
  i: 'lower-roman',
  I: 'upper-roman',
};

/** The label of an item, where it is not the usual `1.`. */
export const itemLabel = (number: number, label: string | undefined): { readonly label?: string } =>
  label === undefined || label.trim() === '' || label.trim() === `${number}.` ? {} : { label: label.trim() };
