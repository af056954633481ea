/** Which words notes belong to, for writers that set them there. */
import { getOrMake } from '../base/index.ts';
import type { Run, Runs } from '../content/index.ts';
import type { Block, Footnote } from './block.ts';

/** Blocks whose words can hold the reference to a note. */
const holdsNotes = (block: Block): boolean =>
  block.kind === 'heading' || block.kind === 'paragraph' || block.kind === 'listItem' || block.kind === 'quote';

/** By the block whose words refer to them, its notes; and each that has such a block. */
export function notesBelow(blocks: readonly Block[]): ReadonlyMap<Block, readonly Footnote[]> {
  const found = new Map<Block, Footnote[]>();
  let holder: Block | undefined;
  for (const block of blocks) {
    if (holdsNotes(block)) holder = block;
    if (block.kind !== 'footnote' || holder === undefined) continue;
    getOrMake(found, holder, () => []).push(block);
    found.set(block, []);
  }
  return found;
}

/** The references of notes where their labels stand; at the end, where none does. */
export function withReferences(runs: Runs, notes: readonly Footnote[]): readonly (Run | Footnote)[] {
  if (notes.length === 0) return runs;
  const left = [...notes];
  const pieces: (Run | Footnote)[] = runs.map((piece) => {
    const at = piece.position === 'super' ? left.findIndex(({ label }) => label === piece.text.trim()) : -1;
    return at < 0 ? piece : left.splice(at, 1)[0]!;
  });
  return [...pieces, ...left];
}
