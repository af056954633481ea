/** Pages of a slide whose layout nobody chose: by what is on it, continued where it must be. */
import { emu, emuFromPt, inches } from '../base/index.ts';
import { chartOf, type Chart } from '../charts/index.ts';
import type { Content, PicturePart, TablePart } from '../deck/index.ts';
import { frameIn, type Frame, type LayoutName, type Theme } from '../theme/index.ts';
import { FITS, parasOf, stepFit, textBox, type Draft, type LayoutOptions, type TextContent } from './draft.ts';
import { quoted } from './figure-items.ts';
import { codePage, withinPanel } from './code-pages.ts';
import {
  continuedPages,
  evenFrame,
  heightAt,
  largestSize,
  lastResortSize,
  spreadOf,
  twoColumns,
  withinPage,
} from './fit-text.ts';
import { fitTable, onOneSlide } from './fit-table.ts';
import type { Fit, Para, TextBox } from './page.ts';
import { pictureBoxes } from './picture-boxes.ts';

/** What can share a page: running text, or text and one picture or table. */
interface Group {
  readonly texts: readonly TextContent[];
  readonly before: number /* texts that stand before the object */;
  readonly object: PicturePart | TablePart | undefined;
}

/** Text stands with the object that it leads to; what trails, with the last one where that has none. */
function groupsOf(content: readonly Content[]): readonly Group[] {
  const groups: Group[] = [];
  let texts: TextContent[] = [];
  for (const part of content) {
    if (part.kind === 'point' || part.kind === 'text') texts.push(part);
    else {
      groups.push({ texts, before: texts.length, object: part });
      texts = [];
    }
  }
  if (texts.length === 0) return groups;
  const last = groups.at(-1);
  if (last === undefined || (last.texts.length > 0 && last.object?.kind === 'table'))
    return [...groups, { texts, before: texts.length, object: undefined }];
  return [...groups.slice(0, -1), { ...last, texts: [...last.texts, ...texts] }];
}

export const usualPages = (
  content: readonly Content[],
  options: LayoutOptions,
  layout?: LayoutName,
): readonly Draft[] => groupsOf(content).flatMap((group) => groupPages(group, options, layout));

/** @param layout For text, instead of `points`, where it all fits on one page of it. */
function groupPages({ texts, before, object }: Group, options: LayoutOptions, layout?: LayoutName): readonly Draft[] {
  const { theme } = options;
  const paras = parasOf(texts);
  if (object === undefined) return (layout && onePage(paras, layout, options)) ?? textPages(paras, options);
  const pages = (from: number, to?: number): readonly Draft[] => {
    const some = paras.slice(from, to);
    return some.length === 0 ? [] : textPages(some, options);
  };
  if (object.kind === 'table') {
    if (paras.length > 0) {
      const together = withTable(paras, before > 0, object, options);
      if (together !== undefined) return [together];
    }
    return [...pages(0, before), ...tablePages(object, options), ...pages(before)];
  }
  if (paras.length > 0) {
    const beside = besidePicture('picture-right', paras, object, options);
    if (beside !== undefined) return [beside];
  }
  const alone: Draft = {
    layout: 'picture',
    boxes: pictureBoxes(object, 'picture', 'picture', options),
    fit: FITS(frameIn(theme, 'picture', 'title').style.sizes[0]!),
  };
  return [...pages(0, before), alone, ...pages(before)];
}

/** Text takes at most this share of the room that it has with a table. */
const MOST_TEXT = 0.5;
const TABLE_GAP = inches(0.28);

/** Text and a table that stands below it, or above. @returns undefined where one of them would be too small or too much. */
export function withTable(
  paras: readonly Para[],
  textFirst: boolean,
  part: TablePart,
  options: LayoutOptions,
): Draft | undefined {
  const { theme } = options;
  if (part.chart !== undefined) return undefined;
  const [body, below] = [frameIn(theme, 'table-points', 'body'), frameIn(theme, 'table-points', 'table')];
  const [top, bottom] = [Math.min(body.y, below.y), Math.max(body.y + body.height, below.y + below.height)];
  if (!withinPage(paras, body, theme, body.style.sizes[0]!)) return undefined;
  for (const size of body.style.sizes) {
    const height = emuFromPt(heightAt(paras, body, theme, size) + 1);
    if (height > (bottom - top) * MOST_TEXT) continue;
    const left = emu(bottom - top - height - TABLE_GAP);
    const tableAt = textFirst ? top + height + TABLE_GAP : top;
    const fitted = onOneSlide(part.table, part.id, { ...below, y: emu(tableAt), height: left }, theme);
    if (fitted === undefined) continue;
    const tableHeight = fitted.boxes[0]!.rowHeights.reduce((sum, row) => sum + row, 0);
    const textFrame: Frame = { ...body, y: emu(textFirst ? top : top + tableHeight + TABLE_GAP), height };
    const text = textBox(paras, textFrame, theme, size);
    const boxes = textFirst ? [text, ...fitted.boxes] : [...fitted.boxes, text];
    return { layout: 'table-points', boxes, fit: stepFit(size, body) };
  }
  return undefined;
}

/** A table as it is, over as many pages as it takes; as a chart where its author chose one. */
export function tablePages(part: TablePart, options: LayoutOptions): readonly Draft[] {
  const { theme, language } = options;
  if (part.chart !== undefined) {
    const chart = chartOf(part.table, language ?? null, part.chart);
    if (chart !== undefined) return [chartPage(part, chart, options)];
  }
  const fitted = fitTable(part.table, part.id, frameIn(theme, 'table', 'table'), theme);
  const fit: Fit = { state: fitted.tight ? 'tight' : 'fits', points: fitted.size, linesOver: 0 };
  return fitted.boxes.map((box) => ({ layout: 'table', boxes: [box], fit }));
}

