/** Pages with code: in a panel of its own, as large as its lines allow, below the words that lead to it or above those that follow. */
import { emu, emuFromPt, inches, ptFromEmu } from '../base/index.ts';
import { frameIn, type Frame } from '../theme/index.ts';
import { stepFit, textBox, type Draft, type LayoutOptions } from './draft.ts';
import { heightAt } from './fit-text.ts';
import { Pen, rectOf } from './figure-pen.ts';
import type { Box, Para } from './page.ts';
import { drawnLines } from './drawn-code.ts';
import { CODE_SCALE, measurePara } from './set-text.ts';

/** Of the code itself, in points. */
const SIZES = [20, 18, 16, 15];
/** And of drawings, which are broken by no size. */
const DRAWN_SIZES = [14, 13, 12, 11, 10];
/** Between a panel's edge and its code. */
const PADDING = inches(0.28);
const GAP = inches(0.25);
/** What is on such a page takes at least this much of the room: a panel is no strip, and not as tall as the slide for a few lines. */
const LEAST = 0.6;
/** And words beside the code at most this much. */
const MOST_WORDS = 0.5;

const isCode = ({ style }: Para): boolean => style === 'code';

/** A frame as wide as lines of code have it, which stand in a panel. */
export const withinPanel = (paras: readonly Para[], frame: Frame): Frame =>
  paras.some(isCode) ? { ...frame, width: emu(frame.width - 2 * PADDING) } : frame;

/**
 * One page of words and code, where all code stands together.
 * @returns undefined where it does not, or where it does not fit so.
 */
export function codePage(paras: readonly Para[], size: number, options: LayoutOptions): Draft | undefined {
  const { theme } = options;
  const first = paras.findIndex(isCode);
  const last = paras.findLastIndex(isCode);
  const code = paras.slice(first, last + 1);
  if (first < 0 || !code.every(isCode) || (first > 0 && last < paras.length - 1)) return undefined;
  const words = first > 0 ? paras.slice(0, first) : paras.slice(last + 1);
  const frame = frameIn(theme, 'points', 'body');
  const wordsHeight = words.length === 0 ? 0 : emuFromPt(heightAt(words, frame, theme, size) + 1);
  if (wordsHeight > frame.height * MOST_WORDS) return undefined;
  const taken = words.length === 0 ? 0 : wordsHeight + GAP;
  const room = frame.height - taken;
  const inner: Frame = {
    ...frame,
    x: emu(frame.x + PADDING),
    width: emu(frame.width - 2 * PADDING),
    height: emu(room - 2 * PADDING),
    anchor: 'middle',
  };
  const own = codeSize(code, inner, frame.style.sizes.at(-1)!, options);
  if (own === undefined) return undefined;
  const needed = emuFromPt(heightAt(code, inner, theme, own)) + 2 * PADDING;
  const height = Math.min(room, Math.max(needed, frame.height * LEAST - taken));
  const top = frame.y + (first > 0 ? taken : 0);
  const pen = new Pen({ ...frame, y: emu(top), height: emu(height) }, theme);
  const panel = pen.shape(pen.card, rectOf(frame.x, top, frame.width, height), 'panel');
  const codeFrame: Frame = { ...inner, y: emu(top + PADDING), height: emu(height - 2 * PADDING) };
  // Code alone is what the slide's text is; beside words it is a figure of theirs.
  const free = words.length > 0;
  const set = textBox(
    code,
    free ? { ...codeFrame, style: { ...frame.style, sizes: [own] } } : codeFrame,
    theme,
    own,
    free,
  );
  const wordsFrame: Frame = {
    ...frame,
    y: emu(first > 0 ? frame.y : top + height + GAP),
    height: emu(Math.max(1, wordsHeight)),
  };
  const boxes: readonly Box[] = free ? [textBox(words, wordsFrame, theme, size), panel, set] : [panel, set];
  return { layout: 'points', boxes, fit: stepFit(free ? size : frame.style.sizes[0]!, frame) };
}

/** The largest size at which code fits with its lines broken no more than at the least. */
function codeSize(code: readonly Para[], frame: Frame, floor: number, { theme }: LayoutOptions): number | undefined {
  const lines = (size: number): number =>
    code.reduce((sum, para) => sum + measurePara(para, frame, theme, size).lines.length, 0);
  const drawn = code.map(drawnLines);
  if (drawn.every((count) => count !== undefined)) {
    const all = drawn.reduce((sum, count) => sum + count, 0);
    const whole = [...SIZES, ...DRAWN_SIZES]
      .map((size) => size / CODE_SCALE)
      .find((size) => lines(size) <= all && heightAt(code, frame, theme, size) <= ptFromEmu(frame.height));
    if (whole !== undefined) return whole;
  }
  const fewest = lines(floor);
  return [...SIZES.map((size) => size / CODE_SCALE), floor].find(
    (size) => heightAt(code, frame, theme, size) <= ptFromEmu(frame.height) && lines(size) <= fewest,
  );
}
