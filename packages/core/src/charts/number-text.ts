/** Numbers as documents write them: with units, in groups, with a decimal point or comma. */

/** How numbers of a column are written. */
export interface NumberFormat {
  readonly decimals: number;
  readonly decimal: '.' | ',';
  /** Between groups of three; empty for none. */
  readonly group: '' | ',' | '.' | ' ' | '’';
  /** Written before and after, as `£` or ` %`. */
  readonly prefix: string;
  readonly suffix: string;
}

export interface ReadNumber {
  readonly value: number;
  readonly prefix: string;
  readonly suffix: string;
  /** The digits as they stand. */
  readonly digits: string;
}

const NUMBER = /^([^\d+\-−–(]{0,4}?)\s*([(+\-−–]?)\s*(\d[\d.,'’\u00a0\u202f ]*\d|\d)\)?\s*(\D{0,14})$/u;
const SPACES = /[\s\u00a0\u202f]/g;

/** Whether a comma is the sign for decimals in a language (CLDR, number symbols). */
const decimalComma = (language: string | null): boolean =>
  /^(bg|cs|da|de|el|es|et|fi|fr|hr|hu|id|it|lt|lv|nb|nl|nn|no|pl|pt|ro|ru|sk|sl|sr|sv|tr|uk|vi)\b/i.test(
    language ?? '',
  );

/** Takes a cell apart. @returns undefined where it holds no single number. */
export function splitNumber(text: string): ReadNumber | undefined {
  const match = NUMBER.exec(text.trim());
  if (match === null) return undefined;
  const [, prefix = '', sign = '', digits = '', suffix = ''] = match;
  const tail = suffix.trim();
  const whole = text.trim();
  const spaced = /\s/.test(whole[whole.length - tail.length - 1] ?? '');
  // "3 of 4", "2 to 3", "1st": not one number.
  if (/^(of|to|bis|von|à|st|nd|rd|th)\b/i.test(tail)) return undefined;
  return {
    value: sign === '-' || sign === '−' || sign === '–' || sign === '(' ? -1 : 1,
    prefix: prefix.trim(),
    suffix: tail === '' ? '' : /^[%‰°]/.test(tail) && !spaced ? tail : ` ${tail}`,
    digits,
  };
}

/** Which sign parts decimals in a set of numbers: what only one reading allows decides, else the language. */
export function decimalSign(digits: readonly string[], language: string | null): '.' | ',' {
  const votes = { '.': 0, ',': 0 };
  for (const text of digits) {
    const last = Math.max(text.lastIndexOf(','), text.lastIndexOf('.'));
    if (last < 0) continue;
    const sign = text[last] as '.' | ',';
    const other = sign === ',' ? '.' : ',';
    // Several times: it parts groups. After the other, or not before three digits: it parts decimals.
    if (text.indexOf(sign) !== last) votes[other]++;
    else if (text.includes(other) || text.length - last !== 4 || text.startsWith(`0${sign}`)) votes[sign]++;
  }
  if (votes[','] !== votes['.']) return votes[','] > votes['.'] ? ',' : '.';
  return decimalComma(language) ? ',' : '.';
}

export function numberValue(digits: string, decimal: '.' | ','): number {
  const group = decimal === '.' ? /[,'’]/g : /[.'’]/g;
  return Number(digits.replace(SPACES, '').replace(group, '').replace(decimal, '.'));
}

export function formatOf(numbers: readonly ReadNumber[], decimal: '.' | ','): NumberFormat {
  const decimals = Math.max(
    0,
    ...numbers.map(({ digits }) => {
      const at = digits.lastIndexOf(decimal);
      return at < 0 ? 0 : digits.length - at - 1;
    }),
  );
  const grouped = numbers.map(({ digits }) => /\d([,.'’\s\u00a0\u202f])\d{3}(?!\d)/.exec(digits)?.[1]);
  const sign = grouped.find((found) => found !== undefined && found !== decimal);
  return {
    decimals: Math.min(decimals, 6),
    decimal,
    group: sign === undefined ? '' : /\s/.test(sign) ? ' ' : sign === "'" ? '’' : (sign as NumberFormat['group']),
    prefix: common(numbers.map(({ prefix }) => prefix)),
    suffix: common(numbers.map(({ suffix }) => suffix)),
  };
}

const common = (texts: readonly string[]): string => (new Set(texts).size === 1 ? texts[0]! : '');

/** @param decimals Instead of the format's own. */
export function writeNumber(value: number, format: NumberFormat, decimals = format.decimals): string {
  const [whole = '', part] = Math.abs(value).toFixed(decimals).split('.');
  const grouped = format.group === '' ? whole : whole.replace(/\B(?=(\d{3})+$)/g, format.group);
  const digits = part === undefined ? grouped : `${grouped}${format.decimal}${part}`;
  return `${value < 0 ? '−' : ''}${format.prefix}${digits}${format.suffix}`;
}

/** As spreadsheets write formats (ECMA-376-1 §18.8.31); the receiver's own language decides which signs it shows. */
export function formatCode({ decimals, group, prefix, suffix }: NumberFormat): string {
  const quoted = (text: string): string => (text === '' ? '' : `"${text.replaceAll('"', '')}"`);
  const digits = `${group === '' ? '0' : '#,##0'}${decimals === 0 ? '' : `.${'0'.repeat(decimals)}`}`;
  return `${quoted(prefix)}${digits}${quoted(suffix)}`;
}