function chartPage(part: TablePart, chart: Chart, { theme }: LayoutOptions): Draft {
  const frame = frameIn(theme, 'chart', 'chart');
  return {
    layout: 'chart',
    boxes: [{ kind: 'chart', frame, part: part.id, chart, table: part.table }],
    fit: FITS(frameIn(theme, 'chart', 'title').style.sizes[0]!),
  };
}

/** Text that fills its frame as far as few words can. */
export const spreadText = (paras: readonly Para[], frame: Frame, options: LayoutOptions, size: number): TextBox =>
  textBox(paras, frame, options.theme, size, false, spreadOf(paras, frame, options.theme, size));

/** All text in the body of a layout. @returns undefined where it does not fit. */
function onePage(paras: readonly Para[], layout: LayoutName, options: LayoutOptions): readonly Draft[] | undefined {
  const { theme } = options;
  const frame = frameIn(theme, layout, 'body');
  const size = largestSize(paras, frame, theme, frame.style.sizes);
  return size === undefined
    ? undefined
    : [{ layout, boxes: [spreadText(paras, frame, options, size)], fit: stepFit(size, frame) }];
}

/** Text and one picture. @returns undefined where the text does not fit. */
export function besidePicture(
  layout: LayoutName,
  paras: readonly Para[],
  picture: PicturePart,
  options: LayoutOptions,
): Draft | undefined {
  const { theme } = options;
  const frame = frameIn(theme, layout, 'body');
  const size = largestSize(paras, frame, theme, frame.style.sizes);
  if (size === undefined || !withinPage(paras, frame, theme, size)) return undefined;
  return {
    layout,
    boxes: [spreadText(paras, frame, options, size), ...pictureBoxes(picture, layout, 'picture', options)],
    fit: stepFit(size, frame),
  };
}

function textPages(paras: readonly Para[], options: LayoutOptions): readonly Draft[] {
  const { theme, full } = options;
  const lone = paras.length === 1 ? statement(paras[0]!, options) : undefined;
  if (lone !== undefined) return [lone];
  const frame = frameIn(theme, 'points', 'body');
  const { sizes } = frame.style;
  const one = (size: number, fit?: Fit): readonly Draft[] => [pageOf(paras, size, options, fit)];
  const inner = withinPanel(paras, frame);
  const within = full === 'report' || withinPage(paras, inner, theme, sizes.at(-1)!);
  const fitting = within ? largestSize(paras, frame, theme, sizes) : undefined;
  if (fitting !== undefined) return one(fitting);
  const [left, right] = [frameIn(theme, 'columns', 'body'), frameIn(theme, 'columns', 'body2')];
  const columns = within ? twoColumns(paras, left, right, theme, sizes, full === 'columns') : undefined;
  if (columns !== undefined)
    return [
      {
        layout: 'columns',
        boxes: [
          textBox(columns.columns[0], left, theme, columns.size),
          textBox(columns.columns[1], right, theme, columns.size),
        ],
        fit: stepFit(columns.size, frame),
      },
    ];
  if (full === 'report') {
    const spilled = lastResortSize(paras, frame, theme);
    if (spilled !== undefined)
      return one(spilled.size, { state: 'spills', points: spilled.size, linesOver: spilled.linesOver });
  }
  const { size, pages } = continuedPages(paras, inner, theme);
  return pages.map((page) => {
    // What is left over alone is said as such.
    const alone = page.length === 1 ? statement(page[0]!, options) : undefined;
    return alone ?? pageOf(page, size, options);
  });
}

/** Text on one page that it is known to fit. */
function pageOf(paras: readonly Para[], size: number, options: LayoutOptions, fit?: Fit): Draft {
  const frame = frameIn(options.theme, 'points', 'body');
  return (
    (fit === undefined ? codePage(paras, size, options) : undefined) ?? {
      layout: 'points',
      boxes: [spreadText(paras, frame, options, size)],
      fit: fit ?? stepFit(size, frame),
    }
  );
}

/** Who said it. */
function captionOf(source: Para, theme: Theme): TextBox | undefined {
  const frame = frameIn(theme, 'quotation', 'caption');
  const size = largestSize([source], frame, theme, frame.style.sizes);
  return size === undefined ? undefined : textBox([source], frame, theme, size);
}

/** One sentence, as large as a statement, or as a quotation. @returns undefined for code, and for what is too long for one. */
function statement(para: Para, { theme }: LayoutOptions): Draft | undefined {
  if (para.style === 'code') return undefined;
  const layout = para.style === 'quote' ? 'quotation' : 'statement';
  const frame = frameIn(theme, layout, 'quote');
  const { quote, source } = layout === 'quotation' ? quoted(para.runs) : { quote: para.runs, source: [] };
  const said: Para = { ...para, style: 'plain', level: 1, runs: quote };
  const size = largestSize([said], frame, theme, frame.style.sizes);
  if (size === undefined || !withinPage([said], frame, theme, size)) return undefined;
  const by = source.length === 0 ? undefined : captionOf({ ...said, runs: source }, theme);
  if (source.length > 0 && by === undefined) return undefined;
  const even = evenFrame(said, frame, theme, size);
  return { layout, boxes: [textBox([said], even, theme, size), ...(by === undefined ? [] : [by])], fit: FITS(size) };
}
