/** What goes between server and web, as JSON schemas from which the types are taken. */
import {
  PAPER_SIZES,
  PICTURE_WIDTHS,
  PRINTS,
  type Paper,
  type Print,
  type DrawnSlide,
  type Edit,
  ID_FORMAT,
  type LevelMap as Levels,
  type LogEntry,
  type MadeSlides,
  type Prose as ProseType,
  type Writer,
} from '@alvex/core';
import { Type, type Static } from '@sinclair/typebox';
import { SINGLE_EDITS } from './edits/edit-schemas.ts';
import { closed, list, literals, object, oneOf, only, optional, whole, type SchemaOf } from './edits/parts.ts';
import { LevelMap, Prose } from './edits/plan.ts';

export const DeckName = Type.String({ minLength: 1, maxLength: 200, pattern: '\\S' });

export const DeckSummary = Type.Object({
  id: Type.String({ minLength: 1, maxLength: 400 }),
  name: Type.String(),
  fileName: Type.String(),
  type: Type.String(),
  words: Type.Integer(),
  /** Number of log entries. */
  version: Type.Integer(),
  /** ISO 8601, UTC. */
  updatedAt: Type.String({ format: 'date-time' }),
  /** Present for a deck that was deleted and can be restored. */
  deletedAt: Type.Optional(Type.String({ format: 'date-time' })),
});
export type DeckSummary = Static<typeof DeckSummary>;

/** A deck as the list shows it, with what was done last; absent where that is long. */
export interface ListedDeck extends DeckSummary {
  readonly last?: LogEntry;
}

/** What the list of decks shows of one. */
export interface DeckCover {
  /** The first slide; null for a deck without any. */
  readonly drawing: DrawnSlide | null;
  readonly slides: number;
  /** To present it. */
  readonly seconds: number;
}

export const Entry: SchemaOf<LogEntry> = oneOf<LogEntry>([
  ...SINGLE_EDITS,
  object<Extract<LogEntry, { readonly kind: 'all' }>>({
    kind: only('all'),
    edits: list(oneOf(SINGLE_EDITS), 10_000, 1),
  }),
  object<{ readonly kind: 'undo' }>({ kind: only('undo') }),
  object<{ readonly kind: 'redo' }>({ kind: only('redo') }),
]);

export interface AppendEntries {
  readonly base: number;
  readonly entries: readonly LogEntry[];
  /** Chosen by the window: the same batch sent twice, because its answer was lost, is kept once. */
  readonly batch?: string;
  /** Who wrote the entries: an id that the browser made for itself. */
  readonly by?: string;
  /** How the ids in the entries were made; absent for the first way. */
  readonly ids?: number;
}
export const AppendEntries: SchemaOf<AppendEntries> = object<AppendEntries>({
  base: Type.Integer({ minimum: 0 }),
  entries: list(Entry, 500, 1),
  batch: optional(Type.String({ format: 'uuid' })),
  by: optional(Type.String({ format: 'uuid' })),
  ids: optional(Type.Integer({ minimum: 1, maximum: ID_FORMAT })),
});

/** A file that may become the document's new edition; nothing is changed until an entry of the log says so. */
export interface Candidate {
  readonly original: string;
  readonly type: string;
  readonly fileName: string;
  readonly words: number;
}
export type CandidateLine = Underway | { readonly candidate: Candidate } | ErrorBody;

/** What others have written since a version. */
export interface Newer {
  readonly version: number;
  readonly newer: readonly LogEntry[];
  /** Who wrote each of them. */
  readonly by: readonly Writer[];
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
  /** What was decided when it was made, as edits before its log. */
  readonly beginning: readonly Edit[];
  readonly log: readonly LogEntry[];
  /** Who wrote each entry. */
  readonly by: readonly Writer[];
}
export interface Appended {
  readonly version: number;
}
/** Sent with status 409: what others have written since `base`. */
export interface Stale extends ErrorBody, Newer {}
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
/** How far it is, or how many are taken in before it. */
export type Underway = { readonly progress: number } | { readonly waiting: number };
export type CreationLine = Underway | { readonly deck: DeckSummary } | ErrorBody;

