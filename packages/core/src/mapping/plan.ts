/** Decides for every block where it goes: by the author's mark, else by the rule for its role, else by the map. */
import { topicStarts } from './topics.ts';
import { remembered } from '../base/index.ts';
import {
  DESTINATIONS,
  TEXT_KINDS,
  WHOLE,
  type BranchRule,
  type Destination,
  type LevelMap,
  type Prose,
} from '../deck/index.ts';
import type { BlockId } from '../ids/index.ts';
import { blockIndex, branchEnd, findTitle, type Block, type DocumentModel } from '../document/index.ts';
import { textKindOf } from './text-kind.ts';

/** What the author decided for single blocks, over the map. */
export interface Overrides {
  readonly turned: ReadonlyMap<string, Destination>;
  /** Blocks before which a new slide starts. */
  readonly cuts: ReadonlySet<string>;
  /** Titles that go on with the slide before them, as its points. */
  readonly joins: ReadonlySet<string>;
  /** In the order in which they were made; a later one goes over an earlier one. */
  readonly branches: readonly BranchRule[];
  readonly prose: Prose;
  /** Passages that are converted otherwise, each from its first; a later one goes over an earlier one. */
  readonly mixes: readonly MixedPassages[];
  /** Whether the document's title makes a cover. */
  readonly cover: boolean;
}

export interface MixedPassages {
  readonly from: BlockId;
  /** The first that is no more among them; null for none. */
  readonly until: BlockId | null;
  readonly map: LevelMap;
  readonly branches: readonly BranchRule[];
  readonly prose: Prose;
}

export const NO_OVERRIDES: Overrides = {
  turned: new Map(),
  cuts: new Set(),
  joins: new Set(),
  branches: [],
  prose: WHOLE,
  mixes: [],
  cover: true,
};

const DESTINATION = 15;
const TURNED = 16;
const CUT = 32;
const JOINED = 64;
const TOPIC = 128;

/** A number for each block, so that two plans can be compared without looking at the blocks. */
export interface Plan {
  readonly codes: Uint8Array;
  /** How running text is taken, where nothing else is said. */
  readonly prose: Prose;
  /** How it is at places that are mixed in. */
  readonly proses: ReadonlyMap<number, Prose>;
}

/** How running text is taken at a place. */
export const proseAt = ({ prose, proses }: Plan, i: number): Prose => proses.get(i) ?? prose;

export const destinationAt = ({ codes }: Plan, i: number): Destination => DESTINATIONS[codes[i]! & DESTINATION]!;
export const turnedAt = ({ codes }: Plan, i: number): boolean => (codes[i]! & TURNED) !== 0;
export const cutAt = ({ codes }: Plan, i: number): boolean => (codes[i]! & CUT) !== 0;
export const joinedAt = ({ codes }: Plan, i: number): boolean => (codes[i]! & JOINED) !== 0;

/** Whether a topic begins there, with a slide of its own. */
export const topicAt = ({ codes }: Plan, i: number): boolean => (codes[i]! & TOPIC) !== 0;

/** Running text that no hand has turned and that the map wants somewhere. */
export function isProseAt(plan: Plan, block: Block, i: number): boolean {
  const destination = destinationAt(plan, i);
  const wanted = destination !== 'out' && destination !== 'title' && destination !== 'section';
  return wanted && block.kind === 'paragraph' && block.role === undefined && !turnedAt(plan, i);
}

/** Whether a slide begins there, if there are words. */
export function startsSlideAt(plan: Plan, i: number): boolean {
  const destination = destinationAt(plan, i);
  return (destination === 'title' || destination === 'section' || topicAt(plan, i)) && !joinedAt(plan, i);
}

/** Rows of the table that turns kinds into destinations: the level map's, then the roles that no map decides. */
const ROLES = { out: TEXT_KINDS.length, onSlide: TEXT_KINDS.length + 1, title: TEXT_KINDS.length + 2 } as const;
const ordinal = (destination: Destination): number => DESTINATIONS.indexOf(destination);

