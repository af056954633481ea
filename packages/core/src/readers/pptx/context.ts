/** What the parts of one PPTX share while they are read. */
import { ReadError, type Report, type SourcePlace } from '../../base/index.ts';
import { readPlainTree, type Relationships, type XmlNode, type ZipReader } from '../../container/index.ts';
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
  /** Numbers of slides by their parts, from 1. */
  readonly numbers: ReadonlyMap<string, number>;
}

/** What links within the presentation call a slide. */
export const nameOfSlide = (number: number): string => `slide-${number}`;

/** A slide, or the notes of one, as it is read. */
export interface SlideContext extends PptxContext {
  readonly part: string;
  readonly relationships: Relationships;
  readonly place: SourcePlace;
}

/** A part as a tree; one that is damaged is told, and the rest is read without it. */
export function treeOrTold(zip: ZipReader, part: string, report: Report, place: SourcePlace): XmlNode | undefined {
  try {
    return readPlainTree(zip, part);
  } catch (error) {
    if (!(error instanceof ReadError)) throw error;
    report.add('part-not-read', place, { name: part });
    return undefined;
  }
}

/** A truth, as the standard writes it (ECMA-376-1 §22.9.2.7); false where nothing is said. */
export const isOn = (value: string | undefined): boolean => value === '1' || value === 'true' || value === 'on';
