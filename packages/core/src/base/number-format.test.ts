/** How numbers are written. */
import { expect, test } from '@jest/globals';
import { formatNumber, type NumberFormat } from './number-format.ts';

test('in letters, Roman, in digits of their own, and counted in Chinese', () => {
  const written = (format: NumberFormat, ...numbers: readonly number[]) =>
    numbers.map((n) => formatNumber(n, format)).join(' ');
  expect(written('lower-letter', 1, 26, 27)).toBe('a z aa');
  expect(written('upper-roman', 4, 9, 1999)).toBe('IV IX MCMXCIX');
  expect(written('decimal-zero', 7, 12)).toBe('07 12');
  expect(written('arabic-indic', 1, 20)).toBe('١ ٢٠');
  expect(written('devanagari', 34)).toBe('३४');
  expect(written('thai', 105)).toBe('๑๐๕');
  expect(written('cjk-ideographic', 1, 10, 11, 20, 99, 120)).toBe('一 十 十一 二十 九十九 一二〇');
  expect(written('circled-decimal', 1, 20, 21)).toBe('① ⑳ 21');
  expect(written('lower-roman', 0, -3, 1.5, 4000)).toBe('0 -3 1.5 4000');
});

test('numbers are written as far as their way of writing goes', () => {
  expect([52, 53, 26 * 8 + 1, 26 * 12].map((n) => formatNumber(n, 'lower-letter'))).toEqual([
    'zz',
    'aaa',
    'aaaaaaaaa',
    'zzzzzzzzz',
  ]);
  expect([444, 3999, 4000].map((n) => formatNumber(n, 'lower-roman'))).toEqual(['cdxliv', 'mmmcmxcix', '4000']);
  expect([400, 900, 40, 90].map((n) => formatNumber(n, 'upper-roman'))).toEqual(['CD', 'CM', 'XL', 'XC']);
});
