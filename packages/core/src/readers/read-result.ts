/** What every reader gives, and the means that readers share for building it. */
import type { Report } from '../base/index.ts';
import { languageTag, LIMITS, ReadError, type SourcePlace } from '../base/index.ts';
import { runsText, sliceRuns, type PictureData } from '../content/index.ts';
import { accountFor, type SourceText } from './account.ts';
import { settleNames } from './place-names.ts';
import { settleLanguages } from './paragraph-languages.ts';
import { BlockIds, blockText, findTitle, identityText, type Block, type DocumentModel } from '../document/index.ts';
import { aboutOf, type FileProperties } from './file-properties.ts';

export interface ReadResult {
  readonly document: DocumentModel;
  /** Bytes of the pictures that the document lists. */
  readonly pictures: readonly PictureData[];
}

export interface ReadOptions {
  /** Called with the fraction done, 0 to 1. */
  readonly progress?: (done: number) => void;
}

type WithoutId<B> = B extends Block ? Omit<B, 'id'> : never;
/** A block before it has its id. */
export type Draft = WithoutId<Block>;

/** The running text or the code of a block. */
export const draftText = (draft: Draft): string =>
  'runs' in draft ? runsText(draft.runs) : draft.kind === 'code' ? draft.text : '';

/** An item without its sign. */
export function asParagraph(draft: Draft & { readonly kind: 'listItem' }): Draft & { readonly kind: 'paragraph' } {
  const { depth: _depth, ordered: _ordered, number: _number, label: _label, checked: _checked, ...rest } = draft;
  return { ...rest, kind: 'paragraph' };
}

/** Items of which the highest are of the first level. */
export function fromFirst(drafts: readonly Draft[]): readonly Draft[] {
  const above =
    drafts.reduce((least, draft) => (draft.kind === 'listItem' ? Math.min(least, draft.depth) : least), Infinity) - 1;
  return above > 0 && above < Infinity
    ? drafts.map((draft) => (draft.kind === 'listItem' ? { ...draft, depth: draft.depth - above } : draft))
    : drafts;
}

/** A line of dashes or stars parts the text, in whatever format it stands. */
const isSeparator = (draft: Draft): boolean =>
  draft.kind === 'paragraph' &&
  draft.runs.length === 1 &&
  draft.role === undefined &&
  draft.runs[0]!.text.length <= LONGEST_SEPARATOR &&
  /^\s*([-–—_*=~•·])(?:\s?\1){2,}\s*$/u.test(draft.runs[0]!.text);
const LONGEST_SEPARATOR = 200; // characters

/** Generated documentation sets a sign behind its headings for linking to them. */
function withoutSign(draft: Draft): Draft {
  if (draft.kind !== 'heading') return draft;
  const text = runsText(draft.runs);
  const end = text.trimEnd();
  const bare = end.endsWith('¶') ? end.slice(0, -1).trimEnd() : text;
  return bare === text || bare === '' ? draft : { ...draft, runs: sliceRuns(draft.runs, 0, bare.length) };
}

/** Collects blocks in document order and gives them ids. */
export class BlockList {
  readonly blocks: Block[] = [];
  readonly #ids = new BlockIds();

  /** @throws ReadError `too-many-blocks`. */
  add(draft: Draft): void {
    if (this.blocks.length >= LIMITS.blocks) throw new ReadError('too-many-blocks', draft.place);
    const block = (isSeparator(draft) ? draftBreak('rule', draft.place) : withoutSign(draft)) as Block;
    this.blocks.push({ ...block, id: this.#ids.next(block.kind, identityText(block)) });
  }
}

/** Puts a result together; the title falls back from the title block to the file's own property. */
export function readResult(
  list: BlockList,
  pictures: readonly PictureData[],
  report: Report,
  properties: FileProperties = {},
  /** The source's own text, to be accounted for. */
  source?: SourceText,
): ReadResult {
  if (source !== undefined) accountFor(source, list.blocks, report);
  const settled = settleLanguages(settleNames(list.blocks), languageTag(properties.language));
  const titleBlock = findTitle(list.blocks);
  const about = aboutOf(properties);
  const title = titleBlock === undefined ? properties.title?.trim() : blockText(titleBlock).trim();
  return {
    document: {
      title: title || null,
      author: properties.author?.trim() || null,
      ...(about === undefined ? {} : { about }),
      ...settled,
      pictures: pictures.map(({ bytes: _, ...picture }) => picture),
      diagnostics: report.diagnostics,
    },
    pictures,
  };
}

export const draftBreak = (type: 'page' | 'rule', place: SourcePlace): Draft => ({ kind: 'break', type, place });
