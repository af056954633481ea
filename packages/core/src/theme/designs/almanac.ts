/** Classical and centred, engraved letters between double rules. */
import { mark } from '../build-layouts.ts';
import { BODY_SIZES, hand, pointLevels, style, TABLE_SIZES, type ThemeDesign } from '../design.ts';
import { numbered, opening, palette, type } from './parts.ts';

export const almanac: ThemeDesign = {
  name: 'almanac',
  label: 'Almanac',
  character: 'Centred, engraved letters between double rules.',
  dark: false,
  fonts: 'engraved',
  palettes: [
    palette('sepia', 'Sepia', 'warm', 'near', '6B4423'),
    palette('madder', 'Madder', 'warm', 'opposite', '8C2B33'),
    palette('indigo', 'Indigo', 'cool', 'near', '2C3E78'),
    palette('verdigris', 'Verdigris', 'tinted', 'opposite', '1F6B5E'),
  ],
  levels: pointLevels('•–·', 'accent2'),
  table: { sizes: TABLE_SIZES, headColor: 'panel', headText: 'text', rule: 'accent1', lines: 'book' },
  cards: 'column',
  corners: 'round',
  hand: hand('discs', 'leaves', { grid: 'dot', base: 1.5, bars: 0.55, dots: 'diamond' }),
  layout: {
    title: [1.4, 0.62, 10.533, 0.98],
    content: [1.4, 2.0, 10.533, 4.65],
    words: 'framed',
    gutter: 0.6,
    titleAnchor: 'middle',
    titleAlign: 'center',
    styles: type(
      style('heading', [34, 30, 26, 24], 'accent1', { lineSpacing: 0.95 }),
      style('body', BODY_SIZES, 'text', { lineSpacing: 1.04 }),
      [54, 48, 42, 36],
      [46, 40, 36, 30],
    ),
    cover: opening([1.6, 1.55, 10.133, 2.3], [1.6, 4.3, 10.133, 1.2], 'ground', 'center'),
    section: numbered(
      opening([1.6, 1.2, 10.133, 2.2], [1.6, 4.95, 10.133, 1.8], 'ground', 'center'),
      [1.6, 3.9, 10.133, 0.95],
      'accent2',
      [48, 40, 32],
      { align: 'center', anchor: 'middle' },
    ),
    pictureCover: {
      ...opening([1.6, 4.45, 10.133, 1.3], [1.6, 5.8, 10.133, 0.95], 'ground', 'center'),
      picture: [3.2, 0.85, 6.933, 3.5],
      marks: [
        mark('accent1', [0.45, 0.45, 12.433, 6.6], 'rect', 2.25),
        mark('accent1', [0.57, 0.57, 12.193, 6.36], 'rect', 0.75),
      ],
    },
    foot: [1.4, 6.9, 10.533],
    marks: {
      cover: [
        mark('accent1', [0.45, 0.45, 12.433, 6.6], 'rect', 2.25),
        mark('accent1', [0.57, 0.57, 12.193, 6.36], 'rect', 0.75),
        mark('accent2', [6.47, 3.98, 0.4, 0.2], 'diamond'),
      ],
      section: [mark('accent1', [4.4, 3.62, 4.533, 0.035]), mark('accent1', [4.4, 3.69, 4.533, 0.012])],
      content: [mark('accent1', [1.4, 1.66, 10.533, 0.035]), mark('accent1', [1.4, 1.73, 10.533, 0.012])],
    },
  },
};
