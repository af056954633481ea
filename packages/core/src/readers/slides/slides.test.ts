/** How slides of any presentation are understood: what their title is, and in which order their boxes are read. */
import { describe, expect, test } from '@jest/globals';
import type { Draft } from '../read-result.ts';
import type { Box, ReadSlide, SlidePiece } from './read-slide.ts';
import { readingOrder } from './reading-order.ts';
import { pieceText, titleOf } from './slide-title.ts';

const item = (text: string, ordered = false): Draft => ({
  kind: 'listItem',
  depth: 1,
  ordered,
  runs: [{ text }],
  place: {},
});
const TABLE: Draft = { kind: 'table', rows: [], place: {} } as unknown as Draft;
const at = (y: number, height = 0.1, x = 0.1, width = 0.8): Box => ({ x, y, width, height });
const piece = (text: string, more: Partial<SlidePiece> = {}): SlidePiece => ({
  role: 'free',
  box: at(0.1),
  size: 20,
  drafts: [item(text)],
  ...more,
});
const title = (...pieces: readonly SlidePiece[]): string | undefined => {
  const found = titleOf({ pieces } as unknown as ReadSlide);
  return found === undefined ? undefined : pieceText(found);
};

describe('the title of a slide', () => {
  test('is what says so; an empty one does not', () => {
    const said = piece('Said', { role: 'title', box: at(0.8), size: 8 });
    expect(title(piece('Larger', { size: 60 }), said)).toBe('Said');
    expect(title(piece('', { role: 'title' }), piece('Larger', { size: 60 }), piece('below', { box: at(0.6) }))).toBe(
      'Larger',
    );
  });

  test('else the text of the largest type in the upper part, wherever it stands among the boxes', () => {
    const below = piece('what is said', { box: at(0.5), size: 18 });
    const more = piece('and more', { box: at(0.7), size: 18 });
    expect(title(below, piece('Large', { size: 32, box: at(0.3) }), more)).toBe('Large');
    // Below the upper part it is one only where there is hardly anything else.
    const low = piece('Large', { size: 32, box: at(0.6) });
    expect(title(low, piece('x', { box: at(0.2), size: 18 }))).toBe('Large');
    expect(title(low, piece('x', { box: at(0.2), size: 18 }), piece('y', { box: at(0.25), size: 18 }))).toBe('x');
    expect(title(piece('No place', { box: undefined, size: 32 }), below, more)).toBe('No place');
  });

  test('of one size with the rest what stands above it', () => {
    const [top, below] = [piece('Top', { box: at(0.05) }), piece('x', { box: at(0.4) })];
    expect(title(below, top)).toBe('Top');
    expect(title(piece('Top', { box: at(0.05), size: 18 }), below)).toBeUndefined();
    expect(title(piece('Tall', { box: at(0.05, 0.5) }), piece('x', { box: at(0.6) }))).toBeUndefined();
    expect(title(top, piece('beside', { box: at(0.06, 0.1, 0.5, 0.4) }))).toBeUndefined();
    expect(title(top)).toBe('Top');
  });

  test('is no long text, no list, and not what holds no text', () => {
    const below = piece('x', { box: at(0.5), size: 10 });
    const large = (drafts: readonly Draft[]) => piece('', { drafts, size: 40 });
    expect(title(large([item('t'.repeat(141))]), below)).toBeUndefined();
    expect(title(large([item('t'.repeat(140))]), below)).toBe('t'.repeat(140));
    expect(title(large([item('a'), item('b')]), below)).toBe('a\nb');
    expect(title(large([item('a'), item('b'), item('c')]), below)).toBeUndefined();
    expect(title(large([item('1', true)]), below)).toBeUndefined();
    expect(title(large([TABLE]), below)).toBe('x');
  });
});

describe('the order in which boxes are read', () => {
  const order = (boxes: Readonly<Record<string, Box | undefined>>, ratio = 16 / 9, fromRight = false): string =>
    readingOrder(Object.entries(boxes), ([, box]) => box, ratio, fromRight)
      .map(([name]) => name)
      .join(' ');

  test('a head, then columns one after the other, then what is below both', () => {
    const boxes = {
      foot: at(0.85),
      rightTop: at(0.3, 0.2, 0.55, 0.4),
      leftTop: at(0.3, 0.2, 0.05, 0.4),
      rightLow: at(0.55, 0.2, 0.55, 0.4),
      leftLow: at(0.55, 0.2, 0.05, 0.4),
      head: at(0.05),
    };
    expect(order(boxes)).toBe('head leftTop leftLow rightTop rightLow foot');
    expect(order(boxes, 16 / 9, true)).toBe('head rightTop rightLow leftTop leftLow foot');
  });

  test('rows where they stand further apart than columns', () => {
    const grid = (x: number, y: number): Box => at(y, 0.1, x, 0.44);
    expect(order({ d: grid(0.52, 0.7), b: grid(0.52, 0.1), c: grid(0.04, 0.7), a: grid(0.04, 0.1) })).toBe('a b c d');
  });

  test('boxes over each other by their upper edges, then from the side where reading begins; without a place last', () => {
    const over = { none: undefined, b: at(0.12, 0.5), a: at(0.1, 0.5), c: at(0.12, 0.5, 0.3, 0.6) };
    expect(order(over)).toBe('a b c none');
    expect(order(over, 16 / 9, true)).toBe('a c b none');
  });
});
