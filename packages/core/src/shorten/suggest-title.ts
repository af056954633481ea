/** A title for a slide that the document gives none. */
import { isUnspaced } from '../content/index.ts';
import { KNOWLEDGE, type Language } from './languages.ts';

const TITLE_WORDS = 8;
const TITLE_CHARACTERS = 24; // of scripts without spaces

const bare = (word: string): string => word.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

/** The first sentence where it is short; else what it is about; else its first words, the last of which says something. */
export function suggestTitle(text: string, language: Language): string {
  const sentence = /^.*?(?:[.!?](?=\s|$)|[。！？])/su.exec(text.trim())?.[0] ?? text.trim();
  if (isUnspaced(sentence)) return unspaced(sentence);
  const all = sentence.split(/\s+/);
  if (all.length <= TITLE_WORDS) return sentence.replace(/[.]$/, '').replace(/\s+/g, ' ');
  const { stop, verbs } = KNOWLEDGE[language];
  const verb = all.slice(0, TITLE_WORDS).findIndex((word) => verbs.has(bare(word)));
  const subject = all.slice(0, Math.max(verb, 0));
  if (subject.length >= 2 && !stop.has(bare(subject.at(-1)!))) return subject.join(' ').replace(/[,;:]$/, '');
  const first = all.slice(0, TITLE_WORDS);
  while (first.length > 1 && stop.has(bare(first.at(-1)!))) first.pop();
  return `${first.join(' ').replace(/[,;:]$/, '')} …`;
}

/** Up to where a clause ends, or as many characters as a title has. */
function unspaced(sentence: string): string {
  const said = sentence.replace(/[。！？]$/u, '');
  if ([...said].length <= TITLE_CHARACTERS) return said;
  const clause = /^.{4,}?(?=[、，,；])/u.exec(said)?.[0];
  return clause !== undefined && [...clause].length <= TITLE_CHARACTERS
    ? clause
    : `${[...said].slice(0, TITLE_CHARACTERS - 2).join('')}…`;
}
