/** Tables on slides: widths by content, type stepped down, continued with their heads, nothing lost. */
import { describe, expect, test } from '@jest/globals';
import { ptFromEmu } from '../base/index.ts';
import { cellText, plain, runsText, type Table, type TableCell, type TableRow } from '../content/index.ts';
import { fontFace } from '../fonts/index.ts';
import { frameOf, layoutNamed } from '../theme/index.ts';
import { random, THEMES } from '../test/build.ts';
import { fitTable } from './fit-table.ts';
import { splitColumns } from './split-columns.ts';

const theme = THEMES[0]!;
const frame = frameOf(layoutNamed(theme, 'table'), 'table')!;
const cell = (text: string, columns = 1, rows = 1): TableCell => ({ runs: plain(text), columns, rows });
const rowOf = (texts: readonly string[], header = false): TableRow => ({
  header,
  cells: texts.map((text) => cell(text)),
});
const tableOf = (rows: readonly TableRow[], columns = rows[0]!.cells.length): Table => ({ rows, columns });
const numbered = (rows: number, columns: number): Table =>
  tableOf([
    rowOf(
      Array.from({ length: columns }, (_, c) => `Head ${c}`),
      true,
    ),
    ...Array.from({ length: rows }, (_, r) => rowOf(Array.from({ length: columns }, (__, c) => `r${r}c${c}`))),
  ]);
const fit = (table: Table) => fitTable(table, 'part' as never, frame, theme);
const textsOf = (table: Table): readonly string[] => table.rows.flatMap((row) => row.cells.map(cellText));

describe('a table', () => {
  test('that is small stands whole, at the size of the design', () => {
    const { boxes, size, tight } = fit(numbered(3, 3));
    expect([boxes.length, size, tight]).toEqual([1, theme.table.sizes[0], false]);
    expect(textsOf(boxes[0]!.table)).toEqual(textsOf(numbered(3, 3)));
  });
  test('that has more rows is set smaller, and then goes on with its head', () => {
    const { boxes, tight } = fit(numbered(60, 3));
    expect(tight).toBe(true);
    expect(boxes.length).toBeGreaterThan(1);
    for (const box of boxes) expect(textsOf(box.table).slice(0, 3)).toEqual(['Head 0', 'Head 1', 'Head 2']);
    const body = boxes.flatMap((box) => textsOf(box.table).slice(3));
    expect(body).toEqual(textsOf(numbered(60, 3)).slice(3));
  });
  test('gives room to the columns that need it', () => {
    const [box] = fit(
      tableOf([rowOf(['n', 'What it is about'], true), rowOf(['1', 'A long sentence that wants most of the line'])]),
    ).boxes;
    const [narrow, wide] = box!.columnWidths;
    expect(wide!).toBeGreaterThan(3 * narrow!);
    expect(box!.columnWidths.reduce((sum, width) => sum + width, 0)).toBeLessThanOrEqual(frame.width + 2);
  });
  test('with a row taller than the slide goes on within that row', () => {
    const long = 'The pond holds the water of the tide. '.repeat(120).trim();
    const { boxes } = fit(tableOf([rowOf(['A', 'B'], true), rowOf(['left', long])]));
    expect(boxes.length).toBeGreaterThan(1);
    const words = boxes.flatMap((box) => box.table.rows.slice(1).map((row) => cellText(row.cells[1]!))).join(' ');
    expect(words.replace(/\s+/g, ' ').trim()).toBe(long);
  });
  test('with a head as tall as half the slide does not repeat it', () => {
    const head = 'Head '.repeat(500);
    const { boxes } = fit(
      tableOf([rowOf([head, 'x'], true), ...Array.from({ length: 60 }, (_, i) => rowOf([`a${i}`, 'b']))]),
    );
    expect(boxes.slice(1).some((box) => textsOf(box.table).includes(head))).toBe(false);
  });
  test('keeps cells over several rows whole where it stands whole, and their text where it goes on', () => {
    const spanning = tableOf(
      [
        { header: false, cells: [cell('tall', 1, 2), cell('a')] },
        { header: false, cells: [cell('b')] },
      ],
      2,
    );
    expect(fit(spanning).boxes[0]!.table.rows[0]!.cells[0]!.rows).toBe(2);
    const many = tableOf(
      Array.from({ length: 80 }, (_, i): TableRow => ({
        header: false,
        cells: i % 2 ? [cell(`b${i}`)] : [cell(`tall${i}`, 1, 2), cell(`a${i}`)],
      })),
      2,
    );
    const shown = fit(many)
      .boxes.flatMap((box) => textsOf(box.table))
      .filter((text) => text !== '');
    expect(shown).toEqual(textsOf(many));
  });
  test('of nothing is still a table', () => expect(fit(tableOf([rowOf([''])])).boxes).toHaveLength(1));
});

