/** What in a slide's words speaks for a layout, and from where on. */
import { describe, expect, test } from '@jest/globals';
import { mapDocument, presetMap } from '../mapping/index.ts';
import { doc, h, li, p, picture, quote, table, type Draft } from '../test/build.ts';
import { signsOf } from './signs.ts';

const signs = (title: string, ...drafts: readonly Draft[]) => {
  const document = doc(h(1, title), ...drafts);
  const map = { ...presetMap('talk', document), body: 'slide' } as const;
  return signsOf(mapDocument(document, map).slides[0]!, 'en');
};
/** Weight of the sign with a reason; 0 without one. */
const weight = (reason: string, title: string, ...drafts: readonly Draft[]): number =>
  signs(title, ...drafts).find((sign) => sign.reason === reason)?.weight ?? 0;
const points = (...texts: readonly string[]): readonly Draft[] => texts.map((text) => li(text));
const words = (n: number): string => Array.from({ length: n }, () => 'word').join(' ');

describe('a list', () => {
  test('of dates is a timeline where seven of ten have one', () => {
    expect(weight('dates', 'Plan', ...points('May 2026: gates', 'June 2026: wheel'))).toBe(0.95);
    expect(weight('dates', 'Plan', ...points('May 2026: gates', 'June 2026: wheel', 'Then the roof'))).toBe(0);
    expect(weight('dates', 'Plan', ...points('May: a', 'June: b', 'July: c', 'Roof'))).toBe(0.95);
  });
  test('that is two lists, one of them numbered, is no figure', () => {
    const mixed = [...points('Oak', 'Iron', 'Elm'), li('Saw it', 1, 1), li('Plane it', 1, 2)];
    expect(signs('The yearly cycle', ...mixed).map(({ layout }) => layout)).not.toContain('icon-grid');
    expect(weight('round-words', 'The yearly cycle', ...mixed)).toBe(0);
    expect(weight('short-items', 'Gates', ...points('Oak', 'Iron', 'Elm'))).toBeGreaterThan(0);
  });
  test('that is numbered all through is steps, one that is not needs words of order', () => {
    expect(weight('numbered', 'Gates', li('Oak', 1, true), li('Iron', 1, true), li('Elm', 1, true))).toBe(0.9);
    expect(weight('numbered', 'Gates', li('Oak', 1, true), li('Iron', 1, true))).toBe(0);
    expect(weight('numbered', 'Gates', li('Oak', 1, true), li('Elm', 1, true), li('Iron'))).toBe(0);
    expect(weight('order-words', 'Gates', ...points('First the oak', 'Then the iron', 'Elm', 'Ash'))).toBe(0.85);
    expect(weight('order-words', 'Gates', ...points('First the oak', 'Iron', 'Elm'))).toBe(0);
  });
  test('of two with something below each is a comparison', () => {
    const two = [li('Oak'), li('lasts', 2), li('Iron'), li('rusts', 2)];
    expect(weight('two-sides', 'Gates', ...two)).toBe(0.75);
    expect(weight('versus', 'Oak compared with iron', ...two)).toBe(0.95);
    expect(weight('two-sides', 'Gates', li('Oak'), li('lasts', 2), li('Iron'))).toBe(0);
    expect(weight('two-sides', 'Gates', ...two, li('Elm'), li('warps', 2))).toBe(0);
  });
  test('whose title speaks of a round, of layers, of narrowing', () => {
    const three = points('Silt', 'Reeds', 'Water');
    expect(weight('round-words', 'The cycle of the pond', ...three)).toBe(0.85);
    expect(weight('layer-words', 'Layers of the pond', ...three)).toBe(0.75);
    expect(weight('narrowing-words', 'Our shortlist', ...three)).toBe(0.8);
    expect(weight('round-words', 'The cycle of the pond', ...three.slice(1))).toBe(0);
  });
  test('of numbers that fall is a funnel', () => {
    expect(weight('falling-numbers', 'Guests', ...points('900 asked', '400 came', '20 stayed'))).toBe(0.6);
    expect(weight('falling-numbers', 'Guests', ...points('900 asked', '900 came', '20 stayed'))).toBe(0);
    expect(weight('falling-numbers', 'Guests', ...points('1,900 asked', '400 came', 'some stayed'))).toBe(0);
    expect(weight('falling-numbers', 'Guests', ...points('1,900 asked', '400 came', '3.5 stayed'))).toBe(0.6);
  });
  test('of four sides is a matrix, of three or five none', () => {
    const four = ['Strengths', 'Weaknesses', 'Chances', 'Risks'];
    expect(weight('four-sides', 'SWOT of the mill', ...points(...four))).toBe(0.9);
    expect(weight('four-sides', 'SWOT of the mill', ...points(...four, 'More'))).toBe(0);
    expect(weight('four-sides', 'The mill', ...points('Impact on fish', 'Impact on birds', 'Oak', 'Iron'))).toBe(0.9);
    expect(weight('four-sides', 'The mill', ...points('Impact on fish', 'Birds', 'Oak', 'Iron'))).toBe(0);
  });
  test('of two to nine short items of like length is a grid', () => {
    const at = (...lengths: readonly number[]): number =>
      weight('short-items', 'Mill', ...points(...lengths.map(words)));
    expect([at(6, 6, 6), at(7, 7, 7), at(12, 12, 12), at(13, 13, 13)]).toEqual([0.62, 0.55, 0.55, 0]);
    expect([at(1, 7, 7), at(1, 8, 8), at(2, 11, 11), at(2, 12, 12)]).toEqual([0.55, 0, 0.55, 0]);
    expect([at(1, 1), at(...Array.from({ length: 9 }, () => 1)), at(...Array.from({ length: 10 }, () => 1))]).toEqual([
      0.62, 0.62, 0,
    ]);
  });
  test('of many short items goes into columns', () => {
    const layout = (n: number, length = 2): string | undefined =>
      signs('Mill', ...points(...Array.from({ length: n }, () => words(length)))).find(
        ({ reason }) => reason === 'many-short',
      )?.layout;
    expect([layout(5), layout(6), layout(8), layout(9), layout(6, 10), layout(6, 11)]).toEqual([
      undefined,
      'columns',
      'columns',
      'columns-3',
      'columns',
      undefined,
    ]);
  });
});

