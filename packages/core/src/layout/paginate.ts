/**
 * Divides paragraphs that are too many for one frame: where to go on is found by dynamic programming over all places,
 * as Knuth and Plass do for lines ("Breaking Paragraphs into Lines", 1981): the fewest pages, then evenly filled ones
 * that keep a point with what stands below it. A page that begins below a point repeats that point.
 */
import { ptFromEmu } from '../base/index.ts';
import { endOfWords, runsReadWords, runsText, sliceRuns, trimRuns } from '../content/index.ts';
import type { Line } from '../fonts/index.ts';
import type { Frame, Theme } from '../theme/index.ts';
import { MOST_CODE, mostWords, wordsIn } from './draft.ts';
import { drawnLines } from './drawn-code.ts';
import { safeMeasure, stackHeight } from './set-text.ts';
import type { Para } from './page.ts';

const PAGE = 1000;
const SPLIT_CHILDREN = 60;
const LONE = 450;
const ORPHANED_PARENT = 400;
const SPLIT_PARAGRAPH = 30;
/** Of the page's height. */
const MOST_REPEATED = 0.4;
/** Of the words that a page may have. */
const MOST_REPEATED_WORDS = 0.3;

/** @returns Pages, each of which fits the frame at `size`, and has no more words and lines of code than a page may. */
export function paginate(
  paras: readonly Para[],
  frame: Frame,
  theme: Theme,
  size: number,
  most = mostWords(paras),
): readonly (readonly Para[])[] {
  const room = ptFromEmu(frame.height);
  const pieces = paras.flatMap((para) => splitPara(para, frame, theme, size, room, most));
  const measures = pieces.map((piece) => safeMeasure(piece, frame, theme, size));
  const words = sums(pieces.map((piece) => wordsIn([piece])));
  const code = sums(pieces.map(({ style }, i) => (style === 'code' ? measures[i]!.lines.length : 0)));
  const tooMuch = (from: number, to: number): boolean =>
    words[to]! - words[from]! + wordsIn(repeated(from)) > most || code[to]! - code[from]! > MOST_CODE;
  const measured = (para: Para) => safeMeasure(para, frame, theme, size);
  const parents = new Map<number, readonly Para[]>();
  const repeated = (from: number): readonly Para[] => {
    let found = parents.get(from);
    if (found === undefined) {
      found = parentsOf(pieces, from);
      if (stackHeight(found.map(measured)) > room * MOST_REPEATED || wordsIn(found) > most * MOST_REPEATED_WORDS)
        found = [];
      parents.set(from, found);
    }
    return found;
  };
  const best: { cost: number; from: number }[] = [{ cost: 0, from: -1 }];
  for (let to = 1; to <= pieces.length; to++) {
    let chosen = { cost: Infinity, from: to - 1 };
    for (let from = to - 1; from >= 0; from--) {
      const height = stackHeight([...repeated(from).map(measured), ...measures.slice(from, to)]);
      if ((height > room || tooMuch(from, to)) && from < to - 1) break;
      const cost = best[from]!.cost + pageCost(pieces, from, to, 1 - height / room);
      if (cost < chosen.cost) chosen = { cost, from };
    }
    best.push(chosen);
  }
  const pages: Para[][] = [];
  for (let to = pieces.length; to > 0; to = best[to]!.from) {
    const { from } = best[to]!;
    pages.unshift([...repeated(from), ...pieces.slice(from, to)]);
  }
  return pages;
}

/** What stands before each place of a list, and at the end all of it. */
function sums(values: readonly number[]): readonly number[] {
  const before = [0];
  for (const value of values) before.push(before.at(-1)! + value);
  return before;
}

/** The points under which a piece stands, outermost first, to be repeated where a page begins with it. */
function parentsOf(pieces: readonly Para[], from: number): readonly Para[] {
  const first = pieces[from];
  const parents: Para[] = [];
  if (from === 0 || first?.style !== 'point') return parents;
  // The rest of a point that was divided stands under the same parents, but is no child of its own beginning.
  let level = first.level;
  for (let i = from - 1; i >= 0 && level > 1; i--) {
    const piece = pieces[i]!;
    if (piece.style !== 'point' || piece.level >= level || piece.part === first.part) continue;
    level = piece.level;
    parents.unshift({ ...piece, repeated: true });
  }
  return parents;
}

function pageCost(pieces: readonly Para[], from: number, to: number, slack: number): number {
  const first = pieces[from]!;
  const next = pieces[to];
  let cost = PAGE + 100 * slack * slack;
  if (from > 0 && first.style === 'point' && first.level > 1) cost += SPLIT_CHILDREN * (first.level - 1);
  if (from > 0 && first.part === pieces[from - 1]!.part) cost += SPLIT_PARAGRAPH;
  if (to - from === 1 && pieces.length > 1) cost += LONE;
  const last = pieces[to - 1]!;
  if (next !== undefined && last.style === 'point' && next.style === 'point' && next.level > last.level)
    cost += ORPHANED_PARENT;
  return cost;
}

