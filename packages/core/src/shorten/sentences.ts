/** Divides a paragraph into sentences. By rules of our own: what a host's own segmenter finds differs from host to host. */
import type { Range } from '../deck/index.ts';
import { KNOWLEDGE, type Language } from './languages.ts';

/** From the first of several marks on, which are looked at once. */
const END = /(?<![.!?…])[.!?…]+["”’»)\]]*(?=\s+["“‘«(\[]?[\p{Lu}\p{Lt}\p{N}\p{Lo}])|[。！？]+[”’」』）]*|\n+/gu;

/** Sentences as ranges of `text`, white space between them left off. Nothing else is lost. */
export function splitSentences(text: string, language: Language): readonly Range[] {
  const ranges: Range[] = [];
  let from = 0;
  const push = (end: number): void => {
    const piece = text.slice(from, end);
    const start = from + piece.length - piece.trimStart().length;
    const stop = from + piece.trimEnd().length;
    if (start < stop) ranges.push([start, stop]);
    from = end;
  };
  for (const { index, 0: mark } of text.matchAll(END)) {
    if (mark === '.' && !endsSentence(text, index, language)) continue;
    push(index + mark.length);
  }
  push(text.length);
  return ranges;
}

/** Whether the full stop at `at` ends a sentence: not after an abbreviation, an initial, or a number that is counted with it. */
function endsSentence(text: string, at: number, language: Language): boolean {
  const word = /[\p{L}\p{N}.]+$/u.exec(text.slice(Math.max(0, at - 24), at))?.[0] ?? '';
  if (word === '') return true;
  const lower = word.toLowerCase();
  if (KNOWLEDGE[language].abbreviations.has(lower)) return false;
  if (/^\p{Lu}$/u.test(word) || /^(?:\p{L}\.)+\p{L}$/u.test(word)) return false;
  // `3. Mai`, `am 21. Juni`: an ordinal where the language writes it so.
  return !(language === 'de' && /^\d{1,2}$/.test(word));
}
