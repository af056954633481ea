/** Opens a package of OpenDocument (OASIS ODF 1.3 part 2): its styles and what it says of itself. */
import { ReadError } from '../../base/index.ts';
import { readXmlPart, ZipReader, type XmlHandler } from '../../container/index.ts';
import { PROPERTY_NAMES, propertyHandler, type FileProperties, type GatheredProperties } from '../file-properties.ts';
import type { ReadOptions } from '../read-result.ts';
import { Styles } from './styles.ts';

export const CONTENT = 'content.xml';

/** @throws ReadError `encrypted`, `part-missing`, and what `ZipReader` throws. */
export function openOdf(bytes: Uint8Array): ZipReader {
  const zip = new ZipReader(bytes);
  if (isEncrypted(zip)) throw new ReadError('encrypted');
  if (!zip.has(CONTENT)) throw new ReadError('part-missing', { part: CONTENT });
  return zip;
}

/** Reads the content: its own styles first, then its body by `reader`. */
export function readContent(
  zip: ZipReader,
  styles: Styles,
  reader: Required<XmlHandler>,
  { progress }: ReadOptions,
): void {
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
    (used) => progress?.(used / size),
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
export function readStyles(zip: ZipReader): { readonly styles: Styles; readonly headers: readonly string[] } {
  const styles = new Styles();
  const headers: string[] = [];
  if (!zip.has('styles.xml')) return { styles, headers };
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
  return { styles, headers };
}

export function readMeta(zip: ZipReader): FileProperties {
  const found: GatheredProperties = {};
  if (!zip.has('meta.xml')) return found;
  readXmlPart(zip, 'meta.xml', propertyHandler(found, ODT_NAMES));
  if (found.author !== undefined) return found;
  // Who wrote it last, where nobody is said to have begun it.
  readXmlPart(zip, 'meta.xml', propertyHandler(found, { 'dc:creator': 'author' }));
  return found;
}
const ODT_NAMES = { ...PROPERTY_NAMES, 'meta:initial-creator': 'author' } as const;
