/** Reads XML as events, from a part of a package or a string, under hard limits and without ever expanding an entity. */
import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { LIMITS, ReadError, textDecoder } from '../base/index.ts';
import type { ZipReader } from './zip-reader.ts';

export type Attributes = Readonly<Record<string, string>>;

/** Names come with the prefixes of `NAMESPACES`, whatever prefixes the file uses. */
export interface XmlHandler {
  open(name: string, attributes: Attributes): void;
  close?(name: string): void;
  text?(text: string): void;
}

/** Prefixes by which we name namespaces; transitional and strict (ISO/IEC 29500) ones alike. */
export const NAMESPACES: Readonly<Record<string, string>> = {
  'http://schemas.openxmlformats.org/wordprocessingml/2006/main': 'w',
  'http://purl.oclc.org/ooxml/wordprocessingml/main': 'w',
  'http://schemas.openxmlformats.org/officeDocument/2006/relationships': 'r',
  'http://purl.oclc.org/ooxml/officeDocument/relationships': 'r',
  'http://schemas.openxmlformats.org/package/2006/relationships': '',
  'http://schemas.openxmlformats.org/package/2006/content-types': '',
  'http://schemas.openxmlformats.org/presentationml/2006/main': 'p',
  'http://purl.oclc.org/ooxml/presentationml/main': 'p',
  'http://schemas.microsoft.com/office/powerpoint/2010/main': 'p14',
  'http://schemas.microsoft.com/office/powerpoint/2018/8/main': 'p188',
  'http://schemas.openxmlformats.org/drawingml/2006/main': 'a',
  'http://purl.oclc.org/ooxml/drawingml/main': 'a',
  'http://schemas.openxmlformats.org/drawingml/2006/wordprocessingDrawing': 'wp',
  'http://purl.oclc.org/ooxml/drawingml/wordprocessingDrawing': 'wp',
  'http://schemas.openxmlformats.org/drawingml/2006/picture': 'pic',
  'http://purl.oclc.org/ooxml/drawingml/picture': 'pic',
  'http://schemas.openxmlformats.org/drawingml/2006/chart': 'c',
  'http://purl.oclc.org/ooxml/drawingml/chart': 'c',
  'http://schemas.openxmlformats.org/drawingml/2006/diagram': 'dgm',
  'http://purl.oclc.org/ooxml/drawingml/diagram': 'dgm',
  'http://schemas.microsoft.com/office/word/2010/wordprocessingShape': 'wps',
  'http://schemas.microsoft.com/office/word/2010/wordprocessingGroup': 'wpg',
  'http://schemas.openxmlformats.org/markup-compatibility/2006': 'mc',
  'http://schemas.openxmlformats.org/officeDocument/2006/math': 'm',
  'http://purl.oclc.org/ooxml/officeDocument/math': 'm',
  'urn:schemas-microsoft-com:vml': 'v',
  'urn:schemas-microsoft-com:office:office': 'o',
  'urn:oasis:names:tc:opendocument:xmlns:office:1.0': 'office',
  'urn:oasis:names:tc:opendocument:xmlns:text:1.0': 'text',
  'urn:oasis:names:tc:opendocument:xmlns:table:1.0': 'table',
  'urn:oasis:names:tc:opendocument:xmlns:drawing:1.0': 'draw',
  'urn:oasis:names:tc:opendocument:xmlns:style:1.0': 'style',
  'urn:oasis:names:tc:opendocument:xmlns:presentation:1.0': 'presentation',
  'urn:oasis:names:tc:opendocument:xmlns:chart:1.0': 'chart',
  'urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0': 'fo',
  'urn:oasis:names:tc:opendocument:xmlns:svg-compatible:1.0': 'svg',
  'urn:oasis:names:tc:opendocument:xmlns:meta:1.0': 'meta',
  'urn:oasis:names:tc:opendocument:xmlns:manifest:1.0': 'manifest',
  'http://www.w3.org/1999/xlink': 'xlink',
  'http://www.w3.org/1998/Math/MathML': 'math',
  'http://purl.org/dc/elements/1.1/': 'dc',
  'http://purl.org/dc/terms/': 'dcterms',
  'http://schemas.openxmlformats.org/package/2006/metadata/core-properties': 'cp',
};

