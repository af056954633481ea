/** Finds blocks by id and gives their words, for stages that run at every edit. */
import { remembered } from '../base/index.ts';
import { blockWords, isBlank } from './block-text.ts';
import type { DocumentModel } from './block.ts';

export interface BlockIndex {
  /** Place in the document, by id. */
  readonly places: ReadonlyMap<string, number>;
  readonly words: readonly number[];
  readonly blank: readonly boolean[];
}

// A document never changes; an edit makes another deck of the same document.
export const blockIndex = remembered(({ blocks }: DocumentModel): BlockIndex => ({
  places: new Map(blocks.map((block, i) => [block.id, i])),
  words: blocks.map(blockWords),
  blank: blocks.map(isBlank),
}));
