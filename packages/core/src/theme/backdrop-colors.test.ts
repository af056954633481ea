/** Colours that are seen behind a place on a backdrop, and the places of rectangles. */
import { describe, expect, test } from '@jest/globals';
import { EMU_PER_POINT } from '../base/index.ts';
import {
  colorsBehind,
  contains,
  middleOf,
  overlaps,
  type BackdropItem,
  type PictureColors,
  type Rect,
} from './index.ts';

const rect = (x: number, y: number, width: number, height: number): Rect =>
  ({ x, y, width, height }) as unknown as Rect;
const points = (...sides: readonly number[]): Rect =>
  rect(...(sides.map((side) => side * EMU_PER_POINT) as [number, number, number, number]));

describe('a picture on a backdrop', () => {
  // Four columns and two rows, each place in a colour of its own; nothing is seen at its last.
  const colors: PictureColors = {
    columns: 4,
    colors: ['000001', '000002', '000003', '000004', '000011', '000012', '000013', null],
  };
  const picture = (more: object = {}): BackdropItem =>
    ({
      kind: 'picture',
      picture: 'p',
      alt: '',
      box: [100, 50, 400, 200],
      cut: [0, 0, 0, 0],
      opacity: 1,
      ...more,
    }) as never;
  const at = (x: number, y: number, item = picture(), known: PictureColors | undefined = colors) =>
    [...new Set(colorsBehind(points(x - 1, y - 1, 2, 2), [item], 'FFFFFF', () => known))].join(' ');

  test('is seen where it stands, row by row', () => {
    expect([at(150, 100), at(250, 100), at(450, 100), at(150, 200), at(350, 200)]).toEqual([
      '000001',
      '000002',
      '000004',
      '000011',
      '000013',
    ]);
    expect([at(50, 100), at(550, 100), at(150, 20), at(150, 280)]).toEqual(Array(4).fill('FFFFFF'));
  });

  test('shows only what is not cut off it, spread over its box', () => {
    // Its first and its last column are gone: the second takes the left half.
    const cut = picture({ cut: [0.25, 0, 0.25, 0] });
    expect([at(110, 100, cut), at(290, 100, cut), at(310, 100, cut), at(490, 100, cut)]).toEqual([
      '000002',
      '000002',
      '000003',
      '000003',
    ]);
    const lower = picture({ cut: [0, 0.5, 0, 0] });
    expect([at(150, 60, lower), at(150, 240, lower)]).toEqual(['000011', '000011']);
    const upper = picture({ cut: [0, 0, 0, 0.5] });
    expect([at(150, 60, upper), at(150, 240, upper)]).toEqual(['000001', '000001']);
    // Set in, it leaves its edge free.
    expect([at(110, 100, picture({ cut: [-0.5, 0, 0, 0] })), at(400, 100, picture({ cut: [-0.5, 0, 0, 0] }))]).toEqual([
      'FFFFFF',
      '000003',
    ]);
  });

  test('is seen through, or not known', () => {
    expect(at(450, 200)).toBe('FFFFFF');
    expect(at(150, 100, picture({ opacity: 0.5 }))).toBe('808080');
    expect(at(150, 100, picture({ matrix: [1, 0, 0, 1, 0, 0] }))).toBe('FFFFFF');
    expect([...new Set(colorsBehind(points(149, 99, 2, 2), [picture()], 'FFFFFF', () => undefined))]).toEqual([
      'FFFFFF',
    ]);
  });
});

test('the middles of the sides of a rectangle', () => {
  const one = rect(100, 200, 60, 20);
  expect((['top', 'right', 'bottom', 'left'] as const).map((side) => Object.values(middleOf(one, side)))).toEqual([
    [130, 200],
    [160, 210],
    [130, 220],
    [100, 210],
  ]);
});

test('what stands within another or over it, with some play', () => {
  const outer = rect(0, 0, 100, 50);
  expect([
    contains(outer, rect(0, 0, 100, 50)),
    contains(outer, rect(-1, 0, 100, 50)),
    contains(outer, rect(0, 0, 100, 51)),
  ]).toEqual([true, false, false]);
  expect([contains(outer, rect(-1, -1, 102, 52), 1), contains(outer, rect(-1, 0, 103, 10), 1)]).toEqual([true, false]);
  expect([
    overlaps(outer, rect(100, 0, 10, 10)),
    overlaps(outer, rect(99, 49, 10, 10)),
    overlaps(outer, rect(99, 49, 10, 10), 1),
  ]).toEqual([false, true, false]);
});
