/** Fits paragraphs into a frame by stepping type down, by two columns, or by going on on further pages. */
import { emu, emuFromPt, ptFromEmu } from '../base/index.ts';
import { runsText } from '../content/index.ts';
import type { Frame, Theme } from '../theme/index.ts';
import { MOST_CODE, mostWords, wordsIn } from './draft.ts';
import { paginate } from './paginate.ts';
import { longestWord, measurePara, safeMeasure, sidedAlign, sideOf, stackHeight } from './set-text.ts';
import type { Para } from './page.ts';

/** Sizes below the floor, tried only so that nothing is ever drawn outside its frame. */
const LAST_RESORT = [16, 14, 12, 11, 10, 9, 8, 7, 6];

export const heightAt = (paras: readonly Para[], frame: Frame, theme: Theme, size: number): number =>
  stackHeight(paras.map((para) => safeMeasure(para, frame, theme, size)));

/** In the theme's fonts, and in those that stand in for them: these are measured only where the frame is nearly full. */
function fits(paras: readonly Para[], frame: Frame, theme: Theme, size: number): boolean {
  const room = ptFromEmu(frame.height);
  const measures = paras.map((para) => measurePara(para, frame, theme, size));
  const height = stackHeight(measures);
  if (height > room) return false;
  const more = measures.reduce((sum, { lines, lineHeight }) => sum + Math.ceil(lines.length * MORE) * lineHeight, 0);
  return height + more <= room || heightAt(paras, frame, theme, size) <= room;
}
/** Share of its lines by which a paragraph may grow in a substitute; one line at least. */
const MORE = 0.25;

/**
 * Finds the largest type size at which `paras` fit `frame`.
 * @param sizes Sizes to try, in points, largest first.
 * @returns A member of `sizes`, or `undefined` when even the last overflows.
 */
export const largestSize = (
  paras: readonly Para[],
  frame: Frame,
  theme: Theme,
  sizes: readonly number[],
): number | undefined => sizes.find((size) => fits(paras, frame, theme, size));

/** A size below the floor at which everything still stays inside; undefined when there is none. */
export function lastResortSize(
  paras: readonly Para[],
  frame: Frame,
  theme: Theme,
): { size: number; linesOver: number } | undefined {
  const floor = frame.style.sizes.at(-1)!;
  const size = largestSize(
    paras,
    frame,
    theme,
    LAST_RESORT.filter((candidate) => candidate < floor),
  );
  if (size === undefined) return undefined;
  const measures = paras.map((para) => measurePara(para, frame, theme, floor));
  const over = stackHeight(measures) - ptFromEmu(frame.height);
  return { size, linesOver: Math.max(1, Math.ceil(over / Math.max(...measures.map((measure) => measure.lineHeight)))) };
}

/** Whether paragraphs are no more than one page may hold, whatever room they take. @param size For the lines of code. */
export function withinPage(paras: readonly Para[], frame: Frame, theme: Theme, size: number): boolean {
  const code = paras.filter(({ style }) => style === 'code');
  const lines = code.reduce((sum, para) => sum + measurePara(para, frame, theme, size).lines.length, 0);
  return wordsIn(paras) <= mostWords(paras) && lines <= MOST_CODE;
}

/** Text that takes less of its frame is spread until it does. */
const FILLED = 0.6;
const MOST_SPREAD = 6;
/** Two or three lines stand further apart: they are the slide. */
const MOST_SPREAD_OF_FEW = 11;
const FEW = 3;
const MOST_LINES = 3.6;

/** By how much space between paragraphs grows so that few of them do not stand in a corner. */
export function spreadOf(paras: readonly Para[], frame: Frame, theme: Theme, size: number): number {
  if (paras.length < 2) return 1;
  const measures = paras.map((para) => measurePara(para, frame, theme, size));
  const least = stackHeight(measures, 0);
  const space = stackHeight(measures) - least;
  const wanted = ptFromEmu(frame.height) * FILLED - least;
  if (space <= 0) return 1;
  // Levels that stand close to each other are spread further, but no more than by some lines.
  const lines = (MOST_LINES * (paras.length - 1) * measures[0]!.lineHeight) / space;
  const most = paras.length <= FEW ? Math.max(MOST_SPREAD_OF_FEW, lines) : MOST_SPREAD;
  return Math.round(100 * Math.max(1, Math.min(most, wanted / space))) / 100;
}