test('every cell of any table stays within its frame, whatever is in it', () => {
  for (let seed = 1; seed <= 25; seed++) {
    const next = random(seed);
    const columns = 1 + Math.floor(next() * 14);
    const table = tableOf(
      Array.from({ length: 1 + Math.floor(next() * 30) }, (_, r) =>
        rowOf(
          Array.from({ length: columns }, () => 'word '.repeat(Math.floor(next() * 12))),
          r === 0,
        ),
      ),
    );
    for (const box of fit(table).boxes) {
      const width = box.columnWidths.reduce((sum, value) => sum + value, 0);
      expect([seed, ptFromEmu(width as never) <= ptFromEmu(frame.width) + 1]).toEqual([seed, true]);
      for (const { rect, lines } of box.cells)
        for (const line of lines)
          expect([seed, line.x + line.width <= rect.x + rect.width + 12_700]).toEqual([seed, true]);
    }
  }
});

describe('a wide table is divided', () => {
  test('into tables of at most so many columns, with all their cells', () => {
    const parts = splitColumns(numbered(2, 7), 3);
    expect(parts.map(({ columns }) => columns)).toEqual([3, 3, 1]);
    expect(parts.flatMap((part) => part.rows[1]!.cells.map(cellText))).toEqual(
      Array.from({ length: 7 }, (_, c) => `r0c${c}`),
    );
  });
  test('a cell that reaches over the edge stands in both, clipped', () => {
    const [left, right] = splitColumns(
      tableOf([{ header: true, cells: [cell('over', 4)] }, rowOf(['a', 'b', 'c', 'd'])], 4),
      3,
    );
    expect(left!.rows[0]!.cells).toMatchObject([{ columns: 3 }]);
    expect(right!.rows[0]!.cells).toMatchObject([{ columns: 1, runs: plain('over') }]);
  });
  test('one that is no wider comes back as it is', () => {
    const table = numbered(1, 3);
    expect(splitColumns(table, 3)[0]).toBe(table);
  });
});

describe('numbers with decimals', () => {
  /** Where the decimal sign of each cell of the second column stands, in points; of whole numbers, where it would. */
  const signs = (...numbers: readonly string[]): readonly number[] => {
    const rows = [rowOf(['What', 'Metres'], true), ...numbers.map((text, i) => rowOf([`Pond ${i}`, text]))];
    const [box] = fit(tableOf(rows)).boxes;
    const face = fontFace(theme.fonts.body, 'regular');
    return box!.cells
      .filter(({ column, header }) => column === 1 && !header)
      .map(({ runs, lines, align, rect }) => {
        expect(align).toBe('right');
        const [line] = lines;
        expect(line!.x + line!.width).toBeLessThanOrEqual(rect.x + rect.width);
        const [whole] = runsText(runs).split(/(?=[.,]\d{1,2}(?:\D|$))/);
        const digits = whole!.match(/^.*\d/)![0];
        return ptFromEmu(line!.x) + face.width(digits) * box!.size;
      });
  };
  const apart = (places: readonly number[]): number => Math.max(...places) - Math.min(...places);

  test('stand with their signs below each other', () => {
    expect(apart(signs('4.5', '12.25', '1,240', '0.75'))).toBeLessThan(0.5);
    expect(apart(signs('4,5 kg', '12,25 kg', '7 kg'))).toBeLessThan(0.5);
    expect(apart(signs('−4.5', '+12.25', '3'))).toBeLessThan(0.5);
  });
  test('end at the right where it is not certain that they have any, or where units differ', () => {
    const [box] = fit(
      tableOf([rowOf(['What', 'Sum'], true), ...['1.240', '870', '3.500'].map((text) => rowOf(['Pond', text]))]),
    ).boxes;
    const [mixed] = fit(
      tableOf([rowOf(['What', 'Sum'], true), ...['1.5 kg', '870 t', '3.25 t'].map((text) => rowOf(['Pond', text]))]),
    ).boxes;
    for (const { pad } of [...box!.cells, ...mixed!.cells]) expect(pad).toBeUndefined();
  });
});
