/** Where slides, text and lines stand on sheets of paper, of every kind of print: the golden files say it in points. */
import { test } from '@jest/globals';
import { join } from 'node:path';
import { convert, sheetsOf } from '../pipeline/index.ts';
import { COURSE } from '../test/documents.ts';
import { GOLDEN, holdTo, under } from '../test/golden.ts';
import { WRITTEN } from '../test/written.ts';
import { PRINTS, type Sheet } from './index.ts';

const tenths = (...values: readonly number[]): string => values.map((value) => Math.round(value * 10) / 10).join(' ');

function lines({ width, height, slides, texts, lines: ruled, foot }: Sheet, i: number): readonly string[] {
  return under(`sheet ${i + 1}, ${tenths(width, height)}`, [
    ...slides.map(
      (one) =>
        `slide ${one.index + 1} at ${tenths(one.x, one.y, one.width, one.height)}${one.framed ? ', framed' : ''}`,
    ),
    ...texts.map(({ as, level, marked, slide, continues, language, cell, pieces, ...at }) => {
      const traits = [
        `${as} ${level} of ${slide + 1}`,
        ...(marked ? ['marked'] : []),
        ...(continues ? ['continues'] : []),
        ...(language === undefined ? [] : [language]),
        ...(cell === undefined ? [] : [`cell ${cell.table} ${cell.row} ${cell.column}${cell.header ? ' head' : ''}`]),
      ];
      const words = pieces.map((piece) => `"${piece.text}" ${tenths(piece.x, piece.y, piece.width, piece.size)}`);
      return `${traits.join(', ')} at ${tenths(at.x, at.y, at.width, at.height)}: ${words.join(' ')}`;
    }),
    ...ruled.map(({ x, y, width: length }) => `line ${tenths(x, y, length)}`),
    ...foot.map(({ text, x, y, size }) => `foot "${text}" ${tenths(x, y, size)}`),
  ]);
}

test.each([
  ['written', WRITTEN, 'a4'],
  ['course', COURSE, 'letter'],
] as const)('“%s” printed in every way', (name, document, paper) => {
  const made = convert(document, []);
  holdTo(
    join(GOLDEN, 'sheets', `${name}.txt`),
    PRINTS.flatMap((print) => [`==== ${print}`, ...sheetsOf(made, { print, paper }).flatMap(lines)]),
  );
});
