/** Finds the footnotes of a page: small lines at its foot that begin with a number which the text above refers to. */
import { runsText, sliceRuns, trimRuns } from '../../content/index.ts';
import type { Report } from '../../base/index.ts';
import type { Item } from './page.ts';
import { isRaised, type Line } from './lines.ts';
import type { Placed } from './paragraphs.ts';
import { joinLines } from './runs.ts';

const SMALLER = 0.93; // of the text's size
const LOWER = 0.6; // of the page's height
const LABEL = /^[[(]?(\d{1,3}|[*†‡§])[\])]?\s*(?=\S)/u;

export interface FootNotes {
  /** The page's lines without them. */
  readonly lines: readonly Line[];
  /** Each with the height of what refers to it. */
  readonly notes: readonly Placed[];
}

/** @param lines Of one page, in reading order. */
export function footNotes(
  lines: readonly Line[],
  height: number,
  { bodySize, words, report }: { bodySize: number; words: ReadonlySet<string>; report: Report },
): FootNotes {
  const none = { lines, notes: [] };
  const small = (line: Line): boolean => line.size <= bodySize * SMALLER && line.y < height * LOWER;
  const references = referencesIn(lines, small);
  if (references.size === 0) return none;
  const groups: { readonly label: string; readonly lines: Line[] }[] = [];
  const taken = new Set<Line>();
  for (const line of lines) {
    const label = small(line) ? LABEL.exec(line.text)?.[1] : undefined;
    const before = groups.at(-1);
    if (label !== undefined && references.has(label) && !groups.some((group) => group.label === label)) {
      groups.push({ label, lines: [line] });
      taken.add(line);
    } else if (before !== undefined && small(line) && follows(before.lines.at(-1)!, line)) {
      before.lines.push(line);
      taken.add(line);
    }
  }
  if (groups.length === 0) return none;
  const told = new Map(groups.map(({ label }) => [label, references.get(label)!]));
  for (const { text } of told.values()) report.mark(text);
  const gone = new Set([...told.values()].map(({ item }) => item));
  return {
    lines: lines.filter((line) => !taken.has(line)).map((line) => without(line, gone)),
    notes: groups.map(({ label, lines: own }): Placed => {
      const runs = joinLines(own, words, false);
      const text = runsText(runs);
      const cut = LABEL.exec(text)![0].length;
      report.mark(label);
      const { page } = own[0]!;
      return {
        draft: { kind: 'footnote', label, runs: trimRuns(sliceRuns(runs, cut, text.length)), place: { page } },
        page,
        y: references.get(label)!.y,
      };
    }),
  };
}

const follows = (before: Line, line: Line): boolean =>
  line.page === before.page &&
  line.y < before.y &&
  before.y - line.y < before.size * 2 &&
  line.size <= before.size * 1.05;

interface Reference {
  readonly item: Item;
  readonly text: string;
  readonly y: number;
}

/** Small raised numbers and signs behind a word. */
function referencesIn(lines: readonly Line[], small: (line: Line) => boolean): ReadonlyMap<string, Reference> {
  const found = new Map<string, Reference>();
  for (const line of lines) {
    if (small(line)) continue;
    for (const { items } of line.segments)
      items.forEach((item, i) => {
        const text = item.text.trim();
        const label = /^[[(]?(\d{1,3}|[*†‡§])[\])]?$/u.exec(text)?.[1];
        if (label === undefined || i === 0 || !isRaised(item, line) || found.has(label)) return;
        found.set(label, { item, text, y: line.y });
      });
  }
  return found;
}

function without(line: Line, gone: ReadonlySet<Item>): Line {
  if (!line.segments.some(({ items }) => items.some((item) => gone.has(item)))) return line;
  const segments = line.segments.map((segment) => {
    const items = segment.items.filter((item) => !gone.has(item));
    return { ...segment, items, text: items.map(({ text }) => text).join('') };
  });
  return { ...line, segments, text: segments.map(({ text }) => text).join(' ') };
}
