import { expect, test } from '@jest/globals';
import { blockText, type DocumentModel } from '../document/index.ts';
import { doc, h, li, p, table } from '../test/build.ts';
import { leaveContents } from './contents-list.ts';

const left = (document: DocumentModel): readonly string[] =>
  leaveContents(document).blocks.flatMap((block) => (block.left === 'contents' ? [blockText(block)] : []));
const body = [h(1, 'Tides'), p('Water rises.'), h(2, 'Springs'), p('High.'), h(1, 'Wheels'), p('They turn.')];

test('lists, lines and tables that repeat the headings are left out, with the line that names them', () => {
  const entries = ['Tides', 'Springs', 'Wheels'];
  expect(left(doc(h(1, 'Obsah'), ...entries.map((text) => li(text)), ...body))).toEqual(['Obsah', ...entries]);
  expect(
    left(doc(p('In this paper'), ...entries.map((text, i) => p(`${i + 1}. ${text} ..... ${i + 2}`)), ...body)),
  ).toHaveLength(4);
  expect(
    left(
      doc(
        table(
          entries.map((text, i) => [text, `${i + 2}`]),
          false,
        ),
        ...body,
      ),
    ),
  ).toHaveLength(1);
  expect(left(doc(p(entries.join('\n')), ...body))).toEqual([entries.join('\n')]);
  // Headings in a row that come again, as where a list of contents was read as headings.
  expect(left(doc(...entries.map((text) => h(1, text)), ...body))).toEqual(entries);
  expect(left(doc(...entries.map((text) => li(`Chapter ${text.length}: ${text}`)), ...body))).toHaveLength(3);
});

test('lines that lead to pages are contents without headings', () => {
  const lines = ['Tides\t2', 'Springs …… 3', 'Wheels . . . . 4', 'Notes      xii'];
  expect(left(doc(...lines.map((line) => p(line)), p('Water rises.')))).toEqual(lines);
  // A reader of pages may take several for one line; chapters among them have no leaders.
  const taken = ['1 Tides 1', '1.1 Neap . . . . . . 1 1.2 Springs ..... 2', '2 Wheels 3', '2.1 Floats . . . . . 3'];
  expect(left(doc(...taken.map((line) => p(line)), ...body))).toEqual(taken);
  const told = 'It went on ..... and on. '.repeat(20);
  expect(left(doc(p(told), p(told), p(told), p('Water rises.')))).toEqual([]);
});

test('an agenda that says something else, two entries, or a summary behind the parts are text', () => {
  expect(left(doc(li('Tides'), li('Ferries'), li('Bells'), li('Wheels'), ...body))).toEqual([]);
  expect(left(doc(li('Tides'), li('Wheels'), ...body))).toEqual([]);
  expect(left(doc(...body, li('Tides'), li('Springs'), li('Wheels')))).toEqual([]);
  expect(left(doc(h(1, 'Version 1.1'), li('Tides'), li('Springs'), li('Wheels'), ...body))).toHaveLength(3);
  const plain = doc(...body);
  expect(leaveContents(plain)).toBe(plain);
});
