/** What the page asks the worker, and what is answered. */
import type {
  BlockId,
  ChartData,
  ChartOffer,
  ChartSettings,
  DrawnSlide,
  MadeSlides,
  Edit,
  EditionEdit,
  EditionReview,
  Choice,
  Fitting,
  Icon,
  LayoutChoice,
  LayoutName,
  LedgerEntry,
  LengthName,
  Level,
  Mended,
  Outlines,
  ParallelAdvice,
  PageKey,
  PartId,
  Proposal,
  Remark,
  RemarkKind,
  Sheet,
  FormatName,
  SheetOptions,
  SingleEdit,
  SlideId,
  Stands,
  LeftSections,
  Suggestion,
  TakeLine,
  Target,
  Unplaced,
  Way,
} from '@alvex/core';
import type { OwnPicture } from './own-pictures.ts';
import type { Drawing } from './shown.ts';

/** A conversion that is looked at beside others. */
export interface Take {
  readonly take: string;
  readonly slides: number;
  readonly words: number /* a slide */;
  readonly seconds: number;
  readonly spills: number;
  readonly lines: readonly TakeLine[];
  readonly drawings: readonly Drawing[];
}

/** What can be done for one slide. */
export interface SlideAdvice {
  readonly titles: readonly string[];
  /** Parts to be spoken so that so many points stay. */
  readonly fewer: readonly { readonly most: number; readonly parts: readonly PartId[] }[];
  readonly shorter: readonly { readonly density: string; readonly proposals: readonly Proposal[] }[];
  readonly parallel: readonly ParallelAdvice[];
  /** Takes the notes down to chosen sentences; null where they are short. */
  readonly thinner: Edit | null;
  /** Says on a slide that has a title alone what its notes say first; null for others. */
  readonly told: Edit | null;
}

/** A review, and what would find no place. */
export interface Reviewed {
  readonly review: EditionReview;
  readonly unplaced: readonly Unplaced[];
  readonly slides: number;
}

export interface PlacedEntry extends LedgerEntry {
  /** Number of the first slide that shows it or speaks it; null for none. */
  readonly slide: number | null;
}

export interface LayoutOffer extends LayoutChoice {
  readonly drawing: Drawing;
  /** It is the one in force. */
  readonly worn: boolean;
}
export interface Arrangement {
  /** For an edit: every slide whose layout would not be the usual one. */
  readonly layouts: readonly { readonly slide: SlideId; readonly layout: LayoutName }[];
  /** Slides that would look other than now. */
  readonly changes: readonly {
    readonly number: number;
    readonly from: LayoutName;
    readonly to: LayoutName;
    readonly before: Drawing;
    readonly after: Drawing;
  }[];
  /** Slides whose layout their author fixed. */
  readonly fixed: number;
}
export interface TemplateAnswer {
  readonly layouts: readonly { readonly part: string; readonly name: string; readonly master: number }[];
  readonly masters: readonly string[];
  readonly matches: readonly { readonly layout: LayoutName; readonly part: string; readonly chosen: boolean }[];
  readonly fonts: readonly { readonly name: string; readonly stands: Stands }[];
  readonly size: { readonly width: number; readonly height: number } /* inches */;
  readonly slides: number;
  /** Of its own slides, as far as it was read for them. */
  readonly titles: readonly string[];
  /** Those of them that were made of documents. */
  readonly made: readonly MadeSlides[];
  readonly undrawn: number;
  /** Colours that are not read where figures and charts need them. */
  readonly mended: readonly string[];
}
export interface ChartOffers {
  /** As the table has them; null where it has no numbers, but those of the author. */
  readonly data: ChartData | null;
  /** Of these numbers, by which it is known when they change. */
  readonly sum: string | null;
  readonly offers: readonly ChartOffer[];
  /** In force, or what suits best. */
  readonly settings: ChartSettings;
  readonly drawn: boolean /* as a chart now */;
}

/** Slides that can be shown as they are; what its author accepts is no fault. */
export interface Readiness {
  readonly ready: number;
  readonly of: number;
}

/** How long each page takes. */
export interface Pace {
  readonly pages: readonly {
    readonly key: PageKey;
    readonly number: number;
    readonly title: string;
    readonly section: string | null;
    /** It opens a section. */
    readonly opens: boolean;
    readonly hidden: boolean;
    /** As its words and what is looked at take. */
    readonly seconds: number;
    /** In the last rehearsal; null where it was not shown, or none was held. */
    readonly rehearsed: number | null;
  }[];
  /** Oldest first. */
  readonly rehearsals: readonly {
    readonly id: string;
    readonly began: string;
    readonly seconds: number;
    readonly stumbled: number;
    /** Words a minute that were spoken, where that can be told. */
    readonly rate: number | null;
  }[];
}
/** One thing that makes the talk shorter. */
export interface Saving {
  readonly kind: 'notes' | 'back-up' | 'sections';
  /** The share of the notes that stays, the slide, or the sections. */
  readonly text: string;
  readonly seconds: number;
  readonly edits: readonly SingleEdit[];
}
export interface Savings {
  readonly steps: readonly Saving[];
  readonly after: number /* s */;
  /** It comes to what is wanted. */
  readonly near: boolean;
}

