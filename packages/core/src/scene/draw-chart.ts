/** Draws a chart: axes at round numbers, bars, lines or pieces, labels and legend, measured with the theme's fonts. */
import { ptFromEmu } from '../base/index.ts';
import { accentOf, coloredByCategory, isMirrored, writeNumber, type Chart } from '../charts/index.ts';
import type { ChartBox } from '../layout/index.ts';
import { inkOn, type ColorName, type Palette, type Theme } from '../theme/index.ts';
import { scaleOf, type Scale } from './chart-axis.ts';
import { CHART_TYPE, ChartPen } from './chart-pen.ts';
import { outline, type DrawnShape } from './drawn-shape.ts';
import { asWritten, mirroredPiece, mirroredShape } from './mirror-chart.ts';
import type { Piece } from './drawn-text.ts';
import type { SlideColors } from './scene.ts';

export interface DrawnChart {
  readonly shapes: readonly DrawnShape[];
  readonly pieces: readonly Piece[];
}
interface Area {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Areas stand before each other: what is behind is seen. Also written into the file. */
export const OVERLAP_OPACITY = 0.65;
export function drawChart({ chart, frame }: ChartBox, theme: Theme, colors: Colors): DrawnChart {
  return new Drawing(chart, theme, colors).draw({
    x: ptFromEmu(frame.x),
    y: ptFromEmu(frame.y),
    width: ptFromEmu(frame.width),
    height: ptFromEmu(frame.height),
  });
}

type Colors = Pick<SlideColors, 'palette' | 'inks'>;

/** The colour of a number that is written within a bar or a piece; within all pieces of a circle it is one. */
export function inkWithin(chart: Chart, palette: Palette, i: number): 'ground' | 'text' {
  const accent = (k: number): ColorName => `accent${accentOf(chart, k)}` as ColorName;
  const all = coloredByCategory(chart.settings.kind);
  return inkOn(palette, all ? chart.categories.map((_, k) => accent(k)) : [accent(i)]);
}

class Drawing {
  readonly #chart: Chart;
  readonly #theme: Theme;
  readonly #pen: ChartPen;

  constructor(chart: Chart, theme: Theme, colors: Colors) {
    this.#chart = chart;
    this.#theme = theme;
    this.#pen = new ChartPen(chart, theme, colors);
  }

