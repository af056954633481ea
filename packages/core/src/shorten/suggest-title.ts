/** A title for a slide that the document gives none. */
import { isUnspaced } from '../content/index.ts';
import { KNOWLEDGE, type Language } from './languages.ts';

const TITLE_WORDS = 8;
const TITLE_CHARACTERS = 24; // of scripts without spaces

const words = (text: string): ReadonlySet<string> => new Set(text.split(' '));
/** Verbs that follow what a sentence is about. */
const VERBS: Readonly<Record<Language, ReadonlySet<string>>> = {
  en: words('is are was were has have had can could will would may might must should does did'),
  de: words('ist sind war waren hat haben hatte hatten kann können wird werden wurde wurden muss müssen soll sollen'),
  fr: words('est sont était étaient a ont avait peut peuvent doit doivent sera seront'),
  es: words('es son era eran está están fue fueron ha han puede pueden debe deben'),
  it: words('è sono era erano ha hanno può possono deve devono'),
  pt: words('é são era eram está estão foi foram tem têm pode podem deve devem'),
  nl: words('is zijn was waren heeft hebben kan kunnen wordt worden moet moeten'),
  und: new Set(),
};

const bare = (word: string): string => word.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

/** The first sentence where it is short; else what it is about; else its first words, the last of which says something. */
export function suggestTitle(text: string, language: Language): string {
  const sentence = /^.*?(?:[.!?](?=\s|$)|[。！？])/su.exec(text.trim())?.[0] ?? text.trim();
  if (isUnspaced(sentence)) return unspaced(sentence);
  const all = sentence.split(/\s+/);
  if (all.length <= TITLE_WORDS) return sentence.replace(/[.]$/, '').replace(/\s+/g, ' ');
  const { stop } = KNOWLEDGE[language];
  const verb = all.slice(0, TITLE_WORDS).findIndex((word) => VERBS[language].has(bare(word)));
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
