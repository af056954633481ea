/** Pages of a slide in a layout that was chosen for it; what the layout has no room for follows or goes before, as usual. */
import { getOrMake } from '../base/index.ts';
import { chartOf } from '../charts/index.ts';
import { runsText } from '../content/index.ts';
import { isNumbered, type Content, type PicturePart, type Slide, type TablePart } from '../deck/index.ts';
import { frameIn, type LayoutName, type Role } from '../theme/index.ts';
import {
  FITS,
  mostWords,
  parasOf,
  sameOptions,
  wordsIn,
  type Draft,
  type LayoutOptions,
  type TextContent,
} from './draft.ts';
import { datedRows, figureItems, leadingDate, type FigureItem } from './figure-items.ts';
import { inFrames, one, plainPara, type Filled, type Taken } from './in-frames.ts';
import type { Box, Fit, Para } from './page.ts';
import { pictureBoxes } from './picture-boxes.ts';
import { FIGURES, type FigureName } from './figure-drafts.ts';
import { FIGURE_EASY, setFigure } from './set-figure.ts';
import { big, comparison, quotation } from './said-pages.ts';
import { besidePicture, tablePages, usualPages, withTable } from './usual-pages.ts';

interface Sorted {
  readonly texts: readonly TextContent[];
  readonly pictures: readonly PicturePart[];
  readonly tables: readonly TablePart[];
  readonly textFirst: boolean;
}
const isText = (part: Content): part is TextContent => part.kind === 'point' || part.kind === 'text';

interface Tried {
  readonly options: LayoutOptions;
  readonly pages: Map<LayoutName, readonly Draft[] | null>;
}
// A layout is weighed, then judged, then worn: with the same content it gives the same pages.
const tried = new WeakMap<readonly Content[], Tried>();

/** @returns undefined where the content does not suit the layout, or does not fit it. */
export function chosenPages(slide: Slide, layout: LayoutName, options: LayoutOptions): readonly Draft[] | undefined {
  if (slide.kind !== 'content') return undefined;
  let known = tried.get(slide.content);
  if (known === undefined || !sameOptions(known.options, options))
    tried.set(slide.content, (known = { options, pages: new Map() }));
  return getOrMake(known.pages, layout, () => makePages(slide.content, layout, options) ?? null) ?? undefined;
}

function makePages(
  content: readonly Content[],
  layout: LayoutName,
  options: LayoutOptions,
): readonly Draft[] | undefined {
  const sorted: Sorted = {
    texts: content.filter(isText),
    pictures: content.filter((part) => part.kind === 'picture'),
    tables: content.filter((part) => part.kind === 'table'),
    textFirst: content[0] !== undefined && isText(content[0]),
  };
  const taken = takeInto(layout, sorted, options);
  if (taken === undefined || tooManyWords(taken.parts, options)) return undefined;
  const on = new Set(taken.parts);
  const first = content.findIndex((part) => on.has(part));
  const usual = (parts: readonly Content[]): readonly Draft[] => (parts.length === 0 ? [] : usualPages(parts, options));
  return [
    ...usual(content.slice(0, first)),
    ...taken.pages,
    ...usual(content.slice(first).filter((part) => !on.has(part))),
  ];
}

/** Whether more words would stand together than a slide may hold. */
function tooManyWords(parts: readonly Content[], { full }: LayoutOptions): boolean {
  const paras = parasOf(parts.filter(isText));
  return full !== 'report' && wordsIn(paras) > mostWords(paras);
}

