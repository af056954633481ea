/** Formulas of shapes' outlines (ECMA-376-1 §20.1.9.11), each by what the standard says of it. */
import { expect, test } from '@jest/globals';
import { outlinePaths, type Guide, type OutlinePath } from './guides.ts';

/** Where a line ends whose x is the value of a formula, in a shape of 200 by 100. */
function valueOf(formula: string, adjustments: readonly Guide[] = [], given: readonly Guide[] = []): number {
  const path = { width: 0, height: 0, filled: true, stroked: true, steps: [['M', 'value', 't']] as const };
  const outline = { adjustments, guides: [['value', formula] as const], paths: [path] };
  const [drawn] = outlinePaths(outline, 200, 100, given);
  return Number(/^M(\S+) 0$/.exec(drawn!.d)![1]);
}

test.each([
  ['*/ w 3 4', 150],
  ['*/ w 3 0', 0],
  ['+- w 30 70', 160],
  ['+/ w h 4', 75],
  ['+/ w h 0', 0],
  ['?: h 1 2', 1],
  ['?: 0 1 2', 2],
  ['abs -5', 5],
  ['at2 1 1', 2_700_000],
  ['at2 0 1', 5_400_000],
  ['cat2 10 3 4', 6],
  ['sat2 10 3 4', 8],
  ['cos 10 3600000', 5],
  ['sin 10 1800000', 5],
  ['tan 10 2700000', 10],
  ['max w h', 200],
  ['min w h', 100],
  ['mod 2 3 6', 7],
  ['pin 10 5 20', 10],
  ['pin 10 25 20', 20],
  ['pin 10 15 20', 15],
  ['sqrt 49', 7],
  ['sqrt -1', 0],
  ['val 42', 42],
  ['val nothing', 0],
  ['unheard 1 2 3', 0],
  ['val hc', 100],
  ['val vc', 50],
  ['val ls', 200],
  ['val ssd4', 25],
  ['val wd8', 25],
  ['val 3cd4', 16_200_000],
])('%s is %d', (formula, expected) => {
  expect(valueOf(formula)).toBeCloseTo(expected, 2);
});

test('a shape’s own adjustments go before those of its kind', () => {
  expect(valueOf('val adj', [['adj', 'val 10']])).toBe(10);
  expect(valueOf('val adj', [['adj', 'val 10']], [['adj', 'val 30']])).toBe(30);
});

test('a path has lengths of its own, which become the shape’s; none draws for ever', () => {
  const path: OutlinePath = {
    width: 20,
    height: 20,
    filled: false,
    stroked: true,
    steps: [['M', '5', '10'], ['L', '20', '0'], ['Z']],
  };
  const drawn = outlinePaths({ adjustments: [], guides: [], paths: [path] }, 200, 100);
  expect(drawn).toEqual([{ d: 'M50 50L200 0Z', filled: false, stroked: true }]);
  const long: OutlinePath = { ...path, steps: Array.from({ length: 30_000 }, () => ['L', '1', '1']) };
  const [cut] = outlinePaths({ adjustments: [], guides: [], paths: [long] }, 20, 20);
  expect(cut!.d.match(/L/g)).toHaveLength(20_000);
});
