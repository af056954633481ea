/** What goes between server and web, as JSON schemas from which the types are taken. */
import { DESTINATIONS, TEXT_KINDS, type LogEntry } from '@alvex/core';
import { Type, type Static, type TSchema } from '@sinclair/typebox';

const closed = { additionalProperties: false } as const;
const literals = <T extends string>(values: readonly T[]) => Type.Unsafe<T>({ type: 'string', enum: [...values] });
const Id = Type.String({ minLength: 1, maxLength: 200 });

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
const entry = <K extends string, P extends Record<string, TSchema>>(kind: K, properties: P) =>
  Type.Object({ kind: Type.Literal(kind), ...properties }, closed);
const NoteText = Type.Object(
  {
    kind: literals(['paragraph', 'item'] as const),
    depth: Type.Integer({ minimum: 0, maximum: 9 }),
    ordered: Type.Boolean(),
    runs: Runs,
  },
  closed,
);

const Entry = Type.Unsafe<LogEntry>({
  type: 'object',
  required: ['kind'],
  discriminator: { propertyName: 'kind' },
  oneOf: [
    entry('map', { name: Type.Union([Type.String({ maxLength: 100 }), Type.Null()]), map: LevelMap }),
    entry('theme', { theme: Type.String({ maxLength: 100 }) }),
    entry('full', { rule: literals(['continue', 'report'] as const) }),
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
    entry('undo', {}),
    entry('redo', {}),
  ],
});

export const AppendEntries = Type.Object(
  { base: Type.Integer({ minimum: 0 }), entries: Type.Array(Entry, { minItems: 1, maxItems: 500 }) },
  closed,
);
export type AppendEntries = { readonly base: number; readonly entries: readonly LogEntry[] };

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
