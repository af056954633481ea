/** Decides what kind of document a file is: by its content; its name only says what plain text is meant as. */
import { decodeText, isWide, ReadError } from '../base/index.ts';
import { mainPart, ZipReader } from '../container/index.ts';
import { looksLikeMarkdown } from './text/index.ts';

export const DOCUMENT_TYPES = ['docx', 'odt', 'rtf', 'pdf', 'markdown', 'html', 'opml', 'text', 'pptx', 'odp'] as const;
export type DocumentType = (typeof DOCUMENT_TYPES)[number];

/** Endings of the files that can be read, as choosers and folders know them; what a file is, its content tells. */
export const DOCUMENT_ENDINGS = [
  ...(['docx', 'docm', 'dotx', 'odt', 'ott', 'rtf', 'pdf', 'md', 'markdown', 'html', 'htm', 'opml', 'txt'] as const),
  ...(['pptx', 'pptm', 'ppsx', 'ppsm', 'potx', 'potm', 'odp', 'otp'] as const),
] as const;

const ODT_TYPES = /^application\/vnd\.oasis\.opendocument\.text(-template)?$/;
const ODP_TYPES = /^application\/vnd\.oasis\.opendocument\.presentation(-template)?$/;
const PACKAGES = /\.(docx|docm|dotx|odt|ott|pptx|pptm|ppsx|ppsm|potx|potm|odp|otp)$/i;
const START = 64 * 1024;

/** @throws ReadError `empty`, `unknown-type`, `other-xml`, and for packages that are no documents `spreadsheet`, `wrong-type`. */
export function detectType(bytes: Uint8Array, name: string): DocumentType {
  if (bytes.length === 0) throw new ReadError('empty');
  const start = bytes.subarray(0, START);
  const head = String.fromCharCode(...start.subarray(0, 1024));
  if (head.startsWith('PK')) return packageType(bytes);
  // A compound file ([MS-CFB]): encrypted or old; the reader of DOCX tells which, whatever it was.
  if (head.startsWith('\u00d0\u00cf\u0011\u00e0')) return 'docx';
  if (head.startsWith('{\\rtf')) return 'rtf';
  // Readers of PDF look for the header in the first 1024 bytes (ISO 32000-1, Annex H).
  if (head.includes('%PDF-')) return 'pdf';
  if (!isWide(start) && (start.includes(0) || /^(\u0089PNG|GIF8|\u00ff\u00d8\u00ff|BM|II\*|MM\0\*)/.test(head))) {
    if (PACKAGES.test(name)) throw new ReadError('not-a-zip');
    throw new ReadError('unknown-type');
  }
  if (PACKAGES.test(name)) throw new ReadError('not-a-zip');
  return textType(decodeText(start), name);
}

function packageType(bytes: Uint8Array): DocumentType {
  const zip = new ZipReader(bytes);
  if (!zip.has('mimetype')) return isPresentation(zip) ? 'pptx' : 'docx';
  const mime = decodeText(zip.read('mimetype').subarray(0, 200)).trim();
  if (ODT_TYPES.test(mime)) return 'odt';
  if (ODP_TYPES.test(mime)) return 'odp';
  throw new ReadError(/opendocument\.spreadsheet/.test(mime) ? 'spreadsheet' : 'wrong-type', { part: 'mimetype' });
}

/** What is none of both the reader of DOCX tells. */
function isPresentation(zip: ZipReader): boolean {
  try {
    mainPart(zip, 'presentationml');
    return true;
  } catch (error) {
    if (error instanceof ReadError) return false;
    throw error;
  }
}

/** Markup without the XML declaration and the comments before it; a comment of the clipboard says something. */
function withoutProlog(text: string): string {
  let rest = text.trimStart();
  if (rest.startsWith('<?xml')) rest = rest.slice(rest.indexOf('>') + 1).trimStart();
  while (rest.startsWith('<!--') && !/^<!--startfragment/i.test(rest)) {
    const end = rest.indexOf('-->');
    if (end < 0) return rest;
    rest = rest.slice(end + 3).trimStart();
  }
  return rest;
}

function textType(text: string, name: string): DocumentType {
  const begin = withoutProlog(text).slice(0, 2000);
  const doctype = /^<!doctype\s+([\w:.-]+)[^>[]*(?:\[[^\]]*\]\s*)?>\s*/i.exec(begin);
  const root = doctype?.[1]?.toLowerCase();
  if (root === 'opml' || /^<opml\b/i.test(begin)) return 'opml';
  if (/^<(!doctype\s+html|html|head|body)\b/i.test(begin)) return 'html';
  if (/^version:[\s\S]{0,400}starthtml:/i.test(begin) || /^<!--startfragment/i.test(begin)) return 'html';
  if (/\.(html?|xhtml)$/i.test(name) && /<(p|div|h[1-6]|ul|ol|table|article|section|span|a)\b[^>]{0,500}>/i.test(text))
    return 'html';
  // Nobody writes a text that begins so; to read the markup as words would help nobody either.
  if (/^\s*<\?xml\b/.test(text) || (root !== undefined && root !== 'html')) throw new ReadError('other-xml');
  if (/\.(md|markdown|mdown|mkd)$/i.test(name) || looksLikeMarkdown(text)) return 'markdown';
  return 'text';
}
