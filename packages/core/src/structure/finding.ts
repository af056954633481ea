/** What is found in a document, and how it is put right. */
import type { Runs } from '../content/index.ts';
import type { StructureChange, Turn } from './change.ts';
import type { BlockId } from '../ids/index.ts';

export type FindingKind =
  | 'skipped-level'
  | 'empty-heading'
  | 'long-title'
  | 'repeated-title'
  | 'text-before-heading'
  | 'bare-heading'
  | 'lone-sub-heading'
  | 'deep-list'
  | 'typed-list'
  | 'long-paragraph'
  | 'picture-undescribed'
  | 'contents-list'
  | 'running-head'
  | 'private-part';

/** Changes that put a finding right. `ask` says that the author has to give a text, which takes the place of `alt`. */
export interface Repair {
  readonly name: RepairName;
  readonly changes: readonly (StructureChange | Turn)[];
  readonly ask?: 'description';
}
export type RepairName =
  | 'raise'
  | 'make-text'
  | 'remove'
  | 'divide'
  | 'number'
  | 'add-heading'
  | 'make-heading'
  | 'flatten'
  | 'make-items'
  | 'describe'
  | 'leave-out'
  | 'speak';

/** What a finding is about; texts of the document's own are shortened. */
export type FindingDetail =
  | { readonly is: 'level' | 'depth'; readonly level: number }
  /** `above` is null for the first heading. */
  | { readonly is: 'skip'; readonly above: number | null; readonly level: number }
  | { readonly is: 'words' | 'lines'; readonly count: number }
  | { readonly is: 'again' | 'often'; readonly text: string; readonly count: number }
  | { readonly is: 'under'; readonly text: string }
  | null;

export interface Finding {
  readonly kind: FindingKind;
  readonly block: BlockId;
  readonly detail: FindingDetail;
  readonly repairs: readonly Repair[];
}

export interface FindingOptions {
  /** Whether a title fits its frame at a size that can be read. */
  readonly titleFits: (runs: Runs) => boolean;
  /** Destination of every block: what is left out or turned by hand needs no repair. */
  readonly settled?: (id: BlockId) => boolean;
}
