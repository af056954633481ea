/** Gives blocks lasting ids: from their content and their place among equals. */
import { sha256 } from '@noble/hashes/sha2.js';
import { encodeUtf8 } from '../base/index.ts';
import { equalBlock, type BlockId } from '../ids/index.ts';
import { blockText } from './block-text.ts';
import type { Block } from './block.ts';

/**
 * What the ids in logs are of; raised when ids are made in another way, or when readers give other blocks for the same
 * files, so that those that are stored can be told from today's.
 */
export const ID_FORMAT = 5;

const HASHED = 8; // bytes

/**
 * Hands out ids for one document. The same text keeps its id in a new edition; the second block of the same text
 * gets `~2`, the third `~3`.
 */
export class BlockIds {
  readonly #seen = new Map<string, number>();

  next(kind: string, text: string): BlockId {
    const hash = sha256(encodeUtf8(text));
    const number = new DataView(hash.buffer, hash.byteOffset, HASHED).getBigUint64(0);
    const first = `${kind.charAt(0)}${number.toString(36)}` as BlockId;
    const before = this.#seen.get(first) ?? 0;
    this.#seen.set(first, before + 1);
    return equalBlock(first, before);
  }
}

/** The text from which a block has its id: all that tells it from others of its kind. */
export const identityText = (block: Block): string =>
  block.kind === 'picture' ? `${block.picture ?? ''}${block.alt ?? ''}` : blockText(block);
