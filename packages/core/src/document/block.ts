/** The document: a flat, ordered list of blocks. */
import type { Diagnostic, LanguageTag, SourcePlace } from '../base/index.ts';
import type { FileAbout, Picture, PictureId, Runs, Table } from '../content/index.ts';
import type { BlockId } from '../ids/index.ts';

export type Level = 1 | 2 | 3 | 4 | 5 | 6;

/** What a block looked like in the original; evidence for finding headings that are not marked. */
export interface Look {
  readonly size?: number /* points */;
  readonly bold?: true;
  readonly caps?: true;
  readonly align?: 'center' | 'right';
  /** Beyond what the lines themselves take. */
  readonly spaceBefore?: number /* points */;
}

/** What a block is, when it is not part of the text: the furniture of a page, or what the author took out. */
export const LEFT_KINDS = [
  'navigation',
  'advert',
  'share',
  'cookies',
  'related',
  'comments',
  'aside',
  'page-footer',
  'sign-up',
  'running-head',
  'page-number',
  'contents',
  'hidden',
  'deleted',
] as const;
export type LeftKind = (typeof LEFT_KINDS)[number];

/** What the reader saw at a block, which stays whatever becomes of it. */
export const READ_FIELDS = ['place', 'look', 'remark', 'lang', 'direction', 'names'] as const;
export type ReadField = (typeof READ_FIELDS)[number];

interface Base {
  readonly id: BlockId;
  readonly place: SourcePlace;
  readonly look?: Look;
  /** What a comment at it says; no part of the text. */
  readonly remark?: string;
  /** Present for what stays in its place in the document and is left out of the deck unless it is brought back. */
  readonly left?: LeftKind;
  /** Present where it is in another language than the document. */
  readonly lang?: LanguageTag;
  /** Present where the original says it. */
  readonly direction?: 'ltr' | 'rtl';
  /** What links within the document call it, without the `#`; only where one does. */
  readonly names?: readonly string[];
}
export interface Heading extends Base {
  readonly kind: 'heading';
  readonly level: Level /* 1 is the highest */;
  /** The number that the original sets before it and that is not in `runs`: `3.1`. */
  readonly label?: string;
  readonly runs: Runs;
}
export interface Paragraph extends Base {
  readonly kind: 'paragraph';
  readonly runs: Runs;
  /** `title` and `subtitle` by style or front matter, `contents` for a line of a table of contents, `caption` by style. */
  readonly role?: 'title' | 'subtitle' | 'contents' | 'caption';
}
export interface ListItem extends Base {
  readonly kind: 'listItem';
  readonly depth: number /* 1.. */;
  readonly ordered: boolean;
  /** The number that the original shows; present when `ordered`. */
  readonly number?: number;
  /** How the original writes that number, where it is not `1.`: `(a)`, `3.1.1`. */
  readonly label?: string;
  readonly checked?: boolean;
  readonly runs: Runs;
}
export interface TableBlock extends Base {
  readonly kind: 'table';
  readonly table: Table;
}
export interface PictureBlock extends Base {
  readonly kind: 'picture';
  /** Absent when the original names a picture that it does not contain, or one that cannot be shown. */
  readonly picture?: PictureId;
  readonly alt: string | null;
}
export interface Quote extends Base {
  readonly kind: 'quote';
  readonly runs: Runs;
}
export interface Code extends Base {
  readonly kind: 'code';
  readonly text: string;
  readonly language?: string;
}
export interface Break extends Base {
  readonly kind: 'break';
  readonly type: 'page' | 'rule';
}
export interface Footnote extends Base {
  readonly kind: 'footnote';
  /** As shown where it is referred to. */
  readonly label: string;
  readonly runs: Runs;
}
export type Block = Heading | Paragraph | ListItem | TableBlock | PictureBlock | Quote | Code | Break | Footnote;

export interface DocumentModel {
  /** From the file's properties, a title style, front matter, or a lone first heading. */
  readonly title: string | null;
  readonly author: string | null;
  /** That of most of its text, as the file says or its words tell. */
  readonly language: LanguageTag | null;
  readonly about?: FileAbout;
  /** Level of the headings with which slides begin, where the file says it. */
  readonly slidesAt?: Level;
  readonly blocks: readonly Block[];
  readonly pictures: readonly Picture[];
  readonly diagnostics: readonly Diagnostic[];
}
