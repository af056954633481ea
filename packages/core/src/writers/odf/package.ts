/** What all packages of OpenDocument have: the list of their parts, what they say of themselves, pictures (OASIS ODF 1.3 part 2). */
import { xmlText, type Part } from '../../container/index.ts';
import type { Described } from '../opc/package.ts';
import { element, NS, VERSION, XML } from './xml.ts';

/** A picture's part in the package, and its size by its file, in points. */
export interface NamedPicture {
  readonly href: string;
  readonly size: readonly [width: number, height: number];
}

export type ManifestEntry = readonly [path: string, type: string];

/** The type stands first, unpacked, so that it is seen in the file's first bytes (§3.3); then the list of all parts. */
export const firstParts = (type: string, entries: readonly ManifestEntry[]): readonly Part[] => [
  { name: 'mimetype', content: type, stored: true },
  { name: 'META-INF/manifest.xml', content: manifestPart([['/', type], ...entries]) },
];

/** Pictures in the list of parts, by their endings. */
export const pictureEntries = (parts: readonly Part[]): readonly ManifestEntry[] =>
  parts.map(({ name }) => [name, `image/${name.split('.').at(-1)!}`]);

/** §4. */
function manifestPart(entries: readonly ManifestEntry[]): string {
  const rows = entries.map(([path, type]) =>
    element('manifest:file-entry', {
      'manifest:full-path': path,
      'manifest:version': path === '/' ? VERSION : null,
      'manifest:media-type': type,
    }),
  );
  return `${XML}<manifest:manifest xmlns:manifest="urn:oasis:names:tc:opendocument:xmlns:manifest:1.0" manifest:version="${VERSION}">${rows.join('')}</manifest:manifest>`;
}

/** What the file says of itself (part 3, §4.3): of the document, whatever day it is. */
export function metaPart({ title, author, language, about }: Described): string {
  const said = (tag: string, text: string | null | undefined): string =>
    text === null || text === undefined || text === '' ? '' : element(tag, {}, xmlText(text));
  const meta = [
    said('meta:generator', 'Alvex'),
    said('dc:title', title),
    said('dc:subject', about?.subject),
    said('meta:keyword', about?.keywords),
    said('meta:initial-creator', author),
    said('dc:creator', author),
    said('dc:language', language),
    said('meta:creation-date', moment(about?.created)),
    said('dc:date', moment(about?.modified ?? about?.created)),
  ].join('');
  return `${XML}<office:document-meta ${NS} office:version="${VERSION}"><office:meta>${meta}</office:meta></office:document-meta>`;
}

/** A date with its time (§18.2, dateTime); a date alone begins its day. */
const moment = (date: string | undefined): string | undefined =>
  date === undefined || !/^\d{4}-\d\d-\d\d/.test(date) ? undefined : date.includes('T') ? date : `${date}T00:00:00`;
