/** The few sentences that say most of a text, each short enough for a slide; all of the text is spoken. */
import { endOfWords, readWords } from '../content/index.ts';
import type { Range } from '../deck/index.ts';
import type { Language } from './languages.ts';
import { marginal, vectorsOf, worths } from './rank.ts';
import { splitSentences } from './sentences.ts';
import type { Kept } from './shorten.ts';
import { trimSentence } from './trim.ts';

export interface Told {
  readonly kept: Kept;
  /** It ends before its sentence does. */
  readonly cut: boolean;
}
/** How much may be told: sentences in all, words in all, and words of one sentence. */
export interface TellingLimits {
  readonly sentences: number;
  readonly words: number;
  readonly longest: number;
}
export const TELLING: TellingLimits = { sentences: 4, words: 42, longest: 22 };

const LEAST_WORDS = 3;
/** A sentence that only leads to what follows it says nothing alone. */
const LEADS_ON = /[:：]["”’»)\]]*$/u;

/**
 * @param texts Paragraphs in their order.
 * @returns For each the sentences that are told, in order; at least one in all, where there is any word.
 */
export function telling(
  texts: readonly string[],
  language: Language,
  limits: TellingLimits = TELLING,
): readonly (readonly Told[])[] {
  const sentences = texts.flatMap((text, paragraph) =>
    splitSentences(text, language).map((range, i) => {
      const kept = trimSentence(text, range, language);
      const said = kept.map(([from, to]) => text.slice(from, to)).join('');
      return { paragraph, range, kept, said, words: readWords(said), first: i === 0 };
    }),
  );
  const told: Told[][] = texts.map(() => []);
  const whole = sentences.filter(
    ({ words, said }) => words >= LEAST_WORDS && words <= limits.longest && !LEADS_ON.test(said),
  );
  if (whole.length === 0) {
    const best = sentences.find(({ words }) => words > 0);
    if (best !== undefined) told[best.paragraph]!.push(clipped(texts[best.paragraph]!, best.kept, limits.longest));
    return told;
  }
  const vectors = vectorsOf(
    whole.map(({ said }) => said),
    language,
  );
  const worth = worths(
    whole.map(({ said }) => said),
    whole.map(({ first }) => first),
    vectors,
    language,
  );
  const cost = whole.map(({ words }) => words);
  const chosen = marginal(worth, vectors, cost, limits.words);
  const best = [...chosen].sort((a, b) => worth[b]! - worth[a]!).slice(0, limits.sentences);
  for (const i of [...best].sort((a, b) => a - b))
    told[whole[i]!.paragraph]!.push({ kept: whole[i]!.kept, cut: false });
  return told;
}

/** A text's beginning in few words: its first sentence, or as much of it as there is room for. @returns null where it is short enough as it is. */
export function shorterBeginning(text: string, language: Language, longest: number): Told | null {
  if (readWords(text) <= longest) return null;
  const [first] = splitSentences(text, language);
  return first === undefined ? null : clipped(text, trimSentence(text, first, language), longest);
}

const LEAST_CLAUSE = 0.4;

/** As many of a sentence's words as there is room for, up to the end of a clause where one ends late enough. */
function clipped(text: string, kept: Kept, longest: number): Told {
  const result: Range[] = [];
  let left = longest;
  for (const [from, to] of kept) {
    const piece = text.slice(from, to);
    const words = readWords(piece);
    if (words <= left) {
      result.push([from, to]);
      left -= words;
      continue;
    }
    const end = endOfWords(piece, left) ?? piece.length;
    const clause = piece.slice(0, end).search(/[,;:–—，、；][^,;:–—，、；]*$/u);
    const at = clause > end * LEAST_CLAUSE ? clause : end;
    const stop = from + piece.slice(0, at).trimEnd().length;
    if (stop > from) result.push([from, stop]);
    return { kept: result.length === 0 ? [[from, from + at]] : result, cut: true };
  }
  return { kept: result, cut: false };
}
