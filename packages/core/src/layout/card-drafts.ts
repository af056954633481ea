/** Cards beside each other: with numbers, icons, or what is counted set large. */
import { inches } from '../base/index.ts';
import { runsText } from '../content/index.ts';
import type { CardKind } from '../theme/index.ts';
import {
  itemParas,
  label,
  MIDDLE,
  TOP_LEFT,
  type FigureDraft,
  type FigureShape,
  type SetItem,
} from './figure-draft.ts';
import { bigNumber, type BigNumber } from './figure-items.ts';
import { rectOf, type Pen, type Words } from './figure-pen.ts';
import type { Para } from './page.ts';

/** In how many columns cards may stand, the better ones first. */
export function gridColumns(items: readonly SetItem[]): readonly number[] {
  const n = items.length;
  if (n === 3 && items.every(isLine)) return [1, n];
  if (n <= 3) return [n];
  if (n === 4) return [4, 2];
  if (n <= 6) return [3, 2];
  return n === 9 ? [3] : [4, 3];
}

/** A few words that are read along a line, and lost in a narrow column. */
function isLine({ runs, details, icon, ordered }: SetItem): boolean {
  const { length } = runsText(runs);
  return details.length === 0 && icon === undefined && !ordered && length >= LINE[0] && length <= LINE[1];
}
const LINE = [16, 60] as const; // characters

/** Cards beside each other, each as the theme makes them. What has an order is numbered; an icon stands above its words. */
export function cards(items: readonly SetItem[], pen: Pen, columns: number): FigureDraft {
  const { x, y, width, height } = pen.frame;
  const rows = Math.ceil(items.length / columns);
  const stacked = columns === 1;
  const gap = inches(stacked ? 0.12 : pen.theme.cards === 'column' ? 0.5 : 0.25);
  const each = { width: (width - gap * (columns - 1)) / columns, height: (height - gap * (rows - 1)) / rows };
  const shapes: FigureShape[] = [];
  const words: Words[] = [];
  const boxed = BOXES.has(pen.theme.cards);
  const plainItems = items.every(
    ({ details, runs }) => details.length === 0 && runsText(runs).length <= MOST_IN_MIDDLE,
  );
  const marked = items.some(({ icon, ordered }) => icon !== undefined || ordered);
  const numbers = marked ? undefined : numbersOf(items);
  items.forEach((item, i) => {
    pen.begin(i);
    const column = i % columns;
    const place = rectOf(
      x + column * (each.width + gap),
      y + Math.floor(i / columns) * (each.height + gap),
      each.width,
      each.height,
    );
    const color = pen.accent(i, items.length > 4);
    const card = pen.cardAt(place, color, stacked ? i > 0 : column > 0, stacked);
    shapes.push(...card.shapes);
    const { x: left, y: top, width: wide, height: high } = card.inside;
    const number = numbers?.[i];
    const side = marked
      ? Math.min(inches(0.62), high * 0.34)
      : number === undefined
        ? 0
        : Math.min(inches(1.25), high * 0.5);
    const spot = rectOf(left, top, side, side);
    if (item.icon !== undefined) shapes.push(...pen.icon(item, spot, card.mark));
    else if (item.ordered)
      words.push(
        pen.words(rectOf(left, top, wide, side), [label(`${item.count ?? i + 1}`)], {
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
        ...(stacked && side === 0 ? LINES : boxed && plainItems && side === 0 ? MIDDLE : TOP_LEFT),
        color: card.text,
      }),
    );
  });
  return stacked ? { shapes, words, least: LINES_LEAST } : { shapes, words };
}
/** Of the room: lines of a few words are what the slide is. */
const LINES_LEAST = 0.78;

/** Numbers with their units, where each item of a few has one: they are what is looked at. */
function numbersOf(items: readonly SetItem[]): readonly BigNumber[] | undefined {
  const found = items.map(({ runs }) => bigNumber(runs)).filter((number): number is BigNumber => number?.unit === true);
  return items.length <= MOST_NUMBERS && found.length === items.length ? found : undefined;
}
const MOST_NUMBERS = 4;

const BOXES: ReadonlySet<CardKind> = new Set(['panel', 'solid', 'outline']);
const MOST_IN_MIDDLE = 40; // characters
const LINES = { anchor: 'middle', align: 'left' } as const;
