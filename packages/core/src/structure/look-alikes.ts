/** Gathers lines of one look and proposes a level for each look, so that one action marks them all. */
import { groupBy, remembered } from '../base/index.ts';
import { headingLevels, type Block, type DocumentModel, type Level } from '../document/index.ts';
import type { StructureChange } from './change.ts';
import {
  bodySize,
  headingEvidence,
  traitsKey,
  traitsOf,
  type Evidence,
  type HeadingReason,
  type Traits,
} from './evidence.ts';
import type { BlockId } from '../ids/index.ts';

export interface LookAlikes {
  readonly key: string;
  readonly traits: Traits;
  readonly blocks: readonly BlockId[];
  readonly level: Level;
  readonly confidence: number /* mean, 0 to 1 */;
  /** Reasons that hold for most of them. */
  readonly reasons: readonly HeadingReason[];
}

/** Groups of lines that look like headings and are not marked, in the order of their proposed levels. */
export function lookAlikes(document: DocumentModel): readonly LookAlikes[] {
  const groups = groupBy(headingEvidence(document), ({ traits }) => traitsKey(traits));
  const levels = proposeLevels(document, groups);
  return [...groups]
    .map(([key, group]): LookAlikes => ({
      key,
      traits: group[0]!.traits,
      blocks: group.map(({ block }) => block.id),
      level: levels.get(key)!,
      confidence: group.reduce((sum, { confidence }) => sum + confidence, 0) / group.length,
      reasons: commonReasons(group),
    }))
    .sort((a, b) => a.level - b.level || b.blocks.length - a.blocks.length);
}

function commonReasons(group: readonly Evidence[]): readonly HeadingReason[] {
  const alike = groupBy(
    group.flatMap(({ reasons }) => reasons),
    (reason) => JSON.stringify(reason),
  );
  return [...alike.values()].filter((same) => same.length * 2 > group.length).map(([reason]) => reason!);
}

/** The more a look stands out, the higher; looks that stand out alike are one level. Below the marked headings, where there are any. */
function proposeLevels(
  document: DocumentModel,
  groups: ReadonlyMap<string, readonly Evidence[]>,
): ReadonlyMap<string, Level> {
  const marked = headingLevels(document.blocks);
  const levels = new Map<string, Level>();
  if (marked.length > 0) {
    const under = levelsAbove(document);
    for (const [key, group] of groups) {
      const above = group.map(({ block }) => under.get(block.id) ?? 0).sort((a, b) => a - b);
      levels.set(key, Math.min(above[Math.floor(above.length / 2)]! + 1, 6) as Level);
    }
    return levels;
  }
  const ranked = [...groups].sort((a, b) => prominence(b[1][0]!.traits) - prominence(a[1][0]!.traits));
  let level = 0;
  let before = Infinity;
  for (const [key, group] of ranked) {
    const now = prominence(group[0]!.traits);
    if (before - now > 0.4) level++;
    before = now;
    levels.set(key, Math.min(level, 6) as Level);
  }
  return levels;
}

function prominence({ size, bold, caps, centred, numbered, division }: Traits): number {
  const part = division ? 1 : numbered > 0 ? 1 - numbered : 0;
  return (size ?? 0) + (bold ? 0.5 : 0) + (caps ? 0.5 : 0) + (centred ? 0.1 : 0) + part;
}

/** For every block, the level of the marked heading that it stands under. */
function levelsAbove(document: DocumentModel): ReadonlyMap<BlockId, number> {
  const above = new Map<BlockId, number>();
  let level = 0;
  for (const block of document.blocks) {
    if (block.kind === 'heading' && block.left === undefined) level = block.level;
    above.set(block.id, level);
  }
  return above;
}

const keyOf = remembered((block: Block) => traitsKey(traitsOf(block)));

/** All lines of text that look like this one, itself among them. */
export function linesLike(blocks: readonly Block[], id: BlockId): readonly BlockId[] {
  const model = blocks.find((block) => block.id === id);
  if (model === undefined || !('runs' in model)) return [];
  const key = keyOf(model);
  return blocks
    .filter((block) => block.kind === model.kind && block.left === undefined && keyOf(block) === key)
    .filter((block) => model.kind !== 'heading' || (block.kind === 'heading' && block.level === model.level))
    .map(({ id: other }) => other);
}

export const markAs = (blocks: readonly BlockId[], level: Level): StructureChange => ({
  kind: 'shape',
  shapes: blocks.map((block) => ({ block, as: { kind: 'heading', level } })),
});

/**
 * Marks what looks like a heading in a document that has no marks of its own, as formats without styles do not.
 * @param sure Least confidence, 0 to 1, where none are marked.
 * @returns The changes; where headings are marked already, only for lower ones that stand out by size or number.
 */
export function impliedHeadings(document: DocumentModel, sure = SURE): readonly StructureChange[] {
  const marked = document.blocks.filter(({ kind }) => kind === 'heading').length > MOST_BY_CHANCE;
  const size = bodySize(document);
  return lookAlikes(document)
    .filter(({ confidence, traits, blocks }) =>
      marked ? confidence >= SURER && blocks.length >= 2 && standsOut(traits, size) : confidence >= sure,
    )
    .map(({ blocks, level }) => markAs(blocks, level));
}

/** Changes that mark what looks like a heading where nothing is marked, whatever the format; none for a single line. */
export function proposedHeadings(document: DocumentModel): readonly StructureChange[] {
  if (document.blocks.some(({ kind, left }) => kind === 'heading' && left === undefined)) return [];
  const changes = impliedHeadings(document, LIKELY);
  const lines = changes.reduce((sum, change) => sum + (change.kind === 'shape' ? change.shapes.length : 0), 0);
  return lines < LEAST_HEADINGS ? [] : changes;
}

/** Lines that are headings now and were read as text, by how they look. */
export interface MadeHeadings {
  readonly traits: Traits;
  readonly blocks: readonly BlockId[];
}

export function madeHeadings(original: DocumentModel, document: DocumentModel): readonly MadeHeadings[] {
  if (original === document) return [];
  const were = new Map(original.blocks.map((block) => [block.id, block.kind]));
  const made = document.blocks.filter(
    ({ id, kind, left }) => kind === 'heading' && left === undefined && were.get(id) === 'paragraph',
  );
  return [...groupBy(made, keyOf).values()].map((group) => ({
    traits: traitsOf(group[0]!),
    blocks: group.map(({ id }) => id),
  }));
}

export const markAsText = (blocks: readonly BlockId[]): StructureChange => ({
  kind: 'shape',
  shapes: blocks.map((block) => ({ block, as: { kind: 'paragraph' } })),
});

/** Bookmarks may end above the lowest headings: what is larger than the text, or numbered in parts, is one of those. */
const standsOut = ({ size, numbered }: Traits, body: number | undefined): boolean =>
  size !== undefined && body !== undefined && (size >= body * LARGER || numbered >= 2);

const MOST_BY_CHANCE = 2;
const LEAST_HEADINGS = 2;
const LARGER = 1.12;
const SURER = 0.65;

/** More than a short line that is bold, or a little larger, above text. */
const SURE = 0.56;
/** Short bold lines above text reach it: where a format could mark headings, they are how people write them. */
const LIKELY = 0.5;
