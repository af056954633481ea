/** What is taken from an organisation's presentation file: everything that slides built on it look like. */
import type { Picture, PictureId } from '../content/index.ts';
import type { Emu } from '../base/index.ts';
import type {
  Align,
  BackdropItem,
  Frame,
  Hex,
  LevelStyle,
  OwnTableStyle,
  Palette,
  PictureColors,
  Rect,
} from '../theme/index.ts';

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
export interface TemplateLayout {
  readonly part: string;
  readonly name: string;
  /** ECMA-376-1 §19.7.15; null where the file does not say. */
  readonly type: string | null;
  readonly master: number;
  readonly ground: Hex;
  readonly placeholders: readonly TemplatePlaceholder[];
  /** What is drawn of it and of its master, beside placeholders. */
  readonly backdrop: readonly BackdropItem[];
  /** How many of these are its ground. */
  readonly grounds: number;
  /** How many of the file's own slides stand on it; files that were read before do not say. */
  readonly uses?: number;
}
export interface TemplateMaster {
  readonly name: string;
  readonly palette: Palette;
  readonly fonts: { readonly heading: string; readonly body: string };
  readonly levels: readonly (LevelStyle & { readonly paint: Hex })[] /* five */;
}
/** Slides that were made of a document, by an earlier run, with their places. */
export interface MadeSlides {
  /** File name of the document. */
  readonly document: string;
  readonly slides: readonly number[];
  /** Those of them whose words somebody changed since. */
  readonly changed: readonly number[];
}
/** A slide of the file's own. */
export interface SlideBackdrop {
  /** Index of its layout. */
  readonly layout: number;
  /** It shows nothing of that. */
  readonly bare: boolean;
  /** Where it is not the layout's. */
  readonly ground: { readonly color: Hex; readonly items: readonly BackdropItem[] } | null;
  readonly items: readonly BackdropItem[];
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
  /** Those of its own slides, in their order; null for one that could not be drawn. Without: they were not asked for. */
  readonly drawings?: readonly (SlideBackdrop | null)[];
  /** That of its tables, where it has one of its own. */
  readonly tableStyle?: OwnTableStyle;
  readonly pictures: readonly Picture[];
  /** What they are coloured like, as far as the host has looked: text that stands on them is coloured by it. */
  readonly colors?: Readonly<Record<PictureId, PictureColors>>;
  /** What stands on its layouts that cannot be drawn here; the file keeps it. */
  readonly undrawn: number;
}