/**
 * Parses a part while it is unpacked.
 * @param progress Called with the packed bytes used so far.
 * @throws ReadError `bad-xml`, `doctype`, `bomb`, and as `ZipReader.stream` does.
 */
export function readXmlPart(
  zip: ZipReader,
  part: string,
  handler: XmlHandler,
  progress?: (used: number) => void,
): void {
  const parser = xmlParser(handler, part);
  let decoder: ReturnType<typeof textDecoder> | undefined;
  zip.stream(part, (piece, used) => {
    decoder ??= textDecoder(encodingOf(piece));
    parser.write(decoder.decode(piece, { stream: true }));
    progress?.(used);
  });
  parser.write(decoder?.decode() ?? '');
  parser.close();
}

/** Parses a whole XML text. @throws ReadError `bad-xml`, `doctype`, `bomb`. */
export function readXmlText(text: string, handler: XmlHandler): void {
  const parser = xmlParser(handler, undefined);
  parser.write(text);
  parser.close();
}

// XML 1.0 Appendix F: UTF-16 starts with a byte order mark; everything else in a package is UTF-8 (ECMA-376-2 §8.2.1).
export function encodingOf(start: Uint8Array): string {
  if (start[0] === 0xff && start[1] === 0xfe) return 'utf-16le';
  if (start[0] === 0xfe && start[1] === 0xff) return 'utf-16be';
  return 'utf-8';
}

function xmlParser(handler: XmlHandler, part: string | undefined): { write(text: string): void; close(): void } {
  // saxes' own namespace support doubles the time (measured); a package's prefixes are declared once, so a table will do.
  const parser = new SaxesParser({ xmlns: false, position: false });
  const place = part === undefined ? {} : { part };
  const prefixes = new Map<string, string>();
  const names = new Map<string, string>();
  const open: string[] = [];

  const canonical = (raw: string): string => {
    const known = names.get(raw);
    if (known !== undefined) return known;
    const colon = raw.indexOf(':');
    const prefix = prefixes.get(colon < 0 ? '' : raw.slice(0, colon));
    const local = colon < 0 ? raw : raw.slice(colon + 1);
    const name = prefix === undefined ? raw : prefix === '' ? local : `${prefix}:${local}`;
    names.set(raw, name);
    return name;
  };
  const declare = (key: string, namespace: string): void => {
    const prefix = key === 'xmlns' ? '' : key.slice(6);
    const ours = NAMESPACES[namespace];
    if (ours === undefined || prefixes.get(prefix) === ours) return;
    prefixes.set(prefix, ours);
    names.clear();
    usual = [...prefixes].every(([theirs, own]) => theirs === own);
  };
  /** Every prefix is the one by which we name its namespace, as in nearly all files. */
  let usual = true;
  const renamed = (attributes: Attributes): Attributes => {
    const out: Record<string, string> = {};
    for (const key in attributes) out[key.includes(':') ? canonical(key) : key] = attributes[key]!;
    return out;
  };

  parser.on('doctype', (text) => {
    // One that only names a document type brings nothing in; packages have none at all.
    if (part !== undefined || text.includes('[')) throw new ReadError('doctype', place);
  });
  parser.on('error', (error) => {
    // A character that XML forbids spoils nothing else; readers drop it from the text and say so.
    if (error.message.includes('disallowed character')) return;
    throw new ReadError('bad-xml', place, { cause: error });
  });
  let attributeCount = 0;
  parser.on('attribute', ({ name, value }) => {
    attributeCount++;
    if (name.charCodeAt(0) === 120 && (name === 'xmlns' || name.startsWith('xmlns:'))) declare(name, value);
  });
  parser.on('opentag', (tag: SaxesTagPlain) => {
    if (attributeCount > LIMITS.xmlAttributes) throw new ReadError('bomb', place);
    if (open.length >= LIMITS.xmlDepth) throw new ReadError('too-deep', place);
    attributeCount = 0;
    const name = usual ? tag.name : canonical(tag.name);
    open.push(name);
    handler.open(name, usual ? tag.attributes : renamed(tag.attributes));
  });
  parser.on('closetag', () => {
    const name = open.pop()!;
    handler.close?.(name);
  });
  if (handler.text !== undefined) parser.on('text', (text) => handler.text!(text));
  if (handler.text !== undefined) parser.on('cdata', (text) => handler.text!(text));
  return parser;
}
