/** Reads a file of any kind that has a reader; the kind is decided by content, and by name only where content cannot tell. */
import { LIMITS, ReadError } from '../base/index.ts';
import { readDocx } from './docx/index.ts';
import { readHtml } from './html/index.ts';
import { readMarkdown } from './markdown/index.ts';
import type { ReadOptions, ReadResult } from './read-result.ts';

/** Raised whenever a reader gives other blocks for the same bytes, so that caches are filled anew. */
export const READER_VERSION = 1;

export const DOCUMENT_TYPES = ['docx', 'markdown', 'html', 'text'] as const;
export type DocumentType = (typeof DOCUMENT_TYPES)[number];

const ENDINGS: Readonly<Record<string, DocumentType>> = {
  docx: 'docx',
  docm: 'docx',
  dotx: 'docx',
  md: 'markdown',
  markdown: 'markdown',
  mdown: 'markdown',
  html: 'html',
  htm: 'html',
  txt: 'text',
  text: 'text',
};

/** @returns undefined when the ending says nothing. */
export const typeOfName = (name: string): DocumentType | undefined =>
  ENDINGS[/\.([a-z0-9]+)$/i.exec(name)?.[1]?.toLowerCase() ?? ''];

/** The type of a file. @throws ReadError `empty`, `unknown-type`. */
export function detectType(bytes: Uint8Array, name: string): DocumentType {
  if (bytes.length === 0) throw new ReadError('empty');
  const [a, b, c, d] = bytes;
  if ((a === 0x50 && b === 0x4b) || (a === 0xd0 && b === 0xcf && c === 0x11 && d === 0xe0)) return 'docx';
  const named = typeOfName(name);
  if (named === 'docx') throw new ReadError('not-a-zip');
  const start = bytes.subarray(0, 4096);
  const utf16 = (a === 0xff && b === 0xfe) || (a === 0xfe && b === 0xff);
  if (!utf16 && start.includes(0)) throw new ReadError('unknown-type');
  const text = String.fromCharCode(...start.subarray(0, 512)).trimStart();
  if (/^(%PDF-|\{\\rtf|\u0089PNG|GIF8|\u00ff\u00d8\u00ff)/.test(text)) throw new ReadError('unknown-type');
  if (named !== undefined) return named;
  if (/^<(!doctype html|html|head|body|!--startfragment)/i.test(text)) return 'html';
  return 'markdown';
}

/** @throws ReadError when the document cannot be used. */
export function readDocument(bytes: Uint8Array, type: DocumentType, options: ReadOptions = {}): ReadResult {
  if (bytes.length > LIMITS.fileBytes) throw new ReadError('too-large');
  if (bytes.length === 0) throw new ReadError('empty');
  switch (type) {
    case 'docx':
      return readDocx(bytes, options);
    case 'html':
      return readHtml(bytes);
    // Plain text is Markdown with few marks until it has a reader of its own.
    case 'text':
    case 'markdown':
      return readMarkdown(bytes, options);
  }
}
