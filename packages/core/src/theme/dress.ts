/** Dresses a design: palette, mode, fonts, the author's rules for type, and what stands at the foot. */
import { emu, inches, type Emu } from '../base/index.ts';
import { buildLayouts, HEIGHT } from './build-layouts.ts';
import { contrastRatio } from './color.ts';
import { steppedOnce, type ThemeDesign } from './design.ts';
import { THEME_DESIGNS } from './designs/index.ts';
import { fontPairNamed, MONO } from './font-pairs.ts';
import {
  USUAL_FOOT,
  type Foot,
  type FootPlace,
  type DeckLook,
  type PaletteChoice,
  type RuledRole,
  type TextRule,
} from './look.ts';
import { mirrored } from './mirror.ts';
import { makePalette, READABLE, type Palette, type PaletteSeed } from './palette.ts';
import {
  isFoot,
  SLIDE_HEIGHT,
  SLIDE_WIDTH,
  type FootRole,
  type Frame,
  type Layout,
  type LayoutPicture,
  type Role,
  type TextStyle,
  type Theme,
} from './theme.ts';

export const DEFAULT_DESIGN = THEME_DESIGNS[0]!;
export const designNamed = (name: string | undefined): ThemeDesign =>
  THEME_DESIGNS.find((design) => design.name === name) ?? DEFAULT_DESIGN;

export const plainLook = (theme: string): DeckLook => ({
  theme,
  palette: null,
  dark: null,
  fonts: null,
  rules: {},
  foot: USUAL_FOOT,
});

/** A palette of the theme's that another theme does not have is its first. */
export const seedOf = (design: ThemeDesign, choice: PaletteChoice | null): PaletteSeed =>
  choice?.from === 'colors'
    ? choice
    : (design.palettes.find(({ name }) => name === choice?.name) ?? design.palettes[0]!);

/** A palette as it is chosen, without the name that a theme gives it. */
export const madeOf = ({ colors, scheme, paper }: PaletteSeed): PaletteChoice => ({
  from: 'colors',
  colors,
  scheme,
  paper,
});

export const isDark = (look: Pick<DeckLook, 'theme' | 'dark'>): boolean => look.dark ?? designNamed(look.theme).dark;

const dressed = new Map<string, Theme>();
const MOST_DRESSED = 200;

/** The same look gives the same theme, down to its identity. */
export function dress(look: DeckLook): Theme {
  const key = JSON.stringify(look);
  let theme = dressed.get(key);
  if (theme === undefined) {
    if (dressed.size >= MOST_DRESSED) dressed.clear();
    dressed.set(key, (theme = made(look)));
  }
  return theme;
}

function made(look: DeckLook): Theme {
  const design = designNamed(look.theme);
  const dark = isDark(look);
  const palette = makePalette(seedOf(design, look.palette), dark);
  const pair = fontPairNamed(look.fonts) ?? fontPairNamed(design.fonts)!;
  const points = look.rules.points;
  return {
    look,
    ...(look.mirrored ? { mirrored: true as const } : {}),
    name: design.name,
    label: design.label,
    dark,
    palette,
    fonts: { heading: pair.heading, body: pair.body, mono: MONO[pair.source] },
    levels:
      points?.color === undefined
        ? design.levels
        : (design.levels.map((level) => ({ ...level, color: points.color! })) as unknown as Theme['levels']),
    table: design.table,
    cards: design.cards,
    corners: design.corners,
    hand: design.hand,
    size: { width: SLIDE_WIDTH, height: SLIDE_HEIGHT },
    layouts: layoutsOf(design, look, palette),
    ...longTitled(design, look, palette),
  };
}

function longTitled(design: ThemeDesign, look: DeckLook, palette: Palette): Pick<Theme, 'longTitled'> {
  const { longTitle, ...layout } = design.layout;
  if (longTitle === undefined) return {};
  const other = { ...design, name: `${design.name} long`, layout: { ...layout, ...longTitle } };
  return { longTitled: layoutsOf(other, look, palette) };
}

/** How speaker notes are set where they are printed or kept, in points. */
export function notesType({ look }: Pick<Theme, 'look'>): { readonly size: number; readonly space: number } {
  const { size = 12, space = 6 } = look?.rules.notes ?? {};
  return { size, space };
}

const built = new Map<string, readonly Layout[]>();

/** Layouts are the same, down to their identity, whatever the colours: what is laid out once need not be again. */
function layoutsOf(design: ThemeDesign, look: DeckLook, palette: Palette): readonly Layout[] {
  const { fonts, foot, mirrored: fromRight } = look;
  // Notes stand on no layout.
  const { notes: _, ...rules } = look.rules;
  const colored = Object.values(rules).some(({ color }) => color !== undefined);
  const key = JSON.stringify([design.name, fonts, rules, foot, fromRight, colored ? palette : null]);
  let layouts = built.get(key);
  if (layouts === undefined) {
    if (built.size >= MOST_DRESSED) built.clear();
    layouts = footed(buildLayouts(design.layout), foot)
      .map((layout) => (fromRight ? mirrored(layout, SLIDE_WIDTH) : layout))
      .map((layout) => ruled(layout, rules, palette));
    built.set(key, layouts);
  }
  return layouts;
}

const RULED: Readonly<Partial<Record<Role, RuledRole>>> = {
  title: 'title',
  body: 'points',
  body2: 'points',
  body3: 'points',
  caption: 'caption',
};

