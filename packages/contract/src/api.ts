/** The HTTP interface as OpenAPI 3.1, made of the schemas by which requests are checked. */
import { FORMAT_NAMES, FORMATS, DOCUMENT_ENDINGS, fileKind, type FormatName, type OutputFormat } from '@alvex/core';
import { Hash } from './edits/parts.ts';
import { FileChoices, WATCHED_FILE } from './schemas.ts';
import { SCHEMAS, written, type SchemaName } from './api-schemas.ts';

const named = (name: SchemaName) => ({ $ref: `#/components/schemas/${name}` });
const holding = (key: string, schema: unknown): object => ({
  type: 'object',
  required: [key],
  properties: { [key]: schema },
});

type Method = 'get' | 'post' | 'patch' | 'delete';
interface Operation {
  readonly summary: string;
  readonly parameters?: readonly object[];
  readonly body?: object;
  /** By status: JSON of a schema, a file of a media type, or nothing. */
  readonly answers: Readonly<Record<number, { readonly json?: unknown; readonly file?: string } | null>>;
  /** A second request with the same Idempotency-Key is answered as the first was. */
  readonly once?: boolean;
}

const json = (schema: unknown) => ({ required: true, content: { 'application/json': { schema } } });
const BYTES = { 'application/octet-stream': { schema: { type: 'string', format: 'binary' } } };
const query = (name: string, schema: object, description: string, required = false): object => ({
  name,
  in: 'query',
  required,
  description,
  schema,
});
const NAME = query('name', { type: 'string' }, 'What the file is called.');
const EDITION = query('edition', { type: 'string' }, 'An edition, by the hash of its file; the one in force else.');
const SENT = { required: true, content: BYTES };
const DOCUMENTS = {
  required: true,
  description: `A document (${DOCUMENT_ENDINGS.join(', ')}), or files that were sent before, to become parts of one.`,
  content: { ...BYTES, 'application/json': { schema: named('NewParts') } },
};
const TYPE = query('type', { type: 'string' }, 'Of the document, where its content does not say it.');
const WATCH = 'With Accept: application/x-ndjson it tells how far it is, line by line; the last line is the answer.';

const CHOICE_SCHEMAS = (FileChoices as unknown as { readonly properties: Readonly<Record<keyof FileChoices, object>> })
  .properties;

/** Which choices each file has; the others change nothing. */
const CHOICES: Readonly<Partial<Record<FormatName, readonly (keyof FileChoices)[]>>> = {
  pptx: ['fonts', 'thumbnail'],
  odp: ['fonts', 'thumbnail'],
  pdf: ['pages', 'paper'],
  html: ['notes', 'source'],
  png: ['width'],
  docx: ['handout'],
  md: ['source'],
};

function fileOperations(): Readonly<Record<string, Operation>> {
  const operation = (format: FormatName, kind: OutputFormat, one: boolean): [string, Operation] => [
    `/api/decks/{id}/deck.${kind.ending}`,
    {
      summary: one
        ? `One of it alone (${kind.ending.toUpperCase()}): the first, or the one that only says`
        : `The deck as a file (${format.toUpperCase()}). With Accept: ${WATCHED_FILE} lines of JSON say how far it is, and the file follows them`,
      parameters: [...(CHOICES[format] ?? []), ...(one ? (['only'] as const) : [])].map((name) =>
        query(name, CHOICE_SCHEMAS[name], WHAT[name]),
      ),
      answers: { 200: { file: kind.mime.split(';')[0]! } },
    },
  ];
  return Object.fromEntries(
    FORMAT_NAMES.flatMap((format) => {
      const all: OutputFormat = FORMATS[format];
      return all.one === undefined
        ? [operation(format, all, false)]
        : [operation(format, all, false), operation(format, fileKind(format, 1), true)];
    }),
  );
}
const WHAT: Readonly<Record<keyof FileChoices, string>> = {
  fonts: '1: the fonts go along.',
  thumbnail: '1: with a small picture of its first slide, by which the file is known where files are shown.',
  pages: 'What stands on each page.',
  paper: 'What it is printed on.',
  width: 'Pixels of each picture.',
  notes: '0: without what is said.',
  handout: '1: with its slides before their passages.',
  source: '1: the document, in the place of its deck.',
  only: 'The number of the slide or of the table.',
};

