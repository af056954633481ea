/** Ready-made level maps, laid onto the heading levels that a document uses. */
import {
  TEXT_KINDS,
  TOLD,
  WHOLE,
  type BranchRule,
  type Destination,
  type LevelMap,
  type Prose,
  type TextKind,
} from '../deck/index.ts';
import { findTitle, headingLevels, type DocumentModel, type Level } from '../document/index.ts';
import { privateHeadings } from '../structure/index.ts';
import { fitMap } from './fit-map.ts';

export const PRESET_NAMES = ['fitted', 'talk', 'reading', 'briefing', 'lesson', 'decision', 'prompter'] as const;
export type PresetName = (typeof PRESET_NAMES)[number];

/** Where each kind of text goes, and what becomes of running text. */
export interface MapRecipe {
  readonly map: LevelMap;
  readonly prose: Prose;
  /** Rules below single headings. */
  readonly branches?: readonly BranchRule[];
}

export interface Design {
  /** The highest of three or more heading levels open sections. */
  readonly sections: boolean;
  /** Points deeper than this are spoken. */
  readonly deepest: number;
  readonly body: Destination;
  readonly quote: Destination;
  readonly prose: Prose;
}

export const DESIGNS: Readonly<Record<PresetName, Design>> = {
  /** As a talk, with the headings as titles that make well filled slides, branch by branch. */
  fitted: { sections: false, deepest: 5, body: 'notes', quote: 'slide', prose: TOLD },
  /** Slides to speak to: the highest headings are titles, body text is spoken. */
  talk: { sections: false, deepest: 5, body: 'notes', quote: 'slide', prose: TOLD },
  /** Slides to be read without a speaker: body text stands on them. */
  reading: { sections: true, deepest: 5, body: 'slide', quote: 'slide', prose: WHOLE },
  /** A few minutes: titles and their first points. */
  briefing: { sections: false, deepest: 1, body: 'notes', quote: 'notes', prose: TOLD },
  /** A lesson or a course: sections, and the first sentence of each paragraph as a point. */
  lesson: { sections: true, deepest: 5, body: 'notes', quote: 'slide', prose: { as: 'first' } },
  /** A paper put before people who decide: half of the text, the sentences that carry most. */
  decision: { sections: false, deepest: 3, body: 'notes', quote: 'notes', prose: { as: 'short', density: 'third' } },
  /** Key words to hold on to while speaking freely. */
  prompter: { sections: false, deepest: 2, body: 'notes', quote: 'notes', prose: { as: 'short', density: 'words' } },
};

const DEEPEST = 5;

/** A point of a level; deeper than a map goes it is spoken. A map that goes all the way leaves nothing out of sight. */
const point = (level: number, deepest: number): Destination =>
  level > deepest && deepest < DEEPEST ? 'notes' : (`point${Math.min(Math.max(level, 1), DEEPEST)}` as Destination);

export const presetMap = (name: PresetName, document: DocumentModel): LevelMap => presetRecipe(name, document).map;

export function presetRecipe(name: PresetName, document: DocumentModel): MapRecipe {
  const { sections, prose } = DESIGNS[name];
  const levels = headingLevels(document.blocks, findTitle(document.blocks));
  const fitted = name === 'fitted' ? fitMap(document, levels) : undefined;
  const above = fitted?.above ?? (sections && levels.length >= 3 ? 1 : 0);
  const branches = [...(fitted?.branches ?? []), ...forTheSpeaker(document)];
  const map = layOut(levels, listDepths(document), above, DESIGNS[name]);
  return { map, prose, ...(branches.length === 0 ? {} : { branches }) };
}

/** As the fitted map, with one heading level whose headings begin slides; what stands above opens sections. */
export function mapForLevel(document: DocumentModel, level: Level): MapRecipe {
  const levels = headingLevels(document.blocks, findTitle(document.blocks));
  const branches = forTheSpeaker(document);
  const above = levels.filter((one) => one < level).length;
  const map = layOut(levels, listDepths(document), above, DESIGNS.fitted);
  return { map, prose: DESIGNS.fitted.prose, ...(branches.length === 0 ? {} : { branches }) };
}

/** What is not for the audience waits as spoken, whatever the map, until its author says otherwise. */
export const forTheSpeaker = (document: DocumentModel): readonly BranchRule[] =>
  privateHeadings(document).flatMap(({ id: block }) =>
    TEXT_KINDS.map((text): BranchRule => ({ block, text, to: 'notes' })),
  );

/** How many depths of lists a document has, up to those that a map knows. */
export const listDepths = (document: DocumentModel): number =>
  document.blocks.reduce(
    (most, block) => (block.kind === 'listItem' && block.left === undefined ? Math.max(most, block.depth) : most),
    1,
  );

/**
 * Lays a map on heading levels.
 * @param depths Of lists, whose levels stay apart: headings above them share one where there are not enough.
 * @param sections How many of the highest levels open sections; the next gives titles.
 */
export function layOut(
  levels: readonly number[],
  depths: number,
  sections: number,
  { deepest, body, quote }: Pick<Design, 'deepest' | 'body' | 'quote'>,
): LevelMap {
  const map = {} as Record<TextKind, Destination>;
  for (let level = 1; level <= 6; level++) {
    // Levels not in use take the place they would have if they came up.
    const rank = levels.filter((used) => used < level).length - sections;
    map[`heading${level}` as TextKind] = rank < 0 ? 'section' : rank === 0 ? 'title' : point(rank, deepest);
  }
  const headingPoints = Math.max(0, levels.length - sections - 1);
  const above = Math.max(Math.min(headingPoints, DEEPEST - depths), 0);
  for (let depth = 1; depth <= 5; depth++) {
    const spoken = depth + headingPoints > deepest && deepest < DEEPEST;
    map[`list${depth}` as TextKind] = spoken ? 'notes' : point(depth + above, DEEPEST);
  }
  return { ...map, body, table: 'slide', picture: 'slide', quote, code: 'slide', footnote: 'notes' };
}
