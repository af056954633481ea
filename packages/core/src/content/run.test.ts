import { expect, test } from '@jest/globals';
import { mergeRuns, plain, retext, runsText, safeLink, sliceRuns, trimRuns, type Runs } from './run.ts';
import { countWords } from './words.ts';
import { placeCells } from './table.ts';

const mixed: Runs = [{ text: 'The ' }, { text: 'north', bold: true }, { text: ' gate' }];

test('neighbours of one look are merged, empty runs dropped', () => {
  expect(mergeRuns([{ text: 'a' }, { text: '' }, { text: 'b' }, { text: 'c', bold: true }])).toEqual([
    { text: 'ab' },
    { text: 'c', bold: true },
  ]);
});

test('a slice keeps the look of its pieces', () => {
  expect(sliceRuns(mixed, 2, 7)).toEqual([{ text: 'e ' }, { text: 'nor', bold: true }]);
});

test('white space is trimmed over runs', () => {
  expect(trimRuns([{ text: '  ' }, { text: ' a ', bold: true }, { text: ' ' }])).toEqual([{ text: 'a', bold: true }]);
  expect(trimRuns(plain('   '))).toEqual([]);
});

test.each([
  ['The north gates', [{ text: 'The ' }, { text: 'north', bold: true }, { text: ' gates' }]],
  ['The northern gate', [{ text: 'The ' }, { text: 'northern', bold: true }, { text: ' gate' }]],
  ['A north gate', [{ text: 'A ' }, { text: 'north', bold: true }, { text: ' gate' }]],
  ['The gate', [{ text: 'The gate' }]],
  ['The north gate', mixed],
])('rewritten as “%s”, what did not change keeps its look', (text, runs) => {
  expect(retext(mixed, text)).toEqual(runs);
  expect(runsText(retext(mixed, text))).toBe(text);
});

test('any text can be given to any runs', () => {
  for (const text of ['', 'x', 'Thn gate', 'The north gateThe north gate', 'gate north The'])
    expect(runsText(retext(mixed, text))).toBe(text);
});

test.each([
  ['https://a.example/x', 'https://a.example/x'],
  [' mailto:a@b.example ', 'mailto:a@b.example'],
  ['#part', '#part'],
  ['javascript:alert(1)', undefined],
  ['data:text/html,x', undefined],
  ['file:///etc/passwd', undefined],
])('the link %s is taken as %s', (link, taken) => expect(safeLink(link)).toBe(taken));

test.each([
  ['', 0],
  ['two words', 2],
  ['31,000 and 4.5', 3],
  ['– · •', 0],
  ['水車小屋', 4],
  ['a 水 b', 3],
  ['don’t', 1],
])('“%s” has %d words', (text, words) => expect(countWords(text)).toBe(words));

test('cells are placed around those that reach down', () => {
  const cell = (columns: number, rows: number) => ({ runs: [], columns, rows });
  const placed = placeCells([
    { header: false, cells: [cell(1, 2), cell(2, 1)] },
    { header: false, cells: [cell(1, 1), cell(1, 1)] },
  ]);
  expect(placed.map(({ row, column }) => [row, column])).toEqual([
    [0, 0],
    [0, 1],
    [1, 1],
    [1, 2],
  ]);
});
