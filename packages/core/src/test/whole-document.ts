/** A document with one of everything, for writers. */
import { encode } from 'fast-png';
import type { PictureData } from '../content/index.ts';
import type { Block, DocumentModel } from '../document/index.ts';
import { code, doc, h, li, note, p, picture, quote, rule, table } from './build.ts';

export const MILL: PictureData = {
  id: 'a'.repeat(64) as never,
  mime: 'image/png',
  width: 40,
  height: 30,
  bytes: encode({ width: 40, height: 30, data: new Uint8Array(40 * 30 * 3).fill(90), channels: 3 }),
};
/** What a block is and says, without where it stood. */
const told = (block: Block): unknown => {
  const { id: _id, place: _place, look: _look, lang: _lang, direction: _direction, ...rest } = block;
  if (rest.kind === 'table')
    return rest.table.rows.map(({ header, cells }) => [
      header,
      cells.map((cell) => [cell.columns, cell.rows, cell.runs.map(({ text }) => text).join('')]),
    ]);
  if (rest.kind === 'picture') return ['picture', rest.alt, rest.picture === undefined];
  return rest;
};
export const kept = ({ blocks }: DocumentModel): readonly unknown[] =>
  blocks.filter(({ left }) => left === undefined).map(told);

export const mill = doc(
  p('The mill', 'title'),
  p('By the Trust', 'subtitle'),
  h(1, 'Gates'),
  p([
    { text: 'Oak ' },
    { text: 'and', bold: true },
    { text: ' iron', italic: true },
    { text: '\nH' },
    { text: '2', position: 'sub' },
    { text: 'O ', strike: true },
    { text: 'see', link: 'https://example.org/a?b=1&c' },
  ]),
  li('North'),
  li('seized', 2),
  li('South', 1),
  p('Between.'),
  li('first', 1, 1),
  li('second', 1, 2),
  li('anew', 1, 1),
  li('below', 2, 4),
  h(2, 'Log'),
  code('10:40  head 1.0 m\n\tsluice up'),
  quote('You could hear the stones.'),
  p('بوابة المد'),
  table([
    ['Work', 'Cost'],
    ['Gates', '31,000'],
  ]),
  rule(),
  picture(MILL.id, 'The mill from the quay'),
  p('Said of it.'),
  note('Level book, March.'),
);
