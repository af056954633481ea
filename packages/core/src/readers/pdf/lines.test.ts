import { describe, expect, test } from '@jest/globals';
import { runsText } from '../../content/index.ts';
import { linesOf, type Line } from './lines.ts';
import type { Item, PdfPage } from './page.ts';
import { runningHeads } from './running-heads.ts';
import { joinLines, wordsOf } from './runs.ts';
import { tableAt } from './tables.ts';

/** A piece as wide as its letters, half a size each. */
const item = (text: string, x: number, y: number, look: Partial<Item> = {}): Item => ({
  text,
  x,
  y,
  width: text.length * (look.size ?? 10) * 0.5,
  size: 10,
  bold: false,
  italic: false,
  mono: false,
  mark: -1,
  link: undefined,
  ...look,
});
const page = (items: readonly Item[], number = 1): PdfPage => ({
  number,
  width: 600,
  height: 800,
  items,
  pictures: [],
  turned: '',
  source: '',
});
const texts = (lines: readonly Line[]): readonly string[] => lines.map(({ text }) => text);

describe('pieces become lines', () => {
  test('joined with spaces where there are gaps, parted where they are wide', () => {
    const [line] = linesOf(
      page([item('The', 50, 700), item('wheel', 68, 700), item('s', 93, 700), item('1962', 200, 700)]),
    );
    expect(line!.segments.map(({ text }) => text)).toEqual(['The wheels', '1962']);
  });

  test('a space at the end of a piece parts it from the next, however near that stands', () => {
    const [line] = linesOf(
      page([item('run ', 50, 700, { width: 20 }), item('gate', 70, 700, { mono: true }), item(' now', 90, 700)]),
    );
    expect(line!.text).toBe('run gate now');
  });

  test('superscripts stand in their line; the line has the size of most of it', () => {
    const lines = linesOf(page([item('x', 50, 700), item('2', 55, 703, { size: 6 }), item(' grows', 59, 700)]));
    expect(texts(lines)).toEqual(['x2 grows']);
    expect(lines[0]!.size).toBe(10);
  });

  test('columns follow each other; what spans both parts them', () => {
    const words = 'eleven thousand cubic metres at a spring tide';
    const column = (x: number, name: string, top: number) =>
      Array.from({ length: 8 }, (_, i) => item(`${name}${i} ${words}`.slice(0, 40), x, top - i * 12));
    const lines = linesOf(
      page([
        item('A heading across both of the columns of this page here', 50, 760, { size: 18 }),
        ...column(50, 'l', 700),
        ...column(290, 'r', 698),
      ]),
    );
    expect(texts(lines).map((text) => text.split(' ')[0])).toEqual([
      'A',
      ...Array.from({ length: 8 }, (_, i) => `l${i}`),
      ...Array.from({ length: 8 }, (_, i) => `r${i}`),
    ]);
  });

  test('the cells of a table are not columns of text', () => {
    const rows = Array.from({ length: 12 }, (_, i) => [
      item(`Item ${i}`, 50, 700 - i * 14),
      item(`${i}00`, 300, 700 - i * 14),
    ]);
    const lines = linesOf(page(rows.flat()));
    expect(texts(lines)[0]).toBe('Item 0 000');
    expect(tableAt(lines, 0)).toMatchObject({ end: 12, drafts: [{ table: { columns: 2, rows: { length: 12 } } }] });
  });
});

test('a cell of two lines is one; justified text with wide gaps is no table', () => {
  const table = linesOf(
    page([
      item('Gate', 50, 700),
      item('oak and', 200, 700),
      item('iron', 200, 688),
      item('Wheel', 50, 676),
      item('elm', 200, 676),
    ]),
  );
  const [draft] = tableAt(table, 0)!.drafts;
  expect(
    draft?.kind === 'table' && draft.table.rows.map((row) => row.cells.map((cell) => runsText(cell.runs))),
  ).toEqual([
    ['Gate', 'oak and iron'],
    ['Wheel', 'elm'],
  ]);
  const justified = linesOf(
    page([
      item('The pond', 50, 700),
      item('fills twice', 130, 700),
      item('a day', 240, 700),
      item('and then', 50, 688),
      item('it', 170, 688),
      item('empties', 215, 688),
    ]),
  );
  expect(tableAt(justified, 0)).toBeUndefined();
});

