/** A theme over a template: our layouts in the template's placeholders, and in free places where it has none. */
import { emu, getOrMake, remembered } from '../base/index.ts';
import type { PictureId } from '../content/index.ts';
import {
  buildLayouts,
  colorsBehind,
  contrastRatio,
  footShown,
  isFoot,
  LAYOUT_NAMES,
  overlaps,
  SLIDE_WIDTH,
  style,
  TABLE_SIZES,
  USUAL_HAND,
  type Area,
  type DeckLook,
  type Foot,
  type Frame,
  type Hex,
  type Layout,
  type LayoutDesign,
  type LayoutName,
  type Role,
  type TemplateUse,
  type TextStyle,
  type Theme,
} from '../theme/index.ts';
import { colorsOn, readableFrame } from './readable.ts';
import { matchLayout, objectIn, pairOf, sorted, suits } from './match-layouts.ts';
import type { TemplateLayout, TemplateMaster, TemplateModel, TemplatePlaceholder } from './template-model.ts';

const EMU_PER_INCH = 914_400;
const inch = (value: number): number => value / EMU_PER_INCH;

const themesOf = remembered((_: TemplateModel) => new Map<string, Theme>());

/** The same template used in the same way gives the same theme, down to its identity. */
export const templateTheme = (model: TemplateModel, use: TemplateUse, look: DeckLook): Theme =>
  getOrMake(themesOf(model), JSON.stringify([use, look.foot]), () => build(model, use, look));

function build(model: TemplateModel, use: TemplateUse, look: DeckLook): Theme {
  const points = matchLayout(model.layouts, 'points', use.layouts);
  const master = model.masters[points.master]!;
  const levels = master.levels.map(({ paint: _, ...level }) => level) as unknown as Theme['levels'];
  const layouts = LAYOUT_NAMES.map((name) =>
    layoutOver(model, matchLayout(model.layouts, name, use.layouts), name, master, look.foot),
  );
  const { fills: palette } = layouts.find(({ name }) => name === 'points')!.colors!;
  return {
    look,
    name: 'template',
    label: use.fileName,
    dark: contrastRatio(palette.ground, '000000') < contrastRatio(palette.ground, 'FFFFFF'),
    palette,
    fonts: { ...master.fonts, mono: 'Courier New' },
    levels,
    table: {
      ...({ sizes: TABLE_SIZES, headColor: 'panel', headText: 'text', rule: 'muted', lines: 'rows' } as const),
      ...(model.tableStyle === undefined ? {} : { own: model.tableStyle }),
    },
    cards: 'panel',
    corners: 'square',
    hand: USUAL_HAND,
    size: model.size,
    layouts,
    template: use,
  };
}

function layoutOver(
  model: TemplateModel,
  source: TemplateLayout,
  name: LayoutName,
  master: TemplateMaster,
  foot: Foot,
): Layout {
  const design = designOf(model, source, master);
  const derived = buildLayouts(design).find((layout) => layout.name === name)!;
  const place = placesFor(source, name);
  const frames = derived.frames.flatMap((frame): readonly Frame[] => {
    if (isFoot(frame.role) && !footShown(frame.role, name, foot)) return [];
    const own = place(frame.role);
    // What a template has no foot for is not put there.
    if (own === undefined) return isFoot(frame.role) ? [] : [{ ...frame, placeholder: null }];
    return [inPlaceholder(frame, own, model.size.width)];
  });
  const colorsOf = (picture: PictureId) => model.colors?.[picture];
  const standing = clearOfWords(frames, model.size).map((frame): Frame => ({
    ...frame,
    behind: colorsBehind(frame, source.backdrop, source.ground, colorsOf),
  }));
  const colors = colorsOn(master.palette, groundsOf(standing, source.ground));
  return {
    name,
    label: source.name === '' ? derived.label : source.name,
    ground: 'ground',
    paint: source.ground,
    frames: standing.map((frame) => readableFrame(frame, colors)),
    marks: [],
    backdrop: source.backdrop,
    colors,
    part: source.part,
  };
}

/** Which placeholder of a template takes what a frame of ours holds; undefined where it has none for it. */
function placesFor(source: TemplateLayout, name: LayoutName): (role: Role) => TemplatePlaceholder | undefined {
  const found = sorted(source);
  const pair =
    name === 'picture-right' || name === 'picture-left'
      ? pairOf(source, name === 'picture-right' ? 'right' : 'left')
      : undefined;
  const onlyFor = (of: LayoutName, role: 'picture' | 'table' | 'chart'): TemplatePlaceholder | undefined =>
    of === role ? objectIn(source) : undefined;
  return (role) => {
    switch (role) {
      case 'title':
        return found.title;
      case 'subtitle':
        return found.subtitle ?? (name === 'section' || name === 'closing' ? found.bodies[0] : undefined);
      case 'body':
        if (pair !== undefined) return pair.body;
        return bodyFor(name, found.bodies, 0);
      case 'body2':
        return bodyFor(name, found.bodies, 1);
      case 'body3':
        return bodyFor(name, found.bodies, 2);
      case 'head':
        return name === 'comparison' && found.bodies.length === 4 ? comparison(found.bodies)[0] : undefined;
      case 'head2':
        return name === 'comparison' && found.bodies.length === 4 ? comparison(found.bodies)[2] : undefined;
      case 'picture':
        return (
          pair?.picture ?? (usesPictures(name, found.pictures.length) ? found.pictures[0] : onlyFor(name, 'picture'))
        );
      case 'picture2':
      case 'picture3':
      case 'picture4':
        return usesPictures(name, found.pictures.length) ? found.pictures[Number(role.at(-1)) - 1] : undefined;
      case 'table':
        return found.table ?? onlyFor(name, 'table');
      case 'chart':
        return name === 'chart' ? (found.chart ?? onlyFor(name, 'chart')) : undefined;
      case 'caption':
        return name === 'picture-caption' && found.pictures.length === 1 ? found.bodies[0] : undefined;
      case 'quote':
        // Made for a quotation: in a place for points it would be as small as these.
        return name === 'quotation' && suits(source, name) > 0 ? found.bodies[0] : undefined;
      case 'big':
      case 'figure':
        return undefined;
      case 'footer':
      case 'date':
      case 'number':
        return found[role];
    }
  };
}