describe('few words', () => {
  test('one short sentence alone is a statement', () => {
    expect(weight('one-sentence', 'Mill', li('a'.repeat(140)))).toBe(0.55);
    expect(weight('one-sentence', 'Mill', li('a'.repeat(141)))).toBe(0);
    expect(weight('one-sentence', 'Mill', ...points('The mill turns.', 'It stops.'))).toBe(0);
    expect(weight('one-sentence', 'Mill', li('The mill turns.'), picture('a'))).toBe(0);
  });
  test('a number with its unit is set large, most of all in a short line', () => {
    const line = (length: number): string => `40 % ${'x'.repeat(length - 5)}`;
    const at = (length: number): number => weight('number-with-unit', 'Mill', li(line(length)));
    expect([at(90), at(91), at(160), at(161)]).toEqual([0.8, 0.6, 0.6, 0]);
    expect(weight('number-with-unit', 'Mill', li('40 gates'))).toBe(0);
    expect(weight('number-with-unit', 'Mill', ...points('40 % oak', 'Iron', 'Elm'))).toBe(0);
  });
  test('a quotation, by its marks or by its style, of a length that can be read', () => {
    expect(weight('quoted', 'Mill', li('“You could hear the stones.”'))).toBe(0.95);
    expect(weight('quoted', 'Mill', quote('You could hear the stones.'))).toBe(0.95);
    expect(weight('quoted', 'Mill', quote('a'.repeat(421)))).toBe(0);
    expect(weight('quoted', 'Mill', ...points('“You could.”', 'Iron', 'Elm'))).toBe(0);
  });
  test('thanks end the deck', () => {
    expect(weight('ends-the-deck', 'Thank you', li('Ask us'))).toBe(0.7);
    expect(weight('ends-the-deck', 'Thank you', ...points('a', 'b', 'c', 'd'))).toBe(0);
  });
});

test('pictures together are a gallery, beside text they have their place', () => {
  const gallery = (n: number): string | undefined =>
    signs('Mill', ...Array.from({ length: n }, (_, i) => picture('abcde'[i]!, 'x'))).find(
      ({ reason }) => reason === 'pictures-together',
    )?.layout;
  expect([gallery(1), gallery(2), gallery(4), gallery(5)]).toEqual([undefined, 'gallery-2', 'gallery-4', 'gallery-4']);
  const beside = signs('Mill', picture('a', 'x'), li('Oak')).filter(({ reason }) => reason === 'picture-and-text');
  expect(beside.map(({ layout, weight: of }) => [layout, of])).toEqual([
    ['picture-caption', 0.55],
    ['picture-right', 0.45],
    ['picture-left', 0.45],
    ['picture-top', 0.45],
    ['picture-bleed', 0.45],
  ]);
  expect(signs('Mill', picture('a', 'x')).some(({ reason }) => reason === 'picture-and-text')).toBe(false);
});

test('a table of numbers is a chart, beside points one with points, and one of words none', () => {
  const numbers = table([
    ['Year', 'Guests'],
    ['2024', '12'],
    ['2025', '18'],
  ]);
  const layouts = (...drafts: readonly Draft[]): readonly string[] =>
    signs('Mill', ...drafts).flatMap(({ layout, reason }) => (reason === 'numbers-in-table' ? [layout] : []));
  expect(layouts(numbers)).toEqual(['chart']);
  expect(layouts(li('Oak'), numbers)).toEqual(['chart-points', 'chart']);
  expect(
    layouts(
      table([
        ['a', 'b'],
        ['c', 'd'],
      ]),
    ),
  ).toEqual([]);
});

test('the strongest sign comes first', () => {
  const all = signs('How to mend it again', ...points('First open', 'Then mend', 'Finally close')).map(
    (sign) => sign.weight,
  );
  expect(all.length).toBeGreaterThan(1);
  expect(all).toEqual([...all].sort((a, b) => b - a));
});

test('text beside a list, three to five points of it', () => {
  const at = (n: number): number => weight('list-and-text', 'Mill', ...points(...'abcdef'.slice(0, n)), p('Told.'));
  expect([at(2), at(3), at(5), at(6)]).toEqual([0, 0.4, 0.4, 0]);
});
