/** What the page is told of each slide: how it is joined, what was taken out around it, and what is other than before. */
import { expect, test } from '@jest/globals';
import { convert, plain, type Converted, type Edit, type SlideId } from '@alvex/core';
import { doc, h, li, p, table } from '../../../core/src/test/build.ts';
import { countPages, knowPages, makeRow, matterInForce } from './rows.ts';

const mill = doc(
  p('The mill', 'title'),
  h(1, 'Tide'),
  li('spring'),
  li('neap'),
  h(1, 'Gates'),
  li('north'),
  h(1, 'Roof'),
  table([['a', 'b']]),
);
const rowsOf = (converted: Converted) =>
  [...knowPages(converted, new Map()).values()].map((known) => makeRow(known, converted));
const rows = (...edits: readonly Edit[]) => rowsOf(convert(mill, edits));
const [, tide, gates, roof] = convert(mill, []).deck.slides.map(({ id }) => id) as SlideId[];
const heading = (text: string): string =>
  mill.blocks.find((block) => block.kind === 'heading' && block.runs[0]!.text === text)!.id;

test('a slide of the document is joined by its title, one that was cut by its first point, any other is merged', () => {
  expect(rows().map(({ join }) => join)).toEqual([
    null,
    null,
    { kind: 'join', block: heading('Gates') },
    { kind: 'join', block: heading('Roof') },
  ]);
  const cut = rows({ kind: 'cut', block: mill.blocks[3]!.id });
  expect(cut[2]!.join).toEqual({ kind: 'join', block: mill.blocks[3]!.id });
  const moved = rows({ kind: 'order', slides: [roof!], before: tide! });
  expect(moved.map(({ join }) => join?.kind ?? null)).toEqual([null, null, 'merge', 'join']);
  const own = rows({ kind: 'add', slide: 'A' as SlideId, after: tide!, title: plain('Mine') });
  expect(own[2]!.join).toEqual({ kind: 'merge', slide: 'A', into: tide });
});

test('nothing is joined to what is made of the deck, or to an opener', () => {
  const made = rows({ kind: 'matter', part: 'agenda', on: true });
  expect(made.slice(0, 3).map(({ join, matter }) => [join, matter])).toEqual([
    [null, null],
    [null, 'agenda'],
    [null, null],
  ]);
});

test('what was taken out stands with the slide before which it was, or behind the last', () => {
  const out = rows({ kind: 'remove', slides: [tide!, roof!] });
  expect(out.map(({ removed }) => removed.map(({ title }) => title))).toEqual([[], ['Tide', 'Roof']]);
});

test('of a slide that goes on, each page knows its place, its content and all of the slide’s', () => {
  const long = doc(
    h(1, 'T'),
    ...Array.from({ length: 40 }, (_, i) => li(`A point of a usual length that takes most of one line, number ${i}`)),
  );
  const made = rowsOf(convert(long, []));
  expect(made.length).toBeGreaterThan(1);
  expect(made.map(({ index, continues, textPages }) => [index, continues, textPages])).toEqual(
    made.map((_, i) => [i, i > 0, made.length]),
  );
  expect(made.flatMap(({ content }) => content.map(({ id }) => id))).toEqual(made[0]!.all.map(({ id }) => id));
});

test('only what changed has another revision', () => {
  const one = convert(mill, []);
  const before = knowPages(one, new Map());
  const two = convert(mill, [{ kind: 'hide', slides: [gates!], hidden: true }], one);
  const after = knowPages(two, before);
  const changed = [...after].filter(([key, { rev }]) => before.get(key)?.rev !== rev).map(([key]) => key);
  expect(changed).toEqual([`${gates}:0`]);
  const paced = knowPages(convert(mill, [{ kind: 'pace', rate: 60 }], one), before);
  expect([...paced].every(([key, { rev }]) => before.get(key)?.rev !== rev)).toBe(true);
});

test('pages are counted by what is on them, and matter by what is there', () => {
  expect(countPages(convert(mill, []).pages)).toEqual({ sections: 0, notes: 0, tables: 1, pictures: 0 });
  expect(matterInForce(convert(mill, []))).toEqual(['cover']);
  expect(
    matterInForce(
      convert(mill, [
        { kind: 'matter', part: 'cover', on: false },
        { kind: 'matter', part: 'agenda', on: true },
      ]),
    ),
  ).toEqual(['agenda']);
});