/** What is asked, by its name. */
export interface Questions {
  readonly ledger: object;
  readonly outlines: object;
  readonly advice: { readonly slide: SlideId };
  readonly takes: object;
  readonly suggestion: { readonly target: Target | null };
  /** Three lengths that the deck could have. */
  readonly lengths: object;
  /** The headings that slides could begin at. */
  readonly levels: object;
  /** What comes to so many minutes, with the least harm. */
  readonly fitting: { readonly minutes: number };
  /** Which slides can be shown as they are. */
  readonly readiness: object;
  /** What is remarked on the deck, worst first. */
  readonly remarks: object;
  /** What can be done about one remark. */
  readonly repairs: { readonly kind: RemarkKind; readonly key: PageKey };
  /** Some of a few kinds mended, each in its gentlest way. */
  readonly mendAll: {
    readonly kinds: readonly RemarkKind[];
    /** Repairs that were found already, and what was tried for them. */
    readonly edits: readonly SingleEdit[];
    readonly tried: readonly string[];
  };
  readonly pace: object;
  /** What would bring the talk down to so many minutes. */
  readonly savings: { readonly minutes: number };
  /** What an edition, read from `url`, would change. */
  readonly edition: { readonly url: string; readonly edition: Omit<EditionEdit, 'kind' | 'ids'> };
  /** The first page that has a block. */
  readonly page: { readonly block: BlockId };
  /** Layouts that suit a slide, each drawn with what is on it. */
  readonly layouts: { readonly slide: SlideId };
  /** Icons that suit each text. */
  readonly icons: { readonly texts: readonly string[]; readonly most: number };
  /** Which layouts of the deck's template stand for ours. */
  readonly template: object;
  /** Slides that the deck's template has of its own, from one to before another, drawn. */
  readonly ownSlides: { readonly from: number; readonly to: number };
  /** One layout for each slide, as all of them together are best. */
  readonly arrangement: object;
  /** The numbers of a table, and the charts that suit them. */
  readonly chart: { readonly slide: SlideId; readonly part: PartId };
  /** The deck on paper. */
  readonly sheets: SheetOptions;
  /** A page, counted from one; the first that is shown where it is not said. */
  readonly drawn: { readonly number: number | null };
  /** How a file of text begins: of the deck, or of the document. */
  readonly excerpt: { readonly format: FormatName; readonly source: boolean; readonly only: number | null };
  /** Pictures that the deck has, by words of their descriptions; what suits a text first where there are none. */
  readonly ownPictures: { readonly words: string; readonly text: string };
  /** The tables that are shown. */
  readonly tables: object;
  /** How many slides there would be with more edits. */
  readonly slides: { readonly edits: readonly Edit[] };
}
export type What = keyof Questions;
export type Asking<W extends What> = { readonly what: W } & Questions[W];

/** Sections that could be left out, and what the best map then makes. */
export interface Leaving extends LeftSections {
  readonly slides: number;
  readonly minutes: number;
}

export interface Answers {
  readonly ledger: readonly PlacedEntry[];
  readonly outlines: Outlines;
  readonly advice: SlideAdvice | null;
  readonly takes: readonly Take[];
  readonly suggestion: Suggestion & { readonly leaving?: Leaving };
  readonly lengths: Readonly<Record<LengthName, Choice>> | null;
  readonly levels: readonly (Choice & { readonly level: Level })[];
  readonly fitting: Fitting | null;
  readonly readiness: Readiness;
  readonly remarks: readonly Remark[];
  readonly repairs: readonly Way[];
  readonly pace: Pace;
  /** These two are null when the deck became another meanwhile. */
  readonly savings: Savings | null;
  readonly mendAll: Mended | null;
  readonly edition: Reviewed;
  readonly page: PageKey | null;
  readonly layouts: readonly LayoutOffer[];
  readonly arrangement: Arrangement;
  readonly chart: ChartOffers | null;
  readonly icons: readonly (readonly Icon[])[];
  readonly template: TemplateAnswer | null;
  /** Null for one that could not be drawn. */
  readonly ownSlides: readonly (DrawnSlide | null)[];
  readonly sheets: Printed;
  readonly drawn: { readonly drawing: Drawing; readonly title: string } | null;
  readonly excerpt: readonly ExcerptLine[];
  readonly ownPictures: readonly OwnPicture[];
  readonly tables: readonly { readonly title: string; readonly rows: number; readonly columns: number }[];
  readonly slides: number;
}

export interface ExcerptLine {
  readonly text: string;
  /** Of a heading, 0 for text. */
  readonly level: number;
}

/** What comes out of a printer. */
export interface Printed {
  readonly count: number;
  /** One that shows how it looks, and what its slides show. */
  readonly sample: Sheet | null;
  readonly drawings: readonly Drawing[];
}
