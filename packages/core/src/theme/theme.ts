/** A theme: palette, fonts, type and layouts, all as data. */
import type { Emu } from '../base/index.ts';

/** Names of colours; writers turn them into references to the theme. */
export type ColorName =
  | 'ground'
  | 'text'
  | 'panel'
  | 'muted'
  | 'accent1'
  | 'accent2'
  | 'accent3'
  | 'accent4'
  | 'accent5'
  | 'accent6'
  | 'link';
/** Six hexadecimal digits a colour. */
export type Palette = Readonly<Record<ColorName, string>>;

export type FontRole = 'heading' | 'body' | 'mono';

export interface Rect {
  readonly x: Emu;
  readonly y: Emu;
  readonly width: Emu;
  readonly height: Emu;
}

export type Role = 'title' | 'subtitle' | 'body' | 'body2' | 'picture' | 'table' | 'number';

/** One placeholder of a layout. */
export interface Frame extends Rect {
  readonly role: Role;
  readonly anchor: 'top' | 'middle' | 'bottom';
  readonly align: 'left' | 'center' | 'right';
  readonly style: TextStyle;
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

/** A drawn shape of the layout, behind everything. */
export interface Mark extends Rect {
  readonly color: ColorName;
}

export const LAYOUT_NAMES = [
  'cover',
  'section',
  'points',
  'columns',
  'picture-text',
  'picture',
  'table',
  'title-only',
] as const;
export type LayoutName = (typeof LAYOUT_NAMES)[number];

export interface Layout {
  readonly name: LayoutName;
  readonly label: string;
  readonly ground: ColorName;
  readonly frames: readonly Frame[];
  readonly marks: readonly Mark[];
}

export interface Theme {
  readonly name: string;
  readonly label: string;
  /** One sentence on its character. */
  readonly character: string;
  readonly dark: boolean;
  readonly palette: Palette;
  readonly fonts: Readonly<Record<FontRole, string>>;
  readonly levels: readonly [LevelStyle, LevelStyle, LevelStyle, LevelStyle, LevelStyle];
  readonly table: {
    readonly sizes: readonly number[];
    readonly headColor: ColorName;
    readonly headText: ColorName;
    readonly rule: ColorName;
  };
  readonly layouts: readonly Layout[];
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
