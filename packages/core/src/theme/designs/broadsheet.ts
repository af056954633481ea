/** A newspaper: a thick and a thin rule over the head, narrow measure. */
import { mark } from '../build-layouts.ts';
import { BODY_SIZES, hand, pointLevels, style, TABLE_SIZES, type ThemeDesign } from '../design.ts';
import { numbered, opening, palette, type } from './parts.ts';

export const broadsheet: ThemeDesign = {
  name: 'broadsheet',
  label: 'Broadsheet',
  character: 'Newsprint: a thick and a thin rule over large serif heads.',
  dark: false,
  fonts: 'all-serif',
  palettes: [
    palette('print', 'Print', 'white', 'one-hue', '2B2B2B'),
    palette('salmon', 'Salmon', 'tinted', 'near', '9C4A2F'),
    palette('evening', 'Evening', 'cool', 'opposite', '26466B'),
    palette('weekly', 'Weekly', 'warm', 'triad', '7A1F2B'),
  ],
  levels: pointLevels('▸–·', 'accent2'),
  table: { sizes: TABLE_SIZES, headColor: 'ground', headText: 'text', rule: 'text', lines: 'book' },
  cards: 'column',
  corners: 'square',
  hand: hand('numerals', 'leaves', { grid: 'dot', base: 2.25, bars: 0.66, dots: 'square' }),
  layout: {
    title: [0.75, 0.62, 11.83, 1.15],
    content: [0.75, 2.05, 11.83, 4.7],
    words: 'framed',
    gutter: 0.6,
    titleAnchor: 'top',
    titleAlign: 'left',
    styles: type(
      style('heading', [40, 36, 32, 28, 24], 'text', { bold: true, lineSpacing: 0.88 }),
      style('body', BODY_SIZES, 'text', { lineSpacing: 0.98 }),
      [66, 58, 50, 40],
      [54, 48, 42, 34],
      { quote: style('heading', [42, 36, 32, 28, 24], 'text', { lineSpacing: 0.95 }) },
    ),
    cover: opening([0.75, 1.2, 11.83, 3.0], [0.75, 4.75, 11.83, 1.2], 'ground'),
    section: numbered(
      opening([0.75, 1.9, 11.83, 2.3], [0.75, 4.6, 11.83, 2.1], 'ground'),
      [0.75, 0.85, 11.83, 0.95],
      'accent1',
      [54, 44, 36],
      { align: 'right', anchor: 'top' },
    ),
    pictureCover: {
      ...opening([0.75, 0.8, 11.83, 1.55], [0.75, 2.5, 11.83, 0.75], 'ground'),
      picture: [0.75, 3.35, 11.83, 3.7],
      marks: [
        mark('text', [0.75, 0.5, 11.83, 0.13]),
        mark('text', [0.75, 0.69, 11.83, 0.015]),
        mark('text', [0.75, 2.42, 11.83, 0.015]),
      ],
    },
    foot: [0.75, 6.98, 11.83],
    marks: {
      cover: [
        mark('text', [0.75, 0.5, 11.83, 0.13]),
        mark('text', [0.75, 0.69, 11.83, 0.015]),
        mark('text', [0.75, 4.46, 11.83, 0.015]),
      ],
      section: [mark('accent1', [0.75, 0.5, 11.83, 0.13]), mark('text', [0.75, 0.69, 11.83, 0.015])],
      content: [mark('text', [0.75, 0.34, 11.83, 0.09]), mark('text', [0.75, 0.48, 11.83, 0.012])],
    },
  },
};
