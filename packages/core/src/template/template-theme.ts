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
  TABLE_SIZES,
  USUAL_HAND,
  type DeckLook,
  type Foot,
  type Frame,
  type Hex,
  type Layout,
  type LayoutName,
  type Role,
  type TemplateUse,
  type TextStyle,
  type Theme,
} from '../theme/index.ts';
import { colorsOn, readableFrame } from './readable.ts';
import { matchLayout, objectIn, pairOf, sorted, suits } from './match-layouts.ts';
import { bodySizes, designOf, stepsFrom } from './template-design.ts';
import type { TemplateLayout, TemplateMaster, TemplateModel, TemplatePlaceholder } from './template-model.ts';

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
