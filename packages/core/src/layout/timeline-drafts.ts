/** Timelines: dates at their places on a line, across the slide or down. */
import { inches } from '../base/index.ts';
import type { ColorName, Frame } from '../theme/index.ts';
import { itemParas, label, MIDDLE, TOP_LEFT, type FigureDraft, type SetItem } from './figure-draft.ts';
import { leadingDate } from './figure-items.ts';
import { rectOf, type Pen, type Words } from './figure-pen.ts';
import type { Para, ShapeBox } from './page.ts';

/** The date at its place on the line, the rest of the text by it. */
function dated(item: SetItem, i: number): { readonly when: Para; readonly what: readonly Para[] } {
  const found = leadingDate(item.runs);
  if (found === undefined) return { when: label(`${i + 1}`), what: itemParas(item) };
  const rest: Para[] = found.rest.length === 0 ? [] : [{ part: item.part, style: 'plain', level: 1, runs: found.rest }];
  return { when: { part: item.part, style: 'item', level: 1, runs: found.date }, what: [...rest, ...item.details] };
}

export function timelineAcross(items: readonly SetItem[], pen: Pen): FigureDraft {
  switch (pen.theme.hand.timeline) {
    case 'dots':
      return dots(items, pen);
    case 'leaves':
      return headed(items, pen, LEAVES);
    case 'band':
      return headed(items, pen, BAND);
  }
}

interface Heads {
  readonly gap: number;
  /** Least height of a head, and its share of the room. */
  readonly least: number;
  readonly share: number;
  readonly date: Pick<Frame, 'anchor' | 'align'> & { readonly bold: boolean };
  /** Of what happens then: a panel as wide as the head, or a stem at its left. */
  readonly below: { readonly color: ColorName | null; readonly width: number | null };
}
/** Each date on the head of a leaf of its own. */
const LEAVES: Heads = {
  gap: inches(0.3),
  least: inches(0.75),
  share: 0.3,
  date: { ...MIDDLE, bold: false },
  below: { color: 'panel', width: null },
};
/** Dates in one band across the slide, a colour for each. */
const BAND: Heads = {
  gap: inches(0.05),
  least: inches(0.7),
  share: 0.26,
  date: { anchor: 'middle', align: 'left', bold: true },
  below: { color: null, width: inches(0.025) },
};

/** Dates on coloured heads, what happens then below each. */
function headed(items: readonly SetItem[], pen: Pen, { gap, least, share, date, below }: Heads): FigureDraft {
  const pad = inches(0.17);
  const drawn = pen.columns(items.length, gap).map(({ x, y, width, height }, i): FigureDraft => {
    pen.begin(i);
    const { when, what } = dated(items[i]!, i);
    const color = pen.accent(i, items.length > MANY);
    const head = Math.max(least, height * share);
    return {
      shapes: [
        pen.shape('rect', rectOf(x, y, below.width ?? width, height), below.color ?? color),
        pen.shape('rect', rectOf(x, y, width, head), color),
      ],
      words: [
        pen.words(rectOf(x + pad, y, width - 2 * pad, head), [when], {
          ...date,
          color: pen.on(color),
          font: 'heading',
        }),
        pen.words(rectOf(x + pad, y + head + pad, width - 2 * pad, height - head - 1.5 * pad), what, TOP_LEFT),
      ],
    };
  });
  return { shapes: drawn.flatMap(({ shapes }) => shapes), words: drawn.flatMap(({ words }) => words) };
}

/** Dates at dots on a line, a stem from each. */
function dots(items: readonly SetItem[], pen: Pen): FigureDraft {
  const { x, y, width, height } = pen.frame;
  const line = y + height * 0.3;
  const dot = inches(0.24);
  const shapes: ShapeBox[] = [pen.shape('rect', rectOf(x, line - inches(0.02), width, inches(0.04)), 'muted')];
  const words: Words[] = [];
  pen.columns(items.length, inches(0.2)).forEach(({ x: at, width: each }, i) => {
    pen.begin(i);
    const { when, what } = dated(items[i]!, i);
    const color = pen.accent(i, items.length > MANY);
    const stem = rectOf(at + dot / 2 - inches(0.01), line, inches(0.02), y + height - line);
    shapes.push(pen.shape('rect', stem, 'muted'), pen.shape('ellipse', rectOf(at, line - dot / 2, dot, dot), color));
    words.push(
      pen.words(rectOf(at, y, each, line - dot - y), [when], {
        anchor: 'bottom',
        align: 'left',
        color,
        font: 'heading',
      }),
      pen.words(rectOf(at + dot * 1.3, line + dot, each - dot * 1.3, y + height - line - dot), what, TOP_LEFT),
    );
  });
  return { shapes, words };
}
/** From here on one colour is calmer. */
const MANY = 4;

export function timelineDown(items: readonly SetItem[], pen: Pen): FigureDraft {
  const { x, y, width, height } = pen.frame;
  const each = height / items.length;
  const when = width * 0.24;
  const dot = inches(0.2);
  const line = x + when + inches(0.2);
  const shapes: ShapeBox[] = [
    pen.shape('rect', rectOf(line + dot / 2 - inches(0.015), y, inches(0.03), height), 'muted'),
  ];
  const words: Words[] = [];
  items.forEach((item, i) => {
    pen.begin(i);
    const top = y + i * each;
    const parts = dated(item, i);
    const color = pen.accent(i, true);
    shapes.push(pen.shape('ellipse', rectOf(line, top + each / 2 - dot / 2, dot, dot), color));
    words.push(
      pen.words(rectOf(x, top, when, each * 0.94), [parts.when], {
        anchor: 'middle',
        align: 'right',
        color,
        font: 'heading',
      }),
      pen.words(rectOf(line + dot + inches(0.2), top, x + width - line - dot - inches(0.2), each * 0.94), parts.what, {
        anchor: 'middle',
        align: 'left',
      }),
    );
  });
  return { shapes, words };
}
