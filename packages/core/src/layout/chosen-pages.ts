/** Pages of a slide in a layout that was chosen for it; what the layout has no room for follows or goes before, as usual. */
import { getOrMake } from '../base/index.ts';
import { chartOf } from '../charts/index.ts';
import { runsText } from '../content/index.ts';
import {
  isNumbered,
  type Content,
  type PicturePart,
  type Point,
  type PointLevel,
  type Slide,
  type TablePart,
} from '../deck/index.ts';
import { frameIn, type Frame, type LayoutName, type Role } from '../theme/index.ts';
import {
  FITS,
  mostWords,
  parasOf,
  pictureBox,
  sameOptions,
  stepFit,
  wordsIn,
  type Draft,
  type LayoutOptions,
  type TextContent,
} from './draft.ts';
import { bigNumber, figureItems, leadingDate, quoted } from './figure-items.ts';
import { largestSize } from './fit-text.ts';
import type { Box, Fit, Para } from './page.ts';
import { FIGURES, type FigureName } from './figure-drafts.ts';
import { FIGURE_EASY, setFigure } from './set-figure.ts';
import { besidePicture, spreadText, tablePages, usualPages, withTable } from './usual-pages.ts';

interface Sorted {
  readonly texts: readonly TextContent[];
  readonly pictures: readonly PicturePart[];
  readonly tables: readonly TablePart[];
  readonly textFirst: boolean;
}
interface Taken {
  readonly pages: readonly Draft[];
  /** Parts of the content that stand on these pages. */
  readonly parts: readonly Content[];
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
    case 'table': {
      const [table] = tables;
      if (table === undefined) return undefined;
      const { chart: _, ...plain } = table;
      return { pages: tablePages(plain, options), parts: [table] };
    }
    case 'table-points': {
      const [table] = tables;
      if (table === undefined || texts.length === 0) return undefined;
      const { chart: _, ...plain } = table;
      return one(withTable(parasOf(texts), textFirst, plain, options), [...texts, table]);
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
    case 'matrix': {
      const points = texts.filter((part) => part.kind === 'point');
      return one(figured(layout, layout, points, [], options), points);
    }
    case 'figure-text': {
      const points = texts.filter((part) => part.kind === 'point');
      const rest = texts.filter((part) => part.kind === 'text');
      if (rest.length === 0) return undefined;
      // Numbers are for what has an order.
      const ordered = points.some((part) => isNumbered(part));
      for (const figure of ordered ? FIGURES : (['timeline', 'icon-grid', ...FIGURES] as const)) {
        if (figure === 'timeline' && !points.every(({ runs }) => leadingDate(runs) !== undefined)) continue;
        const page = figured(layout, figure, points, rest, options);
        if (page !== undefined) return one(page, texts);
      }
      return undefined;
    }
    case 'closing': {
      if (texts.length === 0 || texts.length > 4 || pictures.length + tables.length > 0) return undefined;
      return one(
        inFrames(
          layout,
          [['subtitle', parasOf(texts).map((para) => ({ ...para, style: 'subtitle', level: 1 }))]],
          options,
        ),
        texts,
      );
    }
    case 'cover':
    case 'cover-picture':
    case 'section':
    case 'title-only':
      return undefined;
  }
}

const one = (page: Draft | undefined, parts: readonly Content[]): Taken | undefined =>
  page === undefined || parts.length === 0 ? undefined : { pages: [page], parts };

const plainPara = (part: TextContent): Para => ({ part: part.id, style: 'plain', level: 1, runs: part.runs });

type Filled = readonly [role: Role, paras: readonly Para[]];

/** Text in several frames of a layout, those of one style at one size. @returns undefined where some does not fit. */
function inFrames(layout: LayoutName, filled: readonly Filled[], options: LayoutOptions): Draft | undefined {
  const { theme } = options;
  const places = filled
    .filter(([, paras]) => paras.length > 0)
    .map(([role, paras]) => ({ paras, frame: frameIn(theme, layout, role) }));
  const sizes = new Map<string, number>();
  for (const { paras, frame } of places) {
    const size = largestSize(paras, frame, theme, frame.style.sizes);
    if (size === undefined) return undefined;
    const alike = likeness(frame);
    sizes.set(alike, Math.min(size, sizes.get(alike) ?? Infinity));
  }
  const boxes = places.map(({ paras, frame }) => spreadText(paras, frame, options, sizes.get(likeness(frame))!));
  const main = places.at(-1)?.frame ?? frameIn(theme, layout, 'title');
  return { layout, boxes, fit: stepFit(Math.min(main.style.sizes[0]!, ...sizes.values()), main) };
}

