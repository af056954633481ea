import { expect, test } from '@jest/globals';
import type { Block } from '../document/index.ts';
import type { BlockId } from '../ids/index.ts';
import { doc, h, li, p, random, randomDocument } from '../test/build.ts';
import { shortBlock } from '../test/short-block.ts';
import { asWritten, type WrittenBlock } from './change.ts';
import { restructureBlocks } from './restructure.ts';
import { writeChange } from './write-change.ts';

const { blocks } = doc(h(1, 'T'), p('a'), p('b'), li('c'), p('d'));
const stretch = blocks.slice(1, 4);
const written = stretch.map(asWritten);
const fresh = (id: string, text: string): WrittenBlock => asWritten({ ...doc(p(text)).blocks[0]!, id: id as BlockId });
const laid = (before: readonly Block[], after: readonly WrittenBlock[]): readonly string[] => {
  const change = writeChange(before, after);
  const { blocks: result, unplaced } = restructureBlocks(blocks, change === undefined ? [] : [change]);
  expect(unplaced).toEqual([]);
  return result.filter(({ left }) => left === undefined).map(shortBlock);
};

test('only what changed is said', () => {
  expect(writeChange(stretch, written)).toBeUndefined();
  const other = { ...written[1]!, runs: [{ text: 'B' }] } as WrittenBlock;
  expect(writeChange(stretch, [written[0]!, other, written[2]!])).toEqual({
    kind: 'write',
    replaces: [stretch[1]!.id],
    after: null,
    blocks: [other],
  });
});

test('text put in stands behind what was before it, or with what comes after it', () => {
  const x = fresh('x', 'x');
  expect(writeChange(stretch, [written[0]!, x, ...written.slice(1)])).toMatchObject({
    replaces: [],
    after: stretch[0]!.id,
    blocks: [x],
  });
  expect(laid(stretch, [x, ...written])).toEqual(['h1 T', 'p x', 'p a', 'p b', '- c', 'p d']);
  expect(laid(stretch, [...written, x])).toEqual(['h1 T', 'p a', 'p b', '- c', 'p x', 'p d']);
});

test('text taken out is left out where it stood; behind it text may come again', () => {
  const change = writeChange(stretch, [])!;
  const emptied = restructureBlocks(blocks, [change]).blocks;
  expect(emptied.map(({ left }) => left ?? '')).toEqual(['', 'deleted', 'deleted', 'deleted', '']);
  const again = writeChange([], [fresh('x', 'x')], stretch[2]!.id)!;
  expect(restructureBlocks(emptied, [again]).blocks.map(shortBlock).at(-2)).toBe('p x');
});

test('whatever is done to a stretch, the change gives what all of it would', () => {
  for (let seed = 1; seed <= 200; seed++) {
    const next = random(seed);
    const { blocks: all } = randomDocument(next, 30);
    const from = Math.floor(next() * all.length);
    const some = all.slice(from, from + 1 + Math.floor(next() * 10));
    const after = some.map(asWritten).filter(() => next() < 0.8);
    if (next() < 0.5) after.splice(Math.floor(next() * (after.length + 1)), 0, fresh(`x${seed}`, 'new'));
    if (after.length > 1 && next() < 0.4) after.push(after.shift()!);
    const visible = (result: readonly Block[]): readonly string[] =>
      result.filter(({ left }) => left !== 'deleted').map(({ id }) => id);
    const change = writeChange(some, after);
    const whole = restructureBlocks(all, [
      { kind: 'write', replaces: some.map(({ id }) => id), after: null, blocks: after },
    ]);
    const least = restructureBlocks(all, change === undefined ? [] : [change]);
    expect(least.unplaced).toEqual([]);
    expect(visible(least.blocks)).toEqual(visible(whole.blocks));
  }
});
