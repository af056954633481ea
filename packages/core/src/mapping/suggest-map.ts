/**
 * Suggests a map for a document: every sensible one is tried and costed, by how near it comes to the target, how full its slides
 * are, how deep its points go, and what it leaves without text. Text is not measured for this: lines are counted from characters.
 */
import { runsText, runsWords, type Runs } from '../content/index.ts';
import {
  longer,
  NO_TIME,
  secondsOf,
  talkTime,
  type Deck,
  type FullRule,
  type Slide,
  type TalkTime,
} from '../deck/index.ts';
import { findTitle, headingLevels, type DocumentModel } from '../document/index.ts';
import { mapDocument } from './map-document.ts';
import { NO_OVERRIDES, type Overrides } from './plan.ts';
import {
  DESIGNS,
  forTheSpeaker,
  layOut,
  listDepths,
  PRESET_NAMES,
  presetRecipe,
  type MapRecipe,
  type PresetName,
} from './preset-maps.ts';

export interface MapTarget {
  readonly slides: number | null;
  readonly minutes: number | null;
  readonly pace: number /* words a minute */;
}

export interface Candidate extends MapRecipe {
  /** The ready-made map that it is or that it varies. */
  readonly base: PresetName;
  /** Whether it is the ready-made map itself. */
  readonly readyMade: boolean;
  /** What is done with slides that hold too much: they go on, or they are shortened so that there are no more of them. */
  readonly full: Extract<FullRule, 'continue' | 'shorten'>;
}

export interface Costed extends Candidate {
  readonly slides: number;
  readonly words: number /* on each slide */;
  readonly spokenMinutes: number;
  /** Slides that hold more than fits: continued or shortened. */
  readonly spills: number;
  /** Slides with a title and nothing else. */
  readonly empty: number;
  /** Share of points below the third level. */
  readonly deep: number;
  readonly cost: number;
}

/** Ready-made maps, and the same with another heading level as titles. */
export function candidateMaps(document: DocumentModel): readonly Candidate[] {
  const levels = headingLevels(document.blocks, findTitle(document.blocks));
  const depths = listDepths(document);
  const seen = new Set<string>();
  const candidates: Candidate[] = [];
  const spoken = forTheSpeaker(document);
  const rules = spoken.length === 0 ? {} : { branches: spoken };
  const add = (candidate: Candidate): void => {
    const key = JSON.stringify([candidate.map, candidate.prose]);
    if (seen.has(key)) return;
    seen.add(key);
    candidates.push(candidate);
  };
  for (const base of PRESET_NAMES) add({ base, readyMade: true, full: 'continue', ...presetRecipe(base, document) });
  for (const base of PRESET_NAMES) {
    const { prose } = DESIGNS[base];
    for (let sections = 0; sections < Math.min(levels.length, MOST_SECTIONS + 1); sections++)
      add({
        base,
        readyMade: false,
        full: 'continue',
        prose,
        map: layOut(levels, depths, sections, DESIGNS[base]),
        ...rules,
      });
  }
  return candidates;
}

const MOST_SECTIONS = 2;

const WEIGHTS = {
  target: 3,
  time: 2,
  words: 1.4,
  spills: 2,
  shortened: 2.4,
  empty: 1.5,
  depth: 0.8,
  leftOut: 2,
  alike: 0.15,
};
const SLIDES_A_MINUTE = 0.8;
const IDEAL_WORDS = [10, 45] as const;

/**
 * Costs one candidate, with slides that are too full continued and shortened. Lower is better; 0 is what nothing can be said against.
 * @returns The cheaper of the two.
 */
export function costMap(
  document: DocumentModel,
  candidate: Candidate,
  target: MapTarget,
  overrides: Overrides = NO_OVERRIDES,
): Costed {
  const branches = [...(candidate.branches ?? []), ...overrides.branches];
  const deck = mapDocument(document, candidate.map, { ...overrides, branches, prose: candidate.prose }, false);
  const [goesOn, shortened] = (['continue', 'shorten'] as const).map((full) =>
    cost(measure(deck, full), { ...candidate, full }, target),
  );
  return goesOn!.cost <= shortened!.cost ? goesOn! : shortened!;
}

/** A candidate that was laid out in full: what is promised of it is what comes. */
export const asMade = (
  candidate: Costed,
  made: { readonly slides: number; readonly time: TalkTime },
  target: MapTarget,
): Costed => cost({ ...candidate, ...made }, candidate, target);

interface Measured extends Pick<Costed, 'slides' | 'words' | 'spills' | 'empty' | 'deep'> {
  readonly time: TalkTime;
}

