/** The words of a block, as text and as a number. */
import { remembered, unreachable } from '../base/index.ts';
import { countWords, runsText, runsWords, tableText, type Runs } from '../content/index.ts';
import type { Block, DocumentModel } from './block.ts';

/** All text of a block; a table's cells are parted by bars and line breaks. A picture has none: its description is not text. */
export function blockText(block: Block): string {
  switch (block.kind) {
    case 'heading':
    case 'paragraph':
    case 'listItem':
    case 'quote':
    case 'footnote':
      return runsText(block.runs);
    case 'table':
      return tableText(block.table);
    case 'code':
      return block.text;
    case 'picture':
    case 'break':
      return '';
    default:
      return unreachable(block);
  }
}

/** The runs of a block that has any; code and tables are given as plain text. */
export function blockRuns(block: Block): Runs {
  if ('runs' in block) return block.runs;
  const text = blockText(block);
  return text === '' ? [] : [{ text }];
}

export const blockWords = remembered((block: Block) =>
  'runs' in block ? runsWords(block.runs) : countWords(blockText(block)),
);

/** Whether a block has no text at all; marks without letters, such as a dash, are text. */
export const isBlank = (block: Block): boolean => blockWords(block) === 0 && blockText(block).trim() === '';

export const documentWords = (document: DocumentModel): number =>
  document.blocks.reduce((sum, block) => sum + blockWords(block), 0);
