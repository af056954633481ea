/** To which slides links within a document lead, and which parts are numbered. */
import { expect, test } from '@jest/globals';
import { isNumbered, linkGoals, type Content, type Slide } from './index.ts';

const slide = (id: string, title: readonly string[], content: readonly string[], passages: readonly string[]) =>
  ({
    id,
    title: { runs: [], blocks: title },
    content: content.map((block) => ({ kind: 'point', blocks: [block] })),
    passages,
  }) as unknown as Slide;
const goals = (slides: readonly Slide[], places: Readonly<Record<string, string>>): Readonly<Record<string, string>> =>
  Object.fromEntries(linkGoals(slides, new Map(Object.entries(places)) as never));

test('the slide that shows the place, else that of its passage, of several the first', () => {
  const slides = [slide('A', ['b1'], ['b2'], ['b1', 'b2', 'b3']), slide('B', ['b4'], ['b2', 'b5'], ['b4', 'b5'])];
  expect(goals(slides, { title: 'b4', point: 'b2', said: 'b3', gone: 'b9' })).toEqual({
    title: 'B',
    point: 'A',
    said: 'A',
  });
  // Moved by hand, it is where it stands now.
  expect(goals([slide('A', ['b1'], [], ['b1', 'b2']), slide('B', ['b4'], ['b2'], ['b4'])], { point: 'b2' })).toEqual({
    point: 'B',
  });
  expect(linkGoals(slides, new Map()).size).toBe(0);
});

test('points of a numbered list are numbered, boxes and other parts are not', () => {
  const part = (more: object): Content => ({ kind: 'point', ...more }) as Content;
  expect(
    [
      part({ mark: { text: '1.', value: 1 } }),
      part({ mark: { text: '☐' } }),
      part({}),
      { kind: 'table' } as Content,
    ].map(isNumbered),
  ).toEqual([true, false, false, false]);
});
