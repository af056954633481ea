import { expect, test } from '@jest/globals';
import { blockText } from '../document/index.ts';
import { doc, h, p, picture } from '../test/build.ts';
import { shortBlock } from '../test/short-block.ts';
import { joinDocuments } from './join-documents.ts';

test('parts follow each other; the title of each, or the name of its file, becomes a heading above its own', () => {
  const joined = joinDocuments([
    { name: 'a.docx', document: doc(p('Whole', 'title'), h(1, 'A'), p('same')) },
    { name: 'b.docx', document: doc(p('Second', 'title'), h(1, 'B'), h(6, 'C'), p('same')) },
    { name: 'c.md', document: doc(h(2, 'D'), p('same')) },
  ]);
  expect(joined.title).toBe('Whole');
  expect(joined.blocks.map(shortBlock)).toEqual([
    'h1 Whole',
    'h2 A',
    'p same',
    'h1 Second',
    'h2 B',
    'h6 C',
    'p same',
    'h1 c',
    'h2 D',
    'p same',
  ]);
  expect(joined.blocks.map(({ place }) => place.file)).toEqual([
    ...Array<string>(3).fill('a.docx'),
    ...Array<string>(4).fill('b.docx'),
    ...Array<string>(3).fill('c.md'),
  ]);
});

test('ids are lasting and different, pictures kept once, reports say of which file they speak', () => {
  const one = {
    ...doc(h(1, 'A'), picture('x')),
    pictures: [{ id: 'x' as never, mime: 'image/png' as const, width: 1, height: 1 }],
  };
  const two = { ...one, diagnostics: [{ code: 'picture-missing' as const, params: {}, place: { line: 3 } }] };
  const joined = joinDocuments([
    { name: 'a', document: one },
    { name: 'b', document: two },
  ]);
  expect(new Set(joined.blocks.map(({ id }) => id)).size).toBe(4);
  expect(joined.blocks[0]!.id).toBe(one.blocks[0]!.id);
  expect(joined.blocks.map(blockText)).toEqual(['A', '', 'A', '']);
  expect(joined.pictures).toHaveLength(1);
  expect(joined.diagnostics).toEqual([{ code: 'picture-missing', params: {}, place: { file: 'b', line: 3 } }]);
});

test('levels of parts are in step, whatever each had for its title', () => {
  const lone = doc(h(1, 'One'), h(2, 'A'), h(3, 'a'), h(2, 'B'));
  const styled = doc(p('Two', 'title'), h(1, 'C'), h(2, 'c'), h(1, 'D'));
  const joined = joinDocuments([
    { name: 'one.md', document: lone },
    { name: 'two.docx', document: styled },
  ]);
  expect(joined.blocks.map(shortBlock)).toEqual(['h1 One', 'h2 A', 'h3 a', 'h2 B', 'h1 Two', 'h2 C', 'h3 c', 'h2 D']);
  expect(joinDocuments([{ name: 'two.docx', document: styled }]).blocks.map(shortBlock)).toEqual(
    styled.blocks.map(shortBlock),
  );
});
