/** Text, tables and pictures as nodes of Markdown (mdast), and these as text. */
import { gfmStrikethroughToMarkdown } from 'mdast-util-gfm-strikethrough';
import { gfmTableToMarkdown } from 'mdast-util-gfm-table';
import { toMarkdown } from 'mdast-util-to-markdown';
import type { BlockContent, Definition, PhrasingContent, RootContent, TableRow } from 'mdast';
import { stringify } from 'yaml';
import { encodeBase64, encodeUtf8 } from '../../base/index.ts';
import { placeCells, trimRuns, type PictureId, type Run, type Runs, type Table } from '../../content/index.ts';
import type { PictureSource } from '../../scene/index.ts';

/** @param used Pictures that the nodes refer to, in the order of their names. */
export function markdownText(
  nodes: readonly RootContent[],
  used: readonly PictureId[],
  pictures: PictureSource,
): string {
  const definitions = used.flatMap((id, i): Definition[] => {
    const picture = pictures(id);
    if (picture === undefined) return [];
    const url = `data:${picture.mime};base64,${encodeBase64(picture.bytes)}`;
    return [{ type: 'definition', identifier: nameOf(i), label: nameOf(i), url }];
  });
  return written([...nodes, ...definitions]);
}

const written = (children: RootContent[]): string =>
  toMarkdown(
    { type: 'root', children },
    {
      bullet: '-',
      listItemIndent: 'one',
      fences: true,
      rule: '-',
      extensions: [gfmTableToMarkdown({ tablePipeAlign: false }), gfmStrikethroughToMarkdown()],
    },
  );

/** Words as one line. */
export const lineText = (runs: Runs): string =>
  written(paragraphs(runs))
    .trim()
    .replace(/\\?\n+/g, ' ');

/** A text behind what stands at its head, as far as that is said. */
export function withHead(head: Readonly<Record<string, unknown>>, text: string): Uint8Array {
  const said = Object.fromEntries(Object.entries(head).filter(([, value]) => value !== null && value !== undefined));
  return encodeUtf8(Object.keys(said).length === 0 ? text : `---\n${stringify(said)}---\n\n${text}`);
}

const nameOf = (i: number): string => `picture-${i + 1}`;
export const reference = (i: number, alt: string | null): PhrasingContent => ({
  type: 'imageReference',
  referenceType: 'full',
  identifier: nameOf(i),
  label: nameOf(i),
  alt,
});

export const paragraphs = (runs: Runs): BlockContent[] => [{ type: 'paragraph', children: phrasing(trimRuns(runs)) }];

/** A cell that spans others stands in the first of them. */
export function rows({ rows: all, columns }: Table): TableRow[] {
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

export const phrasing = (runs: Runs): PhrasingContent[] => runs.flatMap(inline);

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
