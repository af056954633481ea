/** Counts words as people count them. */
import { remembered } from '../base/index.ts';
import { runsText, type Runs } from './run.ts';

// Scripts written without spaces: each character counts, as the trade does for Chinese and Japanese.
const UNSPACED =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}]/gu;
const HAS_WORD = /[\p{L}\p{N}]/u;
const BEYOND_LATIN = /[^\u0000-\u04ff\u2000-\u206f]/;

/** The number of words in `text`: what stands between white space and holds a letter or a digit. */
export function countWords(text: string): number {
  let words = 0;
  let rest = text;
  if (BEYOND_LATIN.test(text)) {
    rest = text.replace(UNSPACED, () => {
      words++;
      return ' ';
    });
  }
  for (const token of rest.split(/\s+/)) {
    const first = token.charCodeAt(0);
    if ((first >= 97 && first <= 122) || (first >= 65 && first <= 90) || HAS_WORD.test(token)) words++;
  }
  return words;
}

/** The number of words in `runs`; the same runs are counted once. */
export const runsWords = remembered((runs: Runs) => countWords(runsText(runs)));
