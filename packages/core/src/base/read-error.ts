/** The one error of readers: a document that cannot be used, with a code, a place and a sentence. */
import { LIMITS, megabytes } from './limits.ts';
import type { SourcePlace } from './report.ts';

export type ReadErrorCode =
  | 'empty'
  | 'too-large'
  | 'not-a-zip'
  | 'truncated'
  | 'encrypted'
  | 'old-binary'
  | 'wrong-type'
  | 'unknown-type'
  | 'spreadsheet'
  | 'other-xml'
  | 'damaged'
  | 'too-deep'
  | 'part-missing'
  | 'bad-pdf'
  | 'no-text'
  | 'no-slides'
  | 'bad-xml'
  | 'doctype'
  | 'bomb'
  | 'too-many-blocks';

/** Every sentence in one place. */
const MESSAGES: Readonly<Record<ReadErrorCode, string>> = {
  empty: 'The file is empty. Choose a file that has text in it.',
  'too-large': `The file is larger than the limit of ${megabytes(LIMITS.fileBytes)}. Make its pictures smaller, or bring it in in parts.`,
  'not-a-zip':
    'The file says by its name that it is a document or a presentation, but its content is not. Save it again with the program that made it.',
  truncated: 'The file ends too early, as if a copy or a download had been cut off. Fetch it again.',
  encrypted: 'The file is protected by a password. Save a copy without a password and bring in that.',
  'old-binary': 'The file is in an old binary format. Save it as DOCX and bring in that.',
  'wrong-type': 'The file is a package of another kind, neither a document nor a presentation.',
  'unknown-type':
    'This kind of file cannot be read. DOCX, ODT, RTF, PDF, Markdown, HTML, OPML, plain text, PPTX and ODP can.',
  spreadsheet: 'The file is a spreadsheet. Copy its tables into a document, or paste them.',
  'other-xml':
    'The file is XML, but neither a web page nor an outline (OPML). Export it as HTML, DOCX or Markdown with the program that made it.',
  damaged:
    'A part of the file is damaged and cannot be unpacked, as after a faulty copy. Fetch it again, or save it anew with the program that made it.',
  'too-deep': `Parts of the file are nested over ${LIMITS.xmlDepth} deep, one within the other, which no page can show. Save it anew with the program that made it.`,
  'part-missing': 'A part that every document needs is not in the file. Save it again with the program that made it.',
  'bad-pdf': 'The PDF is damaged and cannot be read. Fetch or export it again.',
  'no-text':
    'The PDF holds pictures of pages and no text. Recognise its text with a scanning program first, or bring in the original.',
  'no-slides': 'The presentation has no slides. As a template it can be chosen in the look of a deck.',
  'bad-xml': 'A part of the file is not well-formed XML. Save it again with the program that made it.',
  doctype:
    'A part of the file declares a document type, which no document needs and which can be harmful. It was not read.',
  bomb: `The file unpacks to more than can be right: over ${megabytes(LIMITS.partBytes)} in a part, ${megabytes(LIMITS.archiveBytes)} in all, ${LIMITS.zipRatio} times its packed size, or ${LIMITS.zipEntries} entries.`,
  'too-many-blocks': `The document has more than ${LIMITS.blocks} paragraphs. Bring it in in parts.`,
};

export class ReadError extends Error {
  readonly code: ReadErrorCode;
  readonly place: SourcePlace;

  constructor(code: ReadErrorCode, place: SourcePlace = {}, options?: ErrorOptions) {
    super(MESSAGES[code], options);
    this.name = 'ReadError';
    this.code = code;
    this.place = place;
  }
}
