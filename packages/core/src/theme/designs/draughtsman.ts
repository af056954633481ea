/** A drawing board: machine letters, a thin frame with ticks at its corners. */
import { HEIGHT, mark, WIDTH } from '../build-layouts.ts';
import { BODY_SIZES, hand, pointLevels, style, TABLE_SIZES, type ThemeDesign } from '../design.ts';
import { numbered, opening, palette, type } from './parts.ts';

export const draughtsman: ThemeDesign = {
  name: 'draughtsman',
  label: 'Draughtsman',
  character: 'A drawing sheet: thin frame, corner ticks, machine letters.',
  dark: true,
  fonts: 'machine',
  palettes: [
    palette('blueprint', 'Blue sheet', 'tinted', 'one-hue', '6FA8DC'),
    palette('graphite', 'Graphite', 'cool', 'wide', '9AA7B1'),
    palette('vellum', 'Vellum', 'warm', 'opposite', 'C08A3E'),
    palette('circuit', 'Board', 'tinted', 'near', '57B894'),
  ],
  levels: pointLevels('+–·', 'accent1', 22),
  table: { sizes: TABLE_SIZES, headColor: 'panel', headText: 'accent1', rule: 'accent1', lines: 'grid' },
  cards: 'outline',
  corners: 'square',
  hand: hand('boxes', 'dots', { grid: 'dash', base: 1, bars: 0.5, dots: 'square' }),
  layout: {
    title: [0.95, 0.7, 11.4, 0.9],
    content: [0.95, 1.9, 11.433, 4.55],
    words: 'outline',
    gutter: 0.45,
    titleAnchor: 'middle',
    titleAlign: 'left',
    styles: type(
      style('heading', [30, 27, 24, 22], 'accent1', { bold: true }),
      style('body', BODY_SIZES, 'text', { lineSpacing: 1.05 }),
      [48, 42, 36, 30],
      [40, 36, 32, 28],
    ),
    cover: opening([0.95, 1.7, 10.6, 2.2], [0.95, 4.2, 10.6, 1.2], 'ground'),
    section: numbered(
      opening([0.95, 2.1, 10.6, 2.2], [0.95, 4.6, 8.6, 1.85], 'ground'),
      [9.7, 4.5, 2.65, 1.95],
      'accent1',
      [120, 96, 72, 54],
      { align: 'right' },
    ),
    foot: [0.95, 6.62, 11.433],
    marks: {
      cover: [...sheet(), mark('accent1', [0.95, 4.02, 11.433, 0.012])],
      section: [...sheet(), mark('accent1', [0.95, 4.42, 11.433, 0.012])],
      content: [...sheet(), mark('muted', [0.95, 1.68, 11.433, 0.012])],
    },
  },
};

function sheet() {
  const corners = [0.45, WIDTH - 0.45].flatMap((x) => [0.4, HEIGHT - 0.4].map((y) => [x, y] as const));
  return [
    mark('muted', [0.45, 0.4, WIDTH - 0.9, HEIGHT - 0.8], 'rect', 0.75),
    ...corners.flatMap(([x, y]) => [
      mark('accent1', [x - 0.16, y - 0.012, 0.32, 0.024]),
      mark('accent1', [x - 0.012, y - 0.16, 0.024, 0.32]),
    ]),
  ];
}
