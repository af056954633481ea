/** Lays changes of structure over a document, oldest first. A change none of whose blocks is there is told, never dropped. */
import { blockText, branchEnd, findTitle, type Block, type DocumentModel } from '../document/index.ts';
import type { Picture } from '../content/index.ts';
import type { BlockId } from '../ids/index.ts';
import { BlockSheet } from './block-sheet.ts';
import { writtenPictures, type StructureChange } from './change.ts';

export interface Restructured {
  /** The same document where nothing changed. */
  readonly document: DocumentModel;
  readonly unplaced: readonly StructureChange[];
}

export const restructure = (document: DocumentModel, changes: readonly StructureChange[]): Restructured =>
  new Restructuring(document).lay(changes);

/** @returns The same blocks where nothing changed. */
export function restructureBlocks(
  original: readonly Block[],
  changes: readonly StructureChange[],
): { readonly blocks: readonly Block[]; readonly unplaced: readonly StructureChange[] } {
  const sheet = new BlockSheet(original);
  const unplaced = changes.filter((change) => !sheet.lay(change));
  return { blocks: sheet.blocks, unplaced };
}

/** A document to which changes come one after another, as while somebody works on it. */
export class Restructuring {
  readonly #original: DocumentModel;
  readonly #sheet: BlockSheet;
  readonly #laid: StructureChange[] = [];
  readonly #unplaced: StructureChange[] = [];
  #result: Restructured;

  constructor(original: DocumentModel) {
    this.#original = original;
    this.#sheet = new BlockSheet(original.blocks);
    this.#result = { document: original, unplaced: [] };
  }

  /** Whether these changes begin with all that were laid. */
  isBefore(changes: readonly StructureChange[]): boolean {
    return this.#laid.length <= changes.length && this.#laid.every((one, i) => one === changes[i]);
  }

  /** @param changes All of them, of which the first may be laid already. */
  lay(changes: readonly StructureChange[]): Restructured {
    const fresh = changes.slice(this.#laid.length);
    if (fresh.length === 0) return this.#result;
    this.#laid.push(...fresh);
    for (const change of fresh) if (!this.#sheet.lay(change)) this.#unplaced.push(change);
    return (this.#result = { document: this.#document(), unplaced: [...this.#unplaced] });
  }

  #document(): DocumentModel {
    const document = this.#original;
    const { blocks } = this.#sheet;
    if (blocks === document.blocks) return document;
    if (blocks === this.#result.document.blocks) return this.#result.document;
    const title = findTitle(blocks);
    const hadTitle = findTitle(document.blocks) !== undefined;
    return {
      ...document,
      blocks,
      pictures: withPictures(document.pictures, writtenPictures(this.#laid)),
      title: title === undefined ? (hadTitle ? null : document.title) : blockText(title).trim() || null,
    };
  }
}

function withPictures(known: readonly Picture[], added: readonly Picture[]): readonly Picture[] {
  if (added.length === 0) return known;
  return [...new Map([...known, ...added].map((picture) => [picture.id, picture])).values()];
}

/** The branch of a heading: itself and all that stands below it. For anything else, the block alone. */
export function branchOf(blocks: readonly Block[], id: BlockId): readonly Block[] {
  const from = blocks.findIndex((block) => block.id === id);
  return from < 0 ? [] : blocks.slice(from, branchEnd(blocks, from));
}
