/** As little as possible: small title, wide margins. */
import { BODY_SIZES, hand, pointLevels, style, TABLE_SIZES, type ThemeDesign } from '../design.ts';
import { numbered, opening, palette, type } from './parts.ts';

export const plainsong: ThemeDesign = {
  name: 'plainsong',
  label: 'Plainsong',
  character: 'Almost nothing: a small title, wide margins, white.',
  dark: false,
  fonts: 'common-plain',
  palettes: [
    palette('chalk', 'Chalk', 'white', 'one-hue', '30343A'),
    palette('pine', 'Pine', 'white', 'one-hue', '2A5C46'),
    palette('cobalt', 'Cobalt', 'white', 'one-hue', '24489C'),
    palette('carmine', 'Carmine', 'white', 'one-hue', '9B1C38'),
  ],
  levels: pointLevels('–··', 'muted', 22),
  table: { sizes: TABLE_SIZES, headColor: 'ground', headText: 'muted', rule: 'panel', lines: 'rows' },
  cards: 'column',
  corners: 'square',
  hand: hand('numerals', 'dots', { grid: 'dot', base: 0.75, bars: 0.4, dots: 'circle' }),
  layout: {
    title: [1.6, 0.75, 10.133, 0.8],
    content: [1.6, 1.95, 10.133, 4.6],
    gutter: 0.6,
    titleAnchor: 'middle',
    titleAlign: 'left',
    styles: type(
      style('heading', [24, 22, 20], 'accent1', { bold: true }),
      style('body', BODY_SIZES, 'text', { lineSpacing: 1.06 }),
      [44, 40, 36, 30],
      [36, 32, 28, 26],
      { big: style('heading', [160, 130, 100, 76, 54], 'text', { bold: true, lineSpacing: 0.9 }) },
    ),
    cover: opening([1.6, 2.0, 10.133, 2.0], [1.6, 4.2, 10.133, 1.2], 'ground'),
    section: numbered(
      opening([1.6, 3.9, 10.133, 1.3], [1.6, 5.35, 10.133, 1.4], 'ground'),
      [1.6, 0.8, 10.133, 3.0],
      'text',
      [220, 170, 130, 96],
    ),
    foot: [1.6, 6.9, 10.133],
    marks: { cover: [], section: [], content: [] },
  },
};
