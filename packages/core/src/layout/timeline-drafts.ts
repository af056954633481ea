/** Timelines: dates at their places on a line, across the slide or down. */
import { inches } from '../base/index.ts';
import type { Rect } from '../theme/index.ts';
import { itemParas, label, TOP_LEFT, type FigureDraft, type SetItem } from './figure-draft.ts';
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
      return leaves(items, pen);
    case 'band':
      return band(items, pen);
  }
}

/** Columns of the frame, one for each item. */
function columns({ frame }: Pen, count: number, gap: number): readonly Rect[] {
  const each = (frame.width - gap * (count - 1)) / count;
  return Array.from({ length: count }, (_, i) => rectOf(frame.x + i * (each + gap), frame.y, each, frame.height));
}

/** Each date on the head of a leaf, what happens then below it. */
function leaves(items: readonly SetItem[], pen: Pen): FigureDraft {
  const shapes: ShapeBox[] = [];
  const words: Words[] = [];
  columns(pen, items.length, inches(0.3)).forEach(({ x, y, width, height }, i) => {
    const item = items[i]!;
    const { when, what } = dated(item, i);
    const color = pen.accent(i, items.length > 4);
    const head = Math.max(inches(0.75), height * 0.3);
    const pad = inches(0.18);
    shapes.push(
      pen.shape('rect', rectOf(x, y, width, height), 'panel'),
      pen.shape('rect', rectOf(x, y, width, head), color),
    );
    words.push(
      pen.words(rectOf(x + pad, y, width - 2 * pad, head), [when], {
        anchor: 'middle',
        align: 'center',
        color: 'ground',
        font: 'heading',
      }),
      pen.words(rectOf(x + pad, y + head + pad, width - 2 * pad, height - head - 1.5 * pad), what, TOP_LEFT),
    );
  });
  return { shapes, words };
}

/** Dates in one band across the slide, a colour for each. */
function band(items: readonly SetItem[], pen: Pen): FigureDraft {
  const shapes: ShapeBox[] = [];
  const words: Words[] = [];
  columns(pen, items.length, inches(0.05)).forEach(({ x, y, width, height }, i) => {
    const item = items[i]!;
    const { when, what } = dated(item, i);
    const head = Math.max(inches(0.7), height * 0.26);
    const pad = inches(0.16);
    const color = pen.accent(i, items.length > 4);
    shapes.push(
      pen.shape('rect', rectOf(x, y, inches(0.025), height), color),
      pen.shape('rect', rectOf(x, y, width, head), color),
    );
    words.push(
      pen.words(rectOf(x + pad, y, width - 2 * pad, head), [when], {
        anchor: 'middle',
        align: 'left',
        color: 'ground',
        font: 'heading',
        bold: true,
      }),
      pen.words(rectOf(x + pad, y + head + pad, width - 2 * pad, height - head - pad), what, TOP_LEFT),
    );
  });
  return { shapes, words };
}

/** Dates at dots on a line, a stem from each. */
function dots(items: readonly SetItem[], pen: Pen): FigureDraft {
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
