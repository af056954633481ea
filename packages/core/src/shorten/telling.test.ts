/** The sentences that tell most of a text, short enough for a slide. */
import { expect, test } from '@jest/globals';
import { readWords } from '../content/index.ts';
import { shorterBeginning, telling } from './telling.ts';

const said = (texts: readonly string[], limits?: Parameters<typeof telling>[2]): readonly string[] =>
  telling(texts, 'en', limits).flatMap((told, i) =>
    told.map(({ kept, cut }) => kept.map(([from, to]) => texts[i]!.slice(from, to)).join('') + (cut ? ' …' : '')),
  );

test('few sentences of a long text, in their order, within the words there are', () => {
  const text = Array.from({ length: 12 }, (_, i) => `Gate ${i} of the mill was mended by the trust in spring.`).join(
    ' ',
  );
  const told = said([text]);
  expect(told.length).toBeLessThanOrEqual(4);
  expect(told.length).toBeGreaterThan(1);
  expect(told.reduce((sum, one) => sum + readWords(one), 0)).toBeLessThanOrEqual(42);
  expect([...told].sort((a, b) => text.indexOf(a) - text.indexOf(b))).toEqual(told);
});

test('a sentence that only leads on is not told, one too long is cut at a clause and says so', () => {
  expect(said(['These are the gates of the mill: ', 'The north gate leaks at the sill.'])).toEqual([
    'The north gate leaks at the sill.',
  ]);
  const long = `The gates were hung in spring by two men, ${'and then others came who did the same again '.repeat(6)}.`;
  expect(said([long])).toHaveLength(1);
  expect(said([long])[0]).toMatch(/ …$/);
  expect(readWords(said([long])[0]!)).toBeLessThanOrEqual(23);
});

test('times, units and numbers are never torn', () => {
  for (const text of [
    'The tide turns at 4:30 and the gate shuts by itself.',
    'It was 2 °C in the pit, and no pump ran.',
  ])
    expect(said([text])).toEqual([text]);
});

test('text without spaces is cut too, and nothing gives nothing', () => {
  expect(said([])).toEqual([]);
  expect(said(['', '  '])).toEqual([]);
  const told = shorterBeginning('水車は潮の満ち引きで回り、'.repeat(20), 'und', 26);
  expect(told!.cut).toBe(true);
  expect(shorterBeginning('Short enough.', 'en', 26)).toBeNull();
});
