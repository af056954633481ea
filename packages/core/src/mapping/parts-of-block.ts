/** What a block becomes on a slide, and why it does not. */
import { plain, runsText, type Runs } from '../content/index.ts';
import { pointLevel, type Content, type Destination, type LeftOutReason, type PointLevel } from '../deck/index.ts';
import { blockRuns, blockText, type Block, type DocumentModel } from '../document/index.ts';
import { partOf } from '../ids/index.ts';
import { suggestTitle } from '../shorten/index.ts';
import { documentLanguage } from './document-language.ts';
import { marked } from './item-mark.ts';
import { madeWords } from './made-words.ts';
import { BELOW_HEADINGS } from './nesting.ts';

/** Lower outranks higher. */
export const rankOf = (block: Block, level: number): number =>
  block.kind === 'heading' ? level : BELOW_HEADINGS + level;

/** @param place Where a point of a level and a rank stands. */
export function contentOf(
  block: Block,
  destination: Destination,
  place: (level: PointLevel, rank: number) => PointLevel,
): Content {
  const common = { id: partOf(block.id), blocks: [block.id] };
  if (block.kind === 'table') return { kind: 'table', table: block.table, ...common };
  if (block.kind === 'picture') return { kind: 'picture', picture: block.picture!, alt: block.alt, ...common };
  const level = pointLevel(destination);
  if (level === undefined) return textOf(block, block.kind === 'quote' || block.kind === 'code' ? block.kind : 'body');
  return { ...pointOf(block, place(level, rankOf(block, level))), ...marked(block) };
}

export const textOf = (block: Block, style: 'body' | 'quote' | 'code' = 'body'): Content => ({
  kind: 'text',
  style,
  id: partOf(block.id),
  runs: blockRuns(block),
  blocks: [block.id],
});

export const pointOf = (block: Block, level: PointLevel): Content => ({
  kind: 'point',
  level,
  id: partOf(block.id),
  runs: blockRuns(block),
  blocks: [block.id],
});

/** Why a block is left out that no hand has left out. */
export function ownReason(block: Block): LeftOutReason {
  if (block.left !== undefined) return block.left === 'deleted' ? 'deleted' : 'furniture';
  return block.kind === 'paragraph' && block.role === 'contents' ? 'contents' : 'by-map';
}

/**
 * A title for a slide that no heading names: the document's, else the first words of what stands on it, else the first words of all.
 * @param alone No slide is before it; one amid others is about its own words.
 */
export function suggestedTitle(document: DocumentModel, first: Runs, alone: boolean): Runs {
  if (alone && document.title !== null) return plain(document.title);
  const words = [runsText(first), ...document.blocks.map(blockText)].find((text) => text.trim() !== '');
  return plain(words === undefined ? madeWords(document).untitled : suggestTitle(words, documentLanguage(document)));
}
