/** Steps of something that is done in order, as the theme draws them: across the slide or down. */
import { inches } from '../base/index.ts';
import type { ColorName, Rect } from '../theme/index.ts';
import {
  itemParas,
  label,
  MIDDLE,
  TOP_LEFT,
  type FigureDraft,
  type FigureShape,
  type SetItem,
} from './figure-draft.ts';
import { rectOf, within, type Pen, type Words } from './figure-pen.ts';
import type { Para, ShapeBox } from './page.ts';

const NUMBER = { font: 'heading', bold: true } as const;
const MANY = 4;
const number = (item: SetItem, i: number): Para => label(`${item.count ?? i + 1}`);

type Step = (at: {
  readonly item: SetItem;
  readonly i: number;
  readonly of: number;
  /** Its column, without the gap to the next. */
  readonly place: Rect;
  readonly gap: number;
  readonly pen: Pen;
}) => FigureDraft;

export function stepsAcross(items: readonly SetItem[], pen: Pen): FigureDraft {
  const { gap, step } = KINDS[pen.theme.hand.steps];
  const drawn = pen.columns(items.length, gap).map((place, i) => {
    pen.begin(i);
    return step({ item: items[i]!, i, of: items.length, place, gap, pen });
  });
  return { shapes: drawn.flatMap(({ shapes }) => shapes), words: drawn.flatMap(({ words }) => words) };
}

/** Its number above what is done, in a box. @param from Where the number begins. */
function inBox(
  { item, i, pen }: Pick<Parameters<Step>[0], 'item' | 'i' | 'pen'>,
  { x, width, y, height }: Rect,
  from: number,
  color: ColorName,
): readonly Words[] {
  const pad = inches(0.16);
  const top = from + inches(0.5) + pad * 0.4;
  return [
    pen.words(rectOf(x + pad, from, width - 2 * pad, inches(0.5)), [number(item, i)], {
      ...TOP_LEFT,
      ...NUMBER,
      color,
    }),
    pen.words(rectOf(x + pad, top, width - 2 * pad, y + height - top - pad * 0.6), itemParas(item), TOP_LEFT),
  ];
}

const chevron: Step = ({ item, i, of, place, pen }) => {
  const { x, y, width, height } = place;
  const head = Math.min(inches(0.8), height * 0.22);
  const band = rectOf(x, y, width, head);
  const card = rectOf(x, y + head + inches(0.1), width - inches(0.12), height - head - inches(0.1));
  return {
    shapes: [pen.shape('rect', card, 'panel'), pen.shape(i === 0 ? 'tag' : 'chevron', band, pen.accent(i, of > MANY))],
    words: [
      pen.words(within(band, width * 0.2, 0), [number(item, i)], {
        ...MIDDLE,
        ...NUMBER,
        color: pen.on(pen.accent(i, of > MANY)),
      }),
      pen.words(within(card, inches(0.16), inches(0.18)), itemParas(item), TOP_LEFT),
    ],
  };
};

/** A large number, and what is done between two fine rules. */
const numeral: Step = ({ item, i, of, place, pen }) => {
  const { x, y, width, height } = place;
  const head = Math.min(inches(1.2), height * 0.4);
  const rule = rectOf(x, y + head + inches(0.08), width, inches(0.02));
  const from = head + inches(0.22);
  const large = { anchor: 'bottom', align: 'left', ...NUMBER, color: pen.accent(i, of > MANY) } as const;
  return {
    shapes: [
      pen.shape('rect', rule, 'muted'),
      pen.shape('rect', rectOf(x, y + height - inches(0.01), width, inches(0.01)), 'muted'),
    ],
    words: [
      { ...pen.words(rectOf(x, y, width, head), [number(item, i)], large), large: true },
      pen.words(rectOf(x, y + from, width, height - from), itemParas(item), TOP_LEFT),
    ],
  };
};

