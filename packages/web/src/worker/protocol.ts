/** What the page and its worker say to each other. Only what changed crosses. */
import type {
  Block,
  Content,
  Decisions,
  Destination,
  Diagnostic,
  Edit,
  Finding,
  Fit,
  LayoutName,
  Ledger,
  LedgerEntry,
  LevelMap,
  LookAlikes,
  Note,
  Piece,
  SlideId,
  SlideTitle,
  Unplaced,
} from '@alvex/core';

/** One page of the deck, as the list of slides shows it. */
export interface Row {
  readonly key: string;
  /** Raised whenever the row or its drawing changes. */
  readonly rev: number;
  readonly slide: SlideId;
  readonly kind: 'cover' | 'section' | 'content';
  readonly layout: LayoutName;
  readonly title: SlideTitle;
  readonly content: readonly Content[];
  readonly notes: readonly Note[];
  readonly passages: readonly string[];
  readonly fit: Fit;
  readonly words: number;
  readonly spoken: number /* words */;
  readonly continues: boolean;
  /** The block by which the slide can be joined to the one before; null where that is not possible. */
  readonly joinBlock: string | null;
}

/** What is drawn of a slide; all lengths in points. */
export interface Drawing {
  readonly key: string;
  readonly rev: number;
  readonly ground: string;
  readonly shapes: readonly DrawnRect[];
  readonly texts: readonly DrawnText[];
  readonly pictures: readonly DrawnPicture[];
  /** Where the slide's number ends. The window writes it: numbers shift with every slide that is added. */
  readonly number: {
    readonly right: number;
    readonly y: number;
    readonly size: number;
    readonly family: string;
    readonly color: string;
  } | null;
}
export interface DrawnRect {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly color: string;
}
export interface DrawnPiece extends Omit<Piece, 'x' | 'baseline' | 'width'> {
  readonly x: number;
  readonly y: number;
  readonly width: number;
}
/** One paragraph or cell with the box that it stands in. */
export interface DrawnText {
  /** `title`, or the id of the part; null for what cannot be edited. */
  readonly target: string | null;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly pieces: readonly DrawnPiece[];
}
export interface DrawnPicture {
  readonly part: string;
  readonly picture: string;
  readonly alt: string | null;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** What is known of every page at once, by its place in the order; a row of its own is asked for when it is seen. */
export interface Pages {
  readonly order: readonly string[];
  readonly revs: readonly number[];
  readonly words: readonly number[];
  readonly spoken: readonly number[];
  readonly spills: readonly boolean[];
  readonly layouts: readonly LayoutName[];
  /** Passages, for the height of a row before it is drawn. */
  readonly passages: readonly number[];
}

export interface SeenPages {
  readonly rows: readonly Row[];
  readonly drawings: readonly Drawing[];
}

/** Pages of the deck by what is on them. */
export interface Counts {
  readonly sections: number;
  readonly notes: number;
  readonly tables: number;
  readonly pictures: number;
}

/** The document after a change of its structure or text: the order of all blocks, and those that are new or other than before. */
export interface ChangedDocument {
  readonly title: string | null;
  /** Ready-made maps, laid on the levels that it has now. */
  readonly presets: Readonly<Record<string, LevelMap>>;
  readonly order: readonly string[];
  readonly blocks: readonly Block[];
}

export interface View {
  /** Absent while the document is the one sent last. */
  readonly document?: ChangedDocument;
  readonly pages: Pages;
  /** What is new of the slides that were seen last, so that they need not be asked for. */
  readonly seen: SeenPages;
  readonly counts: Counts;
  /** Blocks whose destination is new since the last view. */
  readonly destinations: readonly (readonly [string, Destination])[];
  readonly sums: Ledger;
  readonly unplaced: readonly Unplaced[];
  readonly map: LevelMap;
  readonly mapName: string | null;
  readonly theme: string;
  readonly full: Decisions['full'];
  readonly breaks: boolean;
}

export interface PlacedEntry extends LedgerEntry {
  /** Number of the first slide that shows it or speaks it; null for none. */
  readonly slide: number | null;
}

export type ToWorker =
  | { readonly kind: 'open'; readonly url: string }
  | { readonly kind: 'edits'; readonly edits: readonly Edit[]; readonly seq: number }
  /** Rows and drawings of the slides that are seen. */
  | { readonly kind: 'pages'; readonly keys: readonly string[] }
  /** The first page that has a block. */
  | { readonly kind: 'find'; readonly block: string }
  /** Drawings of some slides in another theme. */
  | { readonly kind: 'dress'; readonly theme: string; readonly keys: readonly string[] }
  /** How many slides there would be with more edits. */
  | { readonly kind: 'try'; readonly edits: readonly Edit[]; readonly ask: number }
  | { readonly kind: 'ledger' };

export type FromWorker =
  | {
      readonly kind: 'document';
      readonly title: string | null;
      readonly blocks: readonly Block[];
      readonly diagnostics: readonly Diagnostic[];
      readonly presets: Readonly<Record<string, LevelMap>>;
    }
  | { readonly kind: 'view'; readonly seq: number; readonly view: View; readonly ms: number }
  | ({ readonly kind: 'pages' } & SeenPages)
  | { readonly kind: 'found'; readonly block: string; readonly key: string | null }
  | { readonly kind: 'dressed'; readonly theme: string; readonly drawings: readonly Drawing[] }
  | { readonly kind: 'ledger'; readonly entries: readonly PlacedEntry[] }
  | { readonly kind: 'structure'; readonly groups: readonly LookAlikes[]; readonly findings: readonly Finding[] }
  | { readonly kind: 'tried'; readonly ask: number; readonly slides: number }
  | { readonly kind: 'failed'; readonly message: string };
