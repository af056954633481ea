/** Which row of the level map a block belongs to. */
import { unreachable } from '../base/index.ts';
import type { TextKind } from '../deck/index.ts';
import type { Block } from '../document/index.ts';

/** @returns undefined for a break, which is no text. */
export function textKindOf(block: Block): TextKind | undefined {
  switch (block.kind) {
    case 'heading':
      return `heading${block.level}`;
    case 'paragraph':
      return 'body';
    case 'listItem':
      return `list${Math.min(block.depth, 5)}` as TextKind;
    case 'table':
    case 'picture':
    case 'quote':
    case 'code':
    case 'footnote':
      return block.kind;
    case 'break':
      return undefined;
    default:
      return unreachable(block);
  }
}