test('a table ends where its rows stand too far apart, and with its page', () => {
  const row = (y: number, number = 1) =>
    linesOf(page([item('Gate', 50, y), item('oak', 200, y)], number)).map((line) => ({ ...line, page: number }));
  const rows = [...row(700), ...row(670)];
  expect(tableAt(rows, 0)).toMatchObject({ end: 2 });
  expect(tableAt([...rows, ...row(630)], 0)).toMatchObject({ end: 2 });
  expect(tableAt([...rows, ...row(660, 2)], 0)).toMatchObject({ end: 2 });
});

test('pieces of a line that stand far apart are words of their own', () => {
  const lines = linesOf(page([item('Gate', 50, 700), item('oak', 200, 700)]));
  expect(lines.map(({ segments }) => segments.length)).toEqual([2]);
  expect(runsText(joinLines(lines, new Set(), false))).toBe('Gate oak');
});

test('hyphens at line ends are taken back, unless they belong to the word', () => {
  const lines = (...rows: readonly string[]): readonly Line[] =>
    linesOf(page(rows.map((text, i) => item(text, 50, 700 - i * 12))));
  const joined = (...rows: readonly string[]): string =>
    runsText(joinLines(lines(...rows), wordsOf(lines(...rows, 'a well-known tide-mill')), false));
  expect(joined('the water-', 'wheel turns')).toBe('the waterwheel turns');
  expect(joined('a well-', 'known mill')).toBe('a well-known mill');
  expect(joined('the soft\u00ad', 'ware')).toBe('the software');
  expect(joined('pages 3-', '4 tell')).toBe('pages 3- 4 tell');
});

describe('at the edges of pages', () => {
  const pages = (line: (number: number) => string, count = 6) =>
    Array.from({ length: count }, (_, i) => {
      const items = [
        item(line(i + 1), 50, 780),
        item(`Body of page ${'abcdefgh'[i]}`, 50, 400),
        item('and its end', 50, 300),
      ];
      return { number: i + 1, height: 800, lines: linesOf(page(items, i + 1)) };
    });
  const left = (line: (number: number) => string, count?: number): readonly string[] => {
    const heads = runningHeads(pages(line, count), 10);
    return [...heads].map(([{ text }, kind]) => `${kind} ${text}`);
  };

  test('the same line on page after page is left out, also in a short document', () => {
    expect(left(() => 'Sallow Quay Trust')).toEqual(Array(6).fill('running-head Sallow Quay Trust'));
    expect(left((number) => (number === 1 ? 'The mill' : 'Sallow Quay Trust'), 3)).toEqual(
      Array(2).fill('running-head Sallow Quay Trust'),
    );
    expect(left(() => 'Only page', 1)).toEqual([]);
  });

  test('so are page numbers, and heads that change but count the pages', () => {
    expect(left((number) => `Page ${number} of 6`)).toHaveLength(6);
    expect(left((number) => `Chapter ${'aabbcc'[number - 1]} ${number + 10}`)).toHaveLength(6);
    expect(left((number) => `${number + 344}`)).toEqual(
      [345, 346, 347, 348, 349, 350].map((at) => `page-number ${at}`),
    );
    expect(left((number) => ['i', 'ii', 'iii', 'iv', 'v', 'vi'][number - 1]!)).toHaveLength(6);
  });

  test('headings that differ in their number are headings, one to a page or not', () => {
    expect(left((number) => `Lesson ${number}`)).toEqual([]);
    expect(left((number) => `Unit ${number + 1}: ${'abcdef'[number - 1]}`)).toEqual([]);
    expect(left((number) => `${'abcdef'[number - 1]} begins here`)).toEqual([]);
  });

  test('a number alone is the page’s where others count on, and text where they do not', () => {
    const only = (text: string) => left((number) => (number === 3 ? text : `${'abcdef'[number - 1]} begins`));
    for (const text of ['1962', '34', 'xiv', '12 boats']) expect(only(text)).toEqual([]);
    expect(only('– 3 –')).toEqual(['page-number – 3 –']);
    expect(left((number) => (number < 3 ? `${number + 1960}` : `${'abcdef'[number - 1]} begins`))).toHaveLength(2);
    expect(left((number) => (number < 3 ? `${number * 7}` : `${number}`))).toHaveLength(4);
  });
});
