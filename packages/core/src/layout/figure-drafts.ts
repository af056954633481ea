/** Where the shapes and the text of each figure stand, before it is known at what size the text fits. */
import { inches } from '../base/index.ts';
import { plain, runsText } from '../content/index.ts';
import type { CardKind } from '../theme/index.ts';
import { bigNumber, leadingDate, type FigureItem } from './figure-items.ts';
import { rectOf, within, type Pen, type Words } from './figure-pen.ts';
import type { IconBox, Para, ShapeBox } from './page.ts';

export const FIGURES = ['steps', 'cycle', 'timeline', 'icon-grid', 'pyramid', 'funnel', 'matrix'] as const;
export type FigureName = (typeof FIGURES)[number];

export interface SetItem extends FigureItem {
  /** It is the heading of what stands below it. */
  readonly heads: boolean;
}
export interface FigureDraft {
  readonly shapes: readonly (ShapeBox | IconBox)[];
  readonly words: readonly Words[];
}

const itemParas = ({ part, runs, heads, details }: SetItem): readonly Para[] => [
  { part, style: heads ? 'item' : 'plain', level: 1, runs },
  ...details,
];
/** Not the author's words: a number. */
const label = (text: string): Para => ({ part: null, style: 'item', level: 1, runs: plain(text) });

/** Drafts of a figure, the better ones first. */
type Drafter = (items: readonly SetItem[], pen: Pen) => Iterable<FigureDraft>;

export const FIGURE_DRAFTS: Readonly<Record<FigureName, Drafter>> = {
  *steps(items, pen) {
    yield stepsAcross(items, pen);
    yield stepsDown(items, pen);
  },
  *cycle(items, pen) {
    yield cycle(items, pen);
  },
  *timeline(items, pen) {
    yield timelineAcross(items, pen);
    yield timelineDown(items, pen);
  },
  *'icon-grid'(items, pen) {
    for (const columns of gridColumns(items.length)) yield cards(items, pen, columns);
  },
  *pyramid(items, pen) {
    yield layers(items, pen, false);
  },
  *funnel(items, pen) {
    yield layers(items, pen, true);
  },
  *matrix(items, pen) {
    yield matrix(items, pen);
  },
};

function stepsAcross(items: readonly SetItem[], pen: Pen): FigureDraft {
  const { x, y, width, height } = pen.frame;
  const gap = inches(0.12);
  const each = (width - gap * (items.length - 1)) / items.length;
  const head = Math.min(inches(0.8), height * 0.22);
  const top = y;
  const bottom = y + height;
  const shapes: ShapeBox[] = [];
  const words: Words[] = [];
  items.forEach((item, i) => {
    const at = x + i * (each + gap);
    const band = rectOf(at, top, each, head);
    const card = rectOf(at, top + head + inches(0.1), each - inches(0.12), bottom - top - head - inches(0.1));
    shapes.push(
      pen.shape('rect', card, 'panel'),
      pen.shape(i === 0 ? 'tag' : 'chevron', band, pen.accent(i, items.length > 4)),
    );
    words.push(
      pen.words(within(band, each * 0.2, 0), [label(`${i + 1}`)], {
        anchor: 'middle',
        align: 'center',
        color: 'ground',
        font: 'heading',
        bold: true,
      }),
      pen.words(within(card, inches(0.16), inches(0.18)), itemParas(item), { anchor: 'top', align: 'left' }),
    );
  });
  return { shapes, words };
}

function stepsDown(items: readonly SetItem[], pen: Pen): FigureDraft {
  const { x, y, width, height } = pen.frame;
  const gap = inches(0.12);
  const each = (height - gap * (items.length - 1)) / items.length;
  const disc = Math.min(each, inches(0.62));
  const shapes: ShapeBox[] = [];
  const words: Words[] = [];
  items.forEach((item, i) => {
    const top = y + i * (each + gap);
    const middle = top + each / 2;
    const round = rectOf(x, middle - disc / 2, disc, disc);
    if (i < items.length - 1)
      shapes.push(pen.shape('rect', rectOf(x + disc / 2 - inches(0.012), middle, inches(0.024), each + gap), 'muted'));
    shapes.push(pen.shape('ellipse', round, pen.accent(i, true)));
    words.push(
      pen.words(round, [label(`${i + 1}`)], {
        anchor: 'middle',
        align: 'center',
        color: 'ground',
        font: 'heading',
        bold: true,
      }),
      pen.words(rectOf(x + disc + inches(0.25), top, width - disc - inches(0.25), each), itemParas(item), {
        anchor: 'middle',
        align: 'left',
      }),
    );
  });
  // Lines first, so that the discs stand on them.
  return {
    shapes: [...shapes].sort((a, b) => Number(a.geometry === 'ellipse') - Number(b.geometry === 'ellipse')),
    words,
  };
}

