/** What the parts of one PPTX share while they are read. */
import type { Report, SourcePlace } from '../../base/index.ts';
import type { Relationships, XmlNode, ZipReader } from '../../container/index.ts';
import type { PictureStore } from '../picture-store.ts';

export interface PptxContext {
  readonly zip: ZipReader;
  readonly pictures: PictureStore;
  readonly report: Report;
  /** Of a slide, in EMU. */
  readonly width: number;
  readonly height: number;
  /** The text style of what stands in no placeholder (ECMA-376-1 §19.2.1.8). */
  readonly usual: XmlNode | undefined;
}

/** A slide, or the notes of one, as it is read. */
export interface SlideContext extends PptxContext {
  readonly part: string;
  readonly relationships: Relationships;
  readonly place: SourcePlace;
}
