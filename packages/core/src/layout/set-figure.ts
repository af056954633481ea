/** Sets a list as a figure: shapes with the points' own text in them, all at one size. */
import { emu, ptFromEmu } from '../base/index.ts';
import { runsText } from '../content/index.ts';
import type { Frame, Theme } from '../theme/index.ts';
import { textBox } from './draft.ts';
import type { FigureDraft } from './figure-draft.ts';
import { FIGURE_DRAFTS, type FigureName } from './figure-drafts.ts';
import { labelled, type FigureItem } from './figure-items.ts';
import { Pen } from './figure-pen.ts';
import type { Box, Para } from './page.ts';
import { longestWord, measurePara, safeMeasure, stackHeight } from './set-text.ts';

/** Sizes of the points' text; what stands below them is a little smaller, never below 16 points. */
const FIGURE_SIZES = [28, 24, 22, 20, 18];
/** From here on a figure's text is as large as it was meant to be. */
export const FIGURE_EASY = 18;

/** Fewest and most points of each figure. */
const FIGURE_RANGE: Readonly<Record<FigureName, readonly [number, number]>> = {
  steps: [3, 7],
  cycle: [3, 6],
  timeline: [2, 7],
  'icon-grid': [2, 9],
  pyramid: [3, 6],
  funnel: [3, 6],
  matrix: [4, 4],
};

interface SetFigure {
  readonly boxes: readonly Box[];
  readonly size: number;
}

/** @returns undefined where there are too few points or too many, or their text does not fit at the floor. */
export function setFigure(
  name: FigureName,
  items: readonly FigureItem[],
  frame: Frame,
  theme: Theme,
): SetFigure | undefined {
  const [fewest, most] = FIGURE_RANGE[name];
  if (items.length < fewest || items.length > most) return undefined;
  // Points that are sentences are no headings; all are set alike.
  const said = NAMED.has(name) ? named(items) : items;
  const heads = said.every(({ runs, details }) => details.length > 0 || runsText(runs).length <= HEADING);
  const alike = said.map((item) => ({ ...item, heads }));
  const drafts = (height: number, draws = false): readonly (() => FigureDraft)[] =>
    FIGURE_DRAFTS[name](alike, new Pen({ ...frame, height: emu(height) }, theme, draws));
  const holds = (draft: FigureDraft, size: number): boolean =>
    draft.words.every(({ frame: place, paras, large }) => large || suits(paras, place, theme, size)) &&
    largeSize(draft, size, theme) !== undefined;
  let best: { readonly i: number; readonly size: number; readonly least: number | undefined } | undefined;
  for (const [i, drawn] of drafts(frame.height).entries()) {
    const draft = drawn();
    const size = FIGURE_SIZES.find((candidate) => candidate > (best?.size ?? 0) && holds(draft, candidate));
    if (size !== undefined) best = { i, size, least: draft.least };
    if (size !== undefined && size >= (LARGE_ENOUGH[name] ?? FIGURE_SIZES[0]!)) break;
  }
  if (best === undefined) return undefined;
  const { i, size, least: share = LEAST_HEIGHT } = best;
  const at = (height: number, draws = false): FigureDraft => drafts(height, draws)[i]!();
  const enough = FLEXIBLE.has(name) ? lowest((height) => holds(at(height), size), share, frame.height) : frame.height;
  const draft = at(enough, true);
  const large = largeSize(draft, size, theme)!;
  const words = draft.words.map((one): Box => {
    const own = one.large ? large : size;
    return textBox(
      one.paras,
      { ...one.frame, style: { ...one.frame.style, sizes: [own] } },
      theme,
      own,
      true,
      1,
      one.item,
    );
  });
  return { size, boxes: [...draft.shapes, ...words] };
}

/** The first draft is taken where its text is so large: the form of the theme goes before larger type. */
const LARGE_ENOUGH: Readonly<Partial<Record<FigureName, number>>> = { steps: 20, timeline: 20 };

const LARGER = [3, 2.6, 2.2, 2, 1.8, 1.6, 1.4, 1.2];

/** One size for all that is set larger; undefined where some of it does not fit. */
function largeSize({ words }: FigureDraft, size: number, theme: Theme): number | undefined {
  const large = words.filter((one) => one.large);
  if (large.length === 0) return size;
  return LARGER.map((factor) => Math.round(size * factor)).find((own) =>
    large.every(({ frame, paras }) => {
      const measures = paras.map((para) => measurePara(para, frame, theme, own));
      return stackHeight(measures) <= ptFromEmu(frame.height) && measures.every(({ lines }) => lines.length <= 1);
    }),
  );
}

/** Figures whose items may have a name above what is said of it. */
const NAMED: ReadonlySet<FigureName> = new Set(['icon-grid', 'steps', 'matrix']);

/** Items that each say first of what they speak get that as their heading. */
function named(items: readonly FigureItem[]): readonly FigureItem[] {
  const found = items.map(({ runs }) => labelled(runs));
  return items.map((item, i): FigureItem => {
    const name = found[i];
    if (name === undefined || found.includes(undefined)) return item;
    const rest: Para = { part: item.part, style: 'detail', level: 1, runs: name.rest };
    return { ...item, runs: name.label, details: [rest, ...item.details] };
  });
}

/** Figures that are as tall as their fullest part needs, not as the slide. */
const FLEXIBLE: ReadonlySet<FigureName> = new Set(['icon-grid', 'steps', 'matrix', 'timeline']);
/** Of the room; less would leave the slide half empty. */
const LEAST_HEIGHT = 0.6;
const AIR = 1.12;

/** The least height that holds what it must, and some air. */
function lowest(holds: (height: number) => boolean, share: number, most: number): number {
  let [least, height] = [most * share, most];
  if (holds(least)) return least;
  while (height - least > most / 10) {
    const middle = (least + height) / 2;
    if (holds(middle)) height = middle;
    else least = middle;
  }
  return Math.min(most, height * AIR);
}

const EASY_LINES = 4;
const HEADING = 40; // characters

/** Large type is for few words: it must not make a tower of them, and none may be torn. */
function suits(paras: readonly Para[], place: Frame, theme: Theme, size: number): boolean {
  const measures = paras.map((para) => safeMeasure(para, place, theme, size));
  return (
    stackHeight(measures) <= ptFromEmu(place.height) &&
    paras.every((para) => longestWord(para, place, theme) * size <= ptFromEmu(place.width)) &&
    (size <= FIGURE_EASY || measures.every(({ lines }) => lines.length <= EASY_LINES))
  );
}
