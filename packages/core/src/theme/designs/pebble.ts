/** Soft: tinted ground, round shapes. */
import { mark } from '../build-layouts.ts';
import { BODY_SIZES, hand, pointLevels, style, TABLE_SIZES, type ThemeDesign } from '../design.ts';
import { numbered, opening, palette, type } from './parts.ts';

export const pebble: ThemeDesign = {
  name: 'pebble',
  label: 'Pebble',
  character: 'Soft tinted ground, round stones in the corner.',
  dark: false,
  fonts: 'geometric',
  palettes: [
    palette('lagoon', 'Lagoon', 'tinted', 'near', '1D6E78'),
    palette('heather', 'Heather', 'tinted', 'near', '6C4A8C'),
    palette('apricot', 'Apricot', 'tinted', 'opposite', 'A65A1E'),
    palette('mint', 'Mint', 'tinted', 'wide', '2D6E4E'),
  ],
  levels: pointLevels('•–·', 'accent2', 20),
  table: { sizes: TABLE_SIZES, headColor: 'accent1', headText: 'ground', rule: 'panel', lines: 'bands' },
  cards: 'panel',
  corners: 'round',
  hand: hand('discs', 'leaves', { grid: 'dash', base: 1, bars: 0.6, dots: 'circle' }),
  layout: {
    title: [0.9, 0.55, 10.4, 1.1],
    content: [0.9, 1.9, 11.5, 4.8],
    words: 'panel',
    gutter: 0.5,
    titleAnchor: 'middle',
    titleAlign: 'left',
    styles: type(
      style('heading', [32, 28, 26, 24], 'accent1', { bold: true, lineSpacing: 0.98 }),
      style('body', BODY_SIZES, 'text', { lineSpacing: 1.04 }),
      [50, 44, 38, 32],
      [42, 38, 34, 28],
    ),
    cover: opening([0.9, 1.6, 8.2, 2.4], [0.9, 4.25, 8.2, 1.3], 'ground'),
    section: numbered(
      opening([0.9, 2.0, 8.6, 2.2], [0.9, 4.45, 8.6, 2.2], 'panel'),
      [10.1, 1.2, 2.2, 2.2],
      'ground',
      [88, 72, 56],
      { align: 'center', anchor: 'middle' },
    ),
    foot: [0.9, 6.95, 11.5],
    marks: {
      cover: [
        mark('panel', [9.2, 2.4, 6.2, 6.2], 'ellipse'),
        mark('accent1', [10.6, 0.9, 2.1, 2.1], 'ellipse'),
        mark('accent2', [9.7, 3.1, 1.1, 1.1], 'ellipse'),
      ],
      section: [mark('accent1', [9.8, 0.9, 2.8, 2.8], 'ellipse'), mark('accent2', [9.5, 3.5, 0.9, 0.9], 'ellipse')],
      content: [
        mark('accent1', [12.1, 0.5, 0.55, 0.55], 'ellipse'),
        mark('accent2', [11.75, 0.95, 0.3, 0.3], 'ellipse'),
      ],
    },
  },
};
