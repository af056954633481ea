import { expect, test } from '@jest/globals';
import { groupBy, mostCommon } from './count.ts';

test('groups stand in the order of their first member', () => {
  expect([...groupBy([3, 1, 4, 1, 5], (n) => n % 2)]).toEqual([
    [1, [3, 1, 1, 5]],
    [0, [4]],
  ]);
});

test('the most common value, by number or weight; the first among equals', () => {
  expect(mostCommon([2, 1, 1], (n) => n)).toBe(1);
  expect(
    mostCommon(
      [2, 1, 1],
      (n) => n,
      (n) => n ** 2,
    ),
  ).toBe(2);
  expect(mostCommon([7, 8], (n) => n)).toBe(7);
  expect(mostCommon([], (n: number) => n)).toBeUndefined();
});
