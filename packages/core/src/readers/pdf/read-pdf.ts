/** Reads PDF with a text layer: bytes to document. What elements of a tagged file say comes first; else what its pages look like. */
import { decodeText, ReadError, Report } from '../../base/index.ts';
import { dropForbidden } from '../../container/index.ts';
import { CodeLines } from '../code-lines.ts';
import { PictureStore } from '../picture-store.ts';
import { BlockList, readResult, type Draft, type ReadOptions, type ReadResult } from '../read-result.ts';
import { each } from '../account.ts';
import type { Placed } from './paragraphs.ts';
import type { PdfPage } from './page.ts';
import { PdfSource } from './pdf-pages.ts';
import { seenBlocks } from './seen.ts';
import { structureOf } from './structure-tree.ts';
import { isTagged, taggedBlocks, type TaggedPage } from './tagged.ts';
import { pdfDate } from '../file-properties.ts';

/** @throws ReadError `encrypted`, `bad-pdf`, `no-text`. */
export async function readPdf(bytes: Uint8Array, options: ReadOptions = {}): Promise<ReadResult> {
  const report = new Report();
  const pictures = new PictureStore(report);
  const list = new BlockList();
  const source = await PdfSource.open(bytes);
  try {
    const pages = read(source, list, pictures, report, options);
    const title = source.property('Title');
    return readResult(
      list,
      pictures.pictures,
      report,
      {
        // Exporters write the name of a file where a title should stand.
        title: title !== null && /\.\w{2,5}$|^untitled/i.test(title) ? null : title,
        author: source.property('Author'),
        language: languageOf(bytes),
        subject: source.property('Subject') ?? undefined,
        keywords: source.property('Keywords') ?? undefined,
        created: pdfDate(source.property('CreationDate')),
        modified: pdfDate(source.property('ModDate')),
      },
      each(() => pages),
    );
  } finally {
    source.close();
  }
}

/** What the file's root says of its language (§14.9.2), where that part is not compressed. */
function languageOf(bytes: Uint8Array): string | null {
  const ends = [bytes.subarray(0, LANGUAGE_WITHIN), bytes.subarray(-LANGUAGE_WITHIN)];
  for (const end of ends) {
    const found = /\/Lang\s*\(([A-Za-z-]{2,20})\)/.exec(decodeText(end, 'windows-1252'));
    if (found !== null) return found[1]!;
  }
  return null;
}
const LANGUAGE_WITHIN = 64 * 1024;

/** @returns The text of each page, as the file has it. */
function read(
  source: PdfSource,
  list: BlockList,
  pictures: PictureStore,
  report: Report,
  options: ReadOptions,
): readonly string[] {
  const pages: TaggedPage[] = [];
  for (let number = 1; number <= source.pageCount; number++) {
    const { page, structure } = pageOf(source, number, report);
    if (page.turned.trim() !== '') report.add('text-turned', { page: number }, { text: page.turned });
    const drawn = page.pictures.map((picture, i): Placed => {
      const place = { page: number };
      const id = pictures.take(`picture ${i + 1} of page ${number}`, () => picture.bytes, place);
      const draft: Draft = { kind: 'picture', alt: null, place, ...(id === undefined ? {} : { picture: id }) };
      return { draft, page: number, y: picture.y };
    });
    pages.push({ page: { ...page, pictures: [] }, structure, pictures: drawn });
    options.progress?.(number / source.pageCount);
  }
  if (pages.every(({ page }) => page.items.length === 0)) throw new ReadError('no-text');
  const drafts = isTagged(pages) ? taggedBlocks(pages, report) : seenBlocks(pages, source.bookmarks, report);
  const code = new CodeLines((draft) => list.add(draft));
  for (const draft of drafts) code.add('runs' in draft ? { ...draft, runs: clean(draft.runs) } : draft);
  code.flush();
  return pages.map(({ page }) => page.source);
}

function pageOf(source: PdfSource, number: number, report: Report): Pick<TaggedPage, 'structure'> & { page: PdfPage } {
  try {
    return source.page(number, (page, at, pdfium) => ({ page, structure: structureOf(pdfium, at) }));
  } catch (error) {
    report.add('page-not-read', { page: number }, { page: number, reason: (error as Error).message });
    const page = { number, width: 0, height: 0, items: [], pictures: [], turned: '', source: '' };
    return { page, structure: [] };
  }
}

const clean = <R extends { readonly text: string }>(runs: readonly R[]): readonly R[] =>
  runs.map((run) => ({ ...run, text: dropForbidden(run.text) })).filter(({ text }) => text !== '');
