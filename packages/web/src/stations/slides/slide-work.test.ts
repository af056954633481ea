import { describe, expect, test } from '@jest/globals';
import { convert, type SlideId, type PartId } from '@alvex/core';
import { doc, h, li, p } from '../../../../core/src/test/build.ts';
import {
  levelled,
  newId,
  partsOf,
  placeSlides,
  sectionOf,
  slideOrder,
  spokenInstead,
  stepPart,
  stepSlides,
} from './slide-work.ts';

const ids = (text: string): readonly SlideId[] => text.split('') as SlideId[];
const order = ids('abcde');

test('a slide that takes several pages is one', () => expect(slideOrder(ids('aabccc'))).toEqual(ids('abc')));

describe('slides', () => {
  test.each([
    ['c', -1, 'c before b'],
    ['c', 1, 'c before e'],
    ['d', 1, 'd before null'],
    ['bd', -1, 'bd before a'],
    ['a', -1, undefined],
    ['e', 1, undefined],
    ['', 1, undefined],
  ] as const)('%s goes one on by %d', (chosen, by, expected) => {
    const edit = stepSlides(order, new Set(ids(chosen)), by);
    expect(edit?.kind === 'order' ? `${edit.slides.join('')} before ${edit.before}` : undefined).toBe(expected);
  });
  test.each([
    ['e', 'b', false, 'e before b'],
    ['ae', 'c', true, 'ae before d'],
    ['b', 'e', true, 'b before null'],
    ['b', 'a', true, undefined],
    ['b', 'b', false, undefined],
    ['b', 'c', false, undefined],
  ] as const)('%s is put at %s', (chosen, at, behind, expected) => {
    const edit = placeSlides(order, ids(chosen), at as SlideId, behind);
    expect(edit?.kind === 'order' ? `${edit.slides.join('')} before ${edit.before}` : undefined).toBe(expected);
  });
  test('a section goes with its slides', () =>
    expect(sectionOf(order, new Set(ids('bd')), 'b' as SlideId)).toEqual(ids('bc')));
});

const document = doc(h(1, 'One'), li('a'), li('a1', 2), p('said'), li('b'), h(1, 'Two'), li('c'));
const rows = convert(document, []).deck.slides.map((slide) => ({
  slide: slide.id,
  kind: slide.kind,
  matter: null,
  all: slide.content,
  notes: slide.notes,
}));
const [one, two] = rows as [(typeof rows)[number], (typeof rows)[number]];
const [a, a1, b] = one.all.map(({ id }) => id) as [PartId, PartId, PartId];
const c = two.all[0]!.id;

describe('parts', () => {
  test('go over their neighbours with what is below them, and over the edge onto the next slide', () => {
    expect(stepPart(one, undefined, two, a as never, 1)).toEqual({
      kind: 'carry',
      parts: [a, a1],
      to: one.slide,
      before: null,
    });
    expect(stepPart(one, undefined, two, b as never, -1)).toEqual({
      kind: 'carry',
      parts: [b],
      to: one.slide,
      before: a,
    });
    expect(stepPart(one, undefined, two, b as never, 1)).toEqual({
      kind: 'carry',
      parts: [b],
      to: two.slide,
      before: c,
    });
    expect(stepPart(two, one, undefined, c, -1)).toEqual({ kind: 'carry', parts: [c], to: one.slide, before: null });
    expect(stepPart(one, undefined, two, a as never, -1)).toBeUndefined();
    expect(stepPart(two, one, undefined, c, 1)).toBeUndefined();
  });
  test('do not go onto a cover', () =>
    expect(stepPart(two, { ...one, kind: 'cover' }, undefined, c, -1)).toBeUndefined());
  test('are found by their passages, spoken ones too', () => {
    const blocks = new Set([document.blocks[1]!.id, document.blocks[3]!.id] as string[]);
    expect(partsOf(rows, blocks)).toEqual([a, document.blocks[3]!.id]);
  });
  test('go in and out with what is below them: by their marks, or by themselves where they are no passage', () => {
    expect(levelled(one, [a], 1)).toEqual([
      {
        kind: 'all',
        edits: [
          { kind: 'turn', block: a, to: 'point2' },
          { kind: 'turn', block: a1, to: 'point3' },
        ],
      },
    ]);
    expect(levelled(one, [b], -1)).toEqual([{ kind: 'turn', block: b, to: 'point1' }]);
    const own = { all: one.all.map((part) => ({ ...part, id: `copy:${part.id}` })) };
    expect(levelled(own as never, [`copy:${b}` as never], 1)).toEqual([{ kind: 'level', parts: [`copy:${b}`], by: 1 }]);
    expect(levelled(one, ['none' as never], 1)).toEqual([]);
  });
  test('are spoken by their marks, or by themselves', () => {
    expect(spokenInstead(one, [b])).toEqual([{ kind: 'turn', block: b, to: 'notes' }]);
    const own = { all: one.all.map((part) => ({ ...part, id: `copy:${part.id}` })) };
    expect(spokenInstead(own as never, [`copy:${a}` as never, `copy:${b}` as never])).toEqual([
      { kind: 'speak', parts: [`copy:${a}`, `copy:${b}`] },
    ]);
    expect(spokenInstead(one, ['none' as never])).toEqual([]);
  });
});

test('ids of one’s own are never alike', () => {
  const made = Array.from({ length: 50 }, newId);
  expect(new Set(made).size).toBe(50);
  for (const id of made) expect(id).toMatch(/^A/);
});
