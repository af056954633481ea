/** Reads ODT (OASIS ODF 1.3, ISO/IEC 26300): bytes to document. */
import { Report } from '../../base/index.ts';
import { CodeLines } from '../code-lines.ts';
import { PictureStore } from '../picture-store.ts';
import { PlaceNames } from '../place-names.ts';
import { BlockList, readResult, type ReadOptions, type ReadResult } from '../read-result.ts';
import { each } from '../account.ts';
import { odtText } from '../odf/source-text.ts';
import { OdtFlowReader } from '../odf/flow-reader.ts';
import { openOdf, readContent, readMeta, readStyles } from '../odf/package.ts';

/** @throws ReadError when the package cannot be used; what is merely missing in it is reported. */
export function readOdt(bytes: Uint8Array, options: ReadOptions = {}): ReadResult {
  const zip = openOdf(bytes);
  const report = new Report();
  const pictures = new PictureStore(report);
  const { styles, headers } = readStyles(zip);
  for (const text of headers) report.add('header-footer-left', { part: 'styles.xml' }, { text });
  const list = new BlockList();
  const names = new PlaceNames();
  const code = new CodeLines((draft) => list.add(draft));
  const reader = new OdtFlowReader({ zip, styles, pictures, report, names }, (draft) => code.add(names.on(draft)));
  readContent(zip, styles, reader, options);
  code.flush();
  return readResult(
    list,
    pictures.pictures,
    report,
    { language: styles.usual ?? null, ...readMeta(zip) },
    each(() => odtText(bytes)),
  );
}
