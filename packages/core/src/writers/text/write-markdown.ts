/**
 * Writes a deck as Markdown (CommonMark 0.31 with the tables and the strikethrough of GFM 0.29): headings for titles, lists for points,
 * paragraphs for what is said. Brought in again it gives the same slides.
 */
import type { BlockContent, RootContent } from 'mdast';
import type { LanguageTag } from '../../base/index.ts';
import { runsText, trimRuns, type PictureId } from '../../content/index.ts';
import type { Content, Deck, Note } from '../../deck/index.ts';
import type { PictureSource } from '../../scene/index.ts';
import { deckText } from './deck-text.ts';
import { MarkdownLists } from './markdown-lists.ts';
import { markdownText, paragraphs, phrasing, reference, rows, withHead } from './markdown-nodes.ts';

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
  const text = markdownText(nodes, used, pictures);
  const depth = slides.find(({ kind }) => kind === 'content')?.depth;
  return withHead({ lang: language, 'slides-at': depth }, text);
}

const byline = (part: Content): RootContent[] => ('runs' in part ? paragraphs(part.runs) : []);

/**
 * Points that follow each other are one list; text that stands on a slide is a point, since paragraphs are said.
 * @param known Whether a picture's bytes are there.
 */
function blocks(content: readonly Content[], used: PictureId[], known: (picture: PictureId) => boolean): RootContent[] {
  const found: RootContent[] = [];
  const lists = new MarkdownLists(found);
  /** What is no item stands between lists, or within an item where the list goes on below it. */
  const beside = (at: number, block: BlockContent): void => {
    const next = content.slice(at + 1).find((part) => part.kind === 'point');
    lists.closeTo((next?.level ?? 1) - 1);
    (lists.item?.children ?? found).push(block);
  };
  content.forEach((part, i) => {
    switch (part.kind) {
      case 'point':
        return point(lists, part);
      case 'text':
        if (part.style === 'body') return lists.add(1, { value: null }, phrasing(trimRuns(part.runs)));
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

/** Markdown counts with points and brackets alone; other marks are words. */
function point(lists: MarkdownLists, { level, runs, mark }: Content & { readonly kind: 'point' }): void {
  const counted = mark?.value !== undefined && mark.text === `${mark.value}.`;
  const checked = mark?.text === '☑' ? true : mark?.text === '☐' ? false : undefined;
  const words = mark === undefined || counted || checked !== undefined ? runs : [{ text: `${mark.text} ` }, ...runs];
  lists.add(level, { value: counted ? mark.value! : null, checked }, phrasing(trimRuns(words)));
}

/** A list in the notes is said as well: its items would become points. */
const spoken = ({ runs }: Note): RootContent => ({ type: 'paragraph', children: phrasing(trimRuns(runs)) });
