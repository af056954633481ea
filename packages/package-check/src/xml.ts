/** XML parts as trees of libxml2, and the namespaces of the standards by the prefixes that paths use here. */
import { ParseOption, XmlDocument, XmlElement, type XmlNode } from 'libxml2-wasm';

export const NAMESPACES = {
  a: 'http://schemas.openxmlformats.org/drawingml/2006/main',
  c: 'http://schemas.openxmlformats.org/drawingml/2006/chart',
  chart: 'urn:oasis:names:tc:opendocument:xmlns:chart:1.0',
  ct: 'http://schemas.openxmlformats.org/package/2006/content-types',
  draw: 'urn:oasis:names:tc:opendocument:xmlns:drawing:1.0',
  ds: 'http://schemas.openxmlformats.org/officeDocument/2006/customXml',
  manifest: 'urn:oasis:names:tc:opendocument:xmlns:manifest:1.0',
  mc: 'http://schemas.openxmlformats.org/markup-compatibility/2006',
  office: 'urn:oasis:names:tc:opendocument:xmlns:office:1.0',
  p14: 'http://schemas.microsoft.com/office/powerpoint/2010/main',
  p: 'http://schemas.openxmlformats.org/presentationml/2006/main',
  presentation: 'urn:oasis:names:tc:opendocument:xmlns:presentation:1.0',
  r: 'http://schemas.openxmlformats.org/officeDocument/2006/relationships',
  rel: 'http://schemas.openxmlformats.org/package/2006/relationships',
  s: 'http://schemas.openxmlformats.org/spreadsheetml/2006/main',
  style: 'urn:oasis:names:tc:opendocument:xmlns:style:1.0',
  svg: 'urn:oasis:names:tc:opendocument:xmlns:svg-compatible:1.0',
  table: 'urn:oasis:names:tc:opendocument:xmlns:table:1.0',
  text: 'urn:oasis:names:tc:opendocument:xmlns:text:1.0',
  xlink: 'http://www.w3.org/1999/xlink',
} as const;

/** A part as a tree, never fetching anything and never expanding an entity. @throws Error with the parser's message. */
export function parseXml(bytes: Uint8Array): XmlDocument {
  // Asked of the bytes: what the parser gives for a document type is freed once more when it is forgotten, and breaks its memory.
  if (DOCUMENT_TYPE.test(decoded(bytes))) throw new Error('it declares a document type (ECMA-376-2 §8.2.1)');
  return XmlDocument.fromBuffer(bytes, { option: ParseOption.XML_PARSE_NONET | ParseOption.XML_PARSE_HUGE });
}

/** After the declaration, white space, instructions and comments (XML 1.0 §2.8). */
const DOCUMENT_TYPE = /^(?:\s|<\?(?:(?!\?>)[^])*\?>|<!--(?:(?!-->)[^])*-->)*<!DOCTYPE/;

/** In one of the two encodings that parts have (ECMA-376-2 §6.2.5). */
function decoded(bytes: Uint8Array): string {
  const [first, second] = bytes;
  const encoding =
    first === 0xff && second === 0xfe ? 'utf-16le' : first === 0xfe && second === 0xff ? 'utf-16be' : 'utf-8';
  return new TextDecoder(encoding).decode(bytes);
}

type Queried = Pick<XmlNode, 'find'>;

export const elements = (at: Queried, path: string): readonly XmlElement[] =>
  at.find(path, NAMESPACES).filter((node) => node instanceof XmlElement);

/** Values of the attributes, or texts of the elements, at a path. */
export const values = (at: Queried, path: string): readonly string[] =>
  at.find(path, NAMESPACES).map((node) => node.content);

export const attribute = (element: XmlElement, name: string, prefix?: string): string | undefined =>
  element.attr(name, prefix)?.value;

/** The first of each value that comes again. */
export function repeated<T>(all: readonly T[]): readonly T[] {
  const seen = new Set<T>();
  return [...new Set(all.filter((one) => seen.size === seen.add(one).size))];
}
