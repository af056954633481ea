/** A table's style says all of its look, in every theme, so that cells need not. */
import { expect, test } from '@jest/globals';
import { THEMES } from '../../test/build.ts';
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
