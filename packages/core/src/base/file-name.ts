/** Names of files, of what people called their decks and slides. */

/** Without the signs that some disk refuses. @param otherwise Where nothing is left. */
export const fileNameOf = (name: string, otherwise: string): string =>
  name
    .replace(/[\\/:*?"<>|\p{Cc}]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim() || otherwise;

const LONGEST = 60; // characters of a title

/** `03 What the tide gives us.png`: sorted by their numbers. @param of How many there are. */
export function numberedName(number: number, of: number, title: string, ending: string): string {
  const digits = String(number).padStart(Math.max(2, String(of).length), '0');
  const words = [...fileNameOf(title, '')].slice(0, LONGEST).join('');
  return `${digits}${words === '' ? '' : ` ${words.replace(/[. ]+$/, '')}`}.${ending}`;
}
