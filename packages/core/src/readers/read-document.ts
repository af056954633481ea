/** Reads a file of any kind that has a reader. */
import { LIMITS, ReadError } from '../base/index.ts';
import type { DocumentType } from './detect-type.ts';
import { readDocx } from './docx/index.ts';
import { readHtml } from './html/index.ts';
import { readMarkdown } from './markdown/index.ts';
import { readOdp } from './odp/index.ts';
import { readOdt } from './odt/index.ts';
import { readOpml } from './opml/index.ts';
import { readPptx } from './pptx/index.ts';
import type { ReadOptions, ReadResult } from './read-result.ts';
import { readRtf } from './rtf/index.ts';
import { readText } from './text/index.ts';

/** Raised whenever a reader gives other blocks for the same bytes, so that caches are filled anew. */
export const READER_VERSION = 10;

/** @throws ReadError when the document cannot be used. */
export async function readDocument(
  bytes: Uint8Array,
  type: DocumentType,
  options: ReadOptions = {},
): Promise<ReadResult> {
  if (bytes.length > LIMITS.fileBytes) throw new ReadError('too-large');
  if (bytes.length === 0) throw new ReadError('empty');
  switch (type) {
    case 'docx':
      return readDocx(bytes, options);
    case 'odt':
      return readOdt(bytes, options);
    case 'rtf':
      return readRtf(bytes, options);
    case 'pdf': {
      // Only who brings in a PDF needs what reads it.
      const { readPdf } = await import('./pdf/index.ts');
      return readPdf(bytes, options);
    }
    case 'html':
      return readHtml(bytes);
    case 'opml':
      return readOpml(bytes);
    case 'text':
      return readText(bytes);
    case 'pptx':
      return readPptx(bytes, options);
    case 'odp':
      return readOdp(bytes, options);
    case 'markdown':
      return readMarkdown(bytes, options);
  }
}
