/** What is taken from an organisation's presentation file: everything that slides built on it look like. */
import type { Picture } from '../content/index.ts';
import type { Emu } from '../base/index.ts';
import type { Align, Frame, Geometry, Hex, LayoutPicture, LevelStyle, Palette, Rect } from '../theme/index.ts';
import type { MadeSlides } from './own-slides.ts';

/** A placeholder as a slide would inherit it: what the layout does not say is its master's. */
export interface TemplatePlaceholder {
  readonly type: string | null;
  readonly index: string | null;
  /** Inside of its insets. */
  readonly rect: Rect;
  readonly anchor: Frame['anchor'];
  readonly align: Align;
  readonly size: number /* points */;
  readonly bold: boolean;
  readonly caps: boolean;
  readonly heading: boolean /* set in the heading font */;
  readonly paint: Hex;
  readonly lineSpacing: number;
}
export interface TemplateMark extends Rect {
  readonly shape: Geometry;
  readonly paint: Hex;
  readonly outline?: number;
}
export interface TemplateLayout {
  readonly part: string;
  readonly name: string;
  /** ECMA-376-1 §19.7.15; null where the file does not say. */
  readonly type: string | null;
  readonly master: number;
  readonly ground: Hex;
  readonly placeholders: readonly TemplatePlaceholder[];
  readonly marks: readonly TemplateMark[];
  readonly pictures: readonly LayoutPicture[];
  /** How many of the file's own slides stand on it; files that were read before do not say. */
  readonly uses?: number;
}
export interface TemplateMaster {
  readonly name: string;
  readonly palette: Palette;
  readonly fonts: { readonly heading: string; readonly body: string };
  readonly levels: readonly (LevelStyle & { readonly paint: Hex })[] /* five */;
}
export interface TemplateModel {
  readonly size: { readonly width: Emu; readonly height: Emu };
  readonly masters: readonly TemplateMaster[];
  readonly layouts: readonly TemplateLayout[];
  readonly slides: number;
  /** What its own slides are called, in their order; files that were read before do not say. */
  readonly titles?: readonly string[];
  /** Those of them that were made of documents, by the document. */
  readonly made?: readonly MadeSlides[];
  readonly pictures: readonly Picture[];
  /** What stands on its layouts that cannot be drawn here; the file keeps it. */
  readonly undrawn: number;
}
