/**
 * Layouts that suit a slide, ranked with reasons, and the choice for a whole deck: the cheapest path through all slides'
 * layouts (Viterbi, "Error bounds for convolutional codes", 1967), by fit, balance, variety against the slide before,
 * and consistency within a section.
 */
import { ptFromEmu } from '../base/index.ts';
import type { Slide } from '../deck/index.ts';
import { LAYOUT_NAMES, type LayoutName } from '../theme/index.ts';
import { chosenPages } from './chosen-pages.ts';
import { sameOptions, type LayoutOptions } from './draft.ts';
import { draftsOf } from './lay-out-slide.ts';
import type { Box } from './page.ts';
import { FIGURES } from './figure-drafts.ts';
import { signsOf, type Reason } from './signs.ts';
import type { SlideId } from '../ids/index.ts';

export interface LayoutChoice {
  readonly layout: LayoutName;
  /** 0 to 1. */
  readonly worth: number;
  readonly reason: Reason;
  readonly pages: number;
  /** What the slide has unless something else is chosen. */
  readonly usual: boolean;
}

/** Tried only where a sign asks for them; every other layout says itself whether the content suits it. */
const BY_SIGN: ReadonlySet<LayoutName> = new Set([
  'agenda',
  'sources',
  'closing',
  'quotation',
  'big-number',
  'figure-text',
]);

const MOST_PARTS = 40;
const FITS = 'fits-as-it-is' satisfies Reason;
const UNSIGNED = 0.2;
const USUAL = 0.42;

const known = new WeakMap<Slide, { readonly options: LayoutOptions; readonly choices: readonly LayoutChoice[] }>();

/** Every layout that takes the slide as it is, the best first; the usual one is always among them. Weighed once. */
export function layoutChoices(slide: Slide, options: LayoutOptions): readonly LayoutChoice[] {
  const before = known.get(slide);
  if (before !== undefined && sameOptions(before.options, options)) return before.choices;
  const choices = weighed(slide, options);
  known.set(slide, { options, choices });
  return choices;
}

/** @param bySign Only what a sign in its words asks for is tried, beside what the slide has anyway. */
function weighed(slide: Slide, options: LayoutOptions, bySign = false): readonly LayoutChoice[] {
  if (slide.kind !== 'content' || slide.content.length === 0 || slide.matter !== undefined) return [];
  const { layout: _, arranged: __, ...plain } = slide;
  const usual = draftsOf(plain, options);
  const choices = new Map<LayoutName, LayoutChoice>();
  const first = usual[0]!.layout;
  const signs = signsOf(slide, options.language ?? null);
  const said = signs.find(({ layout }) => layout === first);
  choices.set(first, {
    layout: first,
    worth: Math.max(USUAL, said?.weight ?? 0) * fitWorth(usual, usual.length),
    reason: said?.reason ?? FITS,
    pages: usual.length,
    usual: true,
  });
  // A slide that is continued over many pages is no matter of layout, and trying them all would take long.
  if (slide.content.length > MOST_PARTS) return [...choices.values()];
  const others = bySign ? [] : LAYOUT_NAMES.filter((layout) => !BY_SIGN.has(layout));
  const tried = [...signs.map(({ layout }) => layout), ...others];
  for (const layout of new Set(tried)) {
    if (choices.has(layout)) continue;
    const pages = chosenPages(slide, layout, options);
    if (pages === undefined || (pages.length > usual.length && layout !== slide.layout)) continue;
    const sign = signs.find((one) => one.layout === layout);
    const worth =
      (sign?.weight ?? UNSIGNED) * fitWorth(pages, usual.length) * balance(pages[0]!.boxes) * seen(pages[0]!.boxes);
    choices.set(layout, { layout, worth, reason: sign?.reason ?? FITS, pages: pages.length, usual: false });
  }
  return [...choices.values()].sort((a, b) => b.worth - a.worth);
}

/** Fewer pages than usual are better, and type that need not shrink. */
const fitWorth = (pages: readonly { readonly fit: { readonly state: string } }[], usual: number): number =>
  (pages.some(({ fit }) => fit.state === 'spills') ? 0.3 : pages.some(({ fit }) => fit.state === 'tight') ? 0.85 : 1) *
  (pages.length < usual ? 1.15 : 1);

/** What is left in sight of pictures: one that is cut to fill its frame may lose what it shows. */
const seen = (boxes: readonly Box[]): number =>
  boxes.reduce((share, box) => {
    if (box.kind !== 'picture') return share;
    const [left, top, right, bottom] = box.cut;
    return share * Math.min(1, 0.3 + (1 - left - right) * (1 - top - bottom));
  }, 1);

/** How well text fills its frames: 1 where it takes a third or more of them, less for a few words lost on a slide. */
function balance(boxes: readonly Box[]): number {
  const texts = boxes.flatMap((box) => (box.kind === 'text' && box.free !== true ? [box] : []));
  if (texts.length === 0 || texts.length < boxes.length) return 1;
  let used = 0;
  let room = 0;
  for (const { frame, paragraphs } of texts) {
    const last = paragraphs.at(-1)?.lines.at(-1)?.baseline ?? frame.y;
    const first = paragraphs[0]?.lines[0]?.baseline ?? frame.y;
    used += ptFromEmu(last - first) + frame.style.sizes[0]!;
    room += ptFromEmu(frame.height);
  }
  const share = used / Math.max(1, room);
  return Math.min(1, 0.75 + share * 0.75);
}

const SAME = 0.34;
const SAME_FAMILY = 0.14;
const MIRRORED = -0.04;
const OTHER_IN_SECTION = 0.03;
const CANDIDATES = 6;

