import { expect, test } from '@jest/globals';
import { plain } from '../content/index.ts';
import type { Edit } from '../edits/index.ts';
import { doc, h, li, p } from '../test/build.ts';
import { compareOutlines, compareTakes, facingTakes } from './compare-outlines.ts';
import { convert } from './convert.ts';
import type { SlideId } from '../ids/index.ts';

const mill = doc(
  h(1, 'Tide'),
  li('spring'),
  li('head', 2),
  p('Some words.'),
  h(1, 'Gates'),
  h(2, 'North'),
  h(1, 'Roof'),
);
const [tide, gates, roof] = convert(mill, []).deck.slides.map(({ id }) => id) as [SlideId, SlideId, SlideId];
const outlines = (...edits: readonly Edit[]) => compareOutlines(convert(mill, edits));

test('without edits the outlines are the same', () => {
  const { document, deck, removed } = outlines();
  expect(document.map(({ text, level, words, slide, state }) => [text, level, words, slide, state])).toEqual([
    ['Tide', 1, 5, 1, 'shown'],
    ['Gates', 1, 1, 2, 'shown'],
    ['North', 2, 1, 2, 'shown'],
    ['Roof', 1, 1, 3, 'shown'],
  ]);
  expect(deck.map(({ title, points, differences }) => [title, points, differences])).toEqual([
    ['Tide', ['spring'], []],
    ['Gates', ['North'], []],
    ['Roof', [], []],
  ]);
  expect(removed).toEqual([]);
});

test('what has moved, was retitled, hidden, added, taken out or made is told', () => {
  const { document, deck, removed } = outlines(
    { kind: 'order', slides: [roof], before: tide },
    { kind: 'retitle', slide: tide, runs: plain('The tide') },
    { kind: 'hide', slides: [tide], hidden: true },
    { kind: 'add', slide: 'A' as SlideId, after: tide, title: plain('Mine') },
    { kind: 'remove', slides: [gates] },
    { kind: 'matter', part: 'agenda', on: true },
  );
  expect(deck.map(({ title, differences }) => [title, differences])).toEqual([
    ['Agenda', ['made']],
    ['Roof', ['moved']],
    ['The tide', ['retitled', 'hidden']],
    ['Mine', ['own']],
  ]);
  expect(document.find(({ text }) => text === 'North')).toMatchObject({ slide: null, state: 'left-out' });
  expect(removed).toEqual([{ slide: gates, title: 'Gates' }]);
});

test('a heading that is spoken is told as such', () => {
  const { document } = outlines({ kind: 'turn', block: mill.blocks[5]!.id, to: 'notes' });
  expect(document[2]).toMatchObject({ text: 'North', state: 'spoken', slide: 2 });
});

test('takes are compared slide by slide', () => {
  const one = convert(mill, []);
  const other = convert(mill, [
    { kind: 'turn', block: mill.blocks[5]!.id, to: 'title' },
    { kind: 'prose', prose: { as: 'first' } },
  ]);
  expect(compareTakes(other, one.deck).map(({ title, against }) => [title, against])).toEqual([
    ['Tide', 'other'],
    ['Gates', 'other'],
    ['North', 'only-here'],
    ['Roof', 'same'],
  ]);
  expect(compareTakes(one, one.deck).every(({ against }) => against === 'same')).toBe(true);
});

test('takes face each other by the passages that their slides begin with', () => {
  const one = convert(mill, []);
  const other = convert(mill, [
    { kind: 'turn', block: mill.blocks[5]!.id, to: 'title' },
    { kind: 'turn', block: mill.blocks[4]!.id, to: 'point1' },
  ]);
  const rows = facingTakes([compareTakes(one, one.deck), compareTakes(other, one.deck)]);
  expect(rows.map((row) => row.map((line) => line?.title ?? null))).toEqual([
    ['Tide', 'Tide'],
    [null, 'North'],
    ['Gates', null],
    ['Roof', 'Roof'],
  ]);
});
