/** What layout gives: pages with measured boxes. A slide takes one page, or more where it is continued. */
import type { Direction, Emu } from '../base/index.ts';
import type { Chart } from '../charts/index.ts';
import type { Picture, PictureId, Runs, Table } from '../content/index.ts';
import type { Icon, ItemMark, Note, PictureDress, Slide } from '../deck/index.ts';
import type { ColorName, Frame, Geometry, LayoutName, Rect, Side } from '../theme/index.ts';
import type { BlockId, PageKey, PartId } from '../ids/index.ts';

/** One line of a set paragraph. */
export interface SetLine {
  /** Range of the paragraph's characters, white space at the end left off. */
  readonly start: number;
  readonly end: number;
  readonly x: Emu /* from the slide's left edge */;
  readonly baseline: Emu /* from the slide's top edge */;
  readonly width: Emu;
}

/** A paragraph before it is set. */
export interface Para {
  /** Null for a title. */
  readonly part: PartId | null;
  readonly style: ParagraphStyle;
  /** 1 to 5 for points, else 1. */
  readonly level: number;
  readonly runs: Runs;
  /** What stands before a point in place of its bullet; without text where its beginning stands on the page before. */
  readonly mark?: ItemMark;
  /** The widest mark of each level of its slide, from level 1; so much room stands before all points of that level. */
  readonly marks?: readonly (string | undefined)[];
  /** How it is written, where its first letters tell otherwise. */
  readonly direction?: Direction;
  /** It stands on the page before too, and is said again for what is below it. */
  readonly repeated?: true;
}

/** `item` and `detail`: a point, and what stands below it, in a figure. `plain`: as its frame says. */
export type ParagraphStyle = 'title' | 'subtitle' | 'point' | 'body' | 'quote' | 'code' | 'item' | 'detail' | 'plain';

export interface SetParagraph extends Para {
  readonly size: number /* points */;
  readonly lines: readonly SetLine[];
  /** Left edge of the bullet, where there is one; its right edge where the text is set from the right. */
  readonly bulletX: Emu | null;
  /** It is written from right to left. */
  readonly rtl?: true;
  /** It is set from the right, and its bullet stands there. */
  readonly fromRight?: true;
}

export interface TextBox {
  readonly kind: 'text';
  readonly frame: Frame;
  readonly paras: readonly Para[];
  /** The same with their lines, which are placed when they are first looked at: of many slides only a few are drawn. */
  readonly paragraphs: readonly SetParagraph[];
  /** Size of level 1 relative to the layout's. */
  readonly scale: number;
  /** Space between paragraphs, as a multiple of what the theme says. */
  readonly spread: number;
  /** It stands in no placeholder: text of a figure. */
  readonly free?: true;
  readonly item?: number /* 0.., see `ShapeBox` */;
}
export interface PictureBox {
  readonly kind: 'picture';
  readonly frame: Frame;
  readonly part: PartId;
  readonly picture: PictureId;
  readonly alt: string | null;
  /** Where it is seen. */
  readonly rect: Rect;
  /** What of it is seen: fractions that are cut off at the left, top, right and bottom. */
  readonly cut: readonly [number, number, number, number];
  readonly dress: PictureDress;
  /** See `Picture`. */
  readonly ink?: Picture['ink'];
}
export interface ChartBox {
  readonly kind: 'chart';
  readonly frame: Frame;
  readonly part: PartId;
  readonly chart: Chart;
  /** Whose numbers it draws. */
  readonly table: Table;
}
/** A shape of a figure, behind its text. */
export interface ShapeBox {
  readonly kind: 'shape';
  readonly frame: Frame /* of the figure */;
  readonly geometry: Geometry;
  readonly rect: Rect;
  readonly fill: ColorName | null;
  readonly line: { readonly color: ColorName; readonly width: number /* points */ } | null;
  /** Clockwise, in degrees. */
  readonly turned: number;
  /** Of a trapezoid: how far its upper corners stand in, of its width. */
  readonly inset: number;
  /** Its upper edge is the wider one. */
  readonly upsideDown: boolean;
  /** It points to the left. */
  readonly mirrored?: true;
  /** Which item of the figure it belongs to, from 0; none where it belongs to all. */
  readonly item?: number;
}
/** The middle of a side of an item's shape. */
export interface ConnectorEnd {
  readonly item: number /* 0.. */;
  readonly side: Side;
  readonly x: Emu;
  readonly y: Emu;
}
/** A straight line from one item of a figure to another, which goes along with both. */
export interface ConnectorBox {
  readonly kind: 'connector';
  readonly frame: Frame /* of the figure */;
  readonly from: ConnectorEnd;
  readonly to: ConnectorEnd;
  readonly color: ColorName;
  readonly width: number /* points */;
  /** It ends in an arrow. */
  readonly arrow: boolean;
}
export interface IconBox {
  readonly kind: 'icon';
  readonly frame: Frame;
  readonly part: PartId;
  readonly icon: Icon;
  readonly rect: Rect;
  readonly color: ColorName;
  readonly item?: number /* see `ShapeBox` */;
}
export interface SetCell {
  readonly align: 'left' | 'right';
  /** How far before the right edge of its room its text ends, so that decimals stand below each other. */
  readonly pad?: Emu;
  readonly row: number;
  readonly column: number;
  readonly rows: number;
  readonly columns: number;
  readonly header: boolean;
  readonly runs: Runs;
  readonly rect: Rect;
  readonly lines: readonly SetLine[];
}
export interface TableBox {
  readonly kind: 'table';
  readonly frame: Frame;
  readonly part: PartId;
  readonly table: Table;
  readonly size: number /* points */;
  readonly columnWidths: readonly Emu[];
  readonly rowHeights: readonly Emu[];
  readonly cells: readonly SetCell[];
}
export type Box = TextBox | PictureBox | TableBox | ChartBox | ShapeBox | IconBox | ConnectorBox;

export interface Fit {
  /** `tight`: smaller than designed. `spills`: too much even at the floor; drawn smaller still, so that it stays inside. */
  readonly state: 'fits' | 'tight' | 'spills';
  /** Size of the main text. */
  readonly points: number;
  /** Lines that do not fit at the floor; 0 unless the state is `spills`. */
  readonly linesOver: number;
}

export interface Page {
  /** Lasting: the slide's id and the page's place in it. */
  readonly key: PageKey;
  readonly slide: Slide;
  readonly index: number /* 0.. */;
  readonly count: number;
  readonly layout: LayoutName;
  /** Its title was too long for the theme’s own place: title and content stand in others. */
  readonly longTitle?: true;
  readonly boxes: readonly Box[];
  readonly notes: readonly Note[];
  readonly passages: readonly BlockId[];
  readonly fit: Fit;
}