function cycle(items: readonly SetItem[], pen: Pen): FigureDraft {
  const { x, y, width, height } = pen.frame;
  const n = items.length;
  const card = { width: Math.min(width * (n > 4 ? 0.27 : 0.3), inches(3.3)), height: height * (n > 4 ? 0.27 : 0.3) };
  const rx = (width - card.width) / 2;
  const ry = (height - card.height) / 2;
  const center = { x: x + width / 2, y: y + height / 2 };
  const angle = (i: number): number => -Math.PI / 2 + (i * 2 * Math.PI) / n;
  const shapes: ShapeBox[] = [];
  const words: Words[] = [];
  items.forEach((item, i) => {
    const at = { x: center.x + rx * Math.cos(angle(i)), y: center.y + ry * Math.sin(angle(i)) };
    const rect = rectOf(at.x - card.width / 2, at.y - card.height / 2, card.width, card.height);
    const color = pen.accent(i, n > 4);
    const half = angle(i) + Math.PI / n;
    const arrow = inches(0.34);
    const between = { x: center.x + rx * 0.82 * Math.cos(half), y: center.y + ry * 0.82 * Math.sin(half) };
    const turned = (Math.atan2(ry * Math.cos(half), -rx * Math.sin(half)) * 180) / Math.PI;
    shapes.push(
      pen.shape(pen.card, rect, color),
      pen.shape('arrow', rectOf(between.x - arrow / 2, between.y - arrow / 2, arrow, arrow), 'muted', {
        turned: Math.round((turned + 360) % 360),
      }),
    );
    words.push(
      pen.words(within(rect, inches(0.12)), itemParas(item), { anchor: 'middle', align: 'center', color: 'ground' }),
    );
  });
  return { shapes, words };
}

const TOP_LEFT = { anchor: 'top', align: 'left' } as const;

/** The date at its place on the line, the rest of the text by it. */
function dated(item: SetItem, i: number): { readonly when: Para; readonly what: readonly Para[] } {
  const found = leadingDate(item.runs);
  if (found === undefined) return { when: label(`${i + 1}`), what: itemParas(item) };
  const rest: Para[] = found.rest.length === 0 ? [] : [{ part: item.part, style: 'plain', level: 1, runs: found.rest }];
  return { when: { part: item.part, style: 'item', level: 1, runs: found.date }, what: [...rest, ...item.details] };
}

