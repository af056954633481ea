/** Sections that could be left out for a deck to come to what is wanted. */
import { expect, test } from '@jest/globals';
import type { BlockId } from '../ids/index.ts';
import { doc, h, p } from '../test/build.ts';
import { sectionsToLeave } from './leave-sections.ts';

const SIZES = [4, 9, 2, 6, 3];
const document = doc(
  h(1, 'The mill'),
  ...SIZES.flatMap((size, i) => [h(2, `Part ${i}`), ...Array.from({ length: size }, (_, k) => p(`Text ${i} ${k}`))]),
);
/** A slide for every paragraph, and one for the title. */
const slides = document.blocks
  .filter(({ kind }, i) => kind === 'paragraph' || i === 0)
  .map(({ id }) => ({ block: id as BlockId | undefined, cost: 1 }));
const total = slides.length;
const leave = (wanted: number) => sectionsToLeave(document, slides, wanted);

test('as few sections as come to what is wanted, all of each', () => {
  expect(leave(total - 9)?.titles).toEqual(['Part 1']);
  const left = leave(total - 9)!;
  const from = document.blocks.findIndex(({ id }) => id === left.blocks[0]);
  expect(document.blocks.slice(from, from + 10).map(({ id }) => id)).toEqual(left.blocks);
  for (const wanted of [20, 16, 12, 10, 7]) {
    const found = leave(wanted);
    if (found === undefined) continue;
    const without = slides.filter(({ block }) => !found.blocks.includes(block!)).length;
    expect(without).toBeLessThanOrEqual(wanted * 1.1);
    expect(found.titles.length).toBeLessThan(SIZES.length);
  }
});

test('of sections that are alike the later ones go', () => {
  const alike = doc(
    h(1, 'The mill'),
    ...[0, 1, 2, 3].flatMap((i) => [h(2, `Part ${i}`), p(`Text ${i}`), p(`More ${i}`)]),
  );
  const costs = alike.blocks.filter(({ kind }) => kind === 'paragraph').map(({ id: block }) => ({ block, cost: 1 }));
  expect(sectionsToLeave(alike, costs, 4)?.titles).toEqual(['Part 2', 'Part 3']);
});

test('nothing where the deck is short enough, has no sections, or none would be left', () => {
  expect(leave(total)).toBeUndefined();
  expect(leave(1)).toBeUndefined();
  const flat = doc(...Array.from({ length: 30 }, (_, i) => p(`Text ${i}`)));
  expect(
    sectionsToLeave(
      flat,
      flat.blocks.map(({ id }) => ({ block: id, cost: 1 })),
      10,
    ),
  ).toBeUndefined();
});