function cost(measured: Measured, candidate: Candidate, target: MapTarget): Costed {
  const spokenMinutes = secondsOf(measured.time, target.pace) / 60;
  const wanted = target.slides ?? (target.minutes === null ? null : Math.max(3, target.minutes * SLIDES_A_MINUTE));
  const [least, most] = IDEAL_WORDS;
  const over =
    measured.words > most
      ? Math.log(measured.words / most)
      : measured.words < least
        ? Math.log(least / Math.max(1, measured.words))
        : 0;
  const total = Math.max(1, measured.slides);
  const sum =
    (wanted === null ? 0 : WEIGHTS.target * Math.abs(Math.log(total / wanted))) +
    (target.minutes === null ? 0 : WEIGHTS.time * offTime(Math.max(spokenMinutes, 0.1) / target.minutes)) +
    WEIGHTS.words * over +
    ((candidate.full === 'shorten' ? WEIGHTS.shortened : WEIGHTS.spills) * measured.spills) / total +
    (WEIGHTS.empty * measured.empty) / total +
    WEIGHTS.depth * measured.deep +
    WEIGHTS.leftOut * (measured.slides === 0 ? 5 : 0) +
    // A ready-made map is easier to speak of than one of its variations.
    (candidate.readyMade ? 0 : WEIGHTS.alike);
  const { slides, words, spills, empty, deep } = measured;
  return { ...candidate, slides, words, spills, empty, deep, spokenMinutes, cost: sum };
}

/** Of the time that is wanted, for which as much need not be said: slides are looked at too. */
const LOOKED_AT = 0.5;

/** @param share Of the time that is wanted. */
const offTime = (share: number): number => Math.max(0, Math.log(share), Math.log(LOOKED_AT / share));

const LINE = 70; // characters, at the usual size
const LINES = 12; // at the floor

function measure(deck: Deck, full: Candidate['full']): Measured {
  let slides = 0;
  let words = 0;
  let time = NO_TIME;
  let spills = 0;
  let empty = 0;
  let points = 0;
  let deep = 0;
  for (const slide of deck.slides) {
    const { text, objects } = pagesOf(slide);
    slides += Math.max(1, objects + (full === 'shorten' ? Math.min(1, text) : text));
    if (text > 1) spills++;
    if (slide.kind === 'content' && slide.content.length === 0) empty++;
    words += runsWords(slide.title.runs);
    // What is shortened until it fits shows about what one slide holds.
    const shown = full === 'shorten' ? 1 / Math.max(1, text) : 1;
    for (const part of slide.content) {
      if ('runs' in part) words += shown * runsWords(part.runs);
      if (part.kind !== 'point') continue;
      points++;
      if (part.level > 3) deep++;
    }
    time = longer(time, talkTime(slide));
  }
  return {
    slides,
    words: Math.round(words / Math.max(1, slides)),
    time,
    spills,
    empty,
    deep: deep / Math.max(1, points),
  };
}

/** Slides that one will take about: for its text, and for pictures and tables that do not fit beside it. */
function pagesOf(slide: Slide): { readonly text: number; readonly objects: number } {
  if (slide.kind !== 'content') return { text: 1, objects: 0 };
  const lines = slide.content.reduce((sum, part) => sum + ('runs' in part ? linesOf(part.runs) : 0), 0);
  const tables = slide.content.filter(({ kind }) => kind === 'table').length;
  const pictures = slide.content.filter(({ kind }) => kind === 'picture').length;
  const text = Math.ceil(lines / LINES);
  return { text, objects: tables + Math.max(0, pictures - text) };
}

const linesOf = (runs: Runs): number => Math.ceil(runsText(runs).length / LINE);

export interface Suggestion {
  readonly best: Costed;
  /** Whether the best keeps to the target: within one slide or minute, or a tenth. */
  readonly near: boolean;
  /** All that were costed, the best first. */
  readonly costed: readonly Costed[];
}

/** @param costed At least one. */
export function suggest(costed: readonly Costed[], target: MapTarget): Suggestion {
  const sorted = [...costed].sort((a, b) => a.cost - b.cost);
  const best = sorted[0]!;
  return { best, near: isNear(best, target), costed: sorted };
}

/** Of a target: what is as near as this keeps a promise. */
const NEAR = 0.1;

function isNear(best: Costed, { slides, minutes }: MapTarget): boolean {
  const within = (got: number, wanted: number | null): boolean =>
    wanted === null || Math.abs(got - wanted) <= Math.max(1, wanted * NEAR);
  return within(best.slides, slides) && within(best.spokenMinutes, minutes);
}
