/** Makes one document of several, in their order. */
import {
  BlockIds,
  blockText,
  findTitle,
  identityText,
  type Block,
  type DocumentModel,
  type Level,
} from '../document/index.ts';
import { reshape } from './restructure.ts';

export interface Part {
  /** Of the file, which becomes the place of its blocks. */
  readonly name: string;
  readonly document: DocumentModel;
}

/**
 * The first part's title is the whole's. The title of a later one becomes a heading above all others of its part, which
 * go down a level where they must.
 */
export function joinDocuments(parts: readonly Part[]): DocumentModel {
  const ids = new BlockIds();
  const blocks = parts.flatMap(({ name, document }, i) =>
    (i === 0 ? document.blocks : belowTitle(document.blocks)).map((block): Block => ({
      ...block,
      id: ids.next(block.kind, identityText(block)),
      place: { file: name, ...block.place },
    })),
  );
  const first = <K extends 'title' | 'author' | 'language'>(key: K): DocumentModel[K] | null =>
    parts.find(({ document }) => document[key] !== null)?.document[key] ?? null;
  const pictures = new Map(
    parts.flatMap(({ document }) => document.pictures.map((picture) => [picture.id, picture] as const)),
  );
  const title = findTitle(blocks);
  return {
    title: title === undefined ? first('title') : blockText(title).trim() || null,
    author: first('author'),
    language: first('language'),
    blocks,
    pictures: [...pictures.values()],
    diagnostics: parts.flatMap(({ name, document }) =>
      document.diagnostics.map((one) => ({ ...one, place: { file: name, ...one.place } })),
    ),
  };
}

function belowTitle(blocks: readonly Block[]): readonly Block[] {
  const title = findTitle(blocks);
  if (title?.kind !== 'paragraph') return blocks;
  const lower = blocks.some((block) => block.kind === 'heading' && block.level === 1) ? 1 : 0;
  return blocks.map((block) =>
    block === title
      ? reshape(block, { kind: 'heading', level: 1 })
      : block.kind === 'heading' && lower > 0
        ? { ...block, level: Math.min(6, block.level + lower) as Level }
        : block,
  );
}
