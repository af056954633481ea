/** What is taken out of the pages of a PDF. */
/** A piece of text in one font; lengths in points, y upwards from the page's foot. */
export interface Item {
  readonly text: string;
  readonly x: number;
  readonly y: number /* baseline */;
  readonly width: number;
  readonly size: number;
  readonly bold: boolean;
  readonly italic: boolean;
  readonly mono: boolean;
  /** Of marked content, by which the structure of a tagged file names it; -1 for none. */
  readonly mark: number;
  readonly link: string | undefined;
}
export interface PagePicture {
  readonly y: number /* its top */;
  readonly x: number;
  readonly width: number;
  readonly height: number;
  readonly bytes: Uint8Array;
}
export interface PdfPage {
  readonly number: number /* 1-based */;
  readonly width: number;
  readonly height: number;
  readonly items: readonly Item[];
  readonly pictures: readonly PagePicture[];
  /** Text that runs upwards or downwards. */
  readonly turned: string;
  /** All characters of the page, for the ledger. */
  readonly source: string;
}
export interface Bookmark {
  readonly title: string;
  readonly depth: number /* 1.. */;
  /** Where it leads, 1-based; undefined where it does not say. */
  readonly page: number | undefined;
}