/** What a file of a deck has besides, as the query of its address says it. */
export interface FileChoices {
  /** A presentation (PPTX, ODP) with its fonts. */
  readonly fonts?: Flag;
  /** A presentation (PPTX, ODP) with a small picture of its first slide. */
  readonly thumbnail?: Flag;
  /** What a PDF shows on each page, and the paper. */
  readonly pages?: Print;
  readonly paper?: Paper;
  /** Of pictures of slides, in pixels. */
  readonly width?: number;
  /** A page (HTML) with the speaker's notes; it has them where it is not said. */
  readonly notes?: Flag;
  /** A document (DOCX) with its slides before their passages. */
  readonly handout?: Flag;
  /** The document, in the place of its deck (HTML, Markdown). */
  readonly source?: Flag;
  /** The number of the one slide or table (PNG, SVG, CSV). */
  readonly only?: number;
}
type Flag = '0' | '1';
const Flag = literals(['0', '1']);
export const FileChoices: SchemaOf<FileChoices> = object<FileChoices>({
  fonts: optional(Flag),
  thumbnail: optional(Flag),
  pages: optional(literals(PRINTS)),
  paper: optional(literals(Object.keys(PAPER_SIZES) as Paper[])),
  width: optional(whole(PICTURE_WIDTHS.least, PICTURE_WIDTHS.most)),
  notes: optional(Flag),
  handout: optional(Flag),
  source: optional(Flag),
  only: optional(whole(1, 100_000)),
});

/** How far the writing of a file is; its bytes follow the last line. */
export type FileLine = Underway | { readonly file: { readonly bytes: number } } | ErrorBody;
/** Lines of JSON, then a file. */
export const WATCHED_FILE = 'application/x-alvex-watched-file';

/** What was taken out of a template: it acts or leads outside. */
export interface Removed {
  readonly macros: boolean;
  readonly objects: number;
  readonly links: number;
}
/** A template that is kept, without those. */
export interface KeptTemplate {
  readonly hash: string;
  readonly fileName: string;
  readonly removed: Removed;
  /** Which of its slides were made of documents. */
  readonly made: readonly MadeSlides[];
}

const Sha256 = Type.String({ pattern: '^[0-9a-f]{64}$' });
const DocumentKind = Type.String({ minLength: 1, maxLength: 20, pattern: '^[a-z]+$' });
const FileName = Type.String({ maxLength: 255 });

/** What is in the file of a whole deck. */
export interface DeckContents {
  /** How the file is made. */
  readonly format: number;
  /** How the ids in the log were made. */
  readonly ids: number;
  readonly name: string;
  readonly fileName: string;
  readonly type: string;
  readonly original: string;
  readonly words: number;
  /** Editions of the document, and templates. */
  readonly editions: readonly { readonly original: string; readonly type: string; readonly fileName: string }[];
  /** What was decided when it was made, as edits before its log. */
  readonly beginning?: readonly Edit[];
  /** Edits in force, oldest first. */
  readonly log: readonly LogEntry[];
  readonly files: readonly { readonly hash: string; readonly mime: string }[];
  readonly readings: readonly { readonly original: string; readonly type: string; readonly reader: number }[];
}
export const DeckContents: SchemaOf<DeckContents> = object<DeckContents>({
  format: Type.Integer({ minimum: 1 }),
  ids: Type.Integer({ minimum: 1, maximum: 250 }),
  name: DeckName,
  fileName: FileName,
  type: DocumentKind,
  original: Sha256,
  words: Type.Integer({ minimum: 0, maximum: 4_000_000_000 }),
  editions: list(
    object<DeckContents['editions'][number]>({ original: Sha256, type: DocumentKind, fileName: FileName }),
    10_000,
  ),
  beginning: optional(list(oneOf(SINGLE_EDITS), 10_000)),
  log: list(Entry, 1_000_000),
  files: list(object<DeckContents['files'][number]>({ hash: Sha256, mime: Type.String({ maxLength: 150 }) }), 100_000),
  readings: list(
    object<DeckContents['readings'][number]>({
      original: Sha256,
      type: DocumentKind,
      reader: Type.Integer({ minimum: 1, maximum: 10_000 }),
    }),
    10_000,
  ),
});
