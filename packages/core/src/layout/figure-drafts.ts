/** Where the shapes and the text of each figure stand, before it is known at what size the text fits. */
import { inches } from '../base/index.ts';
import { cards, gridColumns } from './card-drafts.ts';
import { itemParas, label, MIDDLE, type FigureDraft, type FigureShape, type SetItem } from './figure-draft.ts';
import { rectOf, within, type Pen, type Words } from './figure-pen.ts';
import { middleOf, type Rect, type Side } from '../theme/index.ts';
import type { ShapeBox } from './page.ts';
import { stepsAcross, stepsDown } from './step-drafts.ts';
import { timelineAcross, timelineDown } from './timeline-drafts.ts';

export const FIGURES = ['steps', 'cycle', 'timeline', 'icon-grid', 'pyramid', 'funnel', 'matrix'] as const;
export type FigureName = (typeof FIGURES)[number];

/** Steps in narrower columns would be towers of words. */
const LEAST_COLUMN = inches(2.1);

/** Drafts of a figure, the better ones first; each is drawn when it is asked for. */
type Drafter = (items: readonly SetItem[], pen: Pen) => readonly (() => FigureDraft)[];

export const FIGURE_DRAFTS: Readonly<Record<FigureName, Drafter>> = {
  steps(items, pen) {
    const [across, along] = [() => stepsAcross(items, pen), () => stepsDown(items, pen)];
    return pen.frame.width / items.length < LEAST_COLUMN ? [along, across] : [across, along];
  },
  cycle: (items, pen) => [() => cycle(items, pen)],
  timeline: (items, pen) => [() => timelineAcross(items, pen), () => timelineDown(items, pen)],
  'icon-grid': (items, pen) => gridColumns(items).map((columns) => () => cards(items, pen, columns)),
  pyramid: (items, pen) => [() => layers(items, pen, false)],
  funnel: (items, pen) => [() => layers(items, pen, true)],
  matrix: (items, pen) => [() => matrix(items, pen)],
};

function cycle(items: readonly SetItem[], pen: Pen): FigureDraft {
  const { x, y, width, height } = pen.frame;
  const n = items.length;
  const card = { width: Math.min(width * (n > 4 ? 0.27 : 0.3), inches(3.3)), height: height * (n > 4 ? 0.27 : 0.3) };
  const [rx, ry] = [(width - card.width) / 2, (height - card.height) / 2];
  const places = items.map((_, i) => {
    const angle = -Math.PI / 2 + (i * 2 * Math.PI) / n;
    const left = x + rx * (1 + Math.cos(angle));
    return rectOf(left, y + ry * (1 + Math.sin(angle)), card.width, card.height);
  });
  const shapes: FigureShape[] = [];
  const words: Words[] = [];
  items.forEach((item, i) => {
    pen.begin(i);
    const next = (i + 1) % n;
    const [from, to] = nearestSides(places[i]!, places[next]!);
    shapes.push(
      pen.shape(pen.card, places[i]!, pen.accent(i, n > 4)),
      pen.connect([i, places[i]!, from], [next, places[next]!, to], { width: 2.25, arrow: true }),
    );
    words.push(
      pen.words(within(places[i]!, inches(0.12)), itemParas(item), { ...MIDDLE, color: pen.on(pen.accent(i, n > 4)) }),
    );
  });
  return { shapes, words };
}

const SIDES: readonly Side[] = ['top', 'right', 'bottom', 'left'];
/** The sides between which the way from one place to another is shortest. */
function nearestSides(a: Rect, b: Rect): readonly [Side, Side] {
  let best: readonly [Side, Side] = ['right', 'left'];
  let least = Infinity;
  for (const from of SIDES)
    for (const to of SIDES) {
      const [p, q] = [middleOf(a, from), middleOf(b, to)];
      const way = Math.hypot(p.x - q.x, p.y - q.y);
      if (way < least) [least, best] = [way, [from, to]];
    }
  return best;
}

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
    pen.begin(i);
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
            color: pen.on(color),
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
  const shapes: FigureShape[] = [];
  const words: Words[] = [];
  items.forEach((item, i) => {
    pen.begin(i);
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