  draw(area: Area): DrawnChart {
    const { settings } = this.#chart;
    const turned = this.#theme.mirrored === true && isMirrored(settings.kind);
    // What is not turned begins at the right all the same.
    const stays = this.#theme.mirrored === true && !turned;
    let left = area;
    if (settings.title !== null && settings.title !== '') {
      const [x, anchor] = stays ? ([area.x + area.width, 'end'] as const) : ([area.x, 'start'] as const);
      this.#pen.text(settings.title, x, area.y + CHART_TYPE.title, anchor, {
        size: CHART_TYPE.title,
        bold: true,
        most: area.width,
      });
      left = { ...left, y: left.y + CHART_TYPE.title * 1.8, height: left.height - CHART_TYPE.title * 1.8 };
    }
    left = this.#legend(left, stays);
    if (settings.kind === 'pie' || settings.kind === 'doughnut') this.#pie(left, settings.kind === 'doughnut');
    else if (settings.kind === 'scatter') this.#scatter(left);
    else this.#axes(left);
    const middle = area.x + area.width / 2;
    return {
      shapes: turned ? this.#pen.shapes.map((shape) => mirroredShape(shape, middle)) : this.#pen.shapes,
      pieces: this.#pen.pieces.map((piece) => asWritten(turned ? mirroredPiece(piece, middle) : piece, this.#theme)),
    };
  }

  /** @param fromLeft What would stand at the right stands at the left. */
  #legend(area: Area, fromLeft: boolean): Area {
    const { settings, series, categories } = this.#chart;
    const names = coloredByCategory(settings.kind) ? categories : series.map(({ name }) => name);
    const row = CHART_TYPE.text * 1.7;
    const box = CHART_TYPE.text * 0.8;
    const key = (name: string, i: number, x: number, y: number, most: number): void => {
      this.#pen.fill(outline('rect', { x, y: y - box * 0.9, width: box, height: box }), this.#pen.color(i));
      this.#pen.text(name, x + box + 6, y, 'start', { most: most - box - 6 });
    };
    if (settings.legend === 'right') {
      const widest = Math.min(area.width * 0.34, Math.max(...names.map((name) => this.#pen.width(name))) + box + 8);
      const x = fromLeft ? area.x : area.x + area.width - widest;
      const top = area.y + Math.max(0, (area.height - names.length * row) / 2);
      names.forEach((name, i) => {
        if (top + (i + 1) * row <= area.y + area.height) key(name, i, x, top + (i + 0.7) * row, widest);
      });
      return { ...area, x: fromLeft ? area.x + widest + 16 : area.x, width: area.width - widest - 16 };
    }
    if (settings.legend === 'bottom') {
      const most = area.width / Math.min(names.length, 3);
      const lines: { name: string; i: number; x: number; line: number }[] = [];
      let x = 0;
      let line = 0;
      names.forEach((name, i) => {
        const width = Math.min(most, this.#pen.width(name) + box + 6) + 18;
        if (x > 0 && x + width > area.width) [x, line] = [0, line + 1];
        lines.push({ name, i, x, line });
        x += width;
      });
      const height = (line + 1) * row + 4;
      for (const one of lines)
        key(one.name, one.i, area.x + one.x, area.y + area.height - height + (one.line + 0.95) * row, most);
      return { ...area, height: area.height - height - 6 };
    }
    return area;
  }

  #pie({ x, y, width, height }: Area, hollow: boolean): void {
    const { series, format, settings } = this.#chart;
    const values = (series[0]?.values ?? []).map((value) => Math.max(0, value ?? 0));
    const total = values.reduce((sum, value) => sum + value, 0) || 1;
    const radius = Math.min(width, height) / 2 - 4;
    const inner = hollow ? radius * 0.55 : 0;
    const cx = x + width / 2;
    const cy = y + height / 2;
    const at = (angle: number, r: number): string =>
      `${(cx + r * Math.sin(angle)).toFixed(2)} ${(cy - r * Math.cos(angle)).toFixed(2)}`;
    let angle = 0;
    values.forEach((value, i) => {
      if (value === 0) return;
      // A whole turn has no two ends.
      const turn = Math.min((value / total) * 2 * Math.PI, 2 * Math.PI - 1e-4);
      const to = angle + turn;
      const large = turn > Math.PI ? 1 : 0;
      const rim = `M${at(angle, radius)}A${radius} ${radius} 0 ${large} 1 ${at(to, radius)}`;
      const back = hollow
        ? `L${at(to, inner)}A${inner} ${inner} 0 ${large} 0 ${at(angle, inner)}Z`
        : `L${cx.toFixed(2)} ${cy.toFixed(2)}Z`;
      this.#pen.shapes.push({
        d: rim + back,
        fill: this.#pen.color(i),
        stroke: this.#pen.palette.ground,
        strokeWidth: 1.5,
      });
      if (settings.labels && turn > 0.28) {
        const middle = angle + turn / 2;
        const r = hollow ? (radius + inner) / 2 : radius * 0.66;
        this.#pen.text(writeNumber(value, format), cx + r * Math.sin(middle), cy - r * Math.cos(middle) + 4, 'middle', {
          color: this.#pen.inks[inkWithin(this.#chart, this.#pen.palette, i)],
          bold: true,
        });
      }
      angle = to;
    });
  }

  #axes(area: Area): void {
    const { settings, series, categories } = this.#chart;
    const flat = settings.kind === 'bar';
    const stacked = settings.kind === 'stacked';
    const sums = categories.map((_, k) => series.reduce((sum, { values }) => sum + Math.max(0, values[k] ?? 0), 0));
    const all = stacked ? sums : series.flatMap(({ values }) => values.filter((value) => value !== null));
    const scale = scaleOf(this.#chart, all.length === 0 ? [0, 1] : all, settings.kind !== 'line');
    const size = CHART_TYPE.text;
    const plot = this.#plot(area, flat, scale);
    const { x, y, width, height } = plot;
    const along = (value: number): number =>
      flat
        ? x + ((value - scale.from) / (scale.to - scale.from)) * width
        : y + height - ((value - scale.from) / (scale.to - scale.from)) * height;
    for (const tick of scale.ticks) {
      const at = along(tick);
      if (settings.grid)
        this.#pen.line(
          flat ? `M${at.toFixed(2)} ${y}v${height}` : `M${x} ${at.toFixed(2)}h${width}`,
          this.#pen.palette.panel,
          1,
          this.#pen.dashes,
        );
      if (flat)
        this.#pen.text(scale.label(tick), at, y + height + size * 1.25, 'middle', { color: this.#pen.inks.muted });
      else this.#pen.text(scale.label(tick), x - 6, at + size * 0.35, 'end', { color: this.#pen.inks.muted });
    }
    const room = (flat ? height : width) / categories.length;
    const every = flat
      ? Math.ceil((size * 1.3) / room)
      : Math.ceil(Math.min(60, Math.max(...categories.map((name) => this.#pen.width(name)))) / room);
    categories.forEach((name, k) => {
      if (k % every !== 0) return;
      if (flat) this.#pen.text(name, x - 6, y + (k + 0.5) * room + size * 0.35, 'end', { most: x - area.x - 6 });
      else this.#pen.text(name, x + (k + 0.5) * room, y + height + size * 1.35, 'middle', { most: room * every - 4 });
    });
    if (settings.kind === 'line' || settings.kind === 'area') this.#lines(plot, along, room);
    else this.#bars(plot, along, room, flat, stacked);
    const zero = along(Math.max(scale.from, Math.min(0, scale.to)));
    this.#pen.line(
      flat ? `M${zero.toFixed(2)} ${y}v${height}` : `M${x} ${zero.toFixed(2)}h${width}`,
      this.#pen.palette.muted,
      this.#theme.hand.chart.base,
    );
    this.#axisTitles(area, plot, flat);
  }

  #plot(area: Area, flat: boolean, scale: Scale): Area {
    const { settings, categories } = this.#chart;
    const size = CHART_TYPE.text;
    const names = flat ? categories : scale.ticks.map(scale.label);
    const upTitle = settings.upTitle ? size * 1.5 : 0;
    const left = Math.min(area.width * 0.34, Math.max(...names.map((name) => this.#pen.width(name))) + 8);
    const bottom = size * 1.9 + (settings.acrossTitle ? size * 1.5 : 0);
    const right = flat ? this.#pen.width(scale.label(scale.ticks.at(-1) ?? 0)) / 2 + (settings.labels ? 30 : 4) : 4;
    const top = (settings.labels && !flat ? size * 1.4 : size * 0.5) + upTitle;
    return { x: area.x + left, y: area.y + top, width: area.width - left - right, height: area.height - bottom - top };
  }

  #axisTitles(area: Area, plot: Area, flat: boolean): void {
    const { acrossTitle, upTitle } = this.#chart.settings;
    const [below, above] = flat ? [upTitle, acrossTitle] : [acrossTitle, upTitle];
    const look = { color: this.#pen.inks.muted, bold: true, most: area.width };
    if (below) this.#pen.text(below, plot.x + plot.width / 2, area.y + area.height - 3, 'middle', look);
    if (above) this.#pen.text(above, area.x, area.y + CHART_TYPE.text, 'start', look);
  }

  #bars({ x, y }: Area, along: (value: number) => number, room: number, flat: boolean, stacked: boolean): void {
    const { series, categories, settings, format } = this.#chart;
    const count = stacked ? 1 : series.length;
    const share = this.#theme.hand.chart.bars;
    const thick = (room * share) / count;
    categories.forEach((_, k) => {
      let base = 0;
      series.forEach(({ values }, i) => {
        const value = values[k];
        if (value === null || value === undefined) return;
        const [from, to] = stacked ? [along(base), along(base + value)] : [along(0), along(value)];
        if (stacked) base += Math.max(0, value);
        const start = (flat ? y : x) + k * room + (room * (1 - share)) / 2 + (stacked ? 0 : i * thick);
        const low = Math.min(from, to);
        const long = Math.abs(to - from);
        const rect = flat
          ? { x: low, y: start, width: long, height: thick * 0.94 }
          : { x: start, y: low, width: thick * 0.94, height: long };
        this.#pen.fill(outline('rect', rect), this.#pen.color(i));
        if (!settings.labels) return;
        const text = writeNumber(value, format);
        const within = stacked;
        if (!flat && this.#pen.width(text) > room * 0.98) return;
        if (within && long < CHART_TYPE.text * (flat ? 3 : 1.3)) return;
        const color = this.#pen.inks[within ? inkWithin(this.#chart, this.#pen.palette, i) : 'text'];
        if (flat)
          this.#pen.text(
            text,
            within ? low + long / 2 : Math.max(from, to) + 4,
            start + thick / 2 + 4,
            within ? 'middle' : 'start',
            { color },
          );
        else
          this.#pen.text(text, start + (thick * 0.94) / 2, within ? low + long / 2 + 4 : low - 4, 'middle', { color });
      });
    });
  }

  #lines({ x }: Area, along: (value: number) => number, room: number): void {
    const { series, settings, format } = this.#chart;
    const filled = settings.kind === 'area';
    series.forEach(({ values }, i) => {
      const color = this.#pen.color(i);
      // A gap in the numbers is a gap in the line.
      const stretches: (readonly [number, number])[][] = [[]];
      values.forEach((value, k) => {
        if (value === null) stretches.push([]);
        else stretches.at(-1)!.push([x + (k + 0.5) * room, along(value)]);
      });
      for (const stretch of stretches.filter(({ length }) => length > 0)) {
        const d = `M${stretch.map(([px, py]) => `${px.toFixed(2)} ${py.toFixed(2)}`).join('L')}`;
        if (filled)
          this.#pen.fill(
            `${d}L${stretch.at(-1)![0].toFixed(2)} ${along(0).toFixed(2)}L${stretch[0]![0].toFixed(2)} ${along(0).toFixed(2)}Z`,
            color,
            series.length > 1 ? OVERLAP_OPACITY : 1,
          );
        else {
          this.#pen.line(d, color, 2.5);
          for (const [px, py] of stretch)
            this.#pen.fill(outline(this.#pen.dot, { x: px - 3.5, y: py - 3.5, width: 7, height: 7 }), color);
        }
      }
      if (settings.labels && !filled)
        values.forEach((value, k) => {
          if (value !== null && this.#pen.width(writeNumber(value, format)) < room)
            this.#pen.text(writeNumber(value, format), x + (k + 0.5) * room, along(value) - 8, 'middle');
        });
    });
  }

  #scatter(area: Area): void {
    const { series, settings, categories } = this.#chart;
    const dots = series.flatMap(({ values, across }, i) =>
      values.flatMap((value, k) => {
        const at = across?.[k] ?? (across === undefined ? k + 1 : null);
        return value === null || at === null ? [] : [{ i, k, at, value }];
      }),
    );
    const up = scaleOf(this.#chart, dots.length === 0 ? [0, 1] : dots.map(({ value }) => value), false);
    const across = scaleOf(this.#chart, dots.length === 0 ? [0, 1] : dots.map(({ at }) => at), false);
    const plot = this.#plot(area, false, up);
    const { x, y, width, height } = plot;
    const px = (value: number): number => x + ((value - across.from) / (across.to - across.from)) * width;
    const py = (value: number): number => y + height - ((value - up.from) / (up.to - up.from)) * height;
    for (const tick of up.ticks) {
      if (settings.grid)
        this.#pen.line(`M${x} ${py(tick).toFixed(2)}h${width}`, this.#pen.palette.panel, 1, this.#pen.dashes);
      this.#pen.text(up.label(tick), x - 6, py(tick) + 4, 'end', { color: this.#pen.inks.muted });
    }
    for (const tick of across.ticks)
      this.#pen.text(across.label(tick), px(tick), y + height + CHART_TYPE.text * 1.35, 'middle', {
        color: this.#pen.inks.muted,
      });
    this.#pen.line(`M${x} ${y}v${height}h${width}`, this.#pen.palette.muted, this.#theme.hand.chart.base);
    for (const { i, k, at, value } of dots) {
      this.#pen.fill(
        outline(this.#pen.dot, { x: px(at) - 5, y: py(value) - 5, width: 10, height: 10 }),
        this.#pen.color(i),
      );
      if (settings.labels)
        this.#pen.text(categories[k] ?? '', px(at) + 8, py(value) + 4, 'start', { most: x + width - px(at) - 8 });
    }
    this.#axisTitles(area, plot, false);
  }
}
