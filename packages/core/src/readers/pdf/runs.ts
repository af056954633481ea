/** Runs of lines of a PDF: looks of the pieces, and hyphens at line ends taken back. */
import { mergeRuns, runsText, sliceRuns, type Run, type Runs } from '../../content/index.ts';
import type { Item } from './page.ts';
import { isRaised, type Line, type Segment } from './lines.ts';

/** @param plainBold The whole paragraph is bold: its look says so, its runs need not. */
export const segmentRuns = (segment: Segment, plainBold: boolean): Runs =>
  mergeRuns(segment.items.map((item) => runOf(item, segment, plainBold)));

const runOf = (item: Item, segment: Segment, plainBold: boolean): Run => ({
  text: item.text,
  ...(item.bold && !plainBold ? { bold: true } : {}),
  ...(item.italic ? { italic: true } : {}),
  ...(isRaised(item, segment) ? { position: 'super' } : {}),
  ...(item.link === undefined ? {} : { link: item.link }),
});

const lineRuns = (line: Line, plainBold: boolean): Runs =>
  line.segments.flatMap((segment, i) => [...(i > 0 ? [{ text: ' ' }] : []), ...segmentRuns(segment, plainBold)]);

/** Joins lines with spaces; a word that was hyphenated at a line's end is one word again. */
export function joinLines(lines: readonly Line[], words: ReadonlySet<string>, plainBold: boolean): Runs {
  let runs: Run[] = [];
  let length = 0;
  /** From the last space between lines on. */
  let tail = '';
  for (const line of lines) {
    const next = lineRuns(line, plainBold);
    const text = runsText(next);
    const kept = hyphenated(tail, text, words);
    if (kept === undefined) {
      if (runs.length > 0) runs.push({ text: ' ' });
      length += (runs.length > 0 ? 1 : 0) + text.length;
      tail = text;
    } else {
      if (!kept) runs = [...sliceRuns(runs, 0, length - 1)];
      length += text.length - (kept ? 0 : 1);
      tail = (kept ? tail : tail.slice(0, -1)) + text;
    }
    runs.push(...next);
  }
  return mergeRuns(runs);
}

/** @returns undefined when no word is hyphenated there; else whether the hyphen belongs to the word. */
function hyphenated(before: string, after: string, words: ReadonlySet<string>): boolean | undefined {
  if (!AT_END.test(before)) return undefined;
  if (before.endsWith('\u00ad')) return false;
  const start = /(\p{L}+)[-‐]$/u.exec(before)?.[1];
  const rest = /^\p{Ll}+/u.exec(after)?.[0];
  if (start === undefined || rest === undefined)
    return /\p{L}[-‐]$/u.test(before) && /^\p{L}/u.test(after) ? true : undefined;
  if (words.has((start + rest).toLowerCase())) return false;
  return words.has(`${start}-${rest}`.toLowerCase());
}

const AT_END = /[-‐\u00ad]$/;

/** All words of the text, for deciding about hyphens; none where no line ends with one. */
export function wordsOf(lines: readonly { readonly text: string }[]): ReadonlySet<string> {
  const words = new Set<string>();
  if (!lines.some(({ text }) => AT_END.test(text.trimEnd()))) return words;
  for (const { text } of lines)
    for (const word of text.toLowerCase().match(/\p{L}+(?:-\p{L}+)*/gu) ?? []) words.add(word);
  return words;
}
