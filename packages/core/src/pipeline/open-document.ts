/** Reads a file, marks the headings that its format cannot mark, and leaves out its tables of contents. */
import { readDocument, type DocumentType, type ReadOptions, type ReadResult } from '../readers/index.ts';
import { impliedHeadings, leaveContents, restructure } from '../structure/index.ts';

/** Formats that know no headings, or only some by accident. */
const UNMARKED: ReadonlySet<DocumentType> = new Set(['pdf', 'text']);

/** @throws ReadError when the document cannot be used. */
export async function openDocument(
  bytes: Uint8Array,
  type: DocumentType,
  options: ReadOptions = {},
): Promise<ReadResult> {
  const result = await readDocument(bytes, type, options);
  // Lines that lead to pages are no headings; lines that repeat headings are seen once these are known.
  const document = leaveContents(result.document);
  if (!UNMARKED.has(type)) return { ...result, document };
  return { ...result, document: leaveContents(restructure(document, impliedHeadings(document)).document) };
}
