/** Makes blocks of pages by what they look like: columns, lines, paragraphs, tables, heads and feet, notes, bookmarks. */
import { mostCommon, type Report } from '../../base/index.ts';
import { plain, runsText } from '../../content/index.ts';
import type { Draft } from '../read-result.ts';
import { markBookmarks } from './bookmarks.ts';
import { footNotes } from './foot-notes.ts';
import { linesOf, type Line } from './lines.ts';
import { isMono, paragraphsOf, type Placed } from './paragraphs.ts';
import type { Bookmark } from './page.ts';
import { runningHeads } from './running-heads.ts';
import { wordsOf } from './runs.ts';
import type { TaggedPage } from './tagged.ts';

export function seenBlocks(
  source: readonly TaggedPage[],
  bookmarks: readonly Bookmark[],
  report: Report,
): Iterable<Draft> {
  const pages = source.map(({ page }) => ({ number: page.number, height: page.height, lines: linesOf(page) }));
  const aside = source.flatMap(({ pictures }) => pictures);
  const all = pages.flatMap((page) => page.lines);
  const heads = runningHeads(pages, commonSize(all));
  const bodySize = commonSize(all.filter((line) => !heads.has(line)));
  const words = wordsOf(all);
  const lines = pages.flatMap((page) => {
    const text = page.lines.filter((line) => !heads.has(line));
    const found = footNotes(text, page.height, { bodySize, words, report });
    aside.push(...found.notes);
    return found.lines;
  });
  for (const [line, left] of heads) aside.push({ page: line.page, y: line.y, draft: { ...textOf(line), left } });
  const mono = lines.filter(isMono).length > lines.length * MOSTLY;
  const placed = paragraphsOf(lines, { bodySize, words, mono }, report);
  return withAsides(markTitle(markBookmarks(placed, bookmarks), bodySize), aside);
}

/** Share of lines in type of one width from which on the whole text is set so. */
const MOSTLY = 0.85;

/** The size in which most characters are set. */
const commonSize = (lines: readonly Line[]): number =>
  mostCommon(
    lines,
    ({ size }) => Math.round(size * 2) / 2,
    ({ text }) => text.length,
  ) ?? 12;

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

const textOf = (line: Line): Draft => ({ kind: 'paragraph', runs: plain(line.text), place: { page: line.page } });

/** Puts pictures, and what is left out, before the first paragraph of their page that stands below them. */
function* withAsides(placed: readonly Placed[], aside: readonly Placed[]): Generator<Draft> {
  const waiting = [...aside].sort((a, b) => a.page - b.page || b.y - a.y);
  let next = 0;
  for (const { draft, page, y } of placed) {
    for (; next < waiting.length; next++) {
      const one = waiting[next]!;
      if (one.page > page || (one.page === page && one.y <= y)) break;
      yield one.draft;
    }
    yield draft;
  }
  for (const { draft } of waiting.slice(next)) yield draft;
}
