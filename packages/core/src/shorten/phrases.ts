/**
 * Key phrases: words between stop words and marks, weighed by how much their words stand with others (Rose, Engel, Cramer and
 * Cowley, "Automatic Keyword Extraction from Individual Documents", 2010).
 */
import type { Range } from '../deck/index.ts';
import { KNOWLEDGE, wordsOf, type Language } from './languages.ts';

export interface Phrase {
  readonly range: Range;
  readonly text: string;
  readonly score: number;
}

const LONGEST = 7; // words

/** The phrases of `text` within `range`, in order. */
function phrasesOf(text: string, range: Range, language: Language): readonly Phrase[] {
  const { stop } = KNOWLEDGE[language];
  const found: { start: number; end: number; words: string[] }[] = [];
  let open: { start: number; end: number; words: string[] } | undefined;
  for (const { index, 0: word } of text
    .slice(...range)
    .matchAll(/[\p{L}\p{N}]+(?:[.,’'-][\p{L}\p{N}]+)*%?|[^\s\p{L}\p{N}]/gu)) {
    const lower = word.toLowerCase();
    const inside = /[\p{L}\p{N}]/u.test(word) && !stop.has(lower);
    const currency = /^[€$£]$/.test(word);
    if (!inside && !currency) {
      open = undefined;
      continue;
    }
    const start = range[0] + index;
    if (open === undefined || open.words.length >= LONGEST) found.push((open = { start, end: start, words: [] }));
    open.end = start + word.length;
    open.words.push(lower);
  }
  const times = new Map<string, number>();
  const degree = new Map<string, number>();
  for (const { words } of found)
    for (const word of words) {
      times.set(word, (times.get(word) ?? 0) + 1);
      degree.set(word, (degree.get(word) ?? 0) + words.length);
    }
  return found
    .filter(({ words }) => words.some((word) => word.length > 1 || /\d/.test(word)))
    .map(({ start, end, words }) => ({
      range: [start, end],
      text: text.slice(start, end),
      score: words.reduce((sum, word) => sum + degree.get(word)! / times.get(word)!, 0),
    }));
}

const MOST = 4;

/** The best phrases of a sentence, in its order; what holds a number comes first of all. */
export function keyPhrases(text: string, range: Range, language: Language, most = MOST): readonly Phrase[] {
  const phrases = phrasesOf(text, range, language);
  const weight = ({ text: phrase, score }: Phrase): number => score + (/\d/.test(phrase) ? 100 : 0);
  const best = new Set([...phrases].sort((a, b) => weight(b) - weight(a)).slice(0, most));
  // Every number stays, however many there are.
  return phrases.filter((phrase) => best.has(phrase) || /\d/.test(phrase.text));
}

/** A title for a text that has none: its best phrase, or its first words. */
export function titleFrom(texts: readonly string[], language: Language): readonly string[] {
  const whole = texts.join('\n');
  const counted = new Map<string, { text: string; score: number }>();
  let at = 0;
  for (const text of texts) {
    for (const phrase of phrasesOf(whole, [at, at + text.length], language)) {
      const key = wordsOf(phrase.text).join(' ');
      const known = counted.get(key);
      counted.set(key, { text: known?.text ?? phrase.text, score: (known?.score ?? 0) + phrase.score });
    }
    at += text.length + 1;
  }
  return [...counted.values()]
    .sort((a, b) => b.score - a.score)
    .slice(0, 3)
    .map(({ text }) => text.charAt(0).toUpperCase() + text.slice(1));
}
