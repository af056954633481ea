/** Reads ODT (OASIS ODF 1.3, ISO/IEC 26300): bytes to document. */
import { ReadError, Report } from '../../base/index.ts';
import { readXmlPart, ZipReader } from '../../container/index.ts';
import { CodeLines } from '../code-lines.ts';
import { PictureStore } from '../picture-store.ts';
import { BlockList, readResult, type ReadOptions, type ReadResult } from '../read-result.ts';
import { each } from '../account.ts';
import { odtText } from './source-text.ts';
import { OdtFlowReader } from './flow-reader.ts';
import { Styles } from './styles.ts';
import { PROPERTY_NAMES, propertyHandler, type FileProperties, type GatheredProperties } from '../file-properties.ts';

const CONTENT = 'content.xml';

/** @throws ReadError when the package cannot be used; what is merely missing in it is reported. */
export function readOdt(bytes: Uint8Array, options: ReadOptions = {}): ReadResult {
  const zip = new ZipReader(bytes);
  if (isEncrypted(zip)) throw new ReadError('encrypted');
  if (!zip.has(CONTENT)) throw new ReadError('part-missing', { part: CONTENT });
  const report = new Report();
  const pictures = new PictureStore(report);
  const styles = new Styles();
  const headers: string[] = [];
  readStyles(zip, styles, headers);
  for (const text of headers) report.add('header-footer-left', { part: 'styles.xml' }, { text });
  const list = new BlockList();
  const code = new CodeLines((draft) => list.add(draft));
  const reader = new OdtFlowReader({ zip, styles, pictures, report }, (draft) => code.add(draft));
  const automatic = styles.handler();
  let inBody = false;
  const size = Math.max(1, zip.packedSize(CONTENT));
  readXmlPart(
    zip,
    CONTENT,
    {
      open(name, a) {
        if (name === 'office:body') inBody = true;
        (inBody ? reader : automatic).open(name, a);
      },
      close(name) {
        (inBody ? reader : automatic).close(name);
        if (name === 'office:body') inBody = false;
      },
      text: (text) => {
        if (inBody) reader.text(text);
      },
    },
    (used) => options.progress?.(used / size),
  );
  code.flush();
  return readResult(
    list,
    pictures.pictures,
    report,
    { language: styles.usual ?? null, ...readMeta(zip) },
    each(() => odtText(bytes)),
  );
}

function isEncrypted(zip: ZipReader): boolean {
  let encrypted = false;
  if (zip.has('META-INF/manifest.xml'))
    readXmlPart(zip, 'META-INF/manifest.xml', {
      open: (name) => (encrypted ||= name === 'manifest:encryption-data'),
    });
  return encrypted;
}

/** Reads the named styles, and what the page headers and footers say. */
function readStyles(zip: ZipReader, styles: Styles, headers: string[]): void {
  if (!zip.has('styles.xml')) return;
  const handler = styles.handler();
  let depth = 0;
  let text = '';
  readXmlPart(zip, 'styles.xml', {
    open(name, a) {
      if (/^style:(header|footer)(-left|-first)?$/.test(name)) depth++;
      handler.open(name, a);
    },
    close(name) {
      handler.close(name);
      if (!/^style:(header|footer)(-left|-first)?$/.test(name)) return;
      depth--;
      if (text.trim() !== '') headers.push(text.trim());
      text = '';
    },
    text(piece) {
      if (depth > 0) text += piece;
    },
  });
}

function readMeta(zip: ZipReader): FileProperties {
  const found: GatheredProperties = {};
  if (!zip.has('meta.xml')) return found;
  readXmlPart(zip, 'meta.xml', propertyHandler(found, ODT_NAMES));
  if (found.author !== undefined) return found;
  // Who wrote it last, where nobody is said to have begun it.
  readXmlPart(zip, 'meta.xml', propertyHandler(found, { 'dc:creator': 'author' }));
  return found;
}
const ODT_NAMES = { ...PROPERTY_NAMES, 'meta:initial-creator': 'author' } as const;