function takeInto(layout: LayoutName, sorted: Sorted, options: LayoutOptions): Taken | undefined {
  const { texts, pictures, tables, textFirst } = sorted;
  switch (layout) {
    case 'points':
    case 'agenda':
    case 'key-points':
    case 'sources':
      return texts.length === 0 ? undefined : one(inFrames(layout, [['body', parasOf(texts)]], options), texts);
    case 'columns':
      return inColumns(layout, texts, ['body', 'body2'], options);
    case 'columns-3':
      return inColumns(layout, texts, ['body', 'body2', 'body3'], options);
    case 'comparison':
      return comparison(texts, options);
    case 'picture-right':
    case 'picture-left':
    case 'picture-top':
    case 'picture-bleed': {
      const [picture] = pictures;
      if (picture === undefined || texts.length === 0) return undefined;
      return one(besidePicture(layout, parasOf(texts), picture, options), [...texts, picture]);
    }
    case 'picture':
      return pictures[0] === undefined
        ? undefined
        : one(pictured(layout, pictures.slice(0, 1), [], options), [pictures[0]]);
    case 'picture-caption':
      return gallery(layout, 1, sorted, options);
    case 'gallery-2':
      return gallery(layout, 2, sorted, options);
    case 'gallery-3':
      return gallery(layout, 3, sorted, options);
    case 'gallery-4':
      return gallery(layout, 4, sorted, options);
    case 'quotation':
      return quotation(texts, options);
    case 'statement': {
      const [only] = texts;
      if (only === undefined || texts.length > 1) return undefined;
      return one(inFrames(layout, [['quote', [plainPara(only)]]], options), texts);
    }
    case 'big-number':
      return big(texts, options);
    case 'table':
      return tables[0] && { pages: tablePages(undrawn(tables[0]), options), parts: [tables[0]] };
    case 'table-points': {
      const [table] = tables;
      if (table === undefined || texts.length === 0) return undefined;
      return one(withTable(parasOf(texts), textFirst, undrawn(table), options), [...texts, table]);
    }
    case 'chart':
    case 'chart-points':
      return charted(layout, sorted, options);
    case 'steps':
    case 'cycle':
    case 'timeline':
    case 'icon-grid':
    case 'pyramid':
    case 'funnel':
    case 'matrix':
      return inFigure(layout, sorted, options);
    case 'figure-text':
      return figureAndText(layout, texts, options);
    case 'closing':
      return closing(layout, sorted, options);
    case 'cover':
    case 'cover-picture':
    case 'section':
    case 'title-only':
      return undefined;
  }
}

/** A table that stands as a table. */
function undrawn({ chart: _, ...plain }: TablePart): TablePart {
  return plain;
}

function inFigure(layout: FigureName, { texts, tables: [table] }: Sorted, options: LayoutOptions): Taken | undefined {
  if (layout === 'timeline' && texts.length === 0 && table !== undefined) {
    const rows = datedRows(table);
    return rows && one(figured(layout, layout, rows, [], options), [table]);
  }
  const points = texts.filter((part) => part.kind === 'point');
  return one(figured(layout, layout, figureItems(points), [], options), points);
}

function figureAndText(layout: LayoutName, texts: readonly TextContent[], options: LayoutOptions): Taken | undefined {
  const points = texts.filter((part) => part.kind === 'point');
  const rest = texts.filter((part) => part.kind === 'text');
  if (rest.length === 0) return undefined;
  // Numbers are for what has an order.
  const ordered = points.some(isNumbered);
  for (const figure of ordered ? FIGURES : (['timeline', 'icon-grid', ...FIGURES] as const)) {
    if (figure === 'timeline' && !points.every(({ runs }) => leadingDate(runs) !== undefined)) continue;
    const page = figured(layout, figure, figureItems(points), rest, options);
    if (page !== undefined) return one(page, texts);
  }
  return undefined;
}

function closing(layout: LayoutName, { texts, pictures, tables }: Sorted, options: LayoutOptions): Taken | undefined {
  if (texts.length === 0 || texts.length > 4 || pictures.length + tables.length > 0) return undefined;
  const paras = parasOf(texts).map((para): Para => ({ ...para, style: 'subtitle', level: 1 }));
  return one(inFrames(layout, [['subtitle', paras]], options), texts);
}

/** More are no columns, and finding where to part them would take long. */
const MOST_IN_COLUMNS = 40;