function timelineAcross(items: readonly SetItem[], pen: Pen): FigureDraft {
  const { x, y, width, height } = pen.frame;
  const gap = inches(0.2);
  const each = (width - gap * (items.length - 1)) / items.length;
  const line = y + height * 0.3;
  const dot = inches(0.24);
  const shapes: ShapeBox[] = [pen.shape('rect', rectOf(x, line - inches(0.02), width, inches(0.04)), 'muted')];
  const words: Words[] = [];
  items.forEach((item, i) => {
    const at = x + i * (each + gap);
    const { when, what } = dated(item, i);
    const color = pen.accent(i, items.length > 4);
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

function timelineDown(items: readonly SetItem[], pen: Pen): FigureDraft {
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

function gridColumns(n: number): readonly number[] {
  if (n <= 3) return [n];
  if (n === 4) return [4, 2];
  if (n <= 6) return [3, 2];
  return n === 9 ? [3] : [4, 3];
}

/** Cards beside each other, each as the theme makes them. What has an order is numbered; an icon stands above its words. */
function cards(items: readonly SetItem[], pen: Pen, columns: number): FigureDraft {
  const { x, y, width, height } = pen.frame;
  const rows = Math.ceil(items.length / columns);
  const gap = inches(pen.theme.cards === 'column' ? 0.5 : 0.25);
  const each = { width: (width - gap * (columns - 1)) / columns, height: (height - gap * (rows - 1)) / rows };
  const shapes: (ShapeBox | IconBox)[] = [];
  const words: Words[] = [];
  const boxed = BOXES.has(pen.theme.cards);
  const plainItems = items.every(
    ({ details, runs }) => details.length === 0 && runsText(runs).length <= MOST_IN_MIDDLE,
  );
  const marked = items.some(({ icon, ordered }) => icon !== undefined || ordered);
  const numbers = marked ? undefined : numbersOf(items);
  items.forEach((item, i) => {
    const column = i % columns;
    const place = rectOf(
      x + column * (each.width + gap),
      y + Math.floor(i / columns) * (each.height + gap),
      each.width,
      each.height,
    );
    const color = pen.accent(i, items.length > 4);
    const card = pen.cardAt(place, color, column > 0);
    shapes.push(...card.shapes);
    const { x: left, y: top, width: wide, height: high } = card.inside;
    const number = numbers?.[i];
    const side = marked
      ? Math.min(inches(0.62), high * 0.34)
      : number === undefined
        ? 0
        : Math.min(inches(0.9), high * 0.45);
    const spot = rectOf(left, top, side, side);
    if (item.icon !== undefined) shapes.push(...pen.icon(item, spot, card.mark));
    else if (item.ordered)
      words.push(
        pen.words(rectOf(left, top, wide, side), [label(`${item.number ?? i + 1}`)], {
          anchor: 'top',
          align: 'left',
          color: card.mark,
          font: 'heading',
          bold: true,
        }),
      );
    if (number !== undefined) {
      const large = { anchor: 'top', align: 'left', color: card.mark, font: 'heading', bold: true } as const;
      const para: Para = { part: item.part, style: 'plain', level: 1, runs: number.big };
      words.push({ ...pen.words(rectOf(left, top, wide, side), [para], large), large: true });
    }
    const from = side === 0 ? 0 : side + inches(0.1);
    const said = number === undefined ? item : { ...item, runs: number.rest, heads: false };
    if (said.runs.length + said.details.length === 0) return;
    words.push(
      pen.words(rectOf(left, top + from, wide, high - from), itemParas(said), {
        // A few words alone stand in the middle of their box.
        ...(boxed && plainItems && side === 0 ? MIDDLE : TOP_LEFT),
        color: card.text,
      }),
    );
  });
  return { shapes, words };
}

/** Numbers with their units, where each item of a few has one: they are what is looked at. */
function numbersOf(items: readonly SetItem[]): readonly NonNullable<ReturnType<typeof bigNumber>>[] | undefined {
  const found = items.map(({ runs }) => bigNumber(runs));
  return items.length <= MOST_NUMBERS && found.every((number) => number?.unit === true)
    ? (found as readonly NonNullable<ReturnType<typeof bigNumber>>[])
    : undefined;
}
const MOST_NUMBERS = 4;

const BOXES: ReadonlySet<CardKind> = new Set(['panel', 'solid', 'outline']);
const MOST_IN_MIDDLE = 40; // characters
const MIDDLE = { anchor: 'middle', align: 'center' } as const;

/** Layers from the top down: a pyramid, or the other way round a funnel; the text stands beside them. */
function layers(items: readonly SetItem[], pen: Pen, funnel: boolean): FigureDraft {
  const { x, y, width, height } = pen.frame;
  const n = items.length;
  const gap = inches(0.06);
  const each = (height - gap * (n - 1)) / n;
  const widest = Math.min(width * 0.42, height * 1.15);
  const narrowest = funnel ? widest * 0.3 : 0;
  // Its width where a layer ends, from the narrow end to the wide one.
  const wide = (t: number): number => narrowest + (widest - narrowest) * t;
  const shapes: ShapeBox[] = [];
  const words: Words[] = [];
  items.forEach((item, i) => {
    const top = y + i * (each + gap);
    const [upper, lower] = funnel ? [wide(1 - i / n), wide(1 - (i + 1) / n)] : [wide(i / n), wide((i + 1) / n)];
    const outer = Math.max(upper, lower);
    const rect = rectOf(x + (widest - outer) / 2, top, outer, each);
    const color = pen.accent(i, n > 6);
    const inset = (outer - Math.min(upper, lower)) / 2 / outer;
    shapes.push(
      pen.shape(upper === 0 ? 'triangle' : 'trapezoid', rect, color, { inset, upsideDown: funnel }),
      pen.shape(
        'rect',
        rectOf(x + widest + inches(0.15), top + each + gap / 2, width - widest - inches(0.15), inches(0.01)),
        i === n - 1 ? null : 'muted',
      ),
    );
    words.push(
      pen.words(rectOf(x + widest + inches(0.35), top, width - widest - inches(0.35), each * 0.96), itemParas(item), {
        anchor: 'middle',
        align: 'left',
      }),
    );
    if (upper > 0 || n <= 4)
      words.push(
        pen.words(
          rectOf(
            x + widest / 2 - inches(0.4),
            top + (upper === 0 ? each * 0.35 : 0),
            inches(0.8),
            each * (upper === 0 ? 0.65 : 1),
          ),
          [label(`${i + 1}`)],
          {
            anchor: 'middle',
            align: 'center',
            color: 'ground',
            font: 'heading',
          },
        ),
      );
  });
  return { shapes: shapes.filter(({ fill }) => fill !== null), words };
}

function matrix(items: readonly SetItem[], pen: Pen): FigureDraft {
  const { x, y, width, height } = pen.frame;
  const gap = inches(0.14);
  const each = { width: (width - gap) / 2, height: (height - gap) / 2 };
  const shapes: (ShapeBox | IconBox)[] = [];
  const words: Words[] = [];
  items.forEach((item, i) => {
    const card = rectOf(
      x + (i % 2) * (each.width + gap),
      y + Math.floor(i / 2) * (each.height + gap),
      each.width,
      each.height,
    );
    const edge = rectOf(card.x, card.y, card.width, inches(0.09));
    const side = inches(0.5);
    const pad = inches(0.2);
    shapes.push(pen.shape('rect', card, 'panel'), pen.shape('rect', edge, pen.accent(i, false)));
    const spot = rectOf(card.x + card.width - pad - side, card.y + pad, side, side);
    shapes.push(...pen.icon(item, spot, pen.accent(i, false)));
    const room = card.width - 2 * pad - (item.icon === undefined ? 0 : side + pad);
    words.push(
      pen.words(
        rectOf(card.x + pad, card.y + edge.height + pad * 0.7, room, card.height - edge.height - pad * 1.4),
        itemParas(item),
        {
          anchor: 'top',
          align: 'left',
        },
      ),
    );
  });
  return { shapes, words };
}
