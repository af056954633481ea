/** Words as they are counted and read, lines of a text, names of places, and tables that are too large. */
import { describe, expect, test } from '@jest/globals';
import { linesOf, nameOfLink } from './run.ts';
import { tableFault, type Table } from './table.ts';
import { countWords, endOfWords, isUnspaced, readWords } from './words.ts';

test.each([
  ['', 0],
  [' \n ', 0],
  ['The gates — are 12 m wide.', 6],
  ['z Z a A', 4],
  ['– & … !', 0],
  ['ünïcode Ωmega 3½', 3],
  ['水門の高さ', 5],
  ['高さ 12 m', 4],
])('“%s” has %d words', (text, words) => expect(countWords(text)).toBe(words));

test('several characters of scripts without spaces are read as one word', () => {
  expect([readWords('水門の高さは'), readWords('ประตูน้ำไทย'), readWords('The gates')]).toEqual([3, 2, 2]);
  expect([isUnspaced('a 水'), isUnspaced('a Ω')]).toEqual([true, false]);
});

test('so many words end between two, or where a script sets no spaces after a sign', () => {
  const ended = (text: string, most: number) => {
    const end = endOfWords(text, most);
    return end === undefined ? undefined : text.slice(0, end);
  };
  expect(ended('one two three four', 4)).toBeUndefined();
  expect(ended('one two three four', 3)?.trim()).toBe('one two three');
  expect(ended('one two three four', 1)?.trim()).toBe('one');
  expect(ended('水門の高さは', 2)).toHaveLength(4);
  expect(ended('one two', 0)).toHaveLength(1);
});

test('lines keep the looks of their pieces, empty ones stay', () => {
  expect(linesOf([{ text: 'a\nb', bold: true }, { text: 'c\n\nd' }])).toEqual([
    [{ text: 'a', bold: true }],
    [{ text: 'b', bold: true }, { text: 'c' }],
    [],
    [{ text: 'd' }],
  ]);
});

test('the name that a link means', () => {
  expect(['#costs', '#a%20b', '#100%', '#', 'https://a.example/#b', undefined].map(nameOfLink)).toEqual([
    'costs',
    'a b',
    '100%',
    '',
    undefined,
    undefined,
  ]);
});

describe('a table that was written', () => {
  const of = (columns: number, ...rows: readonly (readonly (readonly [columns: number, rows: number])[])[]): Table => ({
    columns,
    rows: rows.map((cells) => ({
      header: false,
      cells: cells.map(([wide, tall]) => ({ runs: [], columns: wide, rows: tall })),
    })),
  });

  test('is not wider than it says', () => {
    expect(
      tableFault(
        of(
          2,
          [
            [1, 1],
            [1, 1],
          ],
          [[2, 1]],
        ),
      ),
    ).toBeUndefined();
    expect(
      tableFault(
        of(
          2,
          [
            [1, 1],
            [1, 1],
          ],
          [
            [2, 1],
            [1, 1],
          ],
        ),
      ),
    ).toMatch(/Row 2 .* 3 columns wide.* 2\./);
  });

  test('has not more cells than can be shown, counted as far as they reach', () => {
    expect(tableFault(of(200_000, [[200_000, 1]]))).toBeUndefined();
    expect(tableFault(of(200_000, [[200_000, 9]]))).toBeUndefined();
    expect(tableFault(of(100_001, [[100_001, 2]], []))).toMatch(/more than 200,000 cells/);
    expect(tableFault(of(100_001, [], []))).toMatch(/more than 200,000 cells/);
    expect(tableFault(of(100_000, [[100_000, 2]], []))).toBeUndefined();
  });
});
