/** What goes between server and web, as JSON schemas from which the types are taken. */
import {
  DENSITIES,
  DESTINATIONS,
  FULL_RULES,
  LEFT_KINDS,
  MATTER_KINDS,
  TEXT_KINDS,
  type LevelMap as Levels,
  type LogEntry,
  type Prose as ProseType,
} from '@alvex/core';
import { Type, type Static, type TSchema } from '@sinclair/typebox';
import { LOOK_EDITS } from './look-schemas.ts';
import { closed, entry, Id, Ids, literals, Nullable, oneOf, Picture } from './schema-parts.ts';

export const DeckName = Type.String({ minLength: 1, maxLength: 200, pattern: '\\S' });

export const DeckSummary = Type.Object({
  id: Id,
  name: Type.String(),
  fileName: Type.String(),
  type: Type.String(),
  words: Type.Integer(),
  /** Number of log entries. */
  version: Type.Integer(),
  /** ISO 8601, UTC. */
  updatedAt: Type.String({ format: 'date-time' }),
});
export type DeckSummary = Static<typeof DeckSummary>;

const Run = Type.Object(
  {
    text: Type.String({ maxLength: 100_000 }),
    bold: Type.Optional(Type.Literal(true)),
    italic: Type.Optional(Type.Literal(true)),
    strike: Type.Optional(Type.Literal(true)),
    code: Type.Optional(Type.Literal(true)),
    position: Type.Optional(literals(['super', 'sub'] as const)),
    link: Type.Optional(Type.String({ maxLength: 4000, pattern: '^(https?://|mailto:|#)' })),
  },
  closed,
);
const Runs = Type.Array(Run, { maxItems: 5000 });
const LevelMap = Type.Object(Object.fromEntries(TEXT_KINDS.map((kind) => [kind, literals(DESTINATIONS)])), closed);
const NoteText = Type.Object(
  {
    kind: literals(['paragraph', 'item'] as const),
    depth: Type.Integer({ minimum: 0, maximum: 9 }),
    ordered: Type.Boolean(),
    runs: Runs,
  },
  closed,
);

const Level = Type.Integer({ minimum: 1, maximum: 6 });
const Depth = Type.Integer({ minimum: 1, maximum: 100 });
const Left = literals(LEFT_KINDS);
const Cell = Type.Object(
  {
    runs: Runs,
    columns: Type.Integer({ minimum: 1, maximum: 100 }),
    rows: Type.Integer({ minimum: 1, maximum: 1000 }),
  },
  closed,
);
const Table = Type.Object(
  {
    rows: Type.Array(Type.Object({ cells: Type.Array(Cell, { maxItems: 1000 }), header: Type.Boolean() }, closed), {
      maxItems: 10_000,
    }),
    columns: Type.Integer({ minimum: 0, maximum: 100_000 }),
  },
  closed,
);
const written = <K extends string, P extends Record<string, TSchema>>(kind: K, properties: P) =>
  entry(kind, { id: Id, left: Type.Optional(Left), ...properties });
const WrittenBlock = oneOf([
  written('heading', { level: Level, runs: Runs }),
  written('paragraph', {
    runs: Runs,
    role: Type.Optional(literals(['title', 'subtitle', 'contents', 'caption'] as const)),
  }),
  written('listItem', {
    depth: Depth,
    ordered: Type.Boolean(),
    number: Type.Optional(Type.Integer()),
    checked: Type.Optional(Type.Boolean()),
    runs: Runs,
  }),
  written('quote', { runs: Runs }),
  written('footnote', { label: Type.String({ maxLength: 100 }), runs: Runs }),
  written('code', {
    text: Type.String({ maxLength: 1_000_000 }),
    language: Type.Optional(Type.String({ maxLength: 100 })),
  }),
  written('table', { table: Table }),
  written('picture', {
    picture: Type.Optional(Type.String({ pattern: '^[0-9a-f]{64}$' })),
    alt: Type.Union([Type.String({ maxLength: 10_000 }), Type.Null()]),
  }),
  written('break', { type: literals(['page', 'rule'] as const) }),
]);
const Shape = oneOf([
  entry('heading', { level: Level }),
  entry('paragraph', {}),
  entry('title', {}),
  entry('quote', {}),
  entry('listItem', { depth: Depth, ordered: Type.Boolean() }),
]);

