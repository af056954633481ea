/** Reads PDF with a text layer: bytes to document. Headings come of the file's own bookmarks; others are found by their look later. */
import { mostCommon, ReadError, Report } from '../../base/index.ts';
import { runsText } from '../../content/index.ts';
import { dropForbidden } from '../../container/index.ts';
import type { Level } from '../../document/index.ts';
import { CodeLines } from '../code-lines.ts';
import { PictureStore } from '../picture-store.ts';
import { BlockList, readResult, type Draft, type ReadOptions, type ReadResult } from '../read-result.ts';
import { linesOf, type Line } from './lines.ts';
import { isMono, paragraphsOf, type Placed } from './paragraphs.ts';
import { openPdf, type Bookmark, type PagePicture, type PdfSource } from './pdf-pages.ts';
import { withoutRunningHeads, type PageLines } from './running-heads.ts';
import { wordsOf } from './runs.ts';

/** @throws ReadError `encrypted`, `bad-pdf`, `no-text`. */
export async function readPdf(bytes: Uint8Array, options: ReadOptions = {}): Promise<ReadResult> {
  const report = new Report();
  const pictures = new PictureStore(report);
  const list = new BlockList();
  const source = await openPdf(bytes, options.pdfAssets, report);
  try {
    await read(source, list, pictures, report, options);
    const { title, author, language } = source;
    // Exporters write the name of a file where a title should stand.
    return readResult(list, pictures.pictures, report, {
      title: title !== null && /\.\w{2,5}$|^untitled/i.test(title) ? null : title,
      author,
      language,
    });
  } finally {
    await source.close();
  }
}

async function read(
  source: PdfSource,
  list: BlockList,
  pictures: PictureStore,
  report: Report,
  options: ReadOptions,
): Promise<void> {
  const pages: PageLines[] = [];
  const drawn: { readonly page: number; readonly picture: PagePicture; readonly draft: Draft }[] = [];
  for (let number = 1; number <= source.pageCount; number++) {
    const page = await source.page(number);
    pages.push({ number, height: page.height, lines: linesOf(page) });
    for (const picture of page.pictures) {
      const place = { page: number };
      const id = pictures.take(`${picture.name} of page ${number}`, picture.png, place);
      drawn.push({
        page: number,
        picture,
        draft: { kind: 'picture', alt: null, place, ...(id === undefined ? {} : { picture: id }) },
      });
    }
    options.progress?.(number / source.pageCount);
  }
  if (pages.every(({ lines }) => lines.length === 0)) throw new ReadError('no-text');
  const lines = withoutRunningHeads(pages, report).flatMap((page) => page.lines);
  const bodySize = commonSize(lines);
  const mono = lines.filter(isMono).length > lines.length * MOSTLY;
  const placed = paragraphsOf(lines, { bodySize, words: wordsOf(lines), mono });
  const marked = markTitle(markBookmarks(placed, source.bookmarks), bodySize);
  const code = new CodeLines((draft) => list.add(draft));
  for (const draft of withPictures(marked, drawn))
    code.add('runs' in draft ? { ...draft, runs: clean(draft.runs) } : draft);
  code.flush();
}

/** Share of lines in type of one width from which on the whole text is set so. */
const MOSTLY = 0.85;

const clean = <R extends { readonly text: string }>(runs: readonly R[]): readonly R[] =>
  runs.map((run) => ({ ...run, text: dropForbidden(run.text) })).filter(({ text }) => text !== '');

/** The size in which most characters are set. */
const commonSize = (lines: readonly Line[]): number =>
  mostCommon(
    lines,
    ({ size }) => Math.round(size * 2) / 2,
    ({ text }) => text.length,
  ) ?? 12;

const bare = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '');

/** A paragraph that a bookmark names is a heading of the bookmark's depth; bookmarks come in the order of the text. */
function markBookmarks(placed: readonly Placed[], bookmarks: readonly Bookmark[]): readonly Placed[] {
  if (bookmarks.length === 0) return placed;
  const result = [...placed];
  let from = 0;
  for (const { title, depth } of bookmarks) {
    const wanted = bare(title);
    if (wanted === '') continue;
    const at = result.findIndex(({ draft }, i) => {
      if (i < from || !('runs' in draft)) return false;
      const text = runsText(draft.runs);
      return text.length <= title.length * 2 + 12 && text.length < 300 && matches(bare(text), wanted);
    });
    if (at < 0) continue;
    const { draft } = result[at]!;
    if ('runs' in draft) {
      const mark = draft.kind === 'listItem' && draft.ordered ? [{ text: `${draft.number ?? 1}. ` }] : [];
      result[at] = {
        ...result[at]!,
        draft: {
          kind: 'heading',
          level: Math.min(depth, 6) as Level,
          runs: [...mark, ...draft.runs],
          place: draft.place,
        },
      };
    }
    from = at + 1;
  }
  return result;
}

const TITLE_SIZE = 1.4; // of the text's

/** The largest line of the first page, before the first heading, is the title, where bookmarks mark the headings. */
function markTitle(placed: readonly Placed[], bodySize: number): readonly Placed[] {
  const first = placed.findIndex(({ draft }) => draft.kind === 'heading');
  const sizeOf = ({ draft, page }: Placed): number =>
    page === 1 && draft.kind === 'paragraph' && runsText(draft.runs).length < 150 ? (draft.look?.size ?? 0) : 0;
  const before = placed.slice(0, Math.max(0, first));
  const largest = Math.max(0, ...before.map(sizeOf));
  if (largest < bodySize * TITLE_SIZE) return placed;
  const at = before.findIndex((one) => sizeOf(one) === largest);
  return placed.map((one, i) =>
    i === at && one.draft.kind === 'paragraph' ? { ...one, draft: { ...one.draft, role: 'title' } } : one,
  );
}

const matches = (text: string, wanted: string): boolean =>
  text === wanted ||
  (text.endsWith(wanted) && /^[\divx]+$/.test(text.slice(0, -wanted.length))) ||
  (wanted.endsWith(text) && text.length > 3 && /^[\divx]+$/.test(wanted.slice(0, -text.length)));

/** Puts pictures before the first paragraph of their page that stands below them. */
function* withPictures(
  placed: readonly Placed[],
  drawn: readonly { readonly page: number; readonly picture: PagePicture; readonly draft: Draft }[],
): Generator<Draft> {
  const waiting = [...drawn].sort((a, b) => a.page - b.page || b.picture.y - a.picture.y);
  for (const { draft, page, y } of placed) {
    while (waiting.length > 0 && (waiting[0]!.page < page || (waiting[0]!.page === page && waiting[0]!.picture.y > y)))
      yield waiting.shift()!.draft;
    yield draft;
  }
  for (const { draft } of waiting) yield draft;
}
