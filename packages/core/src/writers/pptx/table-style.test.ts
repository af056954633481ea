/** A table's style says all of its look, in every theme, so that cells need not. */
import { expect, test } from '@jest/globals';
import { strFromU8 } from 'fflate';
import { ZipReader } from '../../container/index.ts';
import { convert, writeDeck } from '../../pipeline/index.ts';
import { doc, h, table, THEMES } from '../../test/build.ts';
import { cellLook } from '../../theme/index.ts';
import { styledLook, styledText, tableStyle, tableStyleId } from './table-style.ts';

const ROWS = 5;

test.each(THEMES)('$name: every cell below a head of one row looks as its style says', (theme) => {
  const flags = { head: true, total: false };
  for (let row = 0; row < ROWS; row++) {
    const header = row === 0;
    const last = row === ROWS - 1;
    expect(styledLook(theme, flags, row, last)).toEqual(cellLook(theme, { header, endsHead: header, row, last }));
    expect(styledText(theme, flags, row)).toBe(header ? theme.table.headText : 'text');
  }
});

test('a style is of its theme, the same each time, and in the theme’s colours', () => {
  const ids = THEMES.map(tableStyleId);
  expect(new Set(ids).size).toBe(THEMES.length);
  expect(THEMES.map(tableStyleId)).toEqual(ids);
  for (const theme of THEMES) {
    expect(tableStyle(theme)).toContain('<a:firstRow><a:tcTxStyle b="on">');
    expect(tableStyle(theme)).not.toContain('srgbClr');
    expect(tableStyle(theme).includes('<a:band2H>')).toBe(theme.table.lines === 'bands');
  }
});

test.each([
  [
    'names beside numbers',
    [
      ['Work', 'Cost'],
      ['Gates', '31,000'],
      ['Roof', '£ 6,000'],
    ],
    true,
  ],
  [
    'numbers alone',
    [
      ['Year', 'Cost'],
      ['2024', '31,000'],
      ['2025', '6,000'],
    ],
    false,
  ],
  [
    'words beside words',
    [
      ['Who', 'What'],
      ['Trust', 'Holds the lease'],
      ['Millwright', 'Mends'],
    ],
    false,
  ],
  [
    'the same name twice',
    [
      ['Work', 'Cost'],
      ['Gates', '31'],
      ['Gates', '6'],
    ],
    false,
  ],
] as const)('%s: whether the first column says what its rows are about', (_, rows, said) => {
  const document = doc(h(1, 'Costs'), table(rows.map((row) => [...row])));
  const zip = new ZipReader(writeDeck('pptx', convert(document, []), []));
  const slides = zip.names
    .filter((name) => /slides\/slide\d+\.xml$/.test(name))
    .map((name) => strFromU8(zip.read(name)));
  expect(slides.join('')).toContain('<a:tblPr firstRow="1"');
  expect(slides.join('').includes('firstCol="1"')).toBe(said);
});
