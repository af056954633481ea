/** How numbers are written: `4`, `iv`, `d`. */

/** Digits of their own, zero first; by their names in CSS Counter Styles Level 3. */
const DIGITS = {
  'arabic-indic': '٠١٢٣٤٥٦٧٨٩',
  persian: '۰۱۲۳۴۵۶۷۸۹',
  devanagari: '०१२३४५६७८९',
  bengali: '০১২৩৪৫৬৭৮৯',
  thai: '๐๑๒๓๔๕๖๗๘๙',
  'fullwidth-decimal': '０１２３４５６７８９',
} as const;

export type NumberFormat =
  | 'decimal'
  | 'decimal-zero'
  | 'lower-letter'
  | 'upper-letter'
  | 'lower-roman'
  | 'upper-roman'
  | 'cjk-ideographic'
  | 'circled-decimal'
  | keyof typeof DIGITS;

const ROMAN: readonly (readonly [number, string])[] = [
  [1000, 'm'],
  [900, 'cm'],
  [500, 'd'],
  [400, 'cd'],
  [100, 'c'],
  [90, 'xc'],
  [50, 'l'],
  [40, 'xl'],
  [10, 'x'],
  [9, 'ix'],
  [5, 'v'],
  [4, 'iv'],
  [1, 'i'],
];
const MOST_ROMAN = 3999;

/** After z come aa, bb, cc (ECMA-376-1 §17.18.59; ODF 1.3 part 3, §19.500 without letter synchronisation is alike to 26). */
const letters = (number: number): string =>
  String.fromCharCode(97 + ((number - 1) % 26)).repeat(Math.min(Math.floor((number - 1) / 26) + 1, 9));

function roman(number: number): string {
  let rest = number;
  let text = '';
  for (const [value, sign] of ROMAN)
    while (rest >= value) {
      text += sign;
      rest -= value;
    }
  return text;
}

const CJK = '〇一二三四五六七八九';

/** As they are counted, up to 99: 十, 十一, 二十. */
function ideographic(number: number): string {
  if (number > 99) return [...String(number)].map((digit) => CJK[Number(digit)]).join('');
  const [tens, ones] = [Math.floor(number / 10), number % 10];
  return `${tens > 1 ? CJK[tens] : ''}${tens > 0 ? '十' : ''}${ones > 0 ? CJK[ones] : ''}`;
}

const MOST_CIRCLED = 20;

export function formatNumber(number: number, format: NumberFormat): string {
  if (!Number.isInteger(number) || number < 1) return String(number);
  switch (format) {
    case 'decimal':
      return String(number);
    case 'decimal-zero':
      return String(number).padStart(2, '0');
    case 'lower-letter':
      return letters(number);
    case 'upper-letter':
      return letters(number).toUpperCase();
    case 'lower-roman':
      return number > MOST_ROMAN ? String(number) : roman(number);
    case 'upper-roman':
      return number > MOST_ROMAN ? String(number) : roman(number).toUpperCase();
    case 'cjk-ideographic':
      return ideographic(number);
    case 'circled-decimal':
      return number > MOST_CIRCLED ? String(number) : String.fromCodePoint(0x245f + number);
    case 'arabic-indic':
    case 'persian':
    case 'devanagari':
    case 'bengali':
    case 'thai':
    case 'fullwidth-decimal':
      return [...String(number)].map((digit) => DIGITS[format][Number(digit)]).join('');
  }
}
