/** Quiet paper: a book serif over a fine rule. */
import { mark } from '../build-layouts.ts';
import { BODY_SIZES, hand, pointLevels, style, TABLE_SIZES, type ThemeDesign } from '../design.ts';
import { numbered, opening, palette, type } from './parts.ts';

export const millrace: ThemeDesign = {
  name: 'millrace',
  label: 'Millrace',
  character: 'Quiet paper, a book serif, one fine rule.',
  dark: false,
  fonts: 'book',
  palettes: [
    palette('reed', 'Reed', 'warm', 'near', '1F5A4A', 'B4632B', '2F5D8A', '8A6D1B', '7A3E5E', '4D6B2F'),
    palette('clay', 'Clay', 'warm', 'opposite', '9A4324'),
    palette('ink', 'Ink', 'white', 'one-hue', '27415F'),
    palette('plum', 'Plum', 'tinted', 'triad', '6A3352'),
  ],
  levels: pointLevels('•–·', 'accent1'),
  table: { sizes: TABLE_SIZES, headColor: 'panel', headText: 'text', rule: 'muted', lines: 'book' },
  cards: 'column',
  corners: 'square',
  hand: hand('numerals', 'dots', { grid: 'solid', base: 1.5, bars: 0.6, dots: 'circle' }),
  layout: {
    title: [0.85, 0.5, 11.633, 1.05],
    content: [0.85, 1.85, 11.633, 4.9],
    words: 'framed',
    gutter: 0.5,
    titleAnchor: 'bottom',
    titleAlign: 'left',
    styles: type(
      style('heading', [34, 30, 26, 24], 'accent1', { bold: true, lineSpacing: 0.92 }),
      style('body', BODY_SIZES, 'text'),
      [52, 46, 40, 34],
      [44, 38, 34, 30],
    ),
    cover: opening([0.85, 1.75, 10.6, 2.2], [0.85, 4.3, 10.6, 1.3], 'ground'),
    section: numbered(
      opening([2.95, 2.2, 9.5, 2.2], [2.95, 4.75, 9.5, 2.0], 'panel'),
      [0.85, 2.2, 1.95, 2.2],
      'accent2',
      [110, 88, 66, 48],
    ),
    foot: [0.85, 6.95, 11.633],
    marks: {
      cover: [mark('accent1', [0.85, 4.1, 1.6, 0.045])],
      section: [mark('accent1', [0.85, 4.54, 11.633, 0.018])],
      content: [mark('accent1', [0.85, 1.64, 11.633, 0.018])],
    },
  },
};