/** What stands behind most of what is put on a layout beside its title. */
function groundsOf(frames: readonly Frame[], ground: Hex): readonly Hex[] {
  const behind = frames.flatMap((frame) => (frame.role === 'title' || isFoot(frame.role) ? [] : (frame.behind ?? [])));
  return behind.length === 0 ? [ground] : behind;
}

/**
 * Where a free frame would stand on a title or subtitle of the template, all free ones go into the taller band above or below
 * these, as they stand to each other.
 */
function clearOfWords(all: readonly Frame[], { height }: TemplateModel['size']): readonly Frame[] {
  const free = all.filter(({ placeholder }) => placeholder === null);
  const words = all.filter(
    ({ role, placeholder }) => placeholder !== null && (role === 'title' || role === 'subtitle'),
  );
  if (!free.some((frame) => words.some((one) => overlaps(one, frame)))) return all;
  const above = Math.min(...words.map(({ y }) => y));
  const below = Math.max(...words.map((one) => one.y + one.height));
  const edge = height * 0.04;
  const [from, to] = above > height - below ? [edge, above - edge] : [below + edge, height - edge];
  const top = Math.min(...free.map(({ y }) => y));
  const bottom = Math.max(...free.map((frame) => frame.y + frame.height));
  const share = Math.max(1, to - from) / Math.max(1, bottom - top);
  return all.map((frame): Frame => {
    if (frame.placeholder !== null) return frame;
    return { ...frame, y: emu(from + (frame.y - top) * share), height: emu(Math.max(1, frame.height * share)) };
  });
}

/** Of four: left heading, left text, right heading, right text. */
function comparison(bodies: readonly TemplatePlaceholder[]): readonly TemplatePlaceholder[] {
  const across = [...bodies].sort((a, b) => a.rect.x - b.rect.x);
  return [across.slice(0, 2), across.slice(2)].flatMap((side) => side.sort((a, b) => a.rect.y - b.rect.y));
}

const WHOLE: ReadonlySet<LayoutName> = new Set(['points', 'agenda', 'key-points', 'sources']);

function bodyFor(name: LayoutName, bodies: readonly TemplatePlaceholder[], i: number): TemplatePlaceholder | undefined {
  if (WHOLE.has(name)) return bodies.length === 1 && i === 0 ? bodies[0] : undefined;
  if (name === 'columns') return bodies.length === 2 ? bodies[i] : undefined;
  if (name === 'columns-3') return bodies.length === 3 ? bodies[i] : undefined;
  if (name === 'comparison' && bodies.length === 4) return comparison(bodies)[i * 2 + 1];
  return undefined;
}

const usesPictures = (name: LayoutName, count: number): boolean =>
  name === 'picture' || name === 'picture-caption' || name === 'cover-picture'
    ? count === 1
    : name.startsWith('gallery-') && count === Number(name.at(-1));

/** @param width Of the slide, in EMU. */
function inPlaceholder(frame: Frame, own: TemplatePlaceholder, width: number): Frame {
  const text = frame.role !== 'table' && frame.role !== 'chart' && !frame.role.startsWith('picture');
  const { caps: _, ...plain } = frame.style;
  const set: TextStyle = {
    ...plain,
    font: own.heading ? 'heading' : 'body',
    bold: own.bold,
    sizes: frame.role.startsWith('body') ? bodySizes(own.size, width) : stepsFrom(own.size),
    lineSpacing: own.lineSpacing,
    paint: own.paint,
    ...(own.caps ? { caps: true } : {}),
  };
  return {
    ...frame,
    ...own.rect,
    anchor: own.anchor,
    align: own.align,
    style: text ? set : frame.style,
    placeholder: { type: own.type, index: own.index },
  };
}

/** Floors in points, that of points on a slide of the usual width: a template's own size may be less, and is then the only one. */
const LEAST = { any: 12, points: 18 } as const;
const stepsFrom = (size: number, least: number = LEAST.any): readonly number[] => [
  size,
  ...[0.92, 0.84, 0.76, 0.68].map((share) => Math.round(size * share)).filter((step) => step >= least && step < size),
];
const bodySizes = (size: number, width: number): readonly number[] =>
  stepsFrom(size, (LEAST.points * width) / SLIDE_WIDTH);

/** Where things stand that the template has no placeholder for: between its title and its foot, as wide as its text. */
function designOf({ size, layouts }: TemplateModel, source: TemplateLayout, { levels }: TemplateMaster): LayoutDesign {
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

/** Which of the template's layouts stands for each of ours, for the author to see and change. */
export function templateMatches(
  model: TemplateModel,
  use: TemplateUse,
): readonly { readonly layout: LayoutName; readonly part: string; readonly chosen: boolean }[] {
  return LAYOUT_NAMES.map((layout) => ({
    layout,
    part: matchLayout(model.layouts, layout, use.layouts).part,
    chosen: use.layouts[layout] !== undefined,
  }));
}
