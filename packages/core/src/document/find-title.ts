/** Finds the block that names the whole document. */
import { remembered } from '../base/index.ts';
import { blockText } from './block-text.ts';
import type { Block, Level } from './block.ts';

/**
 * The document's title block: the first of role `title`; else the first heading when it stands before every other
 * heading, is alone on its level, and all others are below it.
 */
export function findTitle(blocks: readonly Block[]): Block | undefined {
  return titles(blocks).block;
}

// Asked at every stage of every conversion; a document's blocks never change.
const titles = remembered((blocks: readonly Block[]) => ({ block: search(blocks) }));

function search(blocks: readonly Block[]): Block | undefined {
  let first: (Block & { kind: 'heading' }) | undefined;
  let others = 0;
  let lone = true;
  for (const block of blocks) {
    if (block.left !== undefined) continue;
    if (block.kind === 'paragraph' && block.role === 'title') return block;
    if (block.kind !== 'heading' || blockText(block).trim() === '') continue;
    if (first === undefined) first = block;
    else {
      others++;
      if (block.level <= first.level) lone = false;
    }
  }
  return lone && others > 0 ? first : undefined;
}

/** Heading levels in use, highest first, without the title's. */
export function headingLevels(blocks: readonly Block[], title = findTitle(blocks)): readonly Level[] {
  const levels = new Set<Level>();
  for (const block of blocks)
    if (block.kind === 'heading' && block.left === undefined && block !== title) levels.add(block.level);
  return [...levels].sort((a, b) => a - b);
}

/** Where the branch of a heading ends: before the next heading that is not below it; of anything else, behind it. */
export function branchEnd(blocks: readonly Block[], from: number): number {
  const first = blocks[from]!;
  if (first.kind !== 'heading') return from + 1;
  let to = from + 1;
  for (; to < blocks.length; to++) {
    const block = blocks[to]!;
    if (block.kind === 'heading' && block.left === undefined && block.level <= first.level) break;
  }
  return to;
}