const FAMILY: Readonly<Partial<Record<LayoutName, string>>> = {
  ...Object.fromEntries(FIGURES.map((name) => [name, 'figure'])),
  'figure-text': 'figure',
  'picture-right': 'beside',
  'picture-left': 'beside',
  'picture-top': 'beside',
  'picture-bleed': 'beside',
  columns: 'columns',
  'columns-3': 'columns',
  comparison: 'columns',
  chart: 'chart',
  'chart-points': 'chart',
  statement: 'words',
  quotation: 'words',
  'big-number': 'words',
};
const QUIET: ReadonlySet<LayoutName> = new Set(['points', 'table', 'title-only', 'section', 'cover']);

/** What it costs that one layout follows another. */
function follows(before: LayoutName, after: LayoutName, sameSection: boolean): number {
  if (before === after) return QUIET.has(after) ? (after === 'points' ? 0.1 : 0) : SAME;
  const [a, b] = [FAMILY[before], FAMILY[after]];
  if (a === 'beside' && b === 'beside') return MIRRORED;
  if (a !== undefined && a === b) return SAME_FAMILY;
  return sameSection && a !== b && !QUIET.has(before) && !QUIET.has(after) ? OTHER_IN_SECTION : 0;
}

/** The share of a slide's pages that cannot be shown as they are, from 0 to 1; the same for the same options. */
export type Judge = (slide: Slide) => number;
/** What a fault on a slide's pages costs, against the worth of a layout: whatever shows it well goes before. */
const FAULT = 1.2;

/**
 * The layouts that signs ask for, and what the slide has anyway, each worth less where its pages cannot be shown as they are; all
 * others only where none of these can be. For a whole deck at once this is many times quicker than weighing every layout.
 */
export function judgedChoices(slide: Slide, options: LayoutOptions, judge: Judge): readonly LayoutChoice[] {
  const before = judgedBefore.get(slide);
  if (before !== undefined && sameOptions(before.options, options)) return before.choices;
  const choices = judgeAll(slide, options, judge);
  judgedBefore.set(slide, { options, choices });
  return choices;
}
const judgedBefore: typeof known = new WeakMap();

function judgeAll(slide: Slide, options: LayoutOptions, judge: Judge): readonly LayoutChoice[] {
  const { arranged: _, ...plain } = slide;
  const judged = (choices: readonly LayoutChoice[]) =>
    choices.map((choice) => {
      const fault = judge(choice.usual ? plain : { ...plain, arranged: choice.layout });
      return { ...choice, fault, worth: choice.worth - FAULT * fault };
    });
  const best = (choices: readonly LayoutChoice[]) => {
    const tried = choices.slice(0, CANDIDATES - 2);
    // The usual one is what a slide has in the end, whatever it is worth.
    return judged(tried.some(({ usual }) => usual) ? tried : [...tried, ...choices.filter(({ usual }) => usual)]);
  };
  const bySign = best(weighed(slide, options, true));
  if (bySign.length === 0 || bySign.some(({ fault }) => fault === 0)) return bySign;
  const others = layoutChoices(slide, options).filter(
    ({ layout, reason }) => reason !== FITS || !SAYS_MORE.has(layout),
  );
  return judged(others.slice(0, CANDIDATES)).concat(bySign.filter(({ usual }) => usual));
}
/** Figures that say of points how they stand to each other: never taken where no sign does. */
const SAYS_MORE: ReadonlySet<LayoutName> = new Set(FIGURES.filter((name) => name !== 'icon-grid'));

/**
 * One layout for each slide of content that its author did not fix.
 * @param judge Without one, every layout is weighed and none is judged.
 * @returns Pairs of slide and layout, only where that is not what the slide would have anyway.
 */
export function chooseLayouts(
  slides: readonly Slide[],
  options: LayoutOptions,
  judge?: Judge,
): readonly (readonly [SlideId, LayoutName])[] {
  const states = slides.map(
    (slide): readonly { readonly layout: LayoutName; readonly cost: number; readonly usual: boolean }[] => {
      const fixed = slide.layout;
      if (fixed !== undefined) return [{ layout: fixed, cost: 0, usual: true }];
      const own = judge === undefined ? layoutChoices(slide, options) : judgedChoices(slide, options, judge);
      if (own.length === 0) {
        const layout = slide.kind === 'cover' || slide.kind === 'section' ? slide.kind : 'title-only';
        return [{ layout, cost: 0, usual: true }];
      }
      return own.slice(0, CANDIDATES).map(({ layout, worth, usual }) => ({ layout, cost: 1 - worth, usual }));
    },
  );
  const paths: { readonly cost: number; readonly from: number }[][] = [];
  states.forEach((row, i) => {
    const before = states[i - 1];
    const sameSection = i > 0 && slides[i]!.section === slides[i - 1]!.section;
    paths.push(
      row.map(({ layout, cost }) => {
        if (before === undefined) return { cost, from: -1 };
        let best = { cost: Infinity, from: 0 };
        before.forEach((one, k) => {
          const total = paths[i - 1]![k]!.cost + cost + follows(one.layout, layout, sameSection);
          if (total < best.cost) best = { cost: total, from: k };
        });
        return best;
      }),
    );
  });
  const chosen: [SlideId, LayoutName][] = [];
  let at = lowest(paths.at(-1) ?? []);
  for (let i = slides.length - 1; i >= 0; i--) {
    const state = states[i]![at]!;
    if (!state.usual) chosen.unshift([slides[i]!.id, state.layout]);
    at = paths[i]![at]!.from;
  }
  return chosen;
}

const lowest = (row: readonly { readonly cost: number }[]): number =>
  row.reduce((best, { cost }, i) => (cost < row[best]!.cost ? i : best), 0);