/** The same for frames whose text is set at one size. */
const likeness = ({ role, style }: Frame): string => `${style.sizes[0]} ${style.font} ${role.startsWith('head')}`;

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

const higher = (point: Point): Point => ({ ...point, level: Math.max(1, point.level - 1) as PointLevel });

/** Two points with what stands below each. */
function comparison(texts: readonly TextContent[], options: LayoutOptions): Taken | undefined {
  const heads = texts.flatMap((part, i) => (part.kind === 'point' && part.level === 1 ? [i] : []));
  if (heads.length !== 2 || heads[0] !== 0) return undefined;
  const at = heads[1]!;
  const side = (parts: readonly TextContent[]): readonly [readonly Para[], readonly Para[]] => [
    parts.slice(0, 1).map(plainPara),
    parasOf(parts.slice(1).map((part) => (part.kind === 'point' ? higher(part) : part))),
  ];
  const [head, body] = side(texts.slice(0, at));
  const [head2, body2] = side(texts.slice(at));
  if (body.length === 0 || body2.length === 0) return undefined;
  const filled: readonly Filled[] = [
    ['head', head],
    ['body', body],
    ['head2', head2],
    ['body2', body2],
  ];
  return one(inFrames('comparison', filled, options), texts);
}

/** One long sentence, as said by somebody. */
function quotation(texts: readonly TextContent[], options: LayoutOptions): Taken | undefined {
  const [first, second] = texts;
  if (first === undefined || texts.length > 2) return undefined;
  const { quote, source } = quoted(first.runs);
  const who: readonly Para[] =
    second !== undefined
      ? [plainPara(second)]
      : source.length > 0
        ? [{ part: first.id, style: 'plain', level: 1, runs: source }]
        : [];
  const said: Para = { part: first.id, style: 'plain', level: 1, runs: second === undefined ? quote : first.runs };
  return one(
    inFrames(
      'quotation',
      [
        ['quote', [said]],
        ['caption', who],
      ],
      options,
    ),
    texts,
  );
}

function big(texts: readonly TextContent[], options: LayoutOptions): Taken | undefined {
  const [first, ...others] = texts;
  const found = first === undefined ? undefined : bigNumber(first.runs);
  if (first === undefined || found === undefined || texts.length > 4) return undefined;
  const { big: number, rest } = found;
  const below: readonly Para[] = [
    ...(rest.length === 0 ? [] : [{ part: first.id, style: 'plain' as const, level: 1, runs: rest }]),
    ...parasOf(others),
  ];
  const shown: Para = { part: first.id, style: 'plain', level: 1, runs: number };
  return one(
    inFrames(
      'big-number',
      [
        ['big', [shown]],
        ['body', below],
      ],
      options,
    ),
    texts,
  );
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
  pictures.forEach((picture, i) => boxes.push(pictureBox(picture, layout, PICTURE_ROLES[i]!, options)));
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
  points: readonly TextContent[],
  rest: readonly TextContent[],
  options: LayoutOptions,
): Draft | undefined {
  const { theme } = options;
  const items = figureItems(points);
  const frame = frameIn(theme, layout, 'figure');
  const set = items === undefined ? undefined : setFigure(figure, items, frame, theme);
  if (set === undefined) return undefined;
  const fit: Fit = { state: set.size < FIGURE_EASY ? 'tight' : 'fits', points: set.size, linesOver: 0 };
  if (rest.length === 0) return { layout, boxes: set.boxes, fit };
  const words = inFrames(layout, [['body', parasOf(rest)]], options);
  return words && { layout, boxes: [...words.boxes, ...set.boxes], fit };
}
