import { expect, test } from '@jest/globals';
import { cutTo, movedBy, placeOn } from './crop.ts';

test('an edge is cut to where it is dragged, from its own side, and not beyond the middle', () => {
  expect(cutTo([0, 0, 0, 0], 0, [0.2, 0.9])).toEqual([0.2, 0, 0, 0]);
  expect(cutTo([0, 0, 0, 0], 1, [0.2, 0.1])).toEqual([0, 0.1, 0, 0]);
  expect(cutTo([0.1, 0, 0, 0], 2, [0.7, 0.5])).toEqual([0.1, 0, 0.3, 0]);
  expect(cutTo([0, 0, 0, 0], 3, [0.5, 0.1])).toEqual([0, 0, 0, 0.45]);
  expect(cutTo([0.3, 0, 0, 0], 0, [-1, 0])).toEqual([0, 0, 0, 0]);
});

test('a place is on the picture, wherever the pointer goes', () => {
  const box = { left: 100, top: 50, width: 200, height: 100 };
  expect(placeOn(box, { clientX: 150, clientY: 125 })).toEqual([0.25, 0.75]);
  expect(placeOn(box, { clientX: 0, clientY: 500 })).toEqual([0, 1]);
  expect(movedBy([0.5, 0.98], [-0.05, 0.05])).toEqual([0.45, 1]);
});
