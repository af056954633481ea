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

/** Characters that are about one word in scripts that set no spaces. */
const PER_WORD = 2;
const PER_LONG_WORD = 5;
const SYLLABIC = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}]/gu;
const LETTERED = /[\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}]/gu;

/** About how many words a reader takes in: as `countWords`, but several characters of scripts without spaces are one. */
export function readWords(text: string): number {
  const words = countWords(text);
  if (!BEYOND_LATIN.test(text)) return words;
  const short = text.match(SYLLABIC)?.length ?? 0;
  const long = text.match(LETTERED)?.length ?? 0;
  return Math.round(words - short * (1 - 1 / PER_WORD) - long * (1 - 1 / PER_LONG_WORD));
}
/** Where so many words that are read end, not within one; undefined where there are no more than these. */
export function endOfWords(text: string, most: number): number | undefined {
  if (readWords(text) <= most) return undefined;
  let [least, end] = [0, text.length];
  // The longest beginning that has no more words, found by halves: what a word is differs from script to script.
  while (least < end) {
    const middle = (least + end + 1) >> 1;
    if (readWords(text.slice(0, middle)) <= most) least = middle;
    else end = middle - 1;
  }
  const space = isUnspaced(text.charAt(least)) ? -1 : text.slice(0, least + 1).search(/\s\S*$/);
  return Math.max(1, space > least / 2 ? space : least);
}

/** Whether a text has characters of a script that sets no spaces between words. */
export const isUnspaced = (text: string): boolean => BEYOND_LATIN.test(text) && text.search(UNSPACED) >= 0;

export const runsReadWords = remembered((runs: Runs) => readWords(runsText(runs)));

/** The number of words in `runs`; the same runs are counted once. */
export const runsWords = remembered((runs: Runs) => countWords(runsText(runs)));
