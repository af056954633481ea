/** How numbers are written: `4`, `iv`, `d`. */

export type NumberFormat = 'decimal' | 'decimal-zero' | 'lower-letter' | 'upper-letter' | 'lower-roman' | 'upper-roman';

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
  }
}
