/** What can be done with chosen lines, as edits. */
import {
  branchOf,
  raiseSkipped,
  type Block,
  type BlockId,
  type Destination,
  type Edit,
  type Finding,
  type FindingKind,
  type Level,
  type Repair,
  type Shape,
} from '@alvex/core';

const SHAPED: ReadonlySet<Block['kind']> = new Set(['heading', 'paragraph', 'listItem', 'quote', 'code']);

/** Whether a line can be given another kind or level. */
export const canShape = (block: Block): boolean => SHAPED.has(block.kind);

export const shapeAll = (blocks: readonly Block[], as: Shape): Edit => ({
  kind: 'shape',
  shapes: blocks.filter(canShape).map((block) => ({ block: block.id, as })),
});

/** Raises (`by` below 0) or lowers the branches of the chosen headings; list items go in or out. */
export function shiftBranches(blocks: readonly Block[], chosen: readonly Block[], by: 1 | -1): Edit | undefined {
  const shapes = new Map<BlockId, Shape>();
  for (const block of chosen) {
    if (block.kind === 'listItem')
      shapes.set(block.id, { kind: 'listItem', depth: Math.max(1, block.depth + by), ordered: block.ordered });
    if (block.kind !== 'heading') continue;
    for (const one of branchOf(blocks, block.id))
      if (one.kind === 'heading')
        shapes.set(one.id, { kind: 'heading', level: Math.min(6, Math.max(1, one.level + by)) as Level });
  }
  return shapes.size === 0 ? undefined : { kind: 'shape', shapes: [...shapes].map(([block, as]) => ({ block, as })) };
}

/** Sends lines elsewhere than the map does; null gives them back to it. */
export const turnAll = (blocks: readonly Block[], to: Destination | null): Edit => ({
  kind: 'all',
  edits: blocks.map((block) => ({ kind: 'turn', block: block.id, to })),
});

/** Moves a branch before another block and gives its heading a level. */
export function moveBranch(
  blocks: readonly Block[],
  id: BlockId,
  before: BlockId | null,
  level: Level,
): readonly Edit[] {
  const branch = branchOf(blocks, id);
  const [first] = branch;
  if (first?.kind !== 'heading' || branch.some((block) => block.id === before)) return [];
  const by = level - first.level;
  const edits: Edit[] = [];
  const behind = blocks[blocks.indexOf(branch.at(-1)!) + 1]?.id ?? null;
  if (behind !== before) edits.push({ kind: 'move', blocks: branch.map((block) => block.id), before });
  if (by !== 0)
    edits.push({
      kind: 'shape',
      shapes: branch.flatMap((block) =>
        block.kind === 'heading'
          ? [{ block: block.id, as: { kind: 'heading', level: Math.min(6, Math.max(1, block.level + by)) as Level } }]
          : [],
      ),
    });
  return edits;
}

/** Most blocks that are written at once. */
const LONGEST_STRETCH = 40;

/** The lines around one that are written together: from its heading to the next, not more than can be overlooked. */
export function stretchAround(blocks: readonly Block[], id: string): readonly BlockId[] {
  const at = blocks.findIndex((block) => block.id === id);
  if (at < 0) return [];
  let from = at;
  while (from > 0 && blocks[from]!.kind !== 'heading' && at - from < LONGEST_STRETCH / 2) from--;
  let to = at + 1;
  while (to < blocks.length && blocks[to]!.kind !== 'heading' && to - from < LONGEST_STRETCH) to++;
  return blocks.slice(from, to).map((block) => block.id);
}

/** One repair for all of a kind; levels that are raised depend on each other and are raised in one pass. */
export function repairAll(
  kind: FindingKind,
  found: readonly Finding[],
  name: Repair['name'],
  blocks: readonly Block[],
): Edit {
  if (kind === 'skipped-level') return raiseSkipped(blocks);
  return {
    kind: 'all',
    edits: found.flatMap((finding) => finding.repairs.find((repair) => repair.name === name)?.changes ?? []),
  };
}

/** What stands around the text and was left out by the reader, not by the author. */
export const isFurniture = ({ left }: Block): boolean => left !== undefined && left !== 'deleted';
