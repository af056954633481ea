/** A coloured band across the top that holds the title. */
import { mark, WIDTH } from '../build-layouts.ts';
import { BODY_SIZES, hand, pointLevels, style, TABLE_SIZES, type ThemeDesign } from '../design.ts';
import { numbered, opening, palette, type } from './parts.ts';

export const headland: ThemeDesign = {
  name: 'headland',
  label: 'Headland',
  character: 'A deep band across the top holds every title.',
  dark: false,
  fonts: 'common-soft',
  palettes: [
    palette('spruce', 'Spruce', 'white', 'opposite', '1F5B57'),
    palette('navy', 'Navy', 'white', 'near', '1F3A63'),
    palette('wine', 'Wine', 'warm', 'near', '7A2340'),
    palette('peat', 'Peat', 'warm', 'opposite', '5A4630'),
  ],
  levels: pointLevels('•–·', 'accent1'),
  table: { sizes: TABLE_SIZES, headColor: 'accent1', headText: 'ground', rule: 'accent1', lines: 'bands' },
  cards: 'edge',
  corners: 'square',
  hand: hand('stairs', 'band', { grid: 'solid', base: 1.5, bars: 0.74, dots: 'circle' }),
  layout: {
    title: [0.75, 0.2, 11.83, 1.0],
    content: [0.75, 1.75, 11.83, 5.0],
    words: 'reversed',
    gutter: 0.5,
    titleAnchor: 'middle',
    titleAlign: 'left',
    styles: type(
      style('heading', [32, 28, 26, 24], 'ground', { bold: true, lineSpacing: 0.95 }),
      style('body', BODY_SIZES, 'text'),
      [52, 46, 40, 34],
      [44, 40, 36, 30],
      { cover: style('heading', [52, 46, 40, 34], 'accent1', { bold: true, lineSpacing: 0.95 }) },
    ),
    cover: opening([0.75, 2.9, 11.6, 2.0], [0.75, 5.05, 11.6, 1.2], 'ground'),
    section: numbered(
      opening([0.75, 2.1, 10.6, 2.2], [0.75, 4.55, 8.4, 2.1], 'accent1'),
      [9.3, 4.55, 3.28, 2.2],
      'ground',
      [150, 120, 90, 66],
      { align: 'right' },
    ),
    pictureCover: {
      ...opening([0.75, 4.75, 11.83, 1.35], [0.75, 6.15, 11.83, 0.95], 'ground'),
      picture: [0, 0.61, WIDTH, 4.0],
      marks: [mark('accent1', [0, 0, WIDTH, 0.55]), mark('accent2', [0, 0.55, WIDTH, 0.06])],
    },
    foot: [0.75, 6.95, 11.83],
    marks: {
      cover: [mark('accent1', [0, 0, WIDTH, 2.5]), mark('accent2', [0, 2.5, WIDTH, 0.09])],
      section: [mark('accent2', [0.75, 4.38, 11.83, 0.05])],
      content: [mark('accent1', [0, 0, WIDTH, 1.4]), mark('accent2', [0, 1.4, WIDTH, 0.06])],
    },
  },
};
