/** A theme: palette, fonts, type and layouts, all as data. */
import type { Emu } from '../base/index.ts';
import type { PictureId } from '../content/index.ts';
import type { BackdropItem } from './backdrop.ts';
import type { Align, DeckLook, FontRole } from './look.ts';
import type { Hex } from './color.ts';
import type { ColorName, Palette } from './palette.ts';
import type { OwnTableStyle } from './own-table.ts';
import type { Rect } from './rect.ts';

export const ROLES = [
  'title',
  'subtitle',
  'body',
  'body2',
  'body3',
  'head',
  'head2',
  'quote',
  'big',
  'caption',
  'picture',
  'picture2',
  'picture3',
  'picture4',
  'table',
  'chart',
  'figure',
  'footer',
  'date',
  'number',
] as const;
export type Role = (typeof ROLES)[number];
/** What repeats on every slide at the foot. */
const FOOT_ROLES = ['footer', 'date', 'number'] as const satisfies readonly Role[];
export type FootRole = (typeof FOOT_ROLES)[number];
export const isFoot = (role: Role): role is FootRole => (FOOT_ROLES as readonly Role[]).includes(role);

/** One placeholder of a layout; for a figure, the place where its shapes stand. */
export interface Frame extends Rect {
  readonly role: Role;
  readonly anchor: 'top' | 'middle' | 'bottom';
  readonly align: Align;
  readonly style: TextStyle;
  /** In a template: the placeholder by which its slides find it; null where the template has none, and text stands free. */
  readonly placeholder?: { readonly type: string | null; readonly index: string | null } | null;
  /** In a template: the colours that are seen behind it. */
  readonly behind?: readonly Hex[];
  /** In a template: its text would not be read in the colour that the placeholder gives it, so slides say its colour. */
  readonly says?: true;
}

/** How text of one role is set. */
export interface TextStyle {
  readonly font: FontRole;
  readonly bold: boolean;
  readonly color: ColorName;
  /** Points; the first is the size of the design, each following one is tried when the text does not fit. */
  readonly sizes: readonly number[];
  /** Of the font's own line height. */
  readonly lineSpacing: number;
  /** As it is drawn, where a template colours it otherwise than by a name of ours. */
  readonly paint?: Hex;
  /** Set in capitals; the text stays as it was written. */
  readonly caps?: true;
}

/** How one point level is set, relative to the body style. */
export interface LevelStyle {
  /** Of the size of level 1. */
  readonly scale: number;
  readonly color: ColorName;
  readonly bullet: string;
  readonly bulletColor: ColorName;
  /** Where the text begins, and how far the bullet hangs before it; in points, at any size. */
  readonly indent: number;
  readonly hanging: number;
  /** Of a line's height, so that it shrinks with the type. */
  readonly spaceBefore: number;
}

/** Outlines of shapes: all stand in ECMA-376-1 §20.1.10.56 too, with their usual proportions. */
export type Geometry =
  'rect' | 'round' | 'ellipse' | 'triangle' | 'diamond' | 'chevron' | 'tag' | 'arrow' | 'trapezoid';

/** A drawn shape of the layout, behind everything. */
export interface Mark extends Rect {
  readonly color: ColorName;
  readonly shape?: Geometry;
  /** Drawn as a line of so many points instead of filled. */
  readonly outline?: number;
  /** It points to the left. */
  readonly mirrored?: true;
}
/** A picture of the layout, behind everything: a logo, or a template's ground. */
export interface LayoutPicture extends Rect {
  readonly picture: PictureId;
  readonly alt: string;
}

export const LAYOUT_NAMES = [
  'cover',
  'cover-picture',
  'section',
  'agenda',
  'points',
  'columns',
  'columns-3',
  'comparison',
  'picture-right',
  'picture-left',
  'picture-top',
  'picture-bleed',
  'picture',
  'picture-caption',
  'gallery-2',
  'gallery-3',
  'gallery-4',
  'quotation',
  'statement',
  'big-number',
  'table',
  'table-points',
  'chart',
  'chart-points',
  'steps',
  'cycle',
  'timeline',
  'icon-grid',
  'pyramid',
  'funnel',
  'matrix',
  'figure-text',
  'key-points',
  'sources',
  'closing',
  'title-only',
] as const;
export type LayoutName = (typeof LAYOUT_NAMES)[number];

export interface Layout {
  readonly name: LayoutName;
  readonly label: string;
  readonly ground: ColorName;
  /** As it is drawn, where a template colours it otherwise. */
  readonly paint?: Hex;
  readonly frames: readonly Frame[];
  readonly marks: readonly Mark[];
  readonly pictures?: readonly LayoutPicture[];
  /** What a template draws behind everything. */
  readonly backdrop?: readonly BackdropItem[];
  /** Colours of a template as they are read on this layout. */
  readonly colors?: LayoutColors;
  /** Name of the template's part that it is. */
  readonly part?: string;
}

