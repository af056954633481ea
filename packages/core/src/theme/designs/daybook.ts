/** A ledger page: fine lines, a margin rule, typed heads. */
import { HEIGHT, mark, WIDTH } from '../build-layouts.ts';
import { BODY_SIZES, hand, pointLevels, style, TABLE_SIZES, type ThemeDesign } from '../design.ts';
import { numbered, opening, palette, type } from './parts.ts';

export const daybook: ThemeDesign = {
  name: 'daybook',
  label: 'Daybook',
  character: 'A ruled page: margin line, typed heads.',
  dark: false,
  fonts: 'typed',
  palettes: [
    palette('ruled', 'Ruled', 'cool', 'opposite', '34508C'),
    palette('green-ink', 'Green ink', 'warm', 'opposite', '2B6444'),
    palette('red-ink', 'Red ink', 'warm', 'near', '9A2F2A'),
    palette('carbon', 'Carbon', 'cool', 'one-hue', '43454C'),
  ],
  levels: pointLevels('–··', 'accent2', 22),
  table: { sizes: TABLE_SIZES, headColor: 'panel', headText: 'text', rule: 'muted', lines: 'rows' },
  cards: 'rule',
  corners: 'square',
  hand: hand('chevrons', 'leaves', { grid: 'dash', base: 1.5, bars: 0.56, dots: 'square' }),
  layout: {
    title: [1.75, 0.5, 10.7, 1.0],
    content: [1.75, 1.9, 10.7, 4.75],
    words: 'bar',
    gutter: 0.5,
    titleAnchor: 'bottom',
    titleAlign: 'left',
    styles: type(
      style('heading', [26, 24, 22, 20], 'accent1', { bold: true }),
      style('body', BODY_SIZES, 'text', { lineSpacing: 1.06 }),
      [42, 38, 34, 28],
      [34, 30, 28, 26],
      { big: style('heading', [120, 100, 84, 68, 54], 'accent1', { bold: true, lineSpacing: 0.95 }) },
    ),
    cover: opening([1.75, 1.8, 10.2, 2.3], [1.75, 4.4, 10.2, 1.2], 'ground'),
    section: numbered(
      opening([1.75, 2.0, 10.2, 2.2], [1.75, 4.5, 10.2, 2.2], 'panel'),
      [0.12, 2.9, 1.1, 1.3],
      'accent1',
      [60, 48, 40],
      { align: 'right' },
    ),
    foot: [1.75, 6.92, 10.7],
    marks: {
      cover: [...margin(), mark('muted', [0, 4.24, WIDTH, 0.01])],
      section: margin(),
      content: [...margin(), mark('muted', [0, 1.64, WIDTH, 0.01]), mark('muted', [0, 6.82, WIDTH, 0.01])],
    },
  },
};

function margin() {
  return [mark('accent2', [1.3, 0, 0.018, HEIGHT]), mark('accent2', [1.37, 0, 0.01, HEIGHT])];
}
