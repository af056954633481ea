/** Shows a block in a line, so that tests read as outlines. */
import { blockText, type Block } from '../document/index.ts';

export function shortBlock(block: Block): string {
  const text = blockText(block);
  switch (block.kind) {
    case 'heading':
      return `h${block.level} ${text}`.trim();
    case 'listItem': {
      const mark =
        block.checked === undefined
          ? block.ordered
            ? (block.label ?? `${block.number}.`)
            : '-'
          : block.checked
            ? '[x]'
            : '[ ]';
      return `${'  '.repeat(block.depth - 1)}${mark} ${text}`;
    }
    case 'paragraph':
      return `${block.role ?? 'p'} ${text}`;
    case 'picture':
      return `picture ${block.alt ?? ''}`.trim();
    case 'table':
    case 'quote':
    case 'code':
    case 'break':
    case 'footnote':
      return `${block.kind} ${text}`.trim();
  }
}
