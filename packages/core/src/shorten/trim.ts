/** Trims a sentence by what can go without changing its sense: parentheses and lead-ins. Numbers, names and negations stay. */
import type { Range } from '../deck/index.ts';
import { KNOWLEDGE, wordsOf, type Language } from './languages.ts';

const LEAST_REST = 3; // words
const PARENTHESES = /(?<!\s)\s*\([^()]*\)/gu;

/** @returns The ranges of `text` that stay, in order. */
export function trimSentence(text: string, range: Range, language: Language): readonly Range[] {
  const [from, to] = range;
  const sentence = text.slice(from, to);
  const lead = KNOWLEDGE[language].leadIns.exec(sentence)?.[0] ?? '';
  const rest = wordsOf(sentence.slice(lead.length)).length;
  const start = lead !== '' && rest >= LEAST_REST && !carries(lead, language) ? lead.length : 0;
  const kept: Range[] = [];
  let at = start;
  for (const { index, 0: match } of sentence.matchAll(PARENTHESES)) {
    if (index < at || carries(match, language)) continue;
    if (index > at) kept.push([from + at, from + index]);
    at = index + match.length;
  }
  if (at < sentence.length) kept.push([from + at, to]);
  return kept;
}

/** Whether words carry a number, a name or a negation, and so must stay. */
export function carries(text: string, language: Language): boolean {
  return /\p{N}/u.test(text) || /[\s(]\p{Lu}/u.test(text) || negates(text, language);
}

export function negates(text: string, language: Language): boolean {
  const { negations } = KNOWLEDGE[language];
  return /n['’]t\b/.test(text) || wordsOf(text).some((word) => negations.has(word));
}
