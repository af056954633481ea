/** Bright and upright: a coloured edge, a plain sans. */
import { HEIGHT, mark } from '../build-layouts.ts';
import { BODY_SIZES, hand, pointLevels, style, TABLE_SIZES, type ThemeDesign } from '../design.ts';
import { numbered, opening, palette, type } from './parts.ts';

export const slipway: ThemeDesign = {
  name: 'slipway',
  label: 'Slipway',
  character: 'White, upright, a broad coloured edge.',
  dark: false,
  fonts: 'upright',
  palettes: [
    palette('deep', 'Deep water', 'white', 'near', '0F4C75', 'C2410C', '2E7D5B', '7A5AA6', '9A6B00', '8C2F4B'),
    palette('rust', 'Rust', 'white', 'opposite', 'A33B12'),
    palette('moss', 'Moss', 'cool', 'near', '3B6B2F'),
    palette('slate', 'Slate', 'cool', 'one-hue', '3A4A5C'),
  ],
  levels: pointLevels('▪–·', 'accent2', 22),
  table: { sizes: TABLE_SIZES, headColor: 'ground', headText: 'accent1', rule: 'accent1', lines: 'base' },
  cards: 'rule',
  corners: 'square',
  hand: hand('chevrons', 'band', { grid: 'solid', base: 2.25, bars: 0.72, dots: 'square' }),
  layout: {
    title: [1.0, 0.45, 11.6, 1.1],
    content: [1.0, 1.75, 11.6, 5.0],
    words: 'reversed',
    gutter: 0.5,
    titleAnchor: 'middle',
    titleAlign: 'left',
    styles: type(
      style('heading', [32, 28, 26, 24], 'accent1', { bold: true, lineSpacing: 0.95 }),
      style('body', BODY_SIZES, 'text'),
      [50, 44, 38, 32],
      [42, 36, 32, 28],
    ),
    cover: opening([1.0, 1.6, 10.6, 2.2], [1.0, 4.05, 10.6, 1.3], 'accent1'),
    section: numbered(
      opening([1.0, 2.0, 7.6, 2.2], [1.0, 4.45, 7.6, 2.2], 'panel'),
      [8.8, 1.2, 3.8, 5.5],
      'accent1',
      [280, 220, 160, 120],
      { align: 'right' },
    ),
    foot: [1.0, 6.95, 11.6],
    marks: {
      cover: [mark('accent2', [0, 0, 0.32, HEIGHT])],
      section: [mark('accent1', [0, 0, 0.32, HEIGHT])],
      content: [mark('accent1', [0, 0, 0.32, HEIGHT])],
    },
  },
};
