/** Raises headings, so that no level is skipped. */
import { runsText } from '../content/index.ts';
import type { Block, Level } from '../document/index.ts';
import type { StructureChange } from './change.ts';
import type { BlockId } from '../ids/index.ts';

/** Raises every heading that skips a level, and what stands below it, in one pass. */
export function raiseSkipped(blocks: readonly Block[]): StructureChange {
  const shapes: { block: BlockId; as: { kind: 'heading'; level: Level } }[] = [];
  const open: { was: number; is: number }[] = [];
  for (const block of blocks) {
    if (block.kind !== 'heading' || block.left !== undefined || runsText(block.runs).trim() === '') continue;
    while (open.length > 0 && open.at(-1)!.was >= block.level) open.pop();
    const above = open.at(-1);
    // What stands on the outermost level of the document keeps its level.
    const is = above === undefined ? block.level : Math.min(block.level, above.is + 1);
    open.push({ was: block.level, is });
    if (is !== block.level) shapes.push({ block: block.id, as: { kind: 'heading', level: is as Level } });
  }
  return { kind: 'shape', shapes };
}
