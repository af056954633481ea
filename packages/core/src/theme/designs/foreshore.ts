/** The title has a column of its own, beside the content. */
import { HEIGHT, mark } from '../build-layouts.ts';
import { hand, pointLevels, steppedOnce, style, TABLE_SIZES, type ThemeDesign } from '../design.ts';
import { numbered, opening, palette, type } from './parts.ts';

export const foreshore: ThemeDesign = {
  name: 'foreshore',
  label: 'Foreshore',
  character: 'The title in a tinted column of its own, the content beside it.',
  dark: false,
  fonts: 'brush',
  palettes: [
    palette('sand', 'Sand', 'warm', 'opposite', '8A5A1C'),
    palette('kelp', 'Kelp', 'warm', 'near', '4A5F1E'),
    palette('ebb', 'Ebb', 'cool', 'near', '1E5F74'),
    palette('shell', 'Shell', 'tinted', 'near', 'A0455A'),
  ],
  levels: pointLevels('–·', 'accent1', 22),
  table: { sizes: TABLE_SIZES, headColor: 'panel', headText: 'accent1', rule: 'accent1', lines: 'rows' },
  cards: 'edge',
  corners: 'round',
  hand: hand('boxes', 'dots', { grid: 'solid', base: 1, bars: 0.62, dots: 'circle' }),
  layout: {
    title: [0.45, 0.7, 3.55, 5.9],
    content: [4.65, 0.75, 8.2, 5.95],
    longTitle: { title: [4.65, 0.7, 8.2, 1.0], content: [4.65, 1.95, 8.2, 4.75] },
    words: 'bar',
    gutter: 0.4,
    titleAnchor: 'top',
    titleAlign: 'left',
    styles: type(
      style('heading', [30, 28, 26, 24, 22], 'accent1', { bold: true, lineSpacing: 0.98 }),
      style('body', steppedOnce(20), 'text'),
      [50, 44, 38, 32],
      [42, 38, 34, 30],
      { big: style('heading', [130, 110, 90, 70, 54], 'accent1', { bold: true, lineSpacing: 0.9 }) },
    ),
    cover: opening([4.65, 1.5, 8.2, 2.6], [4.65, 4.35, 8.2, 1.3], 'ground'),
    section: numbered(
      opening([4.65, 2.0, 8.2, 2.2], [4.65, 4.45, 8.2, 2.2], 'panel'),
      [0.45, 3.4, 3.3, 3.4],
      'ground',
      [180, 140, 100, 72],
    ),
    pictureCover: {
      ...opening([5.3, 1.5, 7.45, 2.6], [5.3, 4.35, 7.45, 1.3], 'ground'),
      picture: [0, 0, 4.6, HEIGHT],
      marks: [mark('accent2', [4.6, 0, 0.09, HEIGHT])],
    },
    foot: [4.65, 6.98, 8.2],
    marks: {
      cover: [mark('accent1', [0, 0, 4.15, HEIGHT]), mark('accent2', [4.15, 0, 0.09, HEIGHT])],
      section: [mark('accent1', [0, 0, 4.15, HEIGHT])],
      content: [mark('panel', [0, 0, 4.15, HEIGHT]), mark('accent1', [4.15, 0, 0.045, HEIGHT])],
    },
  },
};
