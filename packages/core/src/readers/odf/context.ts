/** What is shared while one ODT is read. */
import type { Report } from '../../base/index.ts';
import type { ZipReader } from '../../container/index.ts';
import type { PictureStore } from '../picture-store.ts';
import type { PlaceNames } from '../place-names.ts';
import type { Styles } from './styles.ts';

export interface OdtContext {
  readonly zip: ZipReader;
  readonly styles: Styles;
  readonly pictures: PictureStore;
  readonly report: Report;
  /** Of a text document. */
  readonly names?: PlaceNames;
}
