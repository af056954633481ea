/** What stands before a paragraph: bullets and numbers as DrawingML says them (ECMA-376-1 §21.1.2.4). */
import { formatNumber, type NumberFormat } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import { plain, type Runs } from '../../content/index.ts';
import type { ItemMark, Para } from '../../scene/index.ts';

/** Numbers that a receiver counts by itself (§20.1.10.61). */
const COUNTED: readonly (readonly [name: string, format: NumberFormat])[] = [
  ['arabic', 'decimal'],
  ['romanLc', 'lower-roman'],
  ['romanUc', 'upper-roman'],
  ['alphaLc', 'lower-letter'],
  ['alphaUc', 'upper-letter'],
  ['thaiNum', 'thai'],
  ['hindiNum', 'devanagari'],
];
const AROUND: readonly (readonly [name: string, before: string, after: string])[] = [
  ['Period', '', '.'],
  ['ParenR', '', ')'],
  ['ParenBoth', '(', ')'],
  ['Plain', '', ''],
];
/** §20.1.10.60. */
const MOST_START = 32_767;

function countedAs({ text, value }: ItemMark): string | undefined {
  if (value === undefined || value < 1 || value > MOST_START) return undefined;
  for (const [name, before, after] of AROUND)
    for (const [number, format] of COUNTED) {
      const known = name === 'Plain' ? number === 'arabic' : !(name === 'ParenBoth' && number === 'hindiNum');
      if (known && text === `${before}${formatNumber(value, format)}${after}`) return `${number}${name}`;
    }
  return undefined;
}

export interface Bullet {
  /** Elements of the paragraph's properties. */
  readonly xml: string;
  /** Text before the paragraph's own, where no receiver counts so: `3.1`. */
  readonly text: string;
}

/**
 * The marks of paragraphs that stand in one box. Items that follow each other say the same start, so that a receiver
 * counts on when one is added; what it would count otherwise is written out.
 * @returns One for each; undefined for what has no mark.
 */
export function bulletsOf(paras: readonly Pick<Para, 'style' | 'level' | 'mark'>[]): readonly (Bullet | undefined)[] {
  /** By level, what is being counted. */
  const counts: ({ readonly as: string; readonly start: number; last: number } | undefined)[] = [];
  return paras.map(({ style, level, mark }): Bullet | undefined => {
    counts.length = style === 'point' ? Math.min(counts.length, level) : 0;
    const before = counts[level - 1];
    counts[level - 1] = undefined;
    if (mark === undefined || style !== 'point') return undefined;
    if (mark.text === '') {
      counts[level - 1] = before;
      return { xml: '<a:buNone/>', text: '' };
    }
    if (mark.value === undefined && [...mark.text].length === 1)
      return { xml: `<a:buChar char="${xmlText(mark.text)}"/>`, text: '' };
    const as = countedAs(mark);
    const value = mark.value!;
    const goesOn = before !== undefined && before.as === as && before.last + 1 === value;
    const start = goesOn ? before.start : value;
    // A list that begins anew like the one right before it would be counted on.
    if (as === undefined || (!goesOn && before?.as === as && before.start === start))
      return { xml: '<a:buNone/>', text: `${mark.text}\t` };
    counts[level - 1] = { as, start, last: value };
    return {
      xml: `<a:buFont typeface="+mj-lt"/><a:buAutoNum type="${as}"${start === 1 ? '' : ` startAt="${start}"`}/>`,
      text: '',
    };
  });
}

/** A paragraph's words behind what is written out of its mark. */
export const withMark = (runs: Runs, bullet: Bullet | undefined): Runs =>
  bullet === undefined || bullet.text === '' ? runs : [...plain(bullet.text), ...runs];
