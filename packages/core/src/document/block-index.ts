/** Finds blocks by id and gives their words, for stages that run at every edit. */
import { blockWords, isBlank } from './block-text.ts';
import type { DocumentModel } from './block.ts';

export interface BlockIndex {
  /** Place in the document, by id. */
  readonly places: ReadonlyMap<string, number>;
  readonly words: readonly number[];
  readonly blank: readonly boolean[];
}

// A document never changes; an edit makes another deck of the same document.
const indexes = new WeakMap<DocumentModel, BlockIndex>();

export function blockIndex(document: DocumentModel): BlockIndex {
  let index = indexes.get(document);
  if (index === undefined) {
    const { blocks } = document;
    index = {
      places: new Map(blocks.map((block, i) => [block.id, i])),
      words: blocks.map(blockWords),
      blank: blocks.map(isBlank),
    };
    indexes.set(document, index);
  }
  return index;
}
