/**
 * Shortens paragraphs that stand together: chooses sentences over all of them and trims those. The author's own words in their
 * order, nothing put in their place; the same text gives the same choice.
 */
import { countWords, mergeRuns, plain, sliceRuns, type Runs } from '../content/index.ts';
import type { Density, Range } from '../deck/index.ts';
import type { Language } from './languages.ts';
import { keyPhrases } from './phrases.ts';
import { marginal, vectorsOf, WINDOW, worths } from './rank.ts';
import { splitSentences } from './sentences.ts';
import { negates, trimSentence } from './trim.ts';

/** Of the words, for densities that choose over all paragraphs together. */
const SHARES: Partial<Record<Density, number>> = { most: 0.7, half: 0.5, third: 0.33 };

/** One chosen sentence of a paragraph: the ranges of the paragraph's text that stay. */
export type Kept = readonly Range[];

/**
 * @param texts Paragraphs in their order.
 * @param density Or the share of all words that is kept, above 0 and up to 1.
 * @returns For each paragraph its chosen sentences; none where all of it is better said than shown.
 */
export function shorten(
  texts: readonly string[],
  density: Density | number,
  language: Language,
): readonly (readonly Kept[])[] {
  const sentences = texts.flatMap((text, paragraph) =>
    splitSentences(text, language).map((range, i) => ({
      paragraph,
      range,
      text: text.slice(...range),
      first: i === 0,
    })),
  );
  const chosen = choose(sentences, density, language);
  const kept: Kept[][] = texts.map(() => []);
  for (const i of chosen) {
    const { paragraph, range, text } = sentences[i]!;
    kept[paragraph]!.push(
      density === 'words' && !negates(text, language)
        ? phraseRanges(texts[paragraph]!, range, language)
        : trimSentence(texts[paragraph]!, range, language),
    );
  }
  return kept;
}

interface Sentence {
  readonly paragraph: number;
  readonly text: string;
  readonly first: boolean;
}

function choose(sentences: readonly Sentence[], density: Density | number, language: Language): readonly number[] {
  const texts = sentences.map(({ text }) => text);
  const vectors = vectorsOf(texts, language);
  const worth = worths(
    texts,
    sentences.map(({ first }) => first),
    vectors,
    language,
  );
  const share = typeof density === 'number' ? density : SHARES[density];
  if (share === undefined) {
    // One sentence of each paragraph.
    const best = new Map<number, number>();
    sentences.forEach(({ paragraph }, i) => {
      const known = best.get(paragraph);
      if (known === undefined || worth[i]! > worth[known]!) best.set(paragraph, i);
    });
    return [...best.values()];
  }
  const cost = texts.map(countWords);
  const taken: number[] = [];
  // In pieces, as they are ranked: every sentence that is taken is compared with all that are left.
  for (let from = 0; from < texts.length; from += WINDOW) {
    const to = from + WINDOW;
    const budget = share * cost.slice(from, to).reduce((sum, words) => sum + words, 0);
    for (const i of marginal(worth.slice(from, to), vectors.slice(from, to), cost.slice(from, to), budget))
      taken.push(from + i);
  }
  return taken;
}

/** A sentence that has no phrases of its own keeps all of its words. */
function phraseRanges(text: string, range: Range, language: Language): Kept {
  const phrases = keyPhrases(text, range, language);
  return phrases.length === 0 ? [range] : phrases.map((phrase) => phrase.range);
}

/** The first sentence, and the rest; no rest where the paragraph is one sentence. */
export function firstSentence(
  text: string,
  language: Language,
): { readonly first: Range; readonly rest: Range | null } {
  const [first, second] = splitSentences(text, language);
  if (first === undefined) return { first: [0, text.length], rest: null };
  return { first, rest: second === undefined ? null : [second[0], text.trimEnd().length] };
}

/** Runs of the ranges that were kept of a text; phrases are parted by dots, and a sentence begins with a capital. */
export function keptRuns(runs: Runs, kept: Kept, density: Density | undefined): Runs {
  const parts = kept.map(([from, to]) => sliceRuns(runs, from, to));
  const phrases = density === 'words' && kept.length > 1;
  const joined = parts.flatMap((part, i): Runs => (i > 0 && phrases ? [...plain(' · '), ...part] : part));
  const [head, ...rest] = mergeRuns(joined);
  if (head === undefined || kept[0]![0] === 0) return mergeRuns(joined);
  return [{ ...head, text: head.text.charAt(0).toUpperCase() + head.text.slice(1) }, ...rest];
}

/** Whether ranges leave nothing of a text but white space. */
export function isWhole(kept: Kept, text: string): boolean {
  let at = 0;
  for (const [from, to] of kept) {
    if (text.slice(at, from).trim() !== '') return false;
    at = to;
  }
  return text.slice(at).trim() === '';
}
