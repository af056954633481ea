/**
 * Ranks sentences by how central they are: LexRank (Erkan and Radev, "LexRank: Graph-based Lexical Centrality as Salience in
 * Text Summarization", JAIR 22, 2004), on the cosine of tf-idf vectors. With it count the place in the paragraph, cue words,
 * numbers and names (Edmundson, 1969).
 */
import { KNOWLEDGE, wordsOf, type Language } from './languages.ts';

/** Weights by stem. */
export type Vector = ReadonlyMap<string, number>;

const STEM = 7; // letters; inflections of most European languages differ behind them

const stemsOf = (text: string, language: Language): readonly string[] => {
  const { stop } = KNOWLEDGE[language];
  return wordsOf(text)
    .filter((word) => !stop.has(word))
    .map((word) => word.slice(0, STEM));
};

/** Vectors of unit length. */
export function vectorsOf(texts: readonly string[], language: Language): readonly Vector[] {
  const counts = texts.map((text) => {
    const count = new Map<string, number>();
    for (const stem of stemsOf(text, language)) count.set(stem, (count.get(stem) ?? 0) + 1);
    return count;
  });
  const spread = new Map<string, number>();
  for (const count of counts) for (const stem of count.keys()) spread.set(stem, (spread.get(stem) ?? 0) + 1);
  return counts.map((count) => {
    let length = 0;
    const vector = new Map<string, number>();
    for (const [stem, times] of count) {
      const weight = times * Math.log(1 + texts.length / spread.get(stem)!);
      vector.set(stem, weight);
      length += weight * weight;
    }
    for (const [stem, weight] of vector) vector.set(stem, weight / Math.sqrt(length));
    return vector;
  });
}

/** From 0 to 1. */
export function cosine(a: Vector, b: Vector): number {
  const [small, large] = a.size < b.size ? [a, b] : [b, a];
  let sum = 0;
  for (const [stem, weight] of small) sum += weight * (large.get(stem) ?? 0);
  return sum;
}

const ALIKE = 0.1;
const DAMPING = 0.85;
const ROUNDS = 30;
/** Sentences that are compared with each other; a longer stretch is ranked in pieces, so that time grows with its length only. */
export const WINDOW = 160;

/** @returns Centrality of each, from 0 to 1. */
export function centrality(vectors: readonly Vector[]): readonly number[] {
  const scores: number[] = [];
  for (let from = 0; from < vectors.length; from += WINDOW) scores.push(...central(vectors.slice(from, from + WINDOW)));
  return scores;
}

function central(vectors: readonly Vector[]): readonly number[] {
  const n = vectors.length;
  const links: number[][] = vectors.map(() => []);
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++)
      if (cosine(vectors[i]!, vectors[j]!) >= ALIKE) {
        links[i]!.push(j);
        links[j]!.push(i);
      }
  let scores = vectors.map(() => 1);
  for (let round = 0; round < ROUNDS; round++) {
    const next = vectors.map(() => 1 - DAMPING);
    links.forEach((to, i) => {
      for (const j of to) next[j]! += (DAMPING * scores[i]!) / to.length;
    });
    scores = next;
  }
  const most = Math.max(...scores, 1e-9);
  return scores.map((score) => score / most);
}

const CENTRAL = 0.5;
const FIRST = 0.28;
const CUE = 0.1;
const FACT = 0.12;
const FRAGMENT = 4; // words; what is shorter says little by itself

/**
 * Worth of each sentence, from 0 to about 1.
 * @param first Whether it is the first of its paragraph.
 */
export function worths(
  texts: readonly string[],
  first: readonly boolean[],
  vectors: readonly Vector[],
  language: Language,
): readonly number[] {
  const { cues } = KNOWLEDGE[language];
  return centrality(vectors).map((score, i) => {
    const text = texts[i]!;
    const words = wordsOf(text);
    const cue = words.some((word) => cues.has(word)) ? CUE : 0;
    // A name is a capital within the sentence; German nouns are none.
    const fact = /\d/.test(text) || (language !== 'de' && /\s\p{Lu}\p{L}+/u.test(text)) ? FACT : 0;
    const worth = CENTRAL * score + (first[i] ? FIRST : 0) + cue + fact;
    return words.length < FRAGMENT ? worth / 2 : worth;
  });
}

/**
 * Takes the best under a budget, each as unlike those already taken as may be: maximal marginal relevance (Carbonell and
 * Goldstein, "The Use of MMR, Diversity-Based Reranking", SIGIR 1998).
 * @param cost What each takes of `budget`. The best one is taken even where it alone is over it.
 * @param relevance From 0 to 1: what worth counts against being unlike.
 * @returns Indexes in their order.
 */
export function marginal(
  worth: readonly number[],
  vectors: readonly Vector[],
  cost: readonly number[],
  budget: number,
  relevance = RELEVANCE,
): readonly number[] {
  const taken: number[] = [];
  const likeness = worth.map(() => 0);
  // What is worth little is not taken only because there is room for it.
  const least = LEAST_WORTH * Math.max(...worth, 0);
  const open = new Set([...worth.keys()].filter((i) => worth[i]! >= least));
  let left = budget;
  while (open.size > 0) {
    let best = -1;
    let bestScore = -Infinity;
    for (const i of open) {
      if (taken.length > 0 && cost[i]! > left) continue;
      const score = relevance * worth[i]! - (1 - relevance) * likeness[i]!;
      if (score > bestScore) [best, bestScore] = [i, score];
    }
    if (best < 0) break;
    open.delete(best);
    taken.push(best);
    left -= cost[best]!;
    if (left <= 0) break;
    for (const i of open) likeness[i] = Math.max(likeness[i]!, cosine(vectors[i]!, vectors[best]!));
  }
  return taken.sort((a, b) => a - b);
}

const RELEVANCE = 0.7;
const LEAST_WORTH = 0.4;
