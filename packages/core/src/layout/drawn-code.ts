/** Drawings made of characters: their lines are not broken, since then nothing of them is where it belongs. */
import { runsText } from '../content/index.ts';
import type { Para } from './page.ts';

/** Box drawing, blocks and arrows; corners and lines of plus signs, dashes and bars. */
const BOXES = /[\u2500-\u259F\u25B2\u25B6\u25BC\u25C0]/gu;
const CORNERS = /\+[-=]{2,}[+>]?|(?<![-=])<?[-=]{3,}>|^[ \t]*\|.*\|[ \t]*$/gm;
const LEAST_SIGNS = 3;

/** Lines of a drawing, as it writes them; undefined for code that is no drawing, or one too wide or too long for a slide. */
export function drawnLines({ style, runs }: Para): number | undefined {
  if (style !== 'code') return undefined;
  const text = runsText(runs);
  // Most code is longer, and is looked at no further.
  if (text.length > MOST_LINES * (MOST_COLUMNS + 1)) return undefined;
  const lines = text.trimEnd().split('\n');
  if (lines.length > MOST_LINES || lines.some(({ length }) => length > MOST_COLUMNS)) return undefined;
  const signs = (text.match(BOXES)?.length ?? 0) + (text.match(CORNERS)?.length ?? 0);
  return signs >= LEAST_SIGNS ? lines.length : undefined;
}
/** What a slide holds at the least size in which a drawing is still read. */
const MOST_LINES = 22;
const MOST_COLUMNS = 110;
