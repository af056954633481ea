/** The direction in which a paragraph is written, and a document. */
import { firstStrong, remembered, type Direction } from '../base/index.ts';
import { blockText } from './block-text.ts';
import type { Block, DocumentModel } from './block.ts';

export type { Direction } from '../base/index.ts';

const known = (block: Block): Direction | undefined => block.direction ?? firstStrong(blockText(block));

/** As the original says, else by its first letter; from left to right where there is none. */
export const directionOf = (block: Block): Direction => known(block) ?? 'ltr';

const LEAN = { ltr: 1, rtl: -1 } as const;

/** Whether most of a document's paragraphs are written from right to left; code is nothing to go by. */
export const isRightToLeft = remembered(({ blocks }: DocumentModel): boolean => {
  let lean = 0;
  for (const block of blocks) {
    const direction = block.kind === 'code' || block.left !== undefined ? undefined : known(block);
    if (direction !== undefined) lean += LEAN[direction];
  }
  return lean < 0;
});