/** Points in columns, parted where none is taken from what it stands below. */
function inColumns(
  layout: LayoutName,
  texts: readonly TextContent[],
  roles: readonly Role[],
  options: LayoutOptions,
): Taken | undefined {
  const starts = texts.flatMap((part, i) => (part.kind === 'text' || part.level === 1 ? [i] : []));
  if (starts.length < roles.length || starts.length > MOST_IN_COLUMNS) return undefined;
  const weight = (from: number, to: number): number =>
    texts.slice(from, to).reduce((sum, part) => sum + 20 + runsText(part.runs).length, 0);
  let best: { worst: number; cuts: readonly number[] } | undefined;
  const search = (cuts: readonly number[], left: number): void => {
    if (left === 0) {
      const edges = [0, ...cuts, texts.length];
      const worst = Math.max(...edges.slice(1).map((to, i) => weight(edges[i]!, to)));
      if (best === undefined || worst < best.worst) best = { worst, cuts };
      return;
    }
    for (const at of starts) if (at > (cuts.at(-1) ?? 0)) search([...cuts, at], left - 1);
  };
  search([], roles.length - 1);
  if (best === undefined) return undefined;
  const edges = [0, ...best.cuts, texts.length];
  const filled = roles.map((role, i): Filled => [role, parasOf(texts.slice(edges[i], edges[i + 1]))]);
  return one(inFrames(layout, filled, options), texts);
}

const PICTURE_ROLES: readonly Role[] = ['picture', 'picture2', 'picture3', 'picture4'];

function pictured(
  layout: LayoutName,
  pictures: readonly PicturePart[],
  caption: readonly Para[],
  options: LayoutOptions,
): Draft | undefined {
  const { theme } = options;
  const boxes: Box[] = [];
  if (caption.length > 0) {
    const words = inFrames(layout, [['caption', caption]], options);
    if (words === undefined) return undefined;
    boxes.push(...words.boxes);
  }
  pictures.forEach((picture, i) => boxes.push(...pictureBoxes(picture, layout, PICTURE_ROLES[i]!, options)));
  return { layout, boxes, fit: FITS(frameIn(theme, layout, 'title').style.sizes[0]!) };
}

/** So many pictures together, and what little text there is below them. */
function gallery(
  layout: LayoutName,
  count: number,
  { texts, pictures }: Sorted,
  options: LayoutOptions,
): Taken | undefined {
  if (pictures.length < count) return undefined;
  const shown = pictures.slice(0, count);
  const captioned = pictured(layout, shown, texts.map(plainPara), options);
  if (captioned !== undefined) return one(captioned, [...shown, ...texts]);
  // Longer text goes on a page of its own, before or after.
  return count === 1 ? undefined : one(pictured(layout, shown, [], options), shown);
}

function charted(layout: LayoutName, { texts, tables }: Sorted, options: LayoutOptions): Taken | undefined {
  const [table] = tables;
  const chart = table === undefined ? undefined : chartOf(table.table, options.language ?? null, table.chart);
  if (table === undefined || chart === undefined) return undefined;
  const frame = frameIn(options.theme, layout, 'chart');
  const box: Box = { kind: 'chart', frame, part: table.id, chart, table: table.table };
  if (layout === 'chart')
    return one({ layout, boxes: [box], fit: FITS(frameIn(options.theme, layout, 'title').style.sizes[0]!) }, [table]);
  if (texts.length === 0) return undefined;
  const words = inFrames(layout, [['body', parasOf(texts)]], options);
  return one(words && { ...words, boxes: [...words.boxes, box] }, [...texts, table]);
}

function figured(
  layout: LayoutName,
  figure: FigureName,
  items: readonly FigureItem[] | undefined,
  rest: readonly TextContent[],
  options: LayoutOptions,
): Draft | undefined {
  const { theme } = options;
  const frame = frameIn(theme, layout, 'figure');
  const set = items === undefined ? undefined : setFigure(figure, items, frame, theme);
  if (set === undefined) return undefined;
  const fit: Fit = { state: set.size < FIGURE_EASY ? 'tight' : 'fits', points: set.size, linesOver: 0 };
  if (rest.length === 0) return { layout, boxes: set.boxes, fit };
  const words = inFrames(layout, [['body', parasOf(rest)]], options);
  return words && { layout, boxes: [...words.boxes, ...set.boxes], fit };
}
