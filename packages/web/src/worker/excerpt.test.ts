import { describe, expect, test } from '@jest/globals';
import { convert } from '@alvex/core';
import { doc, h, li, p, random, randomDocument, table } from '../../../core/src/test/build.ts';
import { excerpt } from './excerpt.ts';
import type { Asking } from './questions.ts';

const mill = convert(
  doc(
    p('The mill', 'title'),
    h(1, 'Gates'),
    li('Oak'),
    li('Iron', 2),
    p('Said at some length, so that it takes more than one line of a small page.'),
    h(1, 'Costs'),
    table([
      ['Work', 'Cost'],
      ['Gates', '12'],
    ]),
  ),
  [],
);
const ask = (format: Asking<'excerpt'>['format'], source = false, only: number | null = null) =>
  excerpt({ what: 'excerpt', format, source, only }, mill).map(({ text, level }) => `${level} ${text}`);

describe('how a file begins', () => {
  test('slides as Markdown, plain text and an outline', () => {
    expect(ask('md').slice(0, 6)).toEqual(['0 # The mill', '0 ', '0 ## Gates', '0 ', '0 - Oak', '0   - Iron']);
    expect(ask('txt').slice(0, 4)).toEqual(['0 THE MILL', '0 ', '0 2. Gates', '0   - Oak']);
    expect(ask('opml')[0]).toMatch(/^0 <\?xml/);
  });

  test('the document as it looks, lines broken, and as Markdown', () => {
    const looks = ask('docx', true);
    expect(looks.slice(0, 5)).toEqual([
      '1 The mill',
      '1 Gates',
      '0 • Oak',
      '0 • Iron',
      '0 Said at some length, so that it takes more than',
    ]);
    expect(ask('md', true)).toContain('0 # Gates');
  });

  test('a table; nothing of one that is not there', () => {
    expect(ask('csv', false, 1)).toEqual(['0 Work,Cost', '0 Gates,12']);
    expect(ask('csv', false, 2)).toEqual([]);
  });

  test('no more than is seen, whatever the deck', () => {
    const long = convert(randomDocument(random(3), 200), []);
    for (const format of ['md', 'txt', 'opml', 'docx', 'html', 'csv'] as const)
      for (const { text } of excerpt({ what: 'excerpt', format, source: false, only: null }, long).slice(24))
        throw new Error(text);
  });
});
