import { expect, test } from '@jest/globals';
import type { Converted, Edit } from '@alvex/core';
import { doc, h, picture } from '../../../core/src/test/build.ts';
import { ownPictures } from './own-pictures.ts';

const of = (id: string) => ({ id: id as never, mime: 'image/png' as const, width: 4, height: 3 });
const document = {
  ...doc(
    h(1, 'Mill'),
    picture('wheel', 'The wheel pit, looking north'),
    picture('gone', 'Not contained'),
    picture('pond', '水車は回る'),
  ),
  pictures: [of('wheel'), of('pond')],
};
const edits = [
  { kind: 'place', slide: 's', part: 'p', after: null, picture: of('boat'), alt: 'Boats at the quay' },
  { kind: 'place', slide: 's', part: 'q', after: null, picture: of('quay'), alt: 'What it was called first' },
  { kind: 'replace', part: 'p', picture: of('wheel'), alt: 'Another name of it' },
] as unknown as readonly Edit[];
const part = { kind: 'picture', own: of('quay'), alt: 'The quay as it is now' };
const deck = { slides: [{ content: [part] }] } as unknown as Converted['deck'];
const found = (words: string, text = '', most = 8): readonly string[] =>
  ownPictures(words, text, most, { converted: { document, deck }, edits }).map(
    ({ picture: { id }, alt }) => `${id}: ${alt}`,
  );

test('by the words of their descriptions, those of the document and those that were put in, each once', () => {
  expect(found('wheels')).toEqual(['wheel: The wheel pit, looking north']);
  expect(found('boat')).toEqual(['boat: Boats at the quay']);
  expect(found('first')).toEqual([]);
  expect(found('now')).toEqual(['quay: The quay as it is now']);
  expect(found('車は')).toEqual(['pond: 水車は回る']);
  expect(found('lookin')).toEqual(['wheel: The wheel pit, looking north']);
  expect(found('nothing of the kind')).toEqual([]);
});

test('without words all, what suits the slide first', () => {
  expect(found('', 'How boats come in').map((one) => one.split(':')[0])).toEqual(['boat', 'wheel', 'pond', 'quay']);
  expect(found('', '', 2)).toHaveLength(2);
});
