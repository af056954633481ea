/** What is drawn of a slide: plain data, from the back to the front, all lengths in points. */
import type { PictureId } from '../content/index.ts';
import type { PictureFilter } from '../deck/index.ts';
import type { PartId, SlideId } from '../ids/index.ts';
import type { Box } from '../layout/index.ts';
import type { BackdropItem } from '../theme/index.ts';
import type { DrawnShape } from './drawn-shape.ts';
import type { Piece } from './drawn-text.ts';

/** What is drawn of a slide, from the back to the front; all lengths in points. */
export interface DrawnSlide {
  readonly size: { readonly width: number; readonly height: number };
  readonly ground: string;
  /** What a template draws on its layout. */
  readonly backdrop: readonly BackdropItem[];
  /** Pictures of the layout: a logo. */
  readonly behind: readonly DrawnPicture[];
  readonly shapes: readonly DrawnShape[];
  readonly pictures: readonly DrawnPicture[];
  readonly texts: readonly DrawnText[];
  /** Where the slide's number stands. Whoever draws writes it: numbers shift with every slide that is added. */
  readonly number: {
    readonly x: number;
    /** Which part of it is at `x`. */
    readonly anchor: 'start' | 'middle' | 'end';
    readonly y: number;
    readonly size: number;
    readonly family: string;
    readonly color: string;
  } | null;
}
export interface DrawnPiece extends Omit<Piece, 'x' | 'baseline' | 'width'> {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  /** The slide that it leads to. */
  readonly to?: SlideId;
}
/** One paragraph, cell or chart with the box that it stands in. */
export interface DrawnText {
  /** `title`, or the id of the part; null for what cannot be edited. */
  readonly target: PartId | 'title' | null;
  /** Its first piece is a bullet, which is not written. */
  readonly bullet?: boolean;
  /** What it stands on, where that is not the ground. */
  readonly behind?: string;
  /** The table whose chart it is. */
  readonly chart?: PartId;
  /** The table whose cell it is. */
  readonly table?: PartId;
  /** Among the points that come one after the other, 1 for the first. */
  readonly step?: number;
  /** Which end of each piece its `x` is. */
  readonly anchor?: 'start' | 'end';
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly pieces: readonly DrawnPiece[];
}
export interface DrawnPicture {
  /** Null for a picture of the layout. */
  readonly part: PartId | null;
  readonly picture: PictureId;
  readonly alt: string | null;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** What of it is not seen, of its own width and height: left, top, right, bottom. */
  readonly cut: readonly [number, number, number, number];
  readonly filter: PictureFilter;
  /** The dark and the light colour of a tint. */
  readonly tint: readonly [string, string] | null;
  readonly corners: 'square' | 'round';
  readonly brightness: number;
  readonly contrast: number;
  /** Behind a picture through which the slide's ground would be seen. */
  readonly ground?: string | undefined;
}

/** What is drawn, from the back to the front. */
export interface Layers {
  readonly shapes: DrawnShape[];
  readonly texts: DrawnText[];
  readonly pictures: DrawnPicture[];
}
/** What is drawn of one box. The texts are those of its paragraphs or cells, one each, in their order. */
export interface DrawnBox extends Readonly<Layers> {
  readonly box: Box;
}
/** A slide as it is drawn, with what belongs to each box, for writers that say what it is. */
export interface DrawnParts extends Pick<DrawnSlide, 'size' | 'ground' | 'backdrop' | 'behind' | 'number'> {
  readonly marks: readonly DrawnShape[];
  readonly boxes: readonly DrawnBox[];
  readonly foot: readonly DrawnText[];
}
