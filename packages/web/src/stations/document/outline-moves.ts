/** Moving branches in the outline, as edits. */
import { branchOf, together, type Block, type BlockId, type Edit, type Level } from '@alvex/core';
import { moveBranch } from './line-actions.ts';
import { makeOutline } from './make-outline.ts';

/**
 * Puts a branch before a heading; null is the end.
 * @param wanted Level for its heading; at most one below the heading that it then stands behind.
 */
export function placeBranch(
  blocks: readonly Block[],
  moved: BlockId,
  before: BlockId | null,
  wanted: number,
): readonly Edit[] {
  const outline = makeOutline(blocks);
  const inBranch = new Set(branchOf(blocks, moved).map((block) => block.id));
  const at = before === null ? outline.length : outline.findIndex((entry) => entry.block.id === before);
  const above = outline.slice(0, Math.max(0, at)).findLast((entry) => !inBranch.has(entry.block.id));
  const level = Math.max(1, Math.min(6, wanted, (above?.level ?? 0) + 1)) as Level;
  return together(moveBranch(blocks, moved, before, level));
}

/** Moves a branch past the branch before (-1) or behind it (1), on its own level. */
export function stepBranch(blocks: readonly Block[], id: BlockId, by: 1 | -1): readonly Edit[] {
  const outline = makeOutline(blocks);
  const at = outline.findIndex((entry) => entry.block.id === id);
  const level = outline[at]?.level;
  if (level === undefined) return [];
  const next = (from: number, most: number): number => outline.findIndex((entry, i) => i > from && entry.level <= most);
  if (by < 0) {
    const target = outline.slice(0, at).findLast((entry) => entry.level <= level);
    return target === undefined ? [] : placeBranch(blocks, id, target.block.id, level);
  }
  const behind = next(at, level);
  if (behind < 0) return [];
  return placeBranch(blocks, id, outline[next(behind, outline[behind]!.level)]?.block.id ?? null, level);
}