function ruled(layout: Layout, rules: DeckLook['rules'], palette: Palette): Layout {
  if (Object.keys(rules).length === 0) return layout;
  const frames = layout.frames.map((frame): Frame => {
    const role = RULED[frame.role];
    const rule = role === undefined ? undefined : rules[role];
    const points = rules.points?.size ?? 0;
    // What stands above points is never smaller than they are.
    if (frame.role.startsWith('head') && points > frame.style.sizes[0]!)
      return { ...frame, style: { ...frame.style, sizes: stepsFrom(points, frame.style.sizes) } };
    return rule === undefined ? frame : withRule(frame, rule, layout, palette, role === 'points');
  });
  return { ...layout, frames };
}

const OPENINGS: ReadonlySet<Layout['name']> = new Set(['cover', 'cover-picture', 'section', 'closing']);
export const footPlace = (name: Layout['name']): FootPlace =>
  name === 'cover' || name === 'cover-picture' ? 'cover' : OPENINGS.has(name) ? 'section' : 'content';

function withRule(frame: Frame, rule: TextRule, layout: Layout, palette: Palette, points: boolean): Frame {
  const { style } = frame;
  const opening = OPENINGS.has(layout.name);
  // Text that stands on a coloured band keeps its colour where the rule's would not be read on it.
  const behind = style.color === 'ground' ? palette.accent1 : palette[layout.ground];
  const color =
    rule.color !== undefined && contrastRatio(palette[rule.color], behind) >= READABLE ? rule.color : style.color;
  const { caps: _, ...plain } = style;
  const capitals = rule.caps ?? style.caps === true;
  const set: TextStyle = {
    ...plain,
    font: rule.font ?? style.font,
    bold: rule.bold ?? style.bold,
    color,
    sizes:
      rule.size === undefined || opening
        ? style.sizes
        : points
          ? steppedOnce(rule.size)
          : stepsFrom(rule.size, style.sizes),
    ...(capitals ? { caps: true } : {}),
  };
  return { ...frame, style: set, align: rule.align ?? frame.align };
}

const LEAST = 11;
/** Sizes to step down by from one that the author chose; never below the theme's own floor unless the choice is. */
function stepsFrom(size: number, own: readonly number[]): readonly number[] {
  const floor = Math.max(LEAST, Math.min(own.at(-1)!, Math.round(size * 0.75)));
  const steps = [0.92, 0.84, 0.76].map((share) => Math.round(size * share)).filter((step) => step > floor);
  return [...new Set([size, ...steps, Math.min(size, floor)])];
}

/** Whether something at the foot is shown on slides of a layout. */
export function footShown(role: FootRole, layout: Layout['name'], foot: Foot): boolean {
  const place = footPlace(layout);
  return role === 'number' ? foot.number.includes(place) : foot[role].text !== '' && foot[role].on.includes(place);
}

/** Keeps what is shown at the foot of each kind of slide, and puts the logo there. */
function footed(layouts: readonly Layout[], foot: Foot): readonly Layout[] {
  return layouts.map((layout): Layout => {
    const place = footPlace(layout.name);
    const logo = foot.logo !== null && foot.logo.on.includes(place) ? logoOn(layout, foot.logo) : undefined;
    const frames = layout.frames.flatMap((frame): readonly Frame[] => {
      if (!isFoot(frame.role)) return [frame];
      if (!footShown(frame.role, layout.name, foot)) return [];
      if (frame.role !== 'footer' || logo === undefined || place === 'cover') return [frame];
      const x = (logo.x + logo.width + inches(0.2)) as Emu;
      return [{ ...frame, x, width: emu(frame.x + frame.width - x) }];
    });
    return { ...layout, frames, ...(logo === undefined ? {} : { pictures: [...(layout.pictures ?? []), logo] }) };
  });
}

/** At the left end of the foot; larger on a cover. */
function logoOn(layout: Layout, { picture, alt }: NonNullable<Foot['logo']>): LayoutPicture {
  const cover = footPlace(layout.name) === 'cover';
  const foot = layout.frames.find(({ role }) => role === 'footer');
  const title = layout.frames.find(({ role }) => role === 'title')!;
  const most = cover ? { width: inches(2.6), height: inches(0.7) } : { width: inches(1.5), height: inches(0.42) };
  const height = Math.min(most.height, (most.width * picture.height) / picture.width);
  const width = (height * picture.width) / picture.height;
  const middle = cover || foot === undefined ? inches(HEIGHT - 0.68) : foot.y + foot.height / 2;
  return {
    picture: picture.id,
    alt,
    x: cover || foot === undefined ? title.x : foot.x,
    y: emu(middle - height / 2),
    width: emu(width),
    height: emu(height),
  };
}

const ownPalettes = new Map<string, Palette>();

/** The colours of single slides that have a palette or a mode of their own; the same for the same choice, down to their identity. */
export function paletteFor(
  look: Pick<DeckLook, 'theme' | 'palette' | 'dark'>,
  own: { readonly palette: PaletteChoice | null; readonly dark: boolean | null },
): Palette {
  const choice = own.palette ?? look.palette;
  const dark = own.dark ?? isDark(look);
  const key = JSON.stringify([look.theme, choice, dark]);
  let palette = ownPalettes.get(key);
  if (palette === undefined) {
    if (ownPalettes.size >= MOST_DRESSED) ownPalettes.clear();
    ownPalettes.set(key, (palette = makePalette(seedOf(designNamed(look.theme), choice), dark)));
  }
  return palette;
}
