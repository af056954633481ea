/** Reads DOCX (ECMA-376-1 §17, ISO/IEC 29500 transitional and strict): bytes to document. */
import { Report } from '../../base/index.ts';
import {
  readXmlPart,
  type ZipReader,
  mainPart,
  openZip,
  readRelationships,
  relatedPart,
  type Relationships,
} from '../../container/index.ts';
import { trimRuns, type Run, type Runs } from '../../content/index.ts';
import { CodeLines } from '../code-lines.ts';
import { PictureStore } from '../picture-store.ts';
import { PlaceNames } from '../place-names.ts';
import { BlockList, readResult, type Draft, type ReadOptions, type ReadResult } from '../read-result.ts';
import type { DocxContext } from './context.ts';
import { docxText } from './source-text.ts';
import { FlowReader } from './flow-reader.ts';
import { Numbering } from './numbering.ts';
import { Styles } from './styles.ts';
import { packageProperties } from '../package-properties.ts';

/** @throws ReadError when the package cannot be used; what is merely missing in it is reported. */
export function readDocx(bytes: Uint8Array, options: ReadOptions = {}): ReadResult {
  const zip = openZip(bytes);
  const part = mainPart(zip, 'wordprocessingml');
  const relationships = readRelationships(zip, part);
  const report = new Report();
  const notes = new Map<string, Runs>();
  const context: DocxContext = {
    zip,
    styles: Styles.read(zip, relatedPart(zip, relationships, 'styles')),
    numbering: Numbering.read(zip, relatedPart(zip, relationships, 'numbering')),
    pictures: new PictureStore(report),
    report,
    names: new PlaceNames(),
    notes,
    comments: readComments(zip, relatedPart(zip, relationships, 'comments')),
  };
  for (const type of ['footnote', 'endnote'] as const) {
    const notesPart = relatedPart(zip, relationships, `${type}s`);
    if (notesPart !== undefined) readNotes(context, notesPart, type, notes);
  }

  const list = new BlockList();
  const code = new CodeLines((draft) => list.add(draft));
  const reader = new FlowReader({ ...context, part, relationships }, (draft) => code.add(context.names.on(draft)));
  const size = Math.max(1, zip.packedSize(part));
  readXmlPart(zip, part, reader, (used) => options.progress?.(used / size));
  reader.finish();
  code.flush();
  reportHeaders(zip, relationships, report);
  const properties = { language: context.styles.usual ?? null, ...packageProperties(zip) };
  return readResult(list, context.pictures.pictures, report, properties, (take) => docxText(bytes, take));
}

function readNotes(context: DocxContext, part: string, type: 'footnote' | 'endnote', notes: Map<string, Runs>): void {
  let drafts: Draft[] = [];
  let id: string | undefined;
  const reader = new FlowReader({ ...context, part, relationships: readRelationships(context.zip, part) }, (draft) =>
    drafts.push(draft),
  );
  readXmlPart(context.zip, part, {
    open(name, a) {
      if (name === `w:${type}`) {
        drafts = [];
        // Separators are notes in form only (§17.11.23).
        id = a['w:type'] === undefined || a['w:type'] === 'normal' ? a['w:id'] : undefined;
      }
      reader.open(name, a);
    },
    close(name) {
      reader.close(name);
      if (name === `w:${type}` && id !== undefined) notes.set(`${type} ${id}`, joinedRuns(drafts));
    },
    text: (text) => reader.text(text),
  });
}

function joinedRuns(drafts: readonly Draft[]): Runs {
  const runs: Run[] = [];
  for (const draft of drafts)
    if ('runs' in draft && draft.runs.length > 0)
      runs.push(...(runs.length > 0 ? [{ text: '\n' }] : []), ...draft.runs);
  return trimRuns(runs);
}

/** What each comment says (§17.13.4.2), as plain text. */
function readComments(zip: ZipReader, part: string | undefined): ReadonlyMap<string, string> {
  const comments = new Map<string, string>();
  if (part === undefined) return comments;
  let id: string | undefined;
  let inText = false;
  const add = (text: string): void => {
    if (id !== undefined) comments.set(id, (comments.get(id) ?? '') + text);
  };
  readXmlPart(zip, part, {
    open(name, a) {
      if (name === 'w:comment') id = a['w:id'];
      if (name === 'w:p' && comments.has(id ?? '')) add(' ');
      inText = name === 'w:t';
    },
    close(name) {
      if (name === 'w:comment') id = undefined;
      inText = false;
    },
    text: (text) => {
      if (inText) add(text);
    },
  });
  return comments;
}

/** Headers and footers belong to the page, not to the text; what they say is told. */
function reportHeaders(zip: ZipReader, relationships: Relationships, report: Report): void {
  for (const { type, target } of relationships.values()) {
    if ((type !== 'header' && type !== 'footer') || !zip.has(target)) continue;
    let text = '';
    let inText = false;
    readXmlPart(zip, target, {
      open: (name) => (inText = name === 'w:t'),
      close: () => (inText = false),
      text: (piece) => {
        if (inText) text += piece;
      },
    });
    if (text.trim() !== '') report.add(type === 'header' ? 'header-left' : 'footer-left', { part: target }, { text });
  }
}
