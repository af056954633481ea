/** Schemas of what is sent and answered, by the names under which they stand in the interface's description. */
import { Type, type TSchema } from '@sinclair/typebox';
import { SINGLE_EDITS } from './edits/edit-schemas.ts';
import { Hash, list, object, oneOf, optional, orNull, Picture, type SchemaOf } from './edits/parts.ts';
import {
  AppendEntries,
  DeckSummary,
  Entry,
  NewOwnMap,
  NewParts,
  RenameDeck,
  RenameOwnMap,
  type Candidate,
  type DeckCover,
  type ErrorBody,
  type KeptTemplate,
  type Newer,
  type OpenDeck,
} from './schemas.ts';

const ANY = 1_000_000; // of a list in an answer
const text = Type.String();
const whole = Type.Integer({ minimum: 0 });
const Writers = list(orNull(Type.String({ format: 'uuid' })), ANY);
/** What is drawn, or was read: its form follows the version of Alvex. */
const Inner = <V>(description: string): SchemaOf<V> =>
  Type.Unsafe<V>({ type: 'object', description, additionalProperties: true });

const ListedDeck = Type.Object({ ...DeckSummary.properties, last: Type.Optional(Entry) });
const Failure: SchemaOf<ErrorBody['error']> = object<ErrorBody['error']>({
  code: text,
  message: text,
  kept: optional(text),
  place: optional(text),
});
const ErrorAnswer: SchemaOf<ErrorBody> = object<ErrorBody>({ error: Failure });
const CandidateAnswer: SchemaOf<Candidate> = object<Candidate>({
  original: Hash,
  type: text,
  fileName: text,
  words: whole,
});
const NewerAnswer: SchemaOf<Newer> = object<Newer>({ version: whole, newer: list(Entry, ANY), by: Writers });
const StaleAnswer = object<ErrorBody & Newer>({
  error: Failure,
  version: whole,
  newer: list(Entry, ANY),
  by: Writers,
});
const OpenDeckAnswer: SchemaOf<OpenDeck> = object<OpenDeck>({
  deck: DeckSummary,
  beginning: list(oneOf(SINGLE_EDITS), ANY),
  log: list(Entry, ANY),
  by: Writers,
});
const Cover: SchemaOf<DeckCover> = object<DeckCover>({
  drawing: orNull(Inner('The first slide, as it is drawn')),
  slides: whole,
  seconds: whole,
});
const Template: SchemaOf<KeptTemplate> = object<KeptTemplate>({
  hash: Hash,
  fileName: text,
  removed: object<KeptTemplate['removed']>({ macros: Type.Boolean(), objects: whole, links: whole }),
  made: list(
    object<KeptTemplate['made'][number]>({ document: text, slides: list(whole, ANY), changed: list(whole, ANY) }),
    ANY,
  ),
});
const OwnMap = Type.Object({ id: text, ...NewOwnMap.properties }, { additionalProperties: false });

/** By the names under which they stand in the document. */
const NAMES = [
  'DeckSummary',
  'ListedDeck',
  'LogEntry',
  'OpenDeck',
  'Cover',
  'AppendEntries',
  'Newer',
  'Stale',
  'NewParts',
  'RenameDeck',
  'Candidate',
  'Picture',
  'Template',
  'NewOwnMap',
  'RenameOwnMap',
  'OwnMap',
  'Error',
] as const;
export type SchemaName = (typeof NAMES)[number];
export const SCHEMAS: Readonly<Record<SchemaName, TSchema>> = {
  DeckSummary,
  ListedDeck,
  LogEntry: Entry,
  OpenDeck: OpenDeckAnswer,
  Cover,
  AppendEntries,
  Newer: NewerAnswer,
  Stale: StaleAnswer,
  NewParts,
  RenameDeck,
  Candidate: CandidateAnswer,
  Picture,
  Template,
  NewOwnMap,
  RenameOwnMap,
  OwnMap,
  Error: ErrorAnswer,
};
/** Places in which a schema is named and not written once more. */
const NAMED = new Map<unknown, SchemaName>(NAMES.map((name) => [SCHEMAS[name], name]));

/** A schema as JSON, in which those that have names are references. */
export function written(schema: unknown, inside = false): unknown {
  const name = NAMED.get(schema);
  if (inside && name !== undefined) return { $ref: `#/components/schemas/${name}` };
  if (Array.isArray(schema)) return schema.map((one: unknown) => written(one, true));
  if (typeof schema !== 'object' || schema === null) return schema;
  const { items, additionalItems, ...others } = schema as { items?: unknown; additionalItems?: unknown };
  const made = Object.fromEntries(Object.entries(others).map(([key, value]) => [key, written(value, true)]));
  if (items === undefined) return made;
  // Lists whose places differ are written otherwise since JSON Schema 2020-12.
  if (Array.isArray(items)) return { ...made, prefixItems: written(items), items: additionalItems ?? true };
  return { ...made, items: written(items, true) };
}
