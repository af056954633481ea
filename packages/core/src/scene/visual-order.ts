/** The order in which the parts of a line are seen, from left to right (Unicode Standard Annex 9, rules L1 and L2). */
import bidiFactory from 'bidi-js';
import { hasRightToLeft, remembered } from '../base/index.ts';
import { runsText, sliceRuns, type Run, type Runs } from '../content/index.ts';

/** A part of a line in one look and one direction. */
export interface SeenRun {
  readonly run: Run;
  readonly rtl: boolean;
}

const bidi = bidiFactory();

const levelsFrom = (direction: 'ltr' | 'rtl') =>
  remembered((runs: Runs): Uint8Array => bidi.getEmbeddingLevels(runsText(runs), direction).levels);
const LEVELS = { ltr: levelsFrom('ltr'), rtl: levelsFrom('rtl') };

/**
 * @param rtl Whether the paragraph is written from right to left.
 * @returns undefined where a line has one look, or one direction that is the paragraph's: whoever draws it orders its letters.
 */
export function visualOrder(runs: Runs, start: number, end: number, rtl: boolean): readonly SeenRun[] | undefined {
  if (runs.length < 2) return undefined;
  const line = sliceRuns(runs, start, end);
  if (line.length < 2 || !(rtl || line.some(({ text }) => hasRightToLeft(text)))) return undefined;
  const levels = LEVELS[rtl ? 'rtl' : 'ltr'](runs);
  let at = start;
  const parts = line.flatMap((run) => {
    const from = at;
    at += run.text.length;
    return ofOneLevel(run, levels.subarray(from, at));
  });
  return seen(parts);
}

/**
 * The parts of a text of one look, in the order in which they are seen, from left to right; letters of a part still stand as they are written.
 * @param rtl Whether the paragraph is written from right to left.
 */
export function seenParts(text: string, rtl: boolean): readonly { readonly text: string; readonly rtl: boolean }[] {
  if (!rtl && !hasRightToLeft(text)) return [{ text, rtl }];
  const { levels } = bidi.getEmbeddingLevels(text, rtl ? 'rtl' : 'ltr');
  return seen(ofOneLevel({ text }, levels)).map((part) => ({ text: part.run.text, rtl: part.rtl }));
}

/** As it looks where it runs from right to left: brackets are turned (rule L4). */
export const mirroredSign = (sign: string): string => bidi.getMirroredCharacter(sign) ?? sign;

interface Leveled {
  readonly run: Run;
  readonly level: number;
}

/** What is at a level or above it is turned round, from the highest level down. */
function seen(parts: Leveled[]): readonly SeenRun[] {
  for (let level = Math.max(...parts.map((part) => part.level)); level > 0; level--)
    for (let i = 0; i < parts.length; i++) {
      let to = i;
      while (to < parts.length && parts[to]!.level >= level) to++;
      parts.splice(i, to - i, ...parts.slice(i, to).reverse());
      i = Math.max(i, to - 1);
    }
  return parts.map(({ run, level }) => ({ run, rtl: level % 2 === 1 }));
}

function ofOneLevel(run: Run, levels: Uint8Array): Leveled[] {
  const parts: Leveled[] = [];
  let from = 0;
  for (let i = 1; i <= levels.length; i++)
    if (i === levels.length || levels[i] !== levels[from]) {
      parts.push({ run: { ...run, text: run.text.slice(from, i) }, level: levels[from]! });
      from = i;
    }
  return parts;
}
