/** A design by what a template's layout has: where free frames stand on it, and how they are set. */
import { SLIDE_WIDTH, style, type Area, type LayoutDesign, type TextStyle } from '../theme/index.ts';
import { sorted } from './match-layouts.ts';
import type { TemplateLayout, TemplateMaster, TemplateModel, TemplatePlaceholder } from './template-model.ts';

const EMU_PER_INCH = 914_400;
const inch = (value: number): number => value / EMU_PER_INCH;

/** Floors in points, that of points on a slide of the usual width: a template's own size may be less, and is then the only one. */
const LEAST = { any: 12, points: 18 } as const;
export const stepsFrom = (size: number, least: number = LEAST.any): readonly number[] => [
  size,
  ...[0.92, 0.84, 0.76, 0.68].map((share) => Math.round(size * share)).filter((step) => step >= least && step < size),
];
export const bodySizes = (size: number, width: number): readonly number[] =>
  stepsFrom(size, (LEAST.points * width) / SLIDE_WIDTH);

/** Where things stand that the template has no placeholder for: between its title and its foot, as wide as its text. */
export function designOf(
  { size, layouts }: TemplateModel,
  source: TemplateLayout,
  { levels }: TemplateMaster,
): LayoutDesign {
  const [width, height] = [inch(size.width), inch(size.height)];
  const { title, bodies, footer, number, date } = sorted(source);
  const edge = width * 0.07;
  const titleArea: Area = title === undefined ? [edge, height * 0.07, width - 2 * edge, height * 0.14] : areaOf(title);
  const under = titleArea[1] + titleArea[3] + BELOW_TITLE;
  const widest = widestBody(layouts, source) ?? bodies[0];
  const feet = [footer, number, date].flatMap((one) => (one === undefined ? [] : [inch(one.rect.y)]));
  const content = contentArea(
    [width, height],
    titleArea,
    widest && areaOf(widest),
    Math.min(height * 0.92, ...feet.filter((y) => y > height * 0.6)) - 0.1,
    title !== undefined,
  );
  const [left, , room] = content;
  const body = bodySizes(bodies[0]?.size ?? widest?.size ?? 22, size.width);
  const paint = levels[0]!.paint;
  const titleStyle: TextStyle = style(
    'heading',
    stepsFrom(title?.size ?? 32),
    'text',
    title === undefined ? { bold: true } : {},
  );
  const openingStyle = title === undefined ? { ...titleStyle, sizes: stepsFrom(44) } : titleStyle;
  const bodyStyle = style('body', body, 'text', { paint });
  // Where even the title stands free, it opens the deck in the middle; a subtitle stands near its title.
  const opening = {
    title: title === undefined ? ([edge, height * 0.32, width - 2 * edge, height * 0.26] as Area) : titleArea,
    subtitle: [left, title === undefined ? height * 0.6 : Math.min(under, height * 0.6), room, height * 0.2] as Area,
    ground: 'ground' as const,
    align: title?.align ?? ('left' as const),
  };
  return {
    title: titleArea,
    content,
    gutter: width * 0.035,
    titleAnchor: title?.anchor ?? 'middle',
    titleAlign: title?.align ?? 'left',
    styles: {
      title: titleStyle,
      body: bodyStyle,
      cover: openingStyle,
      section: openingStyle,
      subtitle: style('body', [22, 20, 18, 16], 'muted'),
      quote: style('heading', [34, 30, 26, 22, 20], 'accent1'),
      big: style('heading', [120, 96, 80, 64, 54], 'accent1', { bold: true }),
      small: style('body', [16, 14, 12], 'muted'),
    },
    cover: opening,
    section: opening,
    foot: [left, height * 0.93, room],
    marks: { cover: [], section: [], content: [] },
    size: [width, height],
  };
}

const BELOW_TITLE = 0.15;

/**
 * Where things stand that have no placeholder; all in inches.
 * @param text Widest place for text. @param bottom Where the foot begins. @param titled Whether the title is the template's.
 */
function contentArea(
  [width, height]: readonly [number, number],
  title: Area,
  text: Area | undefined,
  bottom: number,
  titled: boolean,
): Area {
  const edge = width * 0.07;
  const left = text === undefined ? edge : text[0];
  const right = text === undefined ? width - edge : text[0] + text[2];
  const room = Math.max(1, right - left);
  const beside = title[0] + title[2] < left + 0.2;
  // Above the title, where it stands at the foot.
  if (!beside && titled && title[1] > height * 0.6 && text === undefined)
    return [left, height * 0.08, room, title[1] - height * 0.1];
  // A title in the middle of the slide, as of a cover, leaves no room below it: then the text's own top is taken.
  const under = title[1] + title[3] + BELOW_TITLE;
  const top = beside ? title[1] : under < height * 0.5 ? under : text === undefined ? height * 0.3 : text[1];
  return [left, top, room, Math.max(1, bottom - top)];
}

const areaOf = ({ rect }: TemplatePlaceholder): Area => [
  inch(rect.x),
  inch(rect.y),
  inch(rect.width),
  inch(rect.height),
];

/** The widest body of layouts of the same master whose title stands where this one's does. */
function widestBody(layouts: readonly TemplateLayout[], source: TemplateLayout): TemplatePlaceholder | undefined {
  const own = sorted(source).title;
  let widest: TemplatePlaceholder | undefined;
  for (const layout of layouts) {
    if (layout.master !== source.master) continue;
    const { title, bodies } = sorted(layout);
    const near = own === undefined || title === undefined || Math.abs(title.rect.y - own.rect.y) < EMU_PER_INCH * 0.4;
    for (const body of bodies)
      if (near && body.rect.width > (widest?.rect.width ?? 0) && body.rect.height > EMU_PER_INCH) widest = body;
  }
  return widest;
}