const DECK = { 200: { json: holding('deck', named('DeckSummary')) } };
const MADE = { 201: { json: holding('deck', named('DeckSummary')) } };
const PATHS: Readonly<Record<string, Readonly<Partial<Record<Method, Operation>>>>> = {
  '/api/health': {
    get: { summary: 'Whether server and database answer', answers: { 200: { json: holding('ok', { const: true }) } } },
  },
  '/api/openapi.json': { get: { summary: 'This description', answers: { 200: { json: { type: 'object' } } } } },
  '/api/demo': { post: { summary: 'A deck of the demo report', answers: MADE, once: true } },
  '/api/decks': {
    get: {
      summary: 'All decks, and those that were deleted and can be restored',
      answers: {
        200: {
          json: {
            type: 'object',
            required: ['decks', 'deleted'],
            properties: {
              decks: { type: 'array', items: named('ListedDeck') },
              deleted: { type: 'array', items: named('DeckSummary') },
            },
          },
        },
      },
    },
    post: {
      summary: `A deck is made of a document, or brought in from its file. ${WATCH}`,
      parameters: [NAME, TYPE],
      body: DOCUMENTS,
      answers: MADE,
      once: true,
    },
  },
  '/api/decks/{id}': {
    get: { summary: 'A deck with its log of edits', answers: { 200: { json: named('OpenDeck') } } },
    patch: { summary: 'Renames a deck', body: json(named('RenameDeck')), answers: DECK },
    delete: { summary: 'Deletes a deck; for 30 days it can be restored', answers: { 204: null } },
  },
  '/api/decks/{id}/duplicate': { post: { summary: 'A second deck with all that was done', answers: MADE, once: true } },
  '/api/decks/{id}/restore': { post: { summary: 'Brings a deleted deck back', answers: DECK } },
  '/api/decks/{id}/editions': {
    post: {
      summary: `Keeps what may become the new edition of the document; an edit makes it that. ${WATCH}`,
      parameters: [NAME, TYPE],
      body: DOCUMENTS,
      answers: { 201: { json: holding('candidate', named('Candidate')) } },
      once: true,
    },
  },
  '/api/decks/{id}/cover': {
    get: {
      summary: 'Its first slide, as it is drawn, and how much there is',
      answers: { 200: { json: named('Cover') }, 304: null },
    },
  },
  '/api/decks/{id}/entries': {
    get: {
      summary: 'Entries of the log after a version',
      parameters: [query('after', { type: 'integer', minimum: 0 }, 'A version; all without it.')],
      answers: { 200: { json: named('Newer') } },
    },
    post: {
      summary: 'Appends edits to the log. A batch with an id is kept once, however often it is sent',
      body: json(named('AppendEntries')),
      answers: {
        200: { json: holding('version', { type: 'integer' }) },
        409: { json: named('Stale') },
      },
    },
  },
  '/api/decks/{id}/batches/{batch}': {
    get: {
      summary: 'Whether a batch of edits is kept',
      answers: { 200: { json: holding('kept', { type: 'boolean' }) } },
    },
  },
  '/api/decks/{id}/document': {
    get: {
      summary: 'The document as it was read',
      parameters: [EDITION],
      answers: { 200: { json: { type: 'object' } } },
    },
  },
  '/api/decks/{id}/original': {
    get: {
      summary: 'The file as it was brought in, byte for byte',
      parameters: [EDITION],
      answers: { 200: { file: '*/*' } },
    },
  },
  '/api/decks/{id}/pictures': {
    post: {
      summary: 'Keeps a picture that edits can put in',
      parameters: [NAME],
      body: SENT,
      answers: { 201: { json: named('Picture') } },
    },
  },
  '/api/decks/{id}/pictures/{hash}': { get: { summary: 'A picture', answers: { 200: { file: 'image/*' } } } },
  '/api/decks/{id}/templates': {
    post: {
      summary: 'Keeps a presentation on whose layouts the deck can be built, without what acts or leads outside',
      parameters: [NAME],
      body: SENT,
      answers: { 201: { json: named('Template') } },
    },
  },
  '/api/decks/{id}/templates/{hash}': {
    get: { summary: 'A template as it was read', answers: { 200: { json: { type: 'object' } } } },
  },
  ...Object.fromEntries(Object.entries(fileOperations()).map(([path, get]) => [path, { get }])),
  '/api/decks/{id}/deck.alvex': {
    get: {
      summary: 'The whole deck as one file: document, editions, pictures, template and edits',
      answers: { 200: { file: 'application/zip' } },
    },
  },
  '/api/files': {
    post: {
      summary: 'Keeps a file that is to become a part of a document',
      parameters: [NAME],
      body: SENT,
      answers: { 201: { json: holding('hash', Hash) } },
    },
  },
  '/api/maps': {
    get: {
      summary: 'Level maps of one’s own',
      answers: { 200: { json: holding('maps', { type: 'array', items: named('OwnMap') }) } },
    },
    post: {
      summary: 'Keeps a level map',
      body: json(named('NewOwnMap')),
      answers: { 201: { json: holding('map', named('OwnMap')) } },
      once: true,
    },
  },
  '/api/maps/{id}': {
    patch: { summary: 'Renames a level map', body: json(named('RenameOwnMap')), answers: { 204: null } },
    delete: { summary: 'Takes a level map away', answers: { 204: null } },
  },
  '/api/fonts/{family}.zip': {
    get: { summary: 'The files of a font that ships', answers: { 200: { file: 'application/zip' } } },
  },
};