const MapName = Type.Union([Type.String({ maxLength: 100 }), Type.Null()]);
const Rule = literals(FULL_RULES);
const Prose = oneOf(
  [
    Type.Object({ as: Type.Literal('whole') }, closed),
    Type.Object({ as: Type.Literal('first') }, closed),
    Type.Object({ as: Type.Literal('short'), density: literals(DENSITIES) }, closed),
  ],
  'as',
);
const PointLevel = Type.Integer({ minimum: 1, maximum: 5 });

const SLIDE_EDITS: readonly TSchema[] = [
  entry('order', { slides: Ids, before: Nullable }),
  entry('remove', { slides: Ids }),
  entry('restore', { slides: Ids }),
  entry('hide', { slides: Ids, hidden: Type.Boolean() }),
  entry('duplicate', { slide: Id, as: Id }),
  entry('add', { slide: Id, after: Nullable, title: Runs }),
  entry('insert', { slide: Id, part: Id, after: Nullable, level: PointLevel, runs: Runs }),
  entry('carry', { parts: Ids, to: Id, before: Nullable }),
  entry('level', { parts: Ids, by: Type.Integer({ minimum: -4, maximum: 4 }) }),
  entry('speak', { parts: Ids }),
  entry('split', { slide: Id, part: Id, as: Id }),
  entry('merge', { slide: Id, into: Id }),
];

const Edition = {
  original: Type.String({ pattern: '^[0-9a-f]{64}$' }),
  type: Type.String({ minLength: 1, maxLength: 20 }),
  fileName: Type.String({ minLength: 1, maxLength: 255 }),
};

const SINGLE_EDITS: readonly TSchema[] = [
  ...SLIDE_EDITS,
  ...LOOK_EDITS,
  entry('edition', { ...Edition, ids: Type.Array(Type.Tuple([Id, Id]), { maxItems: 200_000 }) }),
  entry('shape', { shapes: Type.Array(Type.Object({ block: Id, as: Shape }, closed), { maxItems: 200_000 }) }),
  entry('write', {
    replaces: Type.Array(Id, { maxItems: 5000 }),
    after: Type.Union([Id, Type.Null()]),
    blocks: Type.Array(WrittenBlock, { maxItems: 5000 }),
    pictures: Type.Optional(Type.Array(Picture, { maxItems: 5000 })),
  }),
  entry('move', { blocks: Ids, before: Type.Union([Id, Type.Null()]) }),
  entry('leave', { blocks: Ids, as: Left }),
  entry('keep', { blocks: Ids }),
  entry('describe', { block: Id, alt: Type.String({ maxLength: 10_000 }) }),
  entry('map', { name: MapName, map: LevelMap, prose: Type.Optional(Prose) }),
  entry('prose', { prose: Prose }),
  entry('branch', { block: Id, text: literals(TEXT_KINDS), to: Type.Union([literals(DESTINATIONS), Type.Null()]) }),
  entry('matter', { part: literals(MATTER_KINDS), on: Type.Boolean() }),
  entry('target', {
    target: Type.Union([
      Type.Object(
        {
          unit: literals(['slides', 'minutes'] as const),
          amount: Type.Number({ exclusiveMinimum: 0, maximum: 10_000 }),
        },
        closed,
      ),
      Type.Null(),
    ]),
  }),
  entry('pace', { rate: Type.Integer({ minimum: 20, maximum: 500 }) }),
  entry('take', {
    take: Id,
    settings: Type.Union([
      Type.Object({ name: MapName, map: LevelMap, prose: Prose, full: Rule }, closed),
      Type.Null(),
    ]),
  }),
  entry('full', { rule: Rule }),
  entry('fullAt', { slides: Ids, rule: Type.Union([Rule, Type.Null()]) }),
  entry('breaks', { start: Type.Boolean() }),
  entry('turn', { block: Id, to: Type.Union([literals(DESTINATIONS), Type.Null()]) }),
  entry('cut', { block: Id }),
  entry('join', { block: Id }),
  entry('retitle', { slide: Id, runs: Runs }),
  entry('reword', { part: Id, runs: Runs }),
  entry('renote', {
    slide: Id,
    replaces: Type.Array(Id, { maxItems: 1000 }),
    anchor: Type.Union([Id, Type.Null()]),
    notes: Type.Array(NoteText, { maxItems: 1000 }),
  }),
];

