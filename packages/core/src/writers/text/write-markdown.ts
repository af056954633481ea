/**
 * Writes a deck as Markdown (CommonMark 0.31 with the tables and the strikethrough of GFM 0.29): headings for titles, lists for points,
 * paragraphs for what is said. Brought in again it gives the same slides.
 */
import { gfmStrikethroughToMarkdown } from 'mdast-util-gfm-strikethrough';
import { gfmTableToMarkdown } from 'mdast-util-gfm-table';
import { toMarkdown } from 'mdast-util-to-markdown';
import type { BlockContent, Definition, ListItem, PhrasingContent, RootContent, TableRow } from 'mdast';
import { stringify } from 'yaml';
import { encodeBase64, encodeUtf8, type LanguageTag } from '../../base/index.ts';
import {
  placeCells,
  runsText,
  trimRuns,
  type PictureId,
  type Run,
  type Runs,
  type Table,
} from '../../content/index.ts';
import type { Content, Deck, Note } from '../../deck/index.ts';
import type { PictureSource } from '../../scene/index.ts';
import { deckText } from './deck-text.ts';

export function writeMarkdown(
  deck: Pick<Deck, 'slides'>,
  language: LanguageTag | null,
  pictures: PictureSource,
): Uint8Array {
  const used: PictureId[] = [];
  const known = (id: PictureId): boolean => pictures(id) !== undefined;
  const slides = deckText(deck);
  const nodes = slides.flatMap(({ depth, kind, title, content, notes }): RootContent[] => [
    { type: 'heading', depth, children: phrasing(trimRuns(title)) },
    // Below a title stands its byline.
    ...(kind === 'cover' ? content.flatMap(byline) : blocks(content, used, known)),
    ...notes.map(spoken),
  ]);
  const definitions = used.flatMap((id, i): Definition[] => {
    const picture = pictures(id);
    return picture === undefined
      ? []
      : [
          {
            type: 'definition',
            identifier: nameOf(i),
            label: nameOf(i),
            url: `data:${picture.mime};base64,${encodeBase64(picture.bytes)}`,
          },
        ];
  });
  const text = toMarkdown(
    { type: 'root', children: [...nodes, ...definitions] },
    {
      bullet: '-',
      listItemIndent: 'one',
      fences: true,
      rule: '-',
      extensions: [gfmTableToMarkdown({ tablePipeAlign: false }), gfmStrikethroughToMarkdown()],
    },
  );
  const depth = slides.find(({ kind }) => kind === 'content')?.depth;
  const head = {
    ...(language === null ? {} : { lang: language }),
    ...(depth === undefined ? {} : { 'slides-at': depth }),
  };
  return encodeUtf8(Object.keys(head).length === 0 ? text : `---\n${stringify(head)}---\n\n${text}`);
}

const byline = (part: Content): RootContent[] => ('runs' in part ? paragraphs(part.runs) : []);

const nameOf = (i: number): string => `picture-${i + 1}`;

/**
 * Points that follow each other are one list; text that stands on a slide is a point, since paragraphs are said.
 * @param known Whether a picture's bytes are there.
 */
