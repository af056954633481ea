/** The document for those who listened: its slides before their passages, without what is for the speaker alone. */
import { getOrMake, groupBy } from '../base/index.ts';
import { placeCells, runsText, type PictureData, type Runs, type Table } from '../content/index.ts';
import type { Slide } from '../deck/index.ts';
import type { Block } from '../document/index.ts';
import type { BlockId, SlideId } from '../ids/index.ts';
import type { Para } from '../layout/index.ts';
import { madeWords } from '../mapping/index.ts';
import type { Passage } from '../sheets/index.ts';
import { findings } from '../structure/index.ts';
import type { DocxOptions } from '../writers/docx/index.ts';
import type { Converted } from './convert.ts';

/** Where slides stand in the document, and what of it is not for those who listened. */
interface Placed {
  readonly without: ReadonlySet<BlockId>;
  /** By the first of its passages that is there, the slides that show it. */
  readonly before: ReadonlyMap<BlockId, readonly Slide[]>;
}

function placed({ deck, document }: Pick<Converted, 'deck' | 'document'>): Placed {
  const without = new Set(
    findings(document, { titleFits: () => true })
      .filter(({ kind }) => kind === 'private-part')
      .flatMap(({ repairs }) =>
        repairs[0]!.changes.flatMap((change) => (change.kind === 'turn' ? [change.block] : [])),
      ),
  );
  const there = new Set(
    document.blocks.filter(({ id, left }) => left === undefined && !without.has(id)).map(({ id }) => id),
  );
  const before = new Map<BlockId, Slide[]>();
  for (const slide of deck.slides) {
    const first = slide.passages.find((passage) => there.has(passage));
    if (first !== undefined && slide.hidden !== true) getOrMake(before, first, () => []).push(slide);
  }
  return { without, before };
}

/** @param pictures Of the slides that are shown. */
export function handoutOf(
  converted: Pick<Converted, 'deck' | 'document'>,
  pictures: ReadonlyMap<SlideId, PictureData>,
): Pick<DocxOptions, 'before' | 'without' | 'contents'> {
  const { without, before } = placed(converted);
  const shown = [...before].map(([block, slides]) => {
    const of = slides.flatMap(({ id, title }) => {
      const picture = pictures.get(id);
      return picture === undefined ? [] : [{ picture: picture.id, alt: runsText(title.runs) }];
    });
    return [block, of] as const;
  });
  return { before: new Map(shown), without, contents: madeWords(converted.document).contents };
}

/** The same for sheets of paper. */
export function readingOf(converted: Converted): readonly Passage[] {
  const { without, before } = placed(converted);
  const { document, pages } = converted;
  // All pages of a slide that goes on, in their order.
  const indexes = groupBy(
    pages.map(({ slide }, index) => ({ id: slide.id, index })),
    ({ id }) => id,
  );
  let slide = 0;
  return document.blocks.flatMap((block): readonly Passage[] => {
    if (block.left !== undefined || without.has(block.id)) return [];
    const shown = (before.get(block.id) ?? []).flatMap(({ id }) => indexes.get(id)?.map(({ index }) => index) ?? []);
    slide = shown[0] ?? slide;
    return [...shown.map((index): Passage => ({ kind: 'slide', slide: index })), ...passagesOf(block, slide)];
  });
}

function passagesOf(block: Block, slide: number): readonly Passage[] {
  const language = block.lang;
  const text = (as: 'heading' | 'paragraph' | 'item', level: number, para: Omit<Para, 'part'>): readonly Passage[] =>
    runsText(para.runs).trim() === ''
      ? []
      : [
          {
            ...{ kind: 'text', as, level, slide, language },
            para: { part: null, ...para, ...(block.direction === undefined ? {} : { direction: block.direction }) },
          },
        ];
  const labelled = (label: string | undefined, runs: Runs): Runs =>
    label === undefined ? runs : [{ text: `${label} ` }, ...runs];
  switch (block.kind) {
    case 'heading':
      return text('heading', block.level === 1 ? 1 : 2, {
        style: 'plain',
        level: 1,
        runs: labelled(block.label, block.runs),
      });
    case 'paragraph': {
      const title = block.role === 'title';
      return text(title ? 'heading' : 'paragraph', 1, { style: title ? 'plain' : 'body', level: 1, runs: block.runs });
    }
    case 'listItem': {
      const level = Math.min(block.depth, DEEPEST);
      const mark = block.ordered
        ? { text: block.label ?? `${block.number ?? 1}.`, value: block.number ?? 1 }
        : undefined;
      const marks = mark === undefined ? {} : { mark, marks: [...Array<undefined>(level - 1), mark.text] };
      return text('item', level, { style: 'point', level, runs: block.runs, ...marks });
    }
    case 'quote':
      return text('paragraph', 1, { style: 'quote', level: 1, runs: block.runs });
    case 'code':
      return text('paragraph', 1, { style: 'code', level: 1, runs: [{ text: block.text }] });
    case 'footnote':
      return text('paragraph', 1, { style: 'quote', level: 1, runs: labelled(block.label, block.runs) });
    case 'table':
      return [{ kind: 'table', slide, language, rows: rowsOf(block.table) }];
    case 'picture':
      // What the deck has of pictures is seen on its slides.
      return block.picture === undefined && block.alt !== null
        ? text('paragraph', 1, { style: 'quote', level: 1, runs: [{ text: block.alt }] })
        : [];
    case 'break':
      return [];
  }
}
const DEEPEST = 5;

/** A cell that goes on from the row above is empty there. */
function rowsOf({ rows, columns }: Table): (Passage & { readonly kind: 'table' })['rows'] {
  const at = new Map(placeCells(rows).map((one) => [`${one.row} ${one.column}`, one.cell]));
  return rows.map(({ header }, r) => {
    const cells: { readonly para: Para; readonly columns: number }[] = [];
    for (let column = 0; column < columns;) {
      const cell = at.get(`${r} ${column}`);
      const span = Math.max(1, cell?.columns ?? 1);
      cells.push({ para: { part: null, style: 'plain', level: 1, runs: cell?.runs ?? [] }, columns: span });
      column += span;
    }
    return { header, cells };
  });
}