const LIMIT = { description: 'Seconds until more is taken.', schema: { type: 'integer' } };

function described(path: string, { summary, parameters = [], body, answers, once }: Operation): object {
  const inPath = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string' },
  }));
  const key = {
    name: 'Idempotency-Key',
    in: 'header',
    required: false,
    description: 'Chosen by whoever asks. The same request with the same key is answered as the first was, for a day.',
    schema: { type: 'string', minLength: 1, maxLength: 200 },
  };
  const responses = Object.entries(answers).map(([status, answer]) => [
    status,
    answer === null
      ? { description: 'Done.' }
      : {
          description: answer.file === undefined ? 'What was asked for.' : 'The file.',
          content:
            answer.file === undefined
              ? { 'application/json': { schema: answer.json } }
              : { [answer.file]: { schema: { type: 'string', format: 'binary' } } },
        },
  ]);
  return {
    summary: `${summary}.`,
    parameters: [...inPath, ...parameters, ...(once === true ? [key] : [])],
    ...(body === undefined ? {} : { requestBody: body }),
    responses: {
      ...Object.fromEntries(responses),
      429: { description: 'Too much at once.', headers: { 'Retry-After': LIMIT }, content: failure },
      default: { description: 'Why it was not done, as a sentence, and what is kept all the same.', content: failure },
    },
  };
}
const failure = { 'application/json': { schema: named('Error') } };

/** @returns An OpenAPI Description (OpenAPI 3.1.1). */
export function openApi(): object {
  const paths = Object.entries(PATHS).map(([path, methods]) => [
    path,
    Object.fromEntries(Object.entries(methods).map(([method, one]) => [method, described(path, one)])),
  ]);
  const schemas = Object.entries(SCHEMAS).map(([name, schema]) => [name, written(schema)]);
  const whole = {
    openapi: '3.1.1',
    info: {
      title: 'Alvex',
      version: '1.0.0',
      description:
        'Documents become slide decks. There are no accounts yet: it listens on this computer alone, and refuses what pages of other sites send.',
    },
    servers: [{ url: '/' }],
    paths: Object.fromEntries(paths),
    components: { schemas: Object.fromEntries(schemas) },
  };
  // What is kept for types alone goes.
  return JSON.parse(JSON.stringify(whole)) as object;
}
