/** The headings of a document with what hangs under each. */
import { blockWords, runsText, type Block, type Heading } from '@alvex/core';

export interface OutlineEntry {
  readonly block: Heading;
  /** Its place among all blocks. */
  readonly index: number;
  readonly level: number;
  readonly text: string;
  /** Its own and those of all under it. */
  readonly words: number;
}

export function makeOutline(blocks: readonly Block[]): readonly OutlineEntry[] {
  const entries: { block: Heading; index: number; level: number; text: string; words: number }[] = [];
  const open: (typeof entries)[number][] = [];
  blocks.forEach((block, index) => {
    if (block.left !== undefined) return;
    if (block.kind === 'heading') {
      while (open.length > 0 && open.at(-1)!.level >= block.level) open.pop();
      const entry = { block, index, level: block.level, text: runsText(block.runs), words: 0 };
      entries.push(entry);
      open.push(entry);
    }
    const words = blockWords(block);
    for (const entry of open) entry.words += words;
  });
  return entries;
}
