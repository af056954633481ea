/** Huge grotesque type, blocks of colour. */
import { HEIGHT, mark } from '../build-layouts.ts';
import { BODY_SIZES, hand, pointLevels, style, TABLE_SIZES, type ThemeDesign } from '../design.ts';
import { numbered, opening, palette, type } from './parts.ts';

export const semaphore: ThemeDesign = {
  name: 'semaphore',
  label: 'Semaphore',
  character: 'Loud: heavy letters, square blocks of colour.',
  dark: false,
  fonts: 'poster',
  palettes: [
    palette('flag', 'Flag', 'white', 'triad', 'B3261E', '1D4E89', '7A5A00'),
    palette('night', 'Night watch', 'white', 'opposite', '34327A'),
    palette('leaf', 'Leaf', 'white', 'wide', '1B6B45'),
    palette('brick', 'Brick', 'warm', 'near', 'A5451D'),
  ],
  levels: pointLevels('▪–·', 'accent1', 24),
  table: { sizes: TABLE_SIZES, headColor: 'accent1', headText: 'ground', rule: 'text', lines: 'bands' },
  cards: 'solid',
  corners: 'square',
  hand: hand('stairs', 'band', { grid: 'solid', base: 3, bars: 0.86, dots: 'square' }),
  layout: {
    title: [0.7, 0.45, 11.2, 1.25],
    content: [0.7, 2.0, 11.93, 4.75],
    words: 'reversed',
    gutter: 0.55,
    titleAnchor: 'middle',
    titleAlign: 'left',
    styles: type(
      style('heading', [36, 32, 28, 24], 'text', { bold: true, lineSpacing: 0.92 }),
      style('body', BODY_SIZES, 'text'),
      [60, 52, 44, 36],
      [54, 48, 40, 34],
      { quote: style('heading', [40, 34, 30, 26, 22], 'accent1', { bold: true }) },
    ),
    cover: opening([0.9, 2.0, 9.4, 2.9], [0.9, 5.15, 9.4, 1.2], 'accent1'),
    section: numbered(
      opening([0.9, 1.6, 9.4, 2.7], [0.9, 4.55, 9.4, 2.1], 'accent2'),
      [11.05, 4.2, 2.1, 2.7],
      'ground',
      [130, 100, 76, 54],
    ),
    pictureCover: {
      ...opening([0.7, 1.2, 5.4, 3.6], [0.7, 5.0, 5.4, 1.7], 'accent1'),
      picture: [6.667, 0, 6.666, 5.6],
      marks: [mark('accent2', [6.667, 5.6, 3.333, 1.9]), mark('accent3', [10, 5.6, 3.333, 1.9])],
    },
    foot: [0.7, 6.98, 11.93],
    marks: {
      cover: [mark('accent2', [10.9, 0, 2.433, 3.75]), mark('accent3', [10.9, 3.75, 2.433, 3.75])],
      section: [mark('accent1', [10.9, 0, 2.433, HEIGHT])],
      content: [mark('accent1', [12.2, 0, 1.133, 0.85]), mark('accent2', [12.2, 0.85, 1.133, 0.85])],
    },
  },
};