/** A template's colours on one of its layouts. */
export interface LayoutColors {
  /** Of text. */
  readonly inks: Palette;
  /** Of shapes: the template's own, wherever text can be read on them. */
  readonly fills: Palette;
  /** Those that are not the template's own. */
  readonly mended: { readonly inks: readonly MendedColor[]; readonly fills: readonly MendedColor[] };
}

/** What a card is: a filled panel or accent, an outline, a thick rule above or beside it, or a column with a thin rule. */
export type CardKind = 'panel' | 'solid' | 'outline' | 'rule' | 'edge' | 'column';
/**
 * The lines of a table. `rows`: one under each row. `book`: heavy ones at its head and foot, a fine one under its head. `base`: a
 * heavy one under its head. `bands`: none, every second row on a panel. `grid`: around every cell.
 */
export type TableLines = 'rows' | 'book' | 'base' | 'bands' | 'grid';

/**
 * How steps are drawn: pointed bands over panels; large numbers between fine rules; discs on panels; each a step higher than the one
 * before; boxes with arrows between them.
 */
export type StepsKind = 'chevrons' | 'numerals' | 'discs' | 'stairs' | 'boxes';
/** How dates stand: at dots on a line, on the heads of leaves, or in a band of colours. */
export type TimelineKind = 'dots' | 'leaves' | 'band';
export interface ChartHand {
  readonly grid: 'solid' | 'dash' | 'dot';
  /** Of the line that bars stand on, in points. */
  readonly base: number;
  /** Share of a category's room that its bars take. */
  readonly bars: number;
  /** Where the numbers of a line stand. */
  readonly dots: 'circle' | 'square' | 'diamond';
}
/** What a theme makes of figures and charts. */
export interface ThemeHand {
  readonly steps: StepsKind;
  readonly timeline: TimelineKind;
  readonly chart: ChartHand;
}
export const USUAL_HAND: ThemeHand = {
  steps: 'chevrons',
  timeline: 'dots',
  chart: { grid: 'solid', base: 1, bars: 0.68, dots: 'circle' },
};

export interface Theme {
  /** What it was dressed by; absent for a template's. */
  readonly look?: DeckLook;
  /** Everything begins at the right: for text that is written from right to left. */
  readonly mirrored?: true;
  readonly name: string;
  readonly label: string;
  readonly dark: boolean;
  readonly palette: Palette;
  readonly fonts: Readonly<Record<FontRole, string>>;
  readonly levels: readonly [LevelStyle, LevelStyle, LevelStyle, LevelStyle, LevelStyle];
  readonly table: {
    readonly sizes: readonly number[];
    readonly headColor: ColorName;
    readonly headText: ColorName;
    readonly rule: ColorName;
    readonly lines: TableLines;
    /** In the place of all that: a template's own. */
    readonly own?: OwnTableStyle;
  };
  /** How cards of figures are made. */
  readonly cards: CardKind;
  /** Corners of the shapes of figures. */
  readonly corners: 'square' | 'round';
  readonly hand: ThemeHand;
  readonly layouts: readonly Layout[];
  /** The same with other places of title and content, for slides whose title is too long for its own. */
  readonly longTitled?: readonly Layout[];
  readonly size: { readonly width: Emu; readonly height: Emu };
  /** The template on whose parts the deck is built. */
  readonly template?: TemplateUse;
}

/** A colour that is another of the template's, darker or lighter: shares of its lightness, as `lumMod` and `lumOff` have them (ECMA-376-1 §20.1.2.3.20, §20.1.2.3.21). */
export interface MendedColor {
  readonly name: ColorName;
  readonly from: ColorName;
  readonly factor: number;
  readonly plus: number;
}

/** How an organisation's file is used. */
export interface TemplateUse {
  readonly hash: string;
  readonly fileName: string;
  /** Which of its layouts stands for one of ours, by the name of its part, where its author chose that. */
  readonly layouts: Readonly<Partial<Record<LayoutName, string>>>;
  /** Where its own slides stay. */
  readonly keep: 'none' | 'before' | 'after';
  /** How many of its own stand before ours, where not all that stay `before` do; the others come after. */
  readonly behind?: number;
  /** The document whose slides, made by an earlier run, go where its slides stay: ours stand in their place. */
  readonly replaces?: string;
}

export const SLIDE_WIDTH = 12_192_000 as Emu;
export const SLIDE_HEIGHT = 6_858_000 as Emu;

export function layoutNamed(theme: Theme, name: LayoutName): Layout {
  const layout = theme.layouts.find((candidate) => candidate.name === name);
  if (layout === undefined) throw new RangeError(`The theme ${theme.name} has no layout ${name}`);
  return layout;
}

export const frameOf = (layout: Layout, role: Role): Frame | undefined =>
  layout.frames.find((frame) => frame.role === role);

/** @throws RangeError when the layout has no such frame. */
export function frameIn(theme: Theme, name: LayoutName, role: Role): Frame {
  const frame = frameOf(layoutNamed(theme, name), role);
  if (frame === undefined) throw new RangeError(`The layout ${name} of ${theme.name} has no ${role}`);
  return frame;
}