const Entry = Type.Unsafe<LogEntry>(
  oneOf([
    ...SINGLE_EDITS,
    entry('all', { edits: Type.Array(oneOf(SINGLE_EDITS), { minItems: 1, maxItems: 10_000 }) }),
    entry('undo', {}),
    entry('redo', {}),
  ]),
);

export const AppendEntries = Type.Object(
  {
    base: Type.Integer({ minimum: 0 }),
    entries: Type.Array(Entry, { minItems: 1, maxItems: 500 }),
    /** Chosen by the window: the same batch sent twice, because its answer was lost, is kept once. */
    batch: Type.Optional(Type.String({ format: 'uuid' })),
  },
  closed,
);
export type AppendEntries = { readonly base: number; readonly entries: readonly LogEntry[]; readonly batch?: string };

/** A file that may become the document's new edition; nothing is changed until an entry of the log says so. */
export interface Candidate {
  readonly original: string;
  readonly type: string;
  readonly fileName: string;
  readonly words: number;
}
export type CandidateLine = { readonly progress: number } | { readonly candidate: Candidate } | ErrorBody;

/** What others have written since a version. */
export interface Newer {
  readonly version: number;
  readonly newer: readonly LogEntry[];
}

/** A level map of the author's own, kept for other decks. */
export interface OwnMap {
  readonly id: string;
  readonly name: string;
  readonly map: Levels;
  readonly prose: ProseType;
}
export const NewOwnMap = Type.Object(
  { name: Type.String({ minLength: 1, maxLength: 100, pattern: '\\S' }), map: LevelMap, prose: Prose },
  closed,
);
export type NewOwnMap = Omit<OwnMap, 'id'>;
export const RenameOwnMap = Type.Object(
  { name: Type.String({ minLength: 1, maxLength: 100, pattern: '\\S' }) },
  closed,
);

const MOST_PARTS = 50;
/** Files that were sent before, by hash, to become parts of one document in this order. */
export const NewParts = Type.Object(
  {
    parts: Type.Array(
      Type.Object(
        { hash: Type.String({ pattern: '^[0-9a-f]{64}$' }), name: Type.String({ minLength: 1, maxLength: 255 }) },
        closed,
      ),
      { minItems: 1, maxItems: MOST_PARTS },
    ),
  },
  closed,
);
export type NewParts = Static<typeof NewParts>;
/** What the server says of a file that it keeps. */
export interface KeptFile {
  readonly hash: string;
}

export const RenameDeck = Type.Object({ name: DeckName }, closed);
export type RenameDeck = Static<typeof RenameDeck>;

export interface OpenDeck {
  readonly deck: DeckSummary;
  readonly log: readonly LogEntry[];
}
export interface Appended {
  readonly version: number;
}
/** Sent with status 409: what others have written since `base`. */
export interface Stale extends ErrorBody {
  readonly version: number;
  readonly newer: readonly LogEntry[];
}
export interface ErrorBody {
  readonly error: {
    readonly code: string;
    /** A sentence for people: what happened and what to do. */
    readonly message: string;
    /** What was kept all the same. */
    readonly kept?: string;
    readonly place?: string;
  };
}
/** One line of the answer to a creation that is watched (application/x-ndjson). */
export type CreationLine = { readonly progress: number } | { readonly deck: DeckSummary } | ErrorBody;
