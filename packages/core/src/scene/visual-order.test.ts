/** Where the parts of a line are seen, in text of two directions. */
import { expect, test } from '@jest/globals';
import { plain, runsText, type Runs } from '../content/index.ts';
import { convert } from '../pipeline/index.ts';
import { doc, h, li, random } from '../test/build.ts';
import { drawParagraph } from './drawn-text.ts';
import { visualOrder } from './visual-order.ts';

const bold = (text: string): Runs[number] => ({ text, bold: true });
const seen = (runs: Runs, rtl: boolean) =>
  visualOrder(runs, 0, runsText(runs).length, rtl)?.map((part) => `${part.rtl ? '<' : '>'}${part.run.text}`);

test('one look, or one direction, is left to whoever draws it', () => {
  expect(seen(plain('טחנה one'), true)).toBeUndefined();
  expect(seen([...plain('one '), bold('two')], false)).toBeUndefined();
});

test('two words of one direction in text of the other keep their own order', () => {
  // In English, the Hebrew words are read from the right: the bold one, which is written first, stands at the right.
  expect(seen([...plain('see '), bold('טחנת'), ...plain(' הגאות now')], false)).toEqual([
    '>see ',
    '< הגאות',
    '<טחנת',
    '> now',
  ]);
  // In Hebrew, English words are read from the left.
  expect(seen([...plain('ראו '), bold('Post'), ...plain('greSQL עכשיו')], true)).toEqual([
    '< עכשיו',
    '>Post',
    '>greSQL',
    '<ראו ',
  ]);
});

test('numbers are read from the left, what stands between words goes with the paragraph', () => {
  expect(seen([...plain('פתוח '), bold('12'), ...plain(' ימים')], true)).toEqual(['< ימים', '>12', '<פתוח ']);
  expect(seen([...plain('(א) '), bold('ב'), ...plain(', ג')], true)).toEqual(['<, ג', '<ב', '<(א) ']);
});

test('every letter is seen once, whatever is mixed', () => {
  const next = random(7);
  const words = ['mill', 'טחנה', ' 12', 'المد', ' – ', '(9)', 'ü', '\u200f', ' '];
  const sorted = (text: string): string => [...text].sort().join('');
  for (let n = 0; n < 300; n++) {
    const runs: Runs = Array.from({ length: 2 + Math.floor(next() * 6) }, (_, i) => ({
      text: words[Math.floor(next() * words.length)]!,
      ...(i % 2 === 0 ? { bold: true as const } : {}),
    }));
    const text = runsText(runs);
    for (const rtl of [false, true]) {
      const parts = visualOrder(runs, 0, text.length, rtl);
      if (parts !== undefined) expect(sorted(parts.map(({ run }) => run.text).join(''))).toBe(sorted(text));
    }
  }
});

test('a line of several looks is drawn side by side within its width', () => {
  const runs: Runs = [...plain('ראו את '), bold('PostgreSQL 17'), ...plain(' ואת '), bold('הטחנה'), ...plain(' היום')];
  const document = doc(h(1, 'הטחנה'), h(2, 'הבריכה'), li(runs), li('המים עולים'), li('השער נסגר'));
  const { pages, theme } = convert(document, []);
  const box = pages.flatMap(({ boxes }) => boxes).find((one) => one.kind === 'text' && one.paras.length === 3);
  if (box?.kind !== 'text') throw new TypeError('no text');
  const [paragraph] = box.paragraphs;
  const [, ...pieces] = drawParagraph(paragraph!, box.frame, theme);
  const spans = pieces.map(({ x, width, rtl }) => (rtl ? [x - width, x] : [x, x + width]) as [number, number]);
  expect(pieces.map(({ text }) => text)).toEqual([' היום', 'הטחנה', ' ואת ', 'PostgreSQL 17', 'ראו את ']);
  for (let i = 1; i < spans.length; i++) expect(Math.abs(spans[i]![0] - spans[i - 1]![1])).toBeLessThan(2);
  const { x, width } = paragraph!.lines[0]!;
  expect(Math.abs(spans.at(-1)![1] - (x + width))).toBeLessThan(20);
  expect(spans[0]![0]).toBeGreaterThan(x - 2000);
});
