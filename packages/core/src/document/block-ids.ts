/** Gives blocks lasting ids: from their content and their place among equals. */
import murmur from 'imurmurhash';
import { equalBlock, type BlockId } from '../ids/index.ts';

/**
 * Hands out ids for one document. The same text keeps its id in a new edition; the second block of the same text
 * gets `~2`, the third `~3`.
 */
export class BlockIds {
  readonly #seen = new Map<string, number>();

  next(kind: string, text: string): BlockId {
    // MurmurHash3, 32 bits, and the length. A collision is harmless: the two blocks count as equals.
    const base = kind.charAt(0) + murmur(text).result().toString(36) + text.length.toString(36);
    const count = (this.#seen.get(base) ?? 0) + 1;
    this.#seen.set(base, count);
    return equalBlock(base as BlockId, count - 1);
  }
}
