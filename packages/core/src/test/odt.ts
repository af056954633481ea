/** Makes ODT packages of raw ODF, for tests. */
import { strToU8, zipSync } from 'fflate';

const NAMESPACES = [
  ...['office', 'text', 'table', 'style', 'chart', 'meta', 'manifest', 'presentation'].map(
    (name) => `xmlns:${name}="urn:oasis:names:tc:opendocument:xmlns:${name}:1.0"`,
  ),
  'xmlns:draw="urn:oasis:names:tc:opendocument:xmlns:drawing:1.0"',
  'xmlns:fo="urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0"',
  'xmlns:svg="urn:oasis:names:tc:opendocument:xmlns:svg-compatible:1.0"',
  'xmlns:xlink="http://www.w3.org/1999/xlink"',
  'xmlns:dc="http://purl.org/dc/elements/1.1/"',
].join(' ');

export interface OdtParts {
  readonly body: string;
  /** Automatic styles of the content. */
  readonly automatic?: string;
  /** Inner XML of styles.xml. */
  readonly styles?: string;
  readonly meta?: string;
  readonly files?: Readonly<Record<string, Uint8Array | string>>;
}

/** @param kind Of what the body holds. */
export function odt(
  { body, automatic = '', styles = '', meta, files = {} }: OdtParts,
  kind: 'text' | 'presentation' = 'text',
): Uint8Array {
  const parts: Record<string, string | Uint8Array> = {
    mimetype: `application/vnd.oasis.opendocument.${kind}`,
    'content.xml': odf(
      'document-content',
      `<office:automatic-styles>${automatic}</office:automatic-styles><office:body><office:${kind}>${body}</office:${kind}></office:body>`,
    ),
    'styles.xml': odf('document-styles', styles),
    ...(meta === undefined ? {} : { 'meta.xml': odf('document-meta', `<office:meta>${meta}</office:meta>`) }),
    ...files,
  };
  return zipSync(
    Object.fromEntries(
      Object.entries(parts).map(([name, content]) => [name, typeof content === 'string' ? strToU8(content) : content]),
    ),
  );
}

export const odf = (root: string, inner: string): string => `<office:${root} ${NAMESPACES}>${inner}</office:${root}>`;
