/** Makes one document of several, in their order. */
import { BlockIds, findTitle, identityText, type Block, type DocumentModel, type Level } from '../document/index.ts';
import type { LanguageTag } from '../base/index.ts';
import { plain, type Runs } from '../content/index.ts';
import type { BlockId } from '../ids/index.ts';
import { reshape } from './reshape.ts';

export interface Part {
  /** Of the file, which becomes the place of its blocks. */
  readonly name: string;
  readonly document: DocumentModel;
}

/**
 * The title of each part becomes a heading above all others of it, which go down a level where they must: so the levels of
 * all parts are in step, whatever each had for its title.
 */
export function joinDocuments(parts: readonly Part[]): DocumentModel {
  const ids = new BlockIds();
  const first = <K extends 'title' | 'author' | 'language'>(key: K): DocumentModel[K] | null =>
    parts.find(({ document }) => document[key] !== null)?.document[key] ?? null;
  const language = first('language');
  const blocks = parts.flatMap(({ name, document }, i) =>
    (parts.length === 1 ? document.blocks : belowTitle(document, name).map((block) => withinPart(block, i))).map(
      (block): Block => ({
        ...block,
        id: ids.next(block.kind, identityText(block)),
        place: { file: name, ...block.place },
        ...inLanguage(block, document.language, language),
      }),
    ),
  );
  const pictures = new Map(
    parts.flatMap(({ document }) => document.pictures.map((picture) => [picture.id, picture] as const)),
  );
  return {
    title: first('title'),
    author: first('author'),
    language,
    ...(parts.length === 1 && parts[0]!.document.about !== undefined ? { about: parts[0]!.document.about } : {}),
    blocks,
    pictures: [...pictures.values()],
    diagnostics: parts.flatMap(({ name, document }) =>
      document.diagnostics.map((one) => ({ ...one, place: { file: name, ...one.place } })),
    ),
  };
}

/** Places of two parts may have one name: each is told from those of other parts, and so is what leads to it. */
function withinPart(block: Block, part: number): Block {
  const own = (name: string): string => `${part + 1}/${name}`;
  const named = block.names === undefined ? block : { ...block, names: block.names.map(own) };
  const leads = (runs: Runs): boolean => runs.some(({ link }) => link?.startsWith('#'));
  const led = (runs: Runs): Runs =>
    leads(runs)
      ? runs.map((run) => (run.link?.startsWith('#') === true ? { ...run, link: `#${own(run.link.slice(1))}` } : run))
      : runs;
  if ('runs' in named) return leads(named.runs) ? { ...named, runs: led(named.runs) } : named;
  if (named.kind !== 'table' || !named.table.rows.some(({ cells }) => cells.some(({ runs }) => leads(runs))))
    return named;
  const rows = named.table.rows.map((row) => ({
    ...row,
    cells: row.cells.map((cell) => ({ ...cell, runs: led(cell.runs) })),
  }));
  return { ...named, table: { ...named.table, rows } };
}

/** A paragraph stays in the language of its part. */
function inLanguage(block: Block, own: LanguageTag | null, whole: LanguageTag | null): Pick<Block, 'lang'> {
  if (block.lang !== undefined || own === null || own === whole || block.kind === 'break') return {};
  return { lang: own };
}

/** A part without a title has that of its file. */
function belowTitle({ blocks, title: named }: DocumentModel, file: string): readonly Block[] {
  const tops = blocks.filter((block) => block.kind === 'heading' && block.left === undefined && block.level === 1);
  const title = findTitle(blocks) ?? (tops.length === 1 ? tops[0] : undefined);
  const own = named ?? file.replace(/\.\w{1,8}$/, '');
  const heading: Block =
    title === undefined
      ? { kind: 'heading', level: 1, runs: plain(own), id: '' as BlockId, place: {} }
      : reshape(title, { kind: 'heading', level: 1 });
  const lower = blocks.some((block) => block !== title && block.kind === 'heading' && block.level === 1) ? 1 : 0;
  const rest = blocks.map((block) =>
    block === title
      ? heading
      : block.kind === 'heading' && lower > 0
        ? { ...block, level: Math.min(6, block.level + lower) as Level }
        : block,
  );
  return title === undefined ? [heading, ...rest] : rest;
}
