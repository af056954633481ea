/** The text that the slides of a PPTX hold, with their notes and diagrams. */
import { decodeText, getOrMake, ReadError } from '../../base/index.ts';
import { mainPart, openZip, readRelationships, type ZipReader } from '../../container/index.ts';
import { decodeEntities, prefixOf } from '../xml-source.ts';

const DRAWING =
  /http:\/\/schemas\.openxmlformats\.org\/drawingml\/2006\/main|http:\/\/purl\.oclc\.org\/ooxml\/drawingml\/main/;
const MATH =
  /http:\/\/schemas\.openxmlformats\.org\/officeDocument\/2006\/math|http:\/\/purl\.oclc\.org\/ooxml\/officeDocument\/math/;
const COMPATIBILITY = /http:\/\/schemas\.openxmlformats\.org\/markup-compatibility\/2006/;

/** @param read The package as the reader has it: its parts are found there, and unpacked anew. */
export function pptxText(bytes: Uint8Array, take: (piece: string) => void, read = openZip(bytes)): void {
  const zip = openZip(bytes);
  const main = mainPart(read, 'presentationml');
  const listed = new Set(
    [...decodeText(zip.read(main)).matchAll(/<[\w.-]*:?sldId\b[^>]*?:id\s*=\s*["']([^"']+)/g)].map(([, id]) => id),
  );
  for (const [id, { type, target }] of readRelationships(read, main)) {
    if (type !== 'slide' || !listed.has(id) || !zip.has(target)) continue;
    const parts = [target];
    for (const rel of readRelationships(read, target).values())
      if ((rel.type === 'notesSlide' || rel.type === 'diagramData') && zip.has(rel.target)) parts.push(rel.target);
    for (const part of parts) {
      const xml = textOf(zip, part);
      takeText(xml, take);
    }
  }
}

/** A part that cannot be unpacked was told by the reader. */
function textOf(zip: ZipReader, part: string): string {
  try {
    return decodeText(zip.read(part));
  } catch (error) {
    if (error instanceof ReadError) return '';
    throw error;
  }
}

const PATTERNS = new Map<string, RegExp>();

/** Texts of a part; of alternate contents the first alone, since a fallback says the same once more. */
function takeText(xml: string, take: (piece: string) => void): void {
  const prefixes = [prefixOf(xml, DRAWING, 'a'), prefixOf(xml, MATH, 'm'), prefixOf(xml, COMPATIBILITY, 'mc')];
  const pattern = getOrMake(PATTERNS, prefixes.join(' '), () => {
    const [a, m, mc] = prefixes;
    // Attributes of these elements hold no `>` in any file that a program wrote.
    return new RegExp(
      `<(?:(?:${a}|${m})t(?:\\s[^>]*)?>([^<]*)|(/?)${mc}Fallback(?=[\\s/>])[^>]*|/?${a}(?:p|br|tab)(?=[\\s/>]))`,
      'g',
    );
  });
  let fallbacks = 0;
  let piece = '';
  const end = (): void => {
    if (piece !== '') take(piece);
    piece = '';
  };
  for (const [all, text, closes] of xml.matchAll(pattern))
    if (text !== undefined) {
      if (fallbacks === 0) piece += decodeEntities(text);
    } else if (closes === undefined) end();
    else if (closes === '/') fallbacks--;
    else if (!all.endsWith('/')) fallbacks++;
  end();
}
