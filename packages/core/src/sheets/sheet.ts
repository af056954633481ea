/** A printed page of a deck: slides and text with their places. All lengths in points, from its left and upper edge. */
import type { LanguageTag } from '../base/index.ts';
import type { DrawnPiece } from '../scene/index.ts';

/** Width and height of a sheet that stands upright (ISO 216; ANSI/ASME Y14.1). */
export const PAPER_SIZES = { a4: [595.28, 841.89], letter: [612, 792] } as const;
export type Paper = keyof typeof PAPER_SIZES;
export const isPaper = (name: unknown): name is Paper => typeof name === 'string' && Object.hasOwn(PAPER_SIZES, name);

/** `slides`: one a page, of its own size. Numbers: so many on a sheet, with lines for writing. `script`: the notes alone. `handout`: the document, its slides before their text. */
export const PRINTS = [
  'slides',
  'notes',
  'two',
  'three',
  'four',
  'six',
  'nine',
  'script',
  'outline',
  'handout',
] as const;
export type Print = (typeof PRINTS)[number];
export const isPrint = (name: unknown): name is Print => PRINTS.some((print) => print === name);

export interface SheetOptions {
  readonly print: Print;
  readonly paper: Paper;
}

export interface PlacedSlide {
  /** Among the scene's slides. */
  readonly index: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** On paper its edge is drawn. */
  readonly framed: boolean;
}

/** A paragraph, or what of it stands on this sheet. */
export interface SheetText {
  readonly as: 'heading' | 'paragraph' | 'item' | 'cell';
  /** Of a cell: which table it stands in, and where there. */
  readonly cell?: { readonly table: number; readonly row: number; readonly column: number; readonly header: boolean };
  /** Of a heading: 1 for a section, 2 for a slide. Of an item: its depth, from 1. */
  readonly level: number;
  /** Its first piece is a bullet or a number. */
  readonly marked: boolean;
  /** The slide that it speaks of, among the scene's. */
  readonly slide: number;
  /** It begins on the sheet before. */
  readonly continues: boolean;
  /** Where it is not the deck's. */
  readonly language: LanguageTag | undefined;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly pieces: readonly DrawnPiece[];
}

export interface Sheet {
  readonly width: number;
  readonly height: number;
  readonly slides: readonly PlacedSlide[];
  readonly texts: readonly SheetText[];
  /** To write on: the left end and the length of each line. */
  readonly lines: readonly { readonly x: number; readonly y: number; readonly width: number }[];
  /** Name of the deck and number of the sheet. */
  readonly foot: readonly DrawnPiece[];
}
