/** The deck: slides, each part of which knows the blocks it came from. */
import type { Motion } from './motion.ts';
import type { Direction, LanguageTag } from '../base/index.ts';
import type { ChartSettings } from '../charts/index.ts';
import type { Picture, PictureId, Runs, Table } from '../content/index.ts';
import type { LayoutName, PaletteChoice } from '../theme/index.ts';
import type { Destination, PointLevel } from './destination.ts';
import type { BlockId, SlideId, PartId, NoteId } from '../ids/index.ts';

/** Characters from the first up to the second. */
export type Range = readonly [number, number];

interface Part<Id> {
  readonly id: Id;
  /** Accounted for by this part. */
  readonly blocks: readonly BlockId[];
  /** Repeated here, and accounted for elsewhere. */
  readonly repeats?: readonly BlockId[];
  /** The part of its block's text that it shows or says, where it was shortened. What a slide does not show is spoken; what notes do not say is left out. */
  readonly kept?: readonly Range[];
  /** Its language, where that is not the document's. */
  readonly lang?: LanguageTag;
  /** How it is written, where its first letters tell otherwise. */
  readonly direction?: Direction;
}
export interface Point extends Part<PartId> {
  readonly kind: 'point';
  readonly level: PointLevel;
  readonly runs: Runs;
  /** What its list sets before it, where that is no bullet. */
  readonly mark?: ItemMark;
  /** The slide that it leads to. */
  readonly leads?: SlideId;
  /** Drawn beside it where it stands in a figure. */
  readonly icon?: Icon;
}
/** The number of an item as the original counts and writes it, or the box of a task. */
export interface ItemMark {
  readonly text: string /* `iv)`, `3.1`, `☐` */;
  /** Of a numbered list. */
  readonly value?: number;
}
/** Whether a part comes from a numbered list. */
export const isNumbered = (part: Content): boolean => part.kind === 'point' && part.mark?.value !== undefined;

/** A symbol of lines in a square of 24 by 24. */
export interface Icon {
  readonly name: string;
  /** SVG path data (SVG 2 §9.3); drawn as a line of 2, without fill. */
  readonly paths: readonly string[];
}
export interface TextPart extends Part<PartId> {
  readonly kind: 'text';
  readonly style: 'body' | 'quote' | 'code';
  readonly runs: Runs;
}
export interface TablePart extends Part<PartId> {
  readonly kind: 'table';
  readonly table: Table;
  /** How its numbers are drawn, where the author chose that. */
  readonly chart?: ChartSettings;
}
export interface PicturePart extends Part<PartId> {
  readonly kind: 'picture';
  readonly picture: PictureId;
  readonly alt: string | null;
  /** A picture that the author put here, which the document does not have. */
  readonly own?: Picture;
  readonly dress?: PictureDress;
  /** What its document sets below it. */
  readonly caption?: Runs;
}

/** How a picture stands in its frame. Fractions are of the picture's own width and height. */
export interface PictureDress {
  /** `fit`: all of it is seen. `fill`: the frame is full, what stands over is cut off. */
  readonly as: 'fit' | 'fill';
  /** What stays in sight when it is cut: from the left, from the top. */
  readonly focus: readonly [number, number];
  /** Taken off at the left, top, right and bottom, before all else. */
  readonly crop: readonly [number, number, number, number];
  readonly filter: PictureFilter;
  readonly corners: 'square' | 'round';
  /** -1 to 1. */
  readonly brightness: number;
  readonly contrast: number;
}
export const PICTURE_FILTERS = ['none', 'grey', 'tint'] as const;
/** `tint`: from the text's colour to the ground's through the first accent. */
export type PictureFilter = (typeof PICTURE_FILTERS)[number];
export const PLAIN_DRESS: PictureDress = {
  as: 'fit',
  focus: [0.5, 0.5],
  crop: [0, 0, 0, 0],
  filter: 'none',
  corners: 'square',
  brightness: 0,
  contrast: 0,
};
export type Content = Point | TextPart | TablePart | PicturePart;

/** One paragraph or list item to be spoken. */
export interface Note extends Part<NoteId> {
  readonly kind: 'paragraph' | 'item';
  readonly depth: number /* 0 for paragraphs, 1.. for items */;
  readonly ordered: boolean;
  readonly mark?: ItemMark;
  readonly runs: Runs;
  /** The content that it explains; null for the title. */
  readonly anchor: PartId | null;
}

export interface SlideTitle {
  readonly runs: Runs;
  /** None where the title is repeated or was suggested. */
  readonly blocks: readonly BlockId[];
  readonly lang?: LanguageTag;
  readonly direction?: Direction;
}

export interface Slide {
  readonly id: SlideId;
  readonly kind: 'cover' | 'section' | 'content';
  readonly title: SlideTitle;
  readonly content: readonly Content[];
  readonly notes: readonly Note[];
  /** Title of the section that it stands in. */
  readonly section: string | null;
  /** Of a section's opener: the titles of all sections, and which of them it opens; said quietly below its title. */
  readonly opens?: { readonly at: number; readonly of: readonly string[] };
  /** It goes on with the title of the slide before it. */
  readonly continues: boolean;
  /** Made of the deck itself, and kept in step with it. */
  readonly matter?: MatterKind;
  /** Not shown when the deck is presented. */
  readonly hidden?: true;
  /** What is done where it holds too much, if not what the deck's rule says. */
  readonly full?: FullRule;
  /** How it comes, if not as the deck's slides do. */
  readonly motion?: Motion;
  /** The layout that its author chose. */
  readonly layout?: LayoutName;
  /** The layout that was chosen when all slides were arranged together. */
  readonly arranged?: LayoutName;
  /** Colours of its own. */
  readonly colors?: { readonly palette: PaletteChoice | null; readonly dark: boolean | null };
  /** Parts whose words the author has written into the notes, where the rule would speak them. */
  readonly said?: readonly PartId[];
  /** All blocks between its first and the next slide's first, in document order; those left out among them. */
  readonly passages: readonly BlockId[];
}

/**
 * What is done with a slide that holds too much. `continue`: it goes on on another slide. `report`: it shrinks and says so.
 * `columns`: two columns before it is continued. `notes`: running text is spoken. `shorten`: sentences are chosen and trimmed.
 */
export const FULL_RULES = ['continue', 'columns', 'notes', 'shorten', 'report'] as const;
export type FullRule = (typeof FULL_RULES)[number];

/** Front and back matter. A cover is the document's own title. */
export const MATTER_KINDS = ['cover', 'agenda', 'key-points', 'sources'] as const;
export type MatterKind = (typeof MATTER_KINDS)[number];

/** A slide that the author took out, and the slide that it stood before; null for the end. */
export interface RemovedSlide {
  readonly slide: Slide;
  readonly before: SlideId | null;
}

export type LeftOutReason =
  'by-mark' | 'by-map' | 'contents' | 'furniture' | 'deleted' | 'no-picture' | 'no-words' | 'removed' | 'shortened';

export interface LeftOut {
  readonly block: BlockId;
  readonly reason: LeftOutReason;
}

export interface Deck {
  readonly title: string | null;
  readonly slides: readonly Slide[];
  readonly removed: readonly RemovedSlide[];
  readonly leftOut: readonly LeftOut[];
  /** What every block became, in document order; a point has the level that it has on its slide, which nesting may have made another than the map's. */
  readonly destinations: readonly Destination[];
}