/** Pages at the largest size that needs no more of them than the floor does. */
export function continuedPages(
  paras: readonly Para[],
  frame: Frame,
  theme: Theme,
): { size: number; pages: readonly (readonly Para[])[] } {
  // From the floor up: a larger size never needs fewer pages, so the first that needs more ends the search.
  const [floor, ...larger] = frame.style.sizes.toReversed();
  let best = { size: floor!, pages: paginate(paras, frame, theme, floor!) };
  for (const size of larger) {
    const pages = paginate(paras, frame, theme, size);
    if (pages.length > best.pages.length) break;
    best = { size, pages };
  }
  return best;
}

const COLUMN_LEAST = 6;
const COLUMN_MOST = 40;
const COLUMN_LONGEST = 70; // characters

/** Two columns, where many short points would stand better so, or where they are wanted. @returns undefined when they do not suit or do not fit. */
export function twoColumns(
  paras: readonly Para[],
  left: Frame,
  right: Frame,
  theme: Theme,
  sizes: readonly number[],
  wanted = false,
): { size: number; columns: readonly [readonly Para[], readonly Para[]] } | undefined {
  const suits =
    paras.length >= COLUMN_LEAST &&
    paras.every((para) => para.style !== 'code' && runsText(para.runs).length <= COLUMN_LONGEST);
  if (paras.length > COLUMN_MOST || !(suits || (wanted && paras.length > 1))) return undefined;
  const least = wanted ? 1 : 2;
  for (const size of sizes) {
    let best: { height: number; at: number } | undefined;
    for (let at = least; at <= paras.length - least; at++) {
      const first = paras[at]!;
      if (first.style === 'point' && first.level > 1) continue;
      const height = Math.max(
        heightAt(paras.slice(0, at), left, theme, size),
        heightAt(paras.slice(at), right, theme, size),
      );
      if (best === undefined || height < best.height) best = { height, at };
    }
    if (best !== undefined && best.height <= ptFromEmu(left.height))
      return { size, columns: [paras.slice(0, best.at), paras.slice(best.at)] };
  }
  return undefined;
}

/** A little more than the text needs, so that another program breaks it where we do. */
const SLACK = 1.012;

/** A frame as narrow as keeps the number of lines: few lines are then about as long as each other. */
export function evenFrame(para: Para, frame: Frame, theme: Theme, size: number): Frame {
  const measured = (width: number) => safeMeasure(para, { ...frame, width: emu(width) }, theme, size);
  const { lines: whole, height: tall } = measured(frame.width);
  const count = whole.length;
  const keeps = (width: number): boolean => {
    const { lines, height } = measured(width);
    return lines.length <= count && height <= tall;
  };
  if (count < 2 || count > MOST_EVEN) return frame;
  // Never so narrow that a word is torn which the frame could hold.
  const longest = Math.min(frame.width, emuFromPt(longestWord(para, frame, theme) * size));
  let [least, most] = [Math.max(longest, frame.width / (count + 1)), frame.width as number];
  while (most - least > frame.width / 200) {
    const middle = (least + most) / 2;
    if (keeps(middle)) most = middle;
    else least = middle;
  }
  const width = emu(Math.min(frame.width, most * SLACK));
  const spare = frame.width - width;
  const align = sidedAlign(frame.align, sideOf(para, theme).fromRight, theme);
  const x = emu(frame.x + (align === 'left' ? 0 : align === 'center' ? spare / 2 : spare));
  return { ...frame, x, width };
}
const MOST_EVEN = 5; // lines
