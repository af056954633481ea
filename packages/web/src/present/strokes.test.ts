import { expect, test } from '@jest/globals';
import { pathOf, withDrawn, type Drawn, type Stroke } from './strokes.ts';

const after = (...drawn: readonly Drawn[]): readonly Stroke[] => drawn.reduce(withDrawn, [] as readonly Stroke[]);
const at = (stroke: number, x: number, y: number): Drawn => ({ says: 'draw', stroke, at: [x, y] });

test('strokes grow by their points, each by itself', () => {
  const strokes = after(at(1, 0, 0), at(2, 0.5, 0.5), at(1, 0.1, 0), at(1, 0.1, 0.0001), at(2, 0.6, 0.5));
  expect(strokes).toEqual([
    {
      id: 1,
      points: [
        [0, 0],
        [0.1, 0],
      ],
      lifted: false,
    },
    {
      id: 2,
      points: [
        [0.5, 0.5],
        [0.6, 0.5],
      ],
      lifted: false,
    },
  ]);
});

test('one that is lifted grows no more; one that is not there is not lifted', () => {
  const strokes = after(at(1, 0, 0), { says: 'lift', stroke: 1 }, at(1, 0.5, 0.5), { says: 'lift', stroke: 9 });
  expect(strokes).toEqual([{ id: 1, points: [[0, 0]], lifted: true }]);
});

test('one point is a dot', () => {
  expect(pathOf({ id: 1, points: [[0.25, 0.5]], lifted: true })).toBe('M0.2500 0.5000L0.2500 0.5000');
  expect(
    pathOf({
      id: 1,
      points: [
        [0, 0],
        [1, 1],
      ],
      lifted: true,
    }),
  ).toBe('M0.0000 0.0000L1.0000 1.0000');
});