/** Splits a paragraph that alone is too much for a page: after a sentence where one ends on it, code at an empty line, else after a line. */
function splitPara(para: Para, frame: Frame, theme: Theme, size: number, room: number, words: number): readonly Para[] {
  const isCode = para.style === 'code';
  if (drawnLines(para) !== undefined) return [para];
  const { height: whole, lines: all } = safeMeasure(para, frame, theme, size);
  if (whole <= room && (isCode ? all.length <= MOST_CODE : runsReadWords(para.runs) <= words)) return [para];
  const text = runsText(para.runs);
  const trim = (runs: Para['runs']): Para['runs'] => (isCode ? runs : trimRuns(runs));
  const pieces: Para[] = [];
  /** Only its beginning has its number. */
  const rest = (): Para => (para.mark === undefined || pieces.length === 0 ? para : { ...para, mark: { text: '' } });
  let from = 0;
  let window = WINDOW;
  while (from < text.length) {
    // A window, not all that is left: measuring a book again for each of its slides would take forever.
    const runs = trim(sliceRuns(para.runs, from, from + window));
    const skipped = isCode ? 0 : text.slice(from, from + window).search(/\S|$/);
    const { lines, height } = safeMeasure({ ...para, runs }, frame, theme, size);
    const lineHeight = height / Math.max(1, lines.length);
    const atEnd = from + window >= text.length;
    const piece = runsText(runs);
    const wordsEnd = isCode ? undefined : endOfWords(piece, words);
    if (height <= room && wordsEnd === undefined && !(isCode && lines.length > MOST_CODE)) {
      const last = isCode ? withoutEdges(runs) : runs;
      if (atEnd) return last.length === 0 ? pieces : [...pieces, { ...rest(), runs: last }];
      window *= 2;
      continue;
    }
    const fitting = Math.max(1, Math.floor(room / lineHeight));
    const most = Math.min(lines.length, isCode ? Math.min(fitting, MOST_CODE) : fitting);
    const limit = Math.min(lines[most - 1]!.end, wordsEnd ?? Infinity);
    const at = isCode ? codeBreak(piece, lines, most, atEnd) : (sentenceEnd(piece.slice(0, limit)) ?? limit);
    pieces.push({ ...rest(), runs: isCode ? withoutEdges(sliceRuns(runs, 0, at)) : trim(sliceRuns(runs, 0, at)) });
    from += skipped + at;
    window = Math.max(LEAST_WINDOW, 2 * (skipped + at));
  }
  return pieces;
}

/**
 * Where a piece of code goes on on the next page: at an empty line, before what stands furthest out, never before what only
 * closes, and so that no page has but a few lines.
 * @param most Lines of a page. @param whole Whether all that is left of the code is among the lines.
 */
function codeBreak(text: string, lines: readonly Line[], most: number, whole: boolean): number {
  const pages = whole ? Math.ceil(lines.length / most) : Infinity;
  const ideal = whole ? lines.length / pages : most;
  let best = { at: most, cost: Infinity };
  for (let at = Math.ceil(most / 2); at <= most; at++) {
    const next = lines[at];
    if (next === undefined) break;
    // A long line that is broken stays on its page.
    if (text[next.start - 1] !== '\n') continue;
    const before = text.slice(lines[at - 1]!.start, lines[at - 1]!.end);
    const after = text.slice(next.start, next.end);
    const apart = before.trim() === '' || after.trim() === '';
    const depth = apart ? 0 : 1 + (after.length - after.trimStart().length) / 8;
    const closes = !apart && /^\s*(?:[)\]}]|<\/|\/>|end\b)/.test(after) ? CLOSES : 0;
    const more = whole && lines.length - at > most * (pages - 1) ? MORE_PAGES : 0;
    const cost = (Math.abs(at - ideal) / most) * UNEVEN + depth + closes + more;
    if (cost < best.cost) best = { at, cost };
  }
  return Math.max(1, lines[best.at - 1]!.end);
}
const UNEVEN = 3;
const CLOSES = 1.5;
const MORE_PAGES = 3;

/** Code without the empty lines at its beginning and end. */
function withoutEdges(runs: Para['runs']): Para['runs'] {
  const text = runsText(runs);
  const from = /^(?:[^\S\n]*\n)*/.exec(text)![0].length;
  const to = text.trimEnd().length;
  return from < to ? sliceRuns(runs, from, to) : runs;
}

/** Characters that are measured at first; more than a slide holds at the least size. */
const WINDOW = 8000;
const LEAST_WINDOW = 500;

/** Where the last sentence of `text` ends, if that is in its second half. */
function sentenceEnd(text: string): number | undefined {
  let end = 0;
  for (const match of text.matchAll(/[.!?。！？]["”’)]*\s/g)) end = match.index + match[0].length;
  return end > text.length / 2 ? end : undefined;
}
