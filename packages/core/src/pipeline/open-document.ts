/** Reads a file and marks the headings that its format cannot mark. */
import { readDocument, type DocumentType, type ReadOptions, type ReadResult } from '../readers/index.ts';
import { impliedHeadings, restructure } from '../structure/index.ts';

/** Formats that know no headings, or only some by accident. */
const UNMARKED: ReadonlySet<DocumentType> = new Set(['pdf', 'text']);

/** @throws ReadError when the document cannot be used. */
export async function openDocument(
  bytes: Uint8Array,
  type: DocumentType,
  options: ReadOptions = {},
): Promise<ReadResult> {
  const result = await readDocument(bytes, type, options);
  if (!UNMARKED.has(type)) return result;
  return { ...result, document: restructure(result.document, impliedHeadings(result.document)).document };
}
