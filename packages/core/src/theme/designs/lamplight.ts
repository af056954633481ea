/** Dark stage: garamond by lamplight. */
import { HEIGHT, mark, WIDTH } from '../build-layouts.ts';
import { BODY_SIZES, hand, pointLevels, style, TABLE_SIZES, type ThemeDesign } from '../design.ts';
import { numbered, opening, palette, type } from './parts.ts';

export const lamplight: ThemeDesign = {
  name: 'lamplight',
  label: 'Lamplight',
  character: 'Dark stage, warm light, an old-style serif.',
  dark: true,
  fonts: 'old-style',
  palettes: [
    palette('lamp', 'Lamp', 'cool', 'near', 'F0B35A', '7FC4B8', 'E58A6C', '9DB4E8', 'C8D27A', 'D79BC0'),
    palette('ember', 'Ember', 'warm', 'near', 'E0703C'),
    palette('moon', 'Moon', 'cool', 'one-hue', '8FB3E0'),
    palette('absinthe', 'Wormwood', 'tinted', 'triad', 'A8C66C'),
  ],
  levels: pointLevels('•◦·', 'accent1'),
  table: { sizes: TABLE_SIZES, headColor: 'panel', headText: 'accent1', rule: 'muted', lines: 'rows' },
  cards: 'panel',
  corners: 'round',
  hand: hand('numerals', 'dots', { grid: 'dot', base: 1, bars: 0.5, dots: 'circle' }),
  layout: {
    title: [1.1, 0.55, 11.133, 1.1],
    content: [1.1, 1.9, 11.133, 4.8],
    gutter: 0.5,
    titleAnchor: 'bottom',
    titleAlign: 'left',
    styles: type(
      style('heading', [38, 34, 30, 26], 'accent1', { lineSpacing: 0.9 }),
      style('body', BODY_SIZES, 'text'),
      [60, 52, 46, 38],
      [50, 44, 38, 32],
      { big: style('heading', [170, 140, 110, 80, 60], 'accent1', { lineSpacing: 0.9 }) },
    ),
    cover: opening([1.1, 1.7, 10.1, 2.2], [1.1, 4.2, 10.1, 1.3], 'ground'),
    section: numbered(
      opening([1.1, 2.0, 8.4, 2.2], [1.1, 4.5, 10.1, 2.1], 'panel'),
      [9.7, 1.6, 2.533, 2.6],
      'accent1',
      [150, 120, 90, 66],
      { align: 'right' },
    ),
    pictureCover: {
      ...opening([1.1, 4.75, 11.133, 1.4], [1.1, 6.2, 11.133, 0.95], 'panel'),
      picture: [0, 0, WIDTH, 4.6],
      marks: [mark('accent1', [0, 4.6, WIDTH, 0.04])],
    },
    foot: [1.1, 6.95, 11.133],
    marks: {
      cover: [mark('accent1', [1.1, 4.02, 11.133, 0.02]), mark('accent2', [1.1, 4.07, 11.133, 0.02])],
      section: [mark('accent1', [1.1, 4.32, 11.133, 0.02])],
      content: [mark('panel', [0, 0, 0.6, HEIGHT]), mark('accent1', [0.6, 0, 0.02, HEIGHT])],
    },
  },
};
