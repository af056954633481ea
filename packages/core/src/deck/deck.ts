/** The deck: slides, each part of which knows the blocks it came from. */
import type { PictureId, Runs, Table } from '../content/index.ts';
import type { Destination, PointLevel } from './destination.ts';

/** Ids of blocks, as the document gives them; the deck does not look into them. */
export type SourceId = string;
export type SlideId = string & { readonly id: 'slide' };
/** Names a part of a slide; the same part keeps its id when the deck is made again. */
export type PartId = string;

interface Part {
  readonly id: PartId;
  readonly blocks: readonly SourceId[];
}
export interface Point extends Part {
  readonly kind: 'point';
  readonly level: PointLevel;
  readonly runs: Runs;
}
export interface TextPart extends Part {
  readonly kind: 'text';
  readonly style: 'body' | 'quote' | 'code';
  readonly runs: Runs;
}
export interface TablePart extends Part {
  readonly kind: 'table';
  readonly table: Table;
}
export interface PicturePart extends Part {
  readonly kind: 'picture';
  readonly picture: PictureId;
  readonly alt: string | null;
}
export type Content = Point | TextPart | TablePart | PicturePart;

/** One paragraph or list item to be spoken. */
export interface Note extends Part {
  readonly kind: 'paragraph' | 'item';
  readonly depth: number /* 0 for paragraphs, 1.. for items */;
  readonly ordered: boolean;
  readonly runs: Runs;
  /** The content that it explains; null for the title. */
  readonly anchor: PartId | null;
}

export interface SlideTitle {
  readonly runs: Runs;
  /** None where the title is repeated or was suggested. */
  readonly blocks: readonly SourceId[];
}

export interface Slide {
  readonly id: SlideId;
  readonly kind: 'cover' | 'section' | 'content';
  readonly title: SlideTitle;
  readonly content: readonly Content[];
  readonly notes: readonly Note[];
  /** Title of the section that it stands in. */
  readonly section: string | null;
  /** It goes on with the title of the slide before it. */
  readonly continues: boolean;
  /** All blocks between its first and the next slide's first, in document order; those left out among them. */
  readonly passages: readonly SourceId[];
}

export type LeftOutReason =
  'by-mark' | 'by-map' | 'contents' | 'furniture' | 'deleted' | 'no-picture' | 'no-words' | 'removed';

export interface LeftOut {
  readonly block: SourceId;
  readonly reason: LeftOutReason;
}

export interface Deck {
  readonly title: string | null;
  readonly slides: readonly Slide[];
  readonly leftOut: readonly LeftOut[];
  /** What every block became, in document order; a point has the level that it has on its slide, which nesting may have made another than the map's. */
  readonly destinations: readonly Destination[];
}
