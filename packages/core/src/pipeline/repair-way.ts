/** What a way is in which a remark might be mended. */
import type { Remark } from '../checks/index.ts';
import type { Slide } from '../deck/index.ts';
import type { SingleEdit } from '../edits/index.ts';
import { type Language } from '../shorten/index.ts';
import type { Converted } from './convert.ts';

export type WayName =
  | 'speak-points'
  | 'shorten-points'
  | 'to-notes'
  | 'continue'
  | 'split'
  | 'layout'
  | 'join-above'
  | 'join-below'
  | 'tell-notes'
  | 'add-to-title'
  | 'shorten-title'
  | 'to-front'
  | 'whole-picture'
  | 'describe-by-caption'
  | 'columns'
  | 'table-numbers'
  | 'own-numbers'
  | 'drop-link'
  | 'show-slide'
  | 'spell-alike'
  | 'alike'
  | 'shorten-notes'
  | 'drop-notes'
  | 'other-ground'
  | 'notes-only';

/** Edits that may mend a remark. */
export interface Way {
  readonly name: WayName;
  readonly edits: readonly SingleEdit[];
  /** What the way brings: a title, a layout's name, a number. */
  readonly text?: string;
}

export interface Case {
  readonly remark: Remark;
  readonly slide: Slide;
  /** Its neighbours, where they are content too. */
  readonly above: Slide | undefined;
  readonly below: Slide | undefined;
  readonly language: Language;
  readonly converted: Converted;
  /** A name that nothing has yet, for what a way adds. */
  readonly fresh: () => string;
}
export type Finder = (one: Case) => Iterable<Way>;
