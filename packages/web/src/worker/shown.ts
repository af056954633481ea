/** What the page shows of a deck, as the worker makes it. */
import type {
  Block,
  BlockId,
  BranchRule,
  Content,
  DeckLook,
  Destination,
  DrawnSlide,
  Edit,
  Finding,
  Fit,
  FullRule,
  LayoutName,
  Ledger,
  LevelMap,
  LookAlikes,
  MadeHeadings,
  MapRecipe,
  MatterKind,
  Motion,
  Transition,
  Note,
  NotesAdvice,
  PaletteChoice,
  PageKey,
  Picture,
  Prose,
  SlideId,
  SlideTitle,
  Mix,
  TakeSettings,
  Target,
  TemplateUse,
  Unplaced,
} from '@alvex/core';

/** One page of the deck, as the list of slides shows it. */
export interface Row {
  readonly key: PageKey;
  /** Raised whenever the row or its drawing changes. */
  readonly rev: number;
  readonly slide: SlideId;
  readonly kind: 'cover' | 'section' | 'content';
  readonly layout: LayoutName;
  readonly title: SlideTitle;
  readonly content: readonly Content[];
  /** Of the whole slide, where it goes on over several pages. */
  readonly all: readonly Content[];
  readonly notes: readonly Note[];
  readonly passages: readonly BlockId[];
  readonly fit: Fit;
  readonly words: number;
  readonly spoken: number /* words */;
  readonly continues: boolean;
  readonly index: number /* 0.. */;
  /** Pages that the slide's text takes. */
  readonly textPages: number;
  /** Joins the slide to the one before; null where that is not possible. */
  readonly join: Edit | null;
  readonly hidden: boolean;
  /** Its own; null where it comes as the deck's slides do. */
  readonly motion: Motion | null;
  readonly matter: MatterKind | null;
  /** The slide's own rule for too much; null where the deck's holds. */
  readonly full: FullRule | null;
  /** The layout that its author chose; null where none was. */
  readonly fixed: LayoutName | null;
  /** It has colours of its own. */
  readonly colors: { readonly palette: PaletteChoice | null; readonly dark: boolean | null } | null;
  /** Its title is no heading of the document's. */
  readonly untitled: boolean;
  readonly advice: NotesAdvice;
  /** Slides that were taken out before this one, and, on the last page, behind it. */
  readonly removed: readonly RemovedLine[];
}
export interface RemovedLine {
  readonly slide: SlideId;
  readonly title: string;
}

/** A slide as it is drawn, with the revision of its row. */
export interface Drawing extends DrawnSlide {
  readonly key: PageKey;
  readonly rev: number;
}

/** What is known of every page at once, by its place in the order; a row of its own is asked for when it is seen. */
export interface Pages {
  readonly order: readonly PageKey[];
  readonly revs: readonly number[];
  readonly words: readonly number[];
  /** To present each; 0 for those that are hidden. */
  readonly seconds: readonly number[];
  readonly spills: readonly boolean[];
  readonly layouts: readonly LayoutName[];
  /** Passages, for the height of a row before it is drawn. */
  readonly passages: readonly number[];
  readonly slides: readonly SlideId[];
  readonly hidden: readonly boolean[];
  /** How each comes, and how many points come one after the other; 0 where all are there at once. */
  readonly transitions: readonly Transition[];
  readonly steps: readonly number[];
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

/** What was found in the document's structure. */
export interface Structure {
  /** Lines that look like headings. */
  readonly groups: readonly LookAlikes[];
  /** Lines that were read as text and are headings now. */
  readonly made: readonly MadeHeadings[];
  readonly findings: readonly Finding[];
}

/** Ready-made maps, laid on the levels that the document has now. */
export type Presets = Readonly<Record<string, MapRecipe>>;

/** The document after a change of its structure or text: the order of all blocks, and those that are new or other than before. */
export interface ChangedDocument {
  readonly title: string | null;
  readonly presets: Presets;
  readonly order: readonly BlockId[];
  readonly blocks: readonly Block[];
  readonly pictures: readonly Picture[];
}

export interface View {
  /** Absent while the document is the one sent last. */
  readonly document?: ChangedDocument;
  readonly pages: Pages;
  /** What is new of the slides that were seen last, so that they need not be asked for. */
  readonly seen: SeenPages;
  readonly counts: Counts;
  /** Blocks whose destination is new since the last view. */
  readonly destinations: readonly (readonly [BlockId, Destination])[];
  /** Blocks whose mark was turned by hand; absent while they are those sent last. */
  readonly turned?: readonly BlockId[];
  /** Layouts of slides were chosen for all of them together. */
  readonly arranged: boolean;
  readonly sums: Ledger;
  readonly unplaced: readonly Unplaced[];
  readonly map: LevelMap;
  readonly mapName: string | null;
  readonly look: DeckLook;
  readonly template: TemplateUse | null;
  readonly full: FullRule;
  readonly motion: Motion;
  readonly prose: Prose;
  readonly speech: number | null;
  readonly branches: readonly BranchRule[];
  /** Those of the map itself. */
  readonly mapBranches: readonly BranchRule[];
  readonly matter: readonly MatterKind[] /* in force */;
  readonly target: Target | null;
  readonly pace: number;
  readonly takes: readonly (readonly [string, TakeSettings])[];
  /** Slides that are converted as a take is. */
  readonly mixes: readonly (Mix & { readonly block: BlockId })[];
  readonly breaks: boolean;
}
