/** What was changed in a stretch that was written in, as the least that says it. */
import equal from 'fast-deep-equal';
import type { Block } from '../document/index.ts';
import type { BlockId } from '../ids/index.ts';
import { asWritten, type StructureChange, type WrittenBlock } from './change.ts';

/**
 * @param before The stretch as it stood, without what was taken out of it.
 * @param after As it was left; blocks that were there keep their ids.
 * @param anchor Behind which text comes where nothing of the stretch is left; null is the beginning.
 * @returns undefined where nothing changed.
 */
export function writeChange(
  before: readonly (Block | WrittenBlock)[],
  after: readonly WrittenBlock[],
  anchor: BlockId | null = null,
): Omit<StructureChange & { readonly kind: 'write' }, 'pictures'> | undefined {
  const old = before.map((block) => asWritten(block));
  const most = Math.min(old.length, after.length);
  let head = 0;
  while (head < most && equal(old[head], after[head])) head++;
  let tail = 0;
  while (tail < most - head && equal(old[old.length - 1 - tail], after[after.length - 1 - tail])) tail++;
  if (head === old.length && head === after.length) return undefined;
  // What is put before the first block has none to stand behind: it takes the place of that one, with it.
  if (head === 0 && tail === old.length && tail > 0) tail--;
  const replaces = old.slice(head, old.length - tail).map(({ id }) => id);
  const blocks = after.slice(head, after.length - tail);
  const behind = replaces.length === 0 ? (old[head - 1]?.id ?? anchor) : null;
  return { kind: 'write', replaces, after: behind, blocks };
}
