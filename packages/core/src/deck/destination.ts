/** Where text goes, and the map that says so for each kind of text. */
import type { BlockId } from '../ids/index.ts';

export const DESTINATIONS = [
  'section',
  'title',
  'point1',
  'point2',
  'point3',
  'point4',
  'point5',
  'slide',
  'notes',
  'out',
] as const;
/** `slide`: as text on the slide, not as a point. `out`: left out. */
export type Destination = (typeof DESTINATIONS)[number];

export const TEXT_KINDS = [
  'heading1',
  'heading2',
  'heading3',
  'heading4',
  'heading5',
  'heading6',
  'body',
  'list1',
  'list2',
  'list3',
  'list4',
  'list5',
  'table',
  'picture',
  'quote',
  'code',
  'footnote',
] as const;
export type TextKind = (typeof TEXT_KINDS)[number];

/** One destination for each kind of text. */
export type LevelMap = Readonly<Record<TextKind, Destination>>;

/** Below one heading, a kind of text goes elsewhere than the map says. */
export interface BranchRule {
  readonly block: BlockId;
  readonly text: TextKind;
  readonly to: Destination;
}

const OBJECT_DESTINATIONS: readonly Destination[] = ['slide', 'notes', 'out'];

/** The destinations that make sense for a kind: a table or a picture cannot be a title. */
export const destinationsOf = (kind: TextKind): readonly Destination[] =>
  kind === 'table' || kind === 'picture' ? OBJECT_DESTINATIONS : DESTINATIONS;

export type PointLevel = 1 | 2 | 3 | 4 | 5;

/** The level that is there nearest to a number. */
export const pointLevelNear = (level: number): PointLevel => Math.min(5, Math.max(1, level)) as PointLevel;

/** The level of a point destination, or undefined for the others. */
export const pointLevel = (destination: Destination): PointLevel | undefined =>
  destination.startsWith('point') ? (Number(destination.slice(5)) as PointLevel) : undefined;

/**
 * What becomes of running text that the map does not leave out. `whole`: as the map says. `first`: its first sentence is a
 * point, the rest is spoken. `short`: chosen sentences are points or text, the whole is spoken. `told`: as `whole`; but a slide
 * that would have a title and nothing else says the sentences that tell most, and long items say their beginning; the whole is spoken.
 */
export type Prose =
  | { readonly as: 'whole' }
  | { readonly as: 'told' }
  | { readonly as: 'first' }
  | { readonly as: 'short'; readonly density: Density };

/** How much of a text is kept, from most of its words to key words only. */
export const DENSITIES = ['most', 'half', 'third', 'sentence', 'words'] as const;
export type Density = (typeof DENSITIES)[number];

export const WHOLE: Prose = { as: 'whole' };
export const TOLD: Prose = { as: 'told' };
