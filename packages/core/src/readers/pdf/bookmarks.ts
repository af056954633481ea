/** Marks the headings that the bookmarks of a file name. */
import { runsText, type Runs } from '../../content/index.ts';
import { withoutDivision, type Level } from '../../document/index.ts';
import type { Placed } from './paragraphs.ts';
import type { Bookmark } from './page.ts';

const LONGEST = 300; // characters
/** Paragraphs that a title set in several lines may have become. */
const MOST_LINES = 3;

const bare = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '');

/** A paragraph that a bookmark names is a heading of the bookmark's depth; bookmarks come in the order of the text. */
export function markBookmarks(placed: readonly Placed[], bookmarks: readonly Bookmark[]): readonly Placed[] {
  if (bookmarks.length === 0) return placed;
  const result: (Placed | undefined)[] = [...placed];
  const firstOf = firstOnPages(placed);
  let from = 0;
  for (const { title, depth, page } of bookmarks) {
    const wanted = bare(title);
    if (wanted === '') continue;
    // On its page; else near it, as where the target is the text below; else anywhere behind the one before.
    const ranges = page === undefined ? [] : [[page, page + 1] as const, [page - 1, page + 2] as const];
    const found =
      ranges
        .map(([first, last]) => search(result, title, wanted, Math.max(from, firstOf(first)), firstOf(last)))
        .find((one) => one !== undefined) ?? search(result, title, wanted, from, placed.length);
    if (found === undefined) continue;
    const [at, lines] = found;
    const drafts = result
      .slice(at, at + lines)
      .flatMap((one) => (one !== undefined && 'runs' in one.draft ? [one.draft] : []));
    const [first] = drafts;
    const label = first!.kind === 'listItem' && first!.ordered ? (first!.label ?? `${first!.number ?? 1}.`) : undefined;
    const runs = drafts.flatMap((draft, i): Runs => (i === 0 ? draft.runs : [{ text: ' ' }, ...draft.runs]));
    result[at] = {
      ...result[at]!,
      draft: {
        kind: 'heading',
        level: Math.min(depth, 6) as Level,
        ...(label === undefined ? {} : { label }),
        runs,
        place: first!.place,
        ...(first!.look === undefined ? {} : { look: first!.look }),
      },
    };
    for (let i = 1; i < lines; i++) result[at + i] = undefined;
    from = at + lines;
  }
  return result.filter((one) => one !== undefined);
}

/** @returns A function from a page to where its paragraphs, or those of the next that has any, begin. */
function firstOnPages(placed: readonly Placed[]): (page: number) => number {
  return (page) => {
    let [low, high] = [0, placed.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (placed[middle]!.page < page) low = middle + 1;
      else high = middle;
    }
    return low;
  };
}

function search(
  placed: readonly (Placed | undefined)[],
  title: string,
  wanted: string,
  from: number,
  to: number,
): readonly [at: number, lines: number] | undefined {
  for (let at = from; at < to; at++) {
    let text = '';
    for (let lines = 1; lines <= MOST_LINES; lines++) {
      const draft = placed[at + lines - 1]?.draft;
      if (draft === undefined || !('runs' in draft) || draft.kind === 'heading') break;
      text += `${text === '' ? '' : ' '}${runsText(draft.runs)}`;
      if (text.length > title.length * 2 + 12 || text.length > LONGEST) break;
      if (matches(text, title, wanted)) return [at, lines];
    }
  }
  return undefined;
}

const NUMBER_ONLY = /^[\divx]+$/;

/** Either may have a number, or the name of its division, that the other has not. */
function matches(text: string, title: string, wanted: string): boolean {
  const found = bare(text);
  if (found === wanted) return true;
  if (found.endsWith(wanted) && NUMBER_ONLY.test(found.slice(0, -wanted.length))) return true;
  if (wanted.endsWith(found) && found.length > 3 && NUMBER_ONLY.test(wanted.slice(0, -found.length))) return true;
  const [plain, plainWanted] = [bare(withoutDivision(text)), bare(withoutDivision(title))];
  return plain.length > 1 && plain === plainWanted;
}
