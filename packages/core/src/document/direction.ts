/** The direction in which a paragraph is written. */
import { firstStrong, type Direction } from '../base/index.ts';
import { blockText } from './block-text.ts';
import type { Block } from './block.ts';

export type { Direction } from '../base/index.ts';

/** As the original says, else by its first letter; from left to right where there is none. */
export const directionOf = (block: Block): Direction => block.direction ?? firstStrong(blockText(block)) ?? 'ltr';
