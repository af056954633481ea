/** Draws the shapes and words that charts are made of. */
import { emuFromPt } from '../base/index.ts';
import { accentOf, type Chart } from '../charts/index.ts';
import { fontFace } from '../fonts/index.ts';
import type { ChartHand, Geometry, Hex, Palette, Theme } from '../theme/index.ts';
import type { DrawnShape } from './drawn-shape.ts';
import type { Piece } from './drawn-text.ts';
import type { SlideColors } from './scene.ts';

/** Sizes of type in points; also written into the file. */
export const CHART_TYPE = { title: 20, text: 16 } as const;
const DOTS = { circle: 'ellipse', square: 'rect', diamond: 'diamond' } as const satisfies Record<
  ChartHand['dots'],
  Geometry
>;
/** Lengths of dashes and gaps in points, as receivers draw lines of one point (ECMA-376-1 §20.1.10.48). */
const DASHES = { solid: undefined, dash: '4 3', dot: '1 1' } as const satisfies Record<
  ChartHand['grid'],
  string | undefined
>;

type Anchor = 'start' | 'middle' | 'end';

export class ChartPen {
  readonly shapes: DrawnShape[] = [];
  readonly pieces: Piece[] = [];
  readonly palette: Palette;
  readonly inks: Palette;
  readonly #chart: Chart;
  readonly #theme: Theme;

  constructor(chart: Chart, theme: Theme, { palette, inks }: Pick<SlideColors, 'palette' | 'inks'>) {
    this.#chart = chart;
    this.#theme = theme;
    this.palette = palette;
    this.inks = inks;
  }

  /** What marks a number on a line. */
  get dot(): Geometry {
    return DOTS[this.#theme.hand.chart.dots];
  }

  /** Of the lines of a grid. */
  get dashes(): string | undefined {
    return DASHES[this.#theme.hand.chart.grid];
  }

  color(i: number): Hex {
    return this.palette[`accent${accentOf(this.#chart, i)}` as 'accent1'];
  }

  width(text: string, size = CHART_TYPE.text as number, bold = false): number {
    return fontFace(this.#theme.fonts.body, bold ? 'bold' : 'regular').width(text) * size;
  }

  text(
    text: string,
    x: number,
    y: number,
    anchor: Anchor,
    { size = CHART_TYPE.text as number, bold = false, color = this.inks.text, most = Infinity } = {},
  ): void {
    let shown = text;
    while (shown.length > 1 && this.width(shown, size, bold) > most)
      shown = `${shown.replace(/…$/, '').slice(0, -1).trimEnd()}…`;
    const width = this.width(shown, size, bold);
    const from = anchor === 'start' ? x : anchor === 'middle' ? x - width / 2 : x - width;
    this.pieces.push({
      text: shown,
      x: emuFromPt(from),
      baseline: emuFromPt(y),
      width: emuFromPt(width),
      family: this.#theme.fonts.body,
      size,
      bold,
      italic: false,
      strike: false,
      link: undefined,
      color,
    });
  }

  fill(d: string, fill: Hex, opacity = 1): void {
    this.shapes.push({ d, fill, stroke: null, strokeWidth: 0, ...(opacity === 1 ? {} : { opacity }) });
  }
  line(d: string, stroke: Hex, strokeWidth: number, dashes?: string): void {
    this.shapes.push({ d, fill: null, stroke, strokeWidth, ...(dashes === undefined ? {} : { dashes }) });
  }
}
