/** A document as Markdown, and its deck as Markdown, plain text, outline and tables: the golden files are what a person gets. */
import { expect, test } from '@jest/globals';
import { strFromU8, unzipSync } from 'fflate';
import { join } from 'node:path';
import { convert } from '../../pipeline/index.ts';
import { COURSE, UNEVEN } from '../../test/documents.ts';
import { GOLDEN, holdTo } from '../../test/golden.ts';
import { MILL, mill } from '../../test/whole-document.ts';
import { WRITTEN } from '../../test/written.ts';
import { writeCsv, writeDocument, writeMarkdown, writeOpml, writePlain } from './index.ts';

const lines = (bytes: Uint8Array): readonly string[] => strFromU8(bytes).replace(/\n$/, '').split('\n');
const file = (name: string): string => join(GOLDEN, 'text', name);
const pictures = (id: string) => (id === MILL.id ? MILL : undefined);

test.each(Object.entries({ written: WRITTEN, mill, course: COURSE }))(
  'the document “%s” as Markdown',
  (name, document) => {
    holdTo(file(`${name}.md`), lines(writeDocument(document, pictures)));
  },
);

const decks = {
  written: convert(WRITTEN, [{ kind: 'matter', part: 'agenda', on: true }]),
  mill: convert(mill, []),
  course: convert(COURSE, []),
  uneven: convert(UNEVEN, []),
};
test.each(Object.entries(decks))('the deck of “%s” as Markdown, plain text and outline', (name, { deck, document }) => {
  holdTo(file(`${name}-deck.md`), lines(writeMarkdown(deck, document.language, pictures)));
  holdTo(file(`${name}-deck.txt`), lines(writePlain(deck)));
  holdTo(file(`${name}-deck.opml`), lines(writeOpml(deck, deck.title)));
});

test('its tables, each alone and all in one archive', () => {
  const all = unzipSync(writeCsv(decks.written.deck, undefined));
  holdTo(
    file('tables.csv'),
    Object.entries(all).flatMap(([name, bytes]) => [name, ...lines(bytes)]),
  );
  expect(strFromU8(writeCsv(decks.written.deck, 1))).toBe(strFromU8(Object.values(all)[0]!));
});