function blocks(content: readonly Content[], used: PictureId[], known: (picture: PictureId) => boolean): RootContent[] {
  const found: RootContent[] = [];
  /** Lists that are open, outermost first, with the level of their items. */
  let open: { readonly level: number; readonly items: ListItem[] }[] = [];
  const item = (level: number, runs: Runs, ordered: number | null): void => {
    open = open.filter((one) => one.level <= level);
    if (open.at(-1)?.level !== level) {
      const items: ListItem[] = [];
      const list: RootContent & { type: 'list' } = {
        type: 'list',
        ordered: ordered !== null,
        ...(ordered === null ? {} : { start: ordered }),
        spread: false,
        children: items,
      };
      const parent = open.at(-1)?.items.at(-1);
      if (parent === undefined) found.push(list);
      else parent.children.push(list);
      open.push({ level, items });
    }
    open.at(-1)!.items.push({
      type: 'listItem',
      spread: false,
      children: [{ type: 'paragraph', children: phrasing(trimRuns(runs)) }],
    });
  };
  /** What is no item stands between lists, or within an item where the list goes on below it. */
  const beside = (at: number, block: BlockContent): void => {
    const next = content.slice(at + 1).find((part) => part.kind === 'point');
    open = open.filter(({ level }) => level < (next?.level ?? 0));
    (open.at(-1)?.items.at(-1)?.children ?? found).push(block);
  };
  content.forEach((part, i) => {
    switch (part.kind) {
      case 'point':
        return item(part.level, part.runs, part.mark?.value ?? null);
      case 'text':
        if (part.style === 'body') return item(1, part.runs, null);
        return beside(
          i,
          part.style === 'code'
            ? { type: 'code', value: runsText(part.runs) }
            : { type: 'blockquote', children: paragraphs(part.runs) },
        );
      case 'table':
        return beside(i, { type: 'table', children: rows(part.table) });
      case 'picture':
        if (!known(part.picture)) return;
        if (!used.includes(part.picture)) used.push(part.picture);
        return beside(i, { type: 'paragraph', children: [reference(used.indexOf(part.picture), part.alt)] });
    }
  });
  return found;
}

const reference = (i: number, alt: string | null): PhrasingContent => ({
  type: 'imageReference',
  referenceType: 'full',
  identifier: nameOf(i),
  label: nameOf(i),
  alt,
});

/** A list in the notes is said as well: its items would become points. */
const spoken = ({ runs }: Note): RootContent => ({ type: 'paragraph', children: phrasing(trimRuns(runs)) });

const paragraphs = (runs: Runs): BlockContent[] => [{ type: 'paragraph', children: phrasing(trimRuns(runs)) }];

/** A cell that spans others stands in the first of them. */
function rows({ rows: all, columns }: Table): TableRow[] {
  const grid = all.map(() => Array.from({ length: columns }, (): Runs => []));
  for (const { row, column, cell } of placeCells(all)) grid[row]![column] = cell.runs;
  // The first row is the head, whether it is one or not: a table in Markdown has one.
  const head = all[0]?.header === true ? [] : [Array.from({ length: columns }, (): Runs => [])];
  return [...head, ...grid].map((cells) => ({
    type: 'tableRow',
    children: cells.map((runs) => ({ type: 'tableCell', children: phrasing(oneLine(trimRuns(runs))) })),
  }));
}
const oneLine = (runs: Runs): Runs => runs.map((run) => ({ ...run, text: run.text.replace(/\n/g, ' ') }));

const phrasing = (runs: Runs): PhrasingContent[] => runs.flatMap(inline);

/** White space at the edges of bold text is none for Markdown, and stands outside. */
function inline({ text, bold, italic, strike, code, position, link }: Run): PhrasingContent[] {
  const [, before, inner, after] = /^(\s*)(.*?)(\s*)$/su.exec(text)!;
  if (inner === '') return lines(text);
  let nodes: PhrasingContent[] = code === true ? [{ type: 'inlineCode', value: inner! }] : lines(inner!);
  if (position !== undefined) {
    const tag = position === 'super' ? 'sup' : 'sub';
    nodes = [{ type: 'html', value: `<${tag}>` }, ...nodes, { type: 'html', value: `</${tag}>` }];
  }
  if (strike === true) nodes = [{ type: 'delete', children: nodes }];
  if (italic === true) nodes = [{ type: 'emphasis', children: nodes }];
  if (bold === true) nodes = [{ type: 'strong', children: nodes }];
  if (link !== undefined) nodes = [{ type: 'link', url: link, children: nodes }];
  return [...lines(before!), ...nodes, ...lines(after!)];
}

/** A line break within a paragraph is a hard one. */
const lines = (text: string): PhrasingContent[] =>
  text === ''
    ? []
    : text
        .split('\n')
        .flatMap((line, i): PhrasingContent[] => [
          ...(i === 0 ? [] : [{ type: 'break' as const }]),
          ...(line === '' ? [] : [{ type: 'text' as const, value: line }]),
        ]);
