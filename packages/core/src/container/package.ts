/** Opens a package of Office Open XML: its parts and relationships (ECMA-376-2, Open Packaging Conventions). */
import { getOrMake, holdsBytes, ReadError, remembered } from '../base/index.ts';
import { readXmlPart } from './xml-reader.ts';
import { ZipReader } from './zip-reader.ts';

export interface Relationship {
  /** The last segment of the relationship type: `styles`, `image`, `hyperlink`, ... */
  readonly type: string;
  /** A part name, or an address when `external`. */
  readonly target: string;
  readonly external: boolean;
}
export type Relationships = ReadonlyMap<string, Relationship>;

const CFB = [0xd0, 0xcf, 0x11, 0xe0];

/** @throws ReadError `empty`, `encrypted`, `old-binary`, and what `ZipReader` throws. */
export function openZip(bytes: Uint8Array): ZipReader {
  if (bytes.length === 0) throw new ReadError('empty');
  // A compound file ([MS-CFB]) is either an encrypted package ([MS-OFFCRYPTO]) or a document of the old kind.
  if (CFB.every((byte, i) => bytes[i] === byte))
    throw new ReadError(
      holdsBytes(
        bytes,
        [...'EncryptedPackage'].flatMap((c) => [c.charCodeAt(0), 0]),
      )
        ? 'encrypted'
        : 'old-binary',
    );
  return new ZipReader(bytes);
}

/** The part that holds the relationships of a part (ECMA-376-2 §9.3.3). */
export function relationshipsOf(part: string): string {
  const slash = part.lastIndexOf('/');
  return `${part.slice(0, slash + 1)}_rels/${part.slice(slash + 1)}.rels`;
}

const relationshipsIn = remembered((_zip: ZipReader) => new Map<string, Relationships>());

/** Relationships of a part; none where it has none. Use `''` for those of the package. */
export const readRelationships = (zip: ZipReader, part: string): Relationships =>
  getOrMake(relationshipsIn(zip), part, () => parseRelationships(zip, part));

function parseRelationships(zip: ZipReader, part: string): Relationships {
  const folder = part.slice(0, part.lastIndexOf('/') + 1);
  const name = relationshipsOf(part);
  const found = new Map<string, Relationship>();
  if (!zip.has(name)) return found;
  readXmlPart(zip, name, {
    open(element, a) {
      if (element !== 'Relationship' || a.Id === undefined || a.Target === undefined) return;
      const external = a.TargetMode === 'External';
      found.set(a.Id, {
        type: (a.Type ?? '').split('/').at(-1)!,
        target: external ? a.Target : partNamed(zip, folder, a.Target),
        external,
      });
    },
  });
  return found;
}

/** The part whose relationships a part holds; undefined for any other part. */
export function ownerOf(name: string): string | undefined {
  const found = /^(.*\/)?_rels\/([^/]*)\.rels$/.exec(name);
  return found === null ? undefined : `${found[1] ?? ''}${found[2]}`;
}

/** The part that a target leads to, by its name in the archive. */
function partNamed(zip: ZipReader, folder: string, target: string): string {
  const name = resolve(folder, target);
  return zip.named(name) ?? zip.named(unescaped(name)) ?? name;
}

/** The name of a part without percent encoding (RFC 3986 §2.1); a name that has none stays as it is. */
export function unescaped(name: string): string {
  try {
    return decodeURI(name);
  } catch {
    return name;
  }
}

function resolve(folder: string, target: string): string {
  if (target.startsWith('/')) return target.slice(1);
  const segments: string[] = [];
  for (const segment of (folder + target).split('/')) {
    if (segment === '..') segments.pop();
    else if (segment !== '.' && segment !== '') segments.push(segment);
  }
  return segments.join('/');
}

/** Content types of main parts; files with macros have types of their own. */
const MAIN_TYPES = {
  wordprocessingml: /wordprocessingml|ms-word\./,
  presentationml: /presentationml|ms-powerpoint\./,
} as const;

/**
 * The name of the main part.
 * @param kind Of markup.
 * @throws ReadError `wrong-type` when the package holds something else, `part-missing` when it holds nothing.
 */
export function mainPart(zip: ZipReader, kind: keyof typeof MAIN_TYPES): string {
  if (!zip.has('[Content_Types].xml')) throw new ReadError('wrong-type');
  const types = new Map<string, string>();
  readXmlPart(zip, '[Content_Types].xml', {
    open(element, a) {
      if (element === 'Override' && a.PartName !== undefined)
        types.set(a.PartName.slice(1).toLowerCase(), a.ContentType ?? '');
    },
  });
  for (const { type, target } of readRelationships(zip, '').values()) {
    if (type !== 'officeDocument') continue;
    const contentType = types.get(target.toLowerCase());
    if (contentType !== undefined && !MAIN_TYPES[kind].test(contentType))
      throw new ReadError(otherKind(contentType), { part: target });
    if (!zip.has(target)) throw new ReadError('part-missing', { part: target });
    return target;
  }
  throw new ReadError('part-missing', { part: '_rels/.rels' });
}

/** The first part that a relationship of `type` leads to, if it is there. */
export function relatedPart(zip: ZipReader, relationships: Relationships, type: string): string | undefined {
  for (const rel of relationships.values())
    if (rel.type === type && !rel.external && zip.has(rel.target)) return rel.target;
  return undefined;
}

/** What a package of Office Open XML is, by the type of its main part (ECMA-376-1 §11.3.10, §12.3.23, §13.3.6). */
const otherKind = (contentType: string): 'spreadsheet' | 'wrong-type' =>
  contentType.includes('spreadsheetml') || contentType.includes('ms-excel') ? 'spreadsheet' : 'wrong-type';
