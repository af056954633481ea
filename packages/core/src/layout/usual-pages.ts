/** Pages of a slide whose layout nobody chose: by what is on it, continued where it must be. */
import { chartOf, type Chart } from '../charts/index.ts';
import type { Content, PicturePart, TablePart } from '../deck/index.ts';
import { frameIn, type LayoutName } from '../theme/index.ts';
import {
  FITS,
  paraOf,
  pictureBox,
  stepFit,
  textBox,
  type Draft,
  type LayoutOptions,
  type TextContent,
} from './draft.ts';
import { continuedPages, largestSize, lastResortSize, twoColumns } from './fit-text.ts';
import { fitTable } from './fit-table.ts';
import type { Fit, Para } from './page.ts';

/** What can share a page: running text, or text beside one picture, or one table. */
interface Group {
  readonly texts: TextContent[];
  before: number /* texts that stand before the object */;
  object: PicturePart | TablePart | undefined;
}

function groupsOf(content: readonly Content[]): readonly Group[] {
  const groups: Group[] = [];
  const start = (): Group => {
    const group: Group = { texts: [], before: 0, object: undefined };
    groups.push(group);
    return group;
  };
  let group = start();
  for (const part of content) {
    if (part.kind === 'point' || part.kind === 'text') {
      if (group.object?.kind === 'table') group = start();
      group.texts.push(part);
    } else {
      if (group.object !== undefined || (part.kind === 'table' && group.texts.length > 0)) group = start();
      group.object = part;
      group.before = group.texts.length;
    }
  }
  return groups;
}

export const usualPages = (
  content: readonly Content[],
  options: LayoutOptions,
  layout?: LayoutName,
): readonly Draft[] => groupsOf(content).flatMap((group) => groupPages(group, options, layout));

/** @param layout For text, instead of `points`, where it all fits on one page of it. */
function groupPages({ texts, before, object }: Group, options: LayoutOptions, layout?: LayoutName): readonly Draft[] {
  const { theme } = options;
  const paras = texts.map(paraOf);
  if (object === undefined) return (layout && onePage(paras, layout, options)) ?? textPages(paras, options);
  if (object.kind === 'table') return tablePages(object, options);
  if (paras.length > 0) {
    const beside = besidePicture('picture-right', paras, object, options);
    if (beside !== undefined) return [beside];
  }
  const alone: Draft = {
    layout: 'picture',
    boxes: [pictureBox(object, 'picture', 'picture', options)],
    fit: FITS(frameIn(theme, 'picture', 'title').style.sizes[0]!),
  };
  const pages = (from: number, to?: number): readonly Draft[] => {
    const some = paras.slice(from, to);
    return some.length === 0 ? [] : textPages(some, options);
  };
  return [...pages(0, before), alone, ...pages(before)];
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

/** All text in the body of a layout. @returns undefined where it does not fit. */
function onePage(paras: readonly Para[], layout: LayoutName, { theme }: LayoutOptions): readonly Draft[] | undefined {
  const frame = frameIn(theme, layout, 'body');
  const size = largestSize(paras, frame, theme, frame.style.sizes);
  return size === undefined
    ? undefined
    : [{ layout, boxes: [textBox(paras, frame, theme, size)], fit: stepFit(size, frame) }];
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
  if (size === undefined) return undefined;
  return {
    layout,
    boxes: [textBox(paras, frame, theme, size), pictureBox(picture, layout, 'picture', options)],
    fit: stepFit(size, frame),
  };
}

export function textPages(paras: readonly Para[], { theme, full }: LayoutOptions): readonly Draft[] {
  const frame = frameIn(theme, 'points', 'body');
  const { sizes } = frame.style;
  const one = (size: number, fit = stepFit(size, frame)): readonly Draft[] => [
    { layout: 'points', boxes: [textBox(paras, frame, theme, size)], fit },
  ];
  const comfortable = largestSize(paras, frame, theme, sizes.slice(0, 2));
  if (comfortable !== undefined) return one(comfortable);
  const [left, right] = [frameIn(theme, 'columns', 'body'), frameIn(theme, 'columns', 'body2')];
  const columns = twoColumns(
    paras,
    left,
    right,
    theme,
    full === 'columns' ? sizes : sizes.slice(0, 2),
    full === 'columns',
  );
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
  const small = largestSize(paras, frame, theme, sizes.slice(2));
  if (small !== undefined) return one(small);
  if (full === 'report') {
    const spilled = lastResortSize(paras, frame, theme);
    if (spilled !== undefined)
      return one(spilled.size, { state: 'spills', points: spilled.size, linesOver: spilled.linesOver });
  }
  const { size, pages } = continuedPages(paras, frame, theme);
  return pages.map((page) => ({
    layout: 'points',
    boxes: [textBox(page, frame, theme, size)],
    fit: stepFit(size, frame),
  }));
}
