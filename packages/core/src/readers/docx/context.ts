/** What the parts of one DOCX share while they are read. */
import type { Report } from '../../base/index.ts';
import type { ZipReader } from '../../container/index.ts';
import type { Runs } from '../../content/index.ts';
import type { PictureStore } from '../picture-store.ts';
import type { PlaceNames } from '../place-names.ts';
import type { Relationships } from '../../container/index.ts';
import type { Numbering } from './numbering.ts';
import type { Styles } from './styles.ts';

export interface DocxContext {
  readonly zip: ZipReader;
  readonly styles: Styles;
  readonly numbering: Numbering;
  readonly pictures: PictureStore;
  readonly report: Report;
  readonly names: PlaceNames;
  /** Texts of the notes by kind and id, from their own parts. */
  readonly notes: ReadonlyMap<string, Runs>;
  /** What comments say, by id. */
  readonly comments: ReadonlyMap<string, string>;
}

/** One part as it is read: its name and where its relationship ids lead. */
export interface PartContext extends DocxContext {
  readonly part: string;
  readonly relationships: Relationships;
}
