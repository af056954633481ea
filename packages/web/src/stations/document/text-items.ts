/** The lines of a text as they are shown, and how tall they will be. */
import type { Block, BlockId } from '@alvex/core';

/** Of a line, of each further one of its text, and of a row of a table, as far as one can tell before they are seen. */
const HEIGHTS = { line: 34, further: 21, row: 30 } as const; // CSS pixels
const LINE_LETTERS = 62;
type Item =
  { readonly kind: 'line'; readonly block: Block } | { readonly kind: 'writing'; readonly ids: readonly BlockId[] };

/** Lines as they are shown: those that are being written are one item. */
export function itemsOf(blocks: readonly Block[], writing: readonly BlockId[] | null): readonly Item[] {
  if (writing === null) return blocks.map((block) => ({ kind: 'line', block }));
  const inside = new Set<string>(writing);
  const items: Item[] = [];
  let shown = false;
  for (const block of blocks)
    if (!inside.has(block.id)) items.push({ kind: 'line', block });
    else if (!shown) {
      shown = true;
      items.push({ kind: 'writing', ids: writing });
    }
  return items;
}

/** Near enough that hardly more lines are drawn at first than are seen. */
export function likelyHeight(item: Item): number {
  if (item.kind === 'writing') return HEIGHTS.line;
  const { block } = item;
  if (block.kind === 'table') return HEIGHTS.line + block.table.rows.length * HEIGHTS.row;
  if (!('runs' in block)) return HEIGHTS.line;
  const letters = block.runs.reduce((sum, { text }) => sum + text.length, 0);
  return HEIGHTS.line + Math.floor(letters / LINE_LETTERS) * HEIGHTS.further;
}