const NOTES = ordinal('notes');

export function makePlan(document: DocumentModel, map: LevelMap, overrides: Overrides): Plan {
  const { turned, cuts, joins, branches, prose, mixes, cover } = overrides;
  const { places } = blockIndex(document);
  const codes = codesBy(document, map, branches, cover);
  const proses = new Map<number, Prose>();
  const ends: number[] = [];
  for (const mix of mixes) {
    const from = places.get(mix.from);
    if (from === undefined) continue;
    const until = mix.until === null ? codes.length : places.get(mix.until);
    const end = until === undefined || until <= from ? branchEnd(document.blocks, from) : until;
    const own = codesBy(document, mix.map, mix.branches, cover);
    for (let i = from; i < end; i++) {
      codes[i] = own[i]!;
      proses.set(i, mix.prose);
    }
    ends.push(from, end);
  }
  for (const [block, to] of turned) {
    const place = places.get(block);
    if (place !== undefined) codes[place] = possible(document.blocks[place]!, ordinal(to)) | TURNED;
  }
  for (const block of cuts) if (places.has(block)) codes[places.get(block)!]! |= CUT;
  for (const block of joins) if (places.has(block)) codes[places.get(block)!]! |= JOINED;
  const plan: Plan = { codes, prose, proses };
  if (prose.as === 'told' || mixes.length > 0)
    for (const place of topicStarts(document))
      if (codes[place] === NOTES && proseAt(plan, place).as === 'told') codes[place]! |= TOPIC;
  // What is mixed in is a slide of its own, and so is what follows it.
  for (const place of ends)
    if (place < codes.length && !TITLED.has(destinationAt(plan, place)) && !topicAt(plan, place)) codes[place]! |= CUT;
  return plan;
}
const TITLED: ReadonlySet<Destination> = new Set(['title', 'section']);

/** Where a map and its rules for branches send each block. */
function codesBy(document: DocumentModel, map: LevelMap, branches: readonly BranchRule[], cover: boolean): Uint8Array {
  const rows = rowsOf(document);
  const ofTitle: readonly Destination[] = cover ? ['slide', 'title'] : ['out', 'out'];
  const table = [...TEXT_KINDS.map((kind) => map[kind]), 'out' as const, ...ofTitle].map(ordinal);
  const codes = new Uint8Array(rows.length);
  for (let i = 0; i < rows.length; i++) codes[i] = table[rows[i]!]!;
  const { places } = blockIndex(document);
  for (const { block, text, to } of branches) {
    const row = TEXT_KINDS.indexOf(text);
    const from = places.get(block);
    if (from === undefined) continue;
    // What a branch is said to be spoken is spoken whole: a map that shows parts of running text shows none of it.
    const code = to === 'notes' ? ordinal(to) | TURNED : ordinal(to);
    const end = branchEnd(document.blocks, from);
    for (let i = from; i < end; i++) if (rows[i] === row) codes[i] = code;
  }
  return codes;
}

/** A table or a picture on a slide is itself, whatever else was asked. */
function possible(block: Block, destination: number): number {
  const object = block.kind === 'table' || block.kind === 'picture';
  return object && destination !== ordinal('out') && destination !== ordinal('notes') ? ordinal('slide') : destination;
}

const rowsOf = remembered((document: DocumentModel) => {
  const title = findTitle(document.blocks);
  return Uint8Array.from(document.blocks, (block) => rowOf(block, title));
});

function rowOf(block: Block, title: Block | undefined): number {
  if (block === title) return ROLES.title;
  if (block.left !== undefined) return ROLES.out;
  if (block.kind === 'paragraph' && block.role === 'contents') return ROLES.out;
  if (block.kind === 'paragraph' && block.role === 'subtitle') return ROLES.onSlide;
  const kind = textKindOf(block);
  return kind === undefined ? ROLES.out : TEXT_KINDS.indexOf(kind);
}
