/** The document as the command `outline` prints it. */
import {
  diagnosticText,
  blockText,
  cellText,
  documentWords,
  placeText,
  type Block,
  type DocumentModel,
} from '@alvex/core';

export function outlineJson(document: DocumentModel) {
  return {
    title: document.title,
    words: documentWords(document),
    blocks: document.blocks.map(blockJson),
    diagnostics: document.diagnostics.map((one) => ({
      code: one.code,
      message: diagnosticText(one),
      place: placeText(one.place),
    })),
  };
}

function blockJson(block: Block) {
  const { left } = block;
  const common = { id: block.id, kind: block.kind, text: blockText(block), ...(left === undefined ? {} : { left }) };
  switch (block.kind) {
    case 'heading':
      return { ...common, level: block.level };
    case 'listItem':
      return { ...common, depth: block.depth, ordered: block.ordered };
    case 'table':
      return { ...common, rows: block.table.rows.map((row) => row.cells.map(cellText)) };
    case 'picture':
      return { ...common, alt: block.alt };
    case 'paragraph':
    case 'quote':
    case 'code':
    case 'break':
    case 'footnote':
      return common;
  }
}
