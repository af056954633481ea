/** A stage at night: plain letters, one thin bright line. */
import { mark, WIDTH } from '../build-layouts.ts';
import { BODY_SIZES, hand, pointLevels, style, TABLE_SIZES, type ThemeDesign } from '../design.ts';
import { numbered, opening, palette, type } from './parts.ts';

export const nightwatch: ThemeDesign = {
  name: 'nightwatch',
  label: 'Nightwatch',
  character: 'A night stage: plain letters in capitals, one bright line.',
  dark: true,
  fonts: 'poster',
  palettes: [
    palette('beacon', 'Beacon', 'cool', 'wide', '5CC8E6'),
    palette('flare', 'Flare', 'cool', 'opposite', 'F2785C'),
    palette('glow', 'Glow', 'tinted', 'near', '9BD45A'),
    palette('violet', 'Violet', 'tinted', 'triad', 'B79CF0'),
  ],
  levels: pointLevels('▸–·', 'accent1', 22),
  table: { sizes: TABLE_SIZES, headColor: 'panel', headText: 'text', rule: 'accent1', lines: 'base' },
  cards: 'outline',
  corners: 'square',
  hand: hand('boxes', 'band', { grid: 'dot', base: 2.25, bars: 0.42, dots: 'diamond' }),
  layout: {
    title: [0.9, 0.5, 11.5, 1.0],
    content: [0.9, 1.85, 11.5, 4.85],
    words: 'bar',
    gutter: 0.5,
    titleAnchor: 'middle',
    titleAlign: 'left',
    styles: type(
      style('heading', [28, 26, 24, 22], 'text', { bold: true, caps: true }),
      style('body', BODY_SIZES, 'text'),
      [46, 40, 36, 30],
      [40, 36, 32, 28],
      { quote: style('heading', [34, 30, 26, 24, 22], 'accent1') },
    ),
    cover: opening([0.9, 2.3, 11.5, 2.2], [0.9, 4.85, 11.5, 1.2], 'ground'),
    section: numbered(
      opening([0.9, 1.9, 11.5, 2.2], [0.9, 5.0, 11.5, 1.8], 'panel'),
      [6.8, 4.15, 2, 0.8],
      'accent1',
      [54, 44, 36],
      { anchor: 'middle' },
    ),
    foot: [0.9, 6.95, 11.5],
    marks: {
      cover: [mark('accent1', [0, 4.62, WIDTH, 0.04])],
      section: [mark('accent1', [0, 4.53, 6.6, 0.04])],
      content: [mark('accent1', [0, 1.56, 3.2, 0.04])],
    },
  },
};
