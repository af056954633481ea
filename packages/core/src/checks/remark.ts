/** What Check remarks: what a listener would stumble over, and what an author would not want to have shown. */
import type { Language } from '../shorten/index.ts';
import type { Slide } from '../deck/index.ts';
import type { DocumentModel } from '../document/index.ts';
import type { NoteId, PageKey, PartId, SlideId } from '../ids/index.ts';
import type { Page } from '../layout/index.ts';
import type { Theme } from '../theme/index.ts';

/** Worst first: a repair may bring up only what stands further down. */
export const REMARK_KINDS = [
  'private-shown',
  'spills',
  'no-glyph',
  'contrast',
  'cover-not-first',
  'small-points',
  'small-cells',
  'small-code',
  'small-figure',
  'many-words',
  'many-points',
  'long-code',
  'long-title',
  'repeated-title',
  'cut-picture',
  'small-picture',
  'coarse-picture',
  'bare',
  'lone-point',
  'half-empty',
  'stale-numbers',
  'numbers-differ',
  'spelt-twice',
  'undescribed',
  'color-alone',
  'dead-link',
  'hidden-link',
  'title-twice',
  'vague-title',
  'stumbled',
  'unlike-points',
  'long-notes',
  'notes-repeat',
  'no-notes',
  'same-layout',
] as const;
export type RemarkKind = (typeof REMARK_KINDS)[number];

/** Only their author can mend them. */
const AUTHORS = ['no-glyph', 'numbers-differ', 'stumbled', 'no-notes'] as const satisfies readonly RemarkKind[];
export type MendableKind = Exclude<RemarkKind, (typeof AUTHORS)[number]>;
/** Whether there is any way at all for a kind of remark (`pipeline/repair-ways.ts`). Here, since the page asks and needs no ways. */
export const isMendable = (kind: RemarkKind): kind is MendableKind => !AUTHORS.some((one) => one === kind);

/** `fault`: it cannot be shown so. `hard`: it is hard to follow. `thought`: it may well be meant. */
export type Weight = 'fault' | 'hard' | 'thought';
const FIRST_HARD = REMARK_KINDS.indexOf('small-points');
const FIRST_THOUGHT = REMARK_KINDS.indexOf('stale-numbers');

export const badness = (kind: RemarkKind): number => REMARK_KINDS.indexOf(kind);
export function weightOf(kind: RemarkKind): Weight {
  const at = badness(kind);
  return at < FIRST_HARD ? 'fault' : at < FIRST_THOUGHT ? 'hard' : 'thought';
}

/** What is found on one page, whatever its place. */
export interface Found {
  readonly kind: RemarkKind;
  /** What it is about, for marking it: `title`, or parts; none for the slide as a whole. */
  readonly about: readonly (PartId | 'title')[];
  readonly notes?: readonly NoteId[];
  /** In the deck's own words: a title, a name, a number. */
  readonly text?: string;
  /** What `text` is held against. */
  readonly other?: string;
  readonly count?: number;
}
/** At most one of a kind for each page. */
export interface Remark extends Found {
  readonly number: number /* of the page, 1.. */;
  readonly key: PageKey;
  readonly slide: SlideId;
  /** Its author leaves it as it is. */
  readonly accepted: boolean;
  /** So are all of its kind, on every slide. */
  readonly everywhere?: true;
}

/** What of a converted deck is looked at. */
export interface Looked {
  readonly pages: readonly Page[];
  readonly theme: Theme;
  readonly document: DocumentModel;
  readonly language: Language;
  /** Its text stands on the slides, for readers. */
  readonly read: boolean;
  readonly pace: number /* words a minute */;
  readonly accepted: ReadonlySet<string>;
  /** Slides at which the speaker stumbled in the last rehearsal. */
  readonly stumbled: ReadonlySet<SlideId>;
}

/** Whether its title and content are the author's, not made of the deck itself. */
export const isContent = (slide: Slide): boolean => slide.kind === 'content' && slide.matter === undefined;
