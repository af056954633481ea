/** Finds what stands on page after page at the same place: running headers, running footers and page numbers. */
import { groupBy, type Report } from '../../base/index.ts';
import type { Line } from './lines.ts';

export interface PageLines {
  readonly number: number;
  readonly height: number;
  readonly lines: readonly Line[];
}

const EDGE = 3; // lines from the top and the foot
const BAND = 0.14; // of the height
const SHARE = 0.35; // of the pages
const LEAST_PAGES = 3;

/** @returns The pages without them; what was taken away is told once for each text. */
export function withoutRunningHeads(pages: readonly PageLines[], report: Report): readonly PageLines[] {
  const seen = new Map<string, { count: number; text: string }>();
  for (const page of pages)
    for (const line of edges(page)) {
      const key = keyOf(line, page);
      const known = seen.get(key);
      if (known === undefined) seen.set(key, { count: 1, text: line.text });
      else known.count++;
    }
  const least = Math.max(Math.min(LEAST_PAGES, pages.length), 2, pages.length * SHARE);
  // Rows of numbers alone are rows of a table.
  const running = new Set(
    [...seen].filter(([, { count, text }]) => count >= least && /\p{L}/u.test(text)).map(([key]) => key),
  );
  const counted = countedHeads(pages, least);
  const told = new Set<string>();
  return pages.map((page) => {
    const gone = new Set(
      edges(page).filter((line) => running.has(keyOf(line, page)) || counted.has(line) || isLoneNumber(line, page)),
    );
    if (gone.size === 0) return page;
    for (const line of gone) {
      const key = keyOf(line, page);
      if (told.has(key)) continue;
      told.add(key);
      if (!/\p{L}/u.test(line.text)) {
        report.add('page-numbers-left', {});
        continue;
      }
      const text = line.text.slice(0, 80);
      const on = seen.get(key)!.count;
      if (on === 1) report.add('running-head-once-left', { page: page.number }, { text });
      else report.add('running-head-left', { page: page.number }, { text, pages: on });
    }
    return { ...page, lines: page.lines.filter((line) => !gone.has(line)) };
  });
}

function edges({ lines, height }: PageLines): readonly Line[] {
  const sorted = [...lines].sort((a, b) => b.y - a.y);
  return [...new Set([...sorted.slice(0, EDGE), ...sorted.slice(-EDGE)])].filter(
    (line) => line.y > height * (1 - BAND) || line.y < height * BAND,
  );
}

/** Heads that change with the chapter still count the pages: at one height, each with the number that its page would have. */
function countedHeads(pages: readonly PageLines[], least: number): ReadonlySet<Line> {
  const numbered = pages.flatMap((page) =>
    edges(page).flatMap((line) => {
      const number = /^(\d{1,4})\s|\s(\d{1,4})$/.exec(line.text);
      const offset = Number(number?.[1] ?? number?.[2]) - page.number;
      return number === null ? [] : [{ line, key: `${Math.round((line.y / page.height) * 50)} ${offset}` }];
    }),
  );
  const groups = groupBy(numbered, ({ key }) => key);
  return new Set(
    [...groups.values()].filter((lines) => lines.length >= least).flatMap((lines) => lines.map(({ line }) => line)),
  );
}

/** Numbers change from page to page; left and right pages mirror each other. */
const keyOf = (line: Line, { height }: PageLines): string =>
  `${Math.round((line.y / height) * 50)} ${line.text.replace(/\b\d+\b/g, '#').replace(/\b[ivxlc]{1,6}\b/gi, '#')}`;

const isLoneNumber = (line: Line, { number }: PageLines): boolean => {
  const text = /^(?:[-–—]\s*)?(?:page\s+)?(\d{1,4})(?:\s*[-–—])?$/i.exec(line.text)?.[1];
  if (/^[ivxlc]{1,6}$/.test(line.text)) return true;
  return text !== undefined && Math.abs(Number(text) - number) <= 30;
};