/** Numbers in discs on the upper edges of panels, one line through them. */
const disc: Step = ({ item, i, of, place, gap, pen }) => {
  const { x, y, width, height } = place;
  const side = Math.min(inches(0.85), height * 0.3, width);
  const pad = inches(0.16);
  const card = rectOf(x, y + side / 2, width, height - side / 2);
  const round = rectOf(x + pad, y, side, side);
  const next = rectOf(round.x + width + gap, y, side, side);
  const from = side + pad * 0.6;
  return {
    shapes: [
      pen.shape(pen.card, card, 'panel'),
      pen.shape('ellipse', round, pen.accent(i, of > MANY)),
      ...(i < of - 1 ? [pen.connect([i, round, 'right'], [i + 1, next, 'left'], { width: 2.25 })] : []),
    ],
    words: [
      pen.words(round, [number(item, i)], { ...MIDDLE, ...NUMBER, color: pen.on(pen.accent(i, of > MANY)) }),
      pen.words(rectOf(x + pad, y + from, width - 2 * pad, height - from - pad), itemParas(item), TOP_LEFT),
    ],
  };
};

/** Each stands a step higher than the one before, down to one ground. */
const stair: Step = ({ item, i, of, place, pen }) => {
  const { x, width, height } = place;
  const rise = Math.min(inches(0.45), (height * 0.3) / (of - 1));
  const y = place.y + rise * (of - 1 - i);
  const step = rectOf(x, y, width, place.y + height - y);
  const color = pen.accent(i, of > MANY);
  const tread = inches(0.14);
  return {
    shapes: [pen.shape('rect', step, 'panel'), pen.shape('rect', rectOf(x, y, width, tread), color)],
    words: inBox({ item, i, pen }, step, y + tread + inches(0.1), color),
  };
};

/** Outlined boxes of one line weight, an arrow from each to the next. */
const box: Step = ({ item, i, of, place, gap, pen }) => {
  const { x, y, width, height } = place;
  const color = pen.accent(i, of > MANY);
  const next = rectOf(x + width + gap, y, width, height);
  return {
    shapes: [
      pen.shape(pen.card, place, null, { line: { color, width: 1.5 } }),
      ...(i < of - 1 ? [pen.connect([i, place, 'right'], [i + 1, next, 'left'], { arrow: true })] : []),
    ],
    words: inBox({ item, i, pen }, place, y + inches(0.1), color),
  };
};

const KINDS = {
  chevrons: { gap: inches(0.12), step: chevron },
  numerals: { gap: inches(0.4), step: numeral },
  discs: { gap: inches(0.3), step: disc },
  stairs: { gap: inches(0.12), step: stair },
  boxes: { gap: inches(0.42), step: box },
} as const;

/** With its number before each, where a column would be too narrow. */
export function stepsDown(items: readonly SetItem[], pen: Pen): FigureDraft {
  const { x, y, width, height } = pen.frame;
  const gap = inches(0.12);
  const each = (height - gap * (items.length - 1)) / items.length;
  const side = Math.min(each, inches(0.62));
  const { steps } = pen.theme.hand;
  const lines: FigureShape[] = [];
  const spots: ShapeBox[] = [];
  const words = items.flatMap((item, i): readonly Words[] => {
    pen.begin(i);
    const top = y + i * (each + gap);
    const spot = rectOf(x, top + (each - side) / 2, side, side);
    const below = rectOf(x, spot.y + each + gap, side, side);
    const color = pen.accent(i, true);
    if (steps !== 'numerals' && i < items.length - 1)
      lines.push(pen.connect([i, spot, 'bottom'], [i + 1, below, 'top'], { width: 1.75 }));
    if (steps === 'boxes') spots.push(pen.shape(pen.card, spot, 'ground', { line: { color, width: 1.5 } }));
    else if (steps !== 'numerals') spots.push(pen.shape(steps === 'stairs' ? 'rect' : 'ellipse', spot, color));
    const plain = steps === 'numerals' || steps === 'boxes';
    return [
      pen.words(spot, [number(item, i)], { ...MIDDLE, ...NUMBER, color: plain ? color : pen.on(color) }),
      pen.words(rectOf(x + side + inches(0.25), top, width - side - inches(0.25), each), itemParas(item), {
        anchor: 'middle',
        align: 'left',
      }),
    ];
  });
  return { shapes: [...lines, ...spots], words };
}
