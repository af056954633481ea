/** A title for a slide that the document gives none. */

const TITLE_WORDS = 8;

/** The first words of a text, for a slide that the document gives no title. */
export function suggestTitle(text: string): string {
  const words = text.trim().split(/\s+/);
  const sentence = /^.*?[.!?](?=\s|$)/.exec(text.trim())?.[0];
  if (sentence !== undefined && sentence.split(/\s+/).length <= TITLE_WORDS) return sentence.replace(/[.]$/, '');
  return words.length <= TITLE_WORDS ? words.join(' ') : `${words.slice(0, TITLE_WORDS).join(' ')} …`;
}
