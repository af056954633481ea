import { expect, test } from '@jest/globals';
import {
  blockText,
  convert,
  restructure,
  singleEdits,
  isStructureChange,
  together,
  type BlockId,
  type DocumentModel,
  type Edit,
} from '@alvex/core';
import { doc, h, li, p, table } from '../../../../core/src/test/build.ts';
import { moveBranch, shapeAll, shiftBranches, stretchAround, turnAll } from './line-actions.ts';
import { makeOutline } from './make-outline.ts';
import { placeBranch, stepBranch } from './outline-moves.ts';

const document = doc(h(1, 'A'), p('a'), h(2, 'B'), li('b'), h(1, 'C'), p('c'), table([['x']]));
const id = (text: string): BlockId => document.blocks.find((block) => blockText(block) === text)!.id;
const after = (...edits: readonly Edit[]): DocumentModel =>
  restructure(document, singleEdits(edits).filter(isStructureChange)).document;
const outline = (model: DocumentModel): readonly string[] =>
  makeOutline(model.blocks).map(({ level, text, words }) => `${level} ${text} ${words}`);

test('the outline counts what hangs under each heading, and not what is left out', () => {
  expect(outline(document)).toEqual(['1 A 4', '2 B 2', '1 C 3']);
  expect(outline(after({ kind: 'leave', blocks: [id('b'), id('c')], as: 'aside' }))).toEqual([
    '1 A 3',
    '2 B 1',
    '1 C 2',
  ]);
});

test('a selection is given one shape; what has none stays', () => {
  expect(shapeAll(document.blocks.slice(-2), { kind: 'heading', level: 3 })).toEqual({
    kind: 'shape',
    shapes: [{ block: id('c'), as: { kind: 'heading', level: 3 } }],
  });
});

test('branches are lowered and raised whole, items go in and out, and nothing leaves the six levels', () => {
  const heading = document.blocks[0]!;
  expect(outline(after(shiftBranches(document.blocks, [heading], 1)!))).toEqual(['2 A 4', '3 B 2', '1 C 3']);
  expect(outline(after(shiftBranches(document.blocks, [heading], -1)!))).toEqual(
    ['1 A 3', '1 B 2', '1 C 3'].map((line, i) => (i === 0 ? '1 A 2' : line)),
  );
  const item = document.blocks[3]!;
  expect(shiftBranches(document.blocks, [item], 1)).toMatchObject({ shapes: [{ as: { depth: 2 } }] });
  expect(shiftBranches(document.blocks, [document.blocks[1]!], 1)).toBeUndefined();
});

test('a branch is moved before another and takes its level there, as one action', () => {
  const edits = together(moveBranch(document.blocks, id('C'), id('B'), 2));
  expect(edits).toHaveLength(1);
  expect(outline(after(...edits))).toEqual(['1 A 7', '2 C 3', '2 B 2']);
  // Within itself there is no place for it.
  expect(moveBranch(document.blocks, id('A'), id('B'), 1)).toEqual([]);
  expect(moveBranch(document.blocks, id('C'), null, 1)).toEqual([]);
});

test('turned lines go where they are sent, whatever the map says, and back', () => {
  const lines = document.blocks.filter((block) => block.kind === 'paragraph');
  const turned = convert(document, [turnAll(lines, 'point1')]);
  expect(turned.deck.slides.flatMap((slide) => slide.content.map((part) => part.id))).toEqual(
    expect.arrayContaining([id('a'), id('c')]),
  );
  expect(convert(document, [turnAll(lines, 'point1'), turnAll(lines, null)]).deck.slides).toEqual(
    convert(document, []).deck.slides,
  );
});

test('what is written together is the part of one heading, and never too long', () => {
  expect(stretchAround(document.blocks, id('b'))).toEqual([id('B'), id('b')]);
  const long = doc(...Array.from({ length: 500 }, (_, i) => p(`line ${i}`)));
  const stretch = stretchAround(long.blocks, long.blocks[250]!.id);
  expect(stretch).toContain(long.blocks[250]!.id);
  expect(stretch.length).toBeLessThanOrEqual(60);
});

test('a branch steps past the branch beside it, and is placed no deeper than it may stand', () => {
  const titles = (...edits: readonly Edit[]): readonly string[] =>
    makeOutline(after(...edits).blocks).map(({ level, text }) => `${level} ${text}`);
  expect(titles(...stepBranch(document.blocks, id('A'), 1))).toEqual(['1 C', '1 A', '2 B']);
  expect(titles(...stepBranch(document.blocks, id('C'), -1))).toEqual(['1 C', '1 A', '2 B']);
  expect(stepBranch(document.blocks, id('C'), 1)).toEqual([]);
  expect(stepBranch(document.blocks, id('A'), -1)).toEqual([]);
  expect(titles(...placeBranch(document.blocks, id('C'), id('A'), 5))).toEqual(['1 C', '1 A', '2 B']);
  expect(titles(...placeBranch(document.blocks, id('C'), id('B'), 5))).toEqual(['1 A', '2 C', '2 B']);
});
