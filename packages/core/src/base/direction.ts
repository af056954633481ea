/** The direction in which text is written (UAX 9). */
export type Direction = 'ltr' | 'rtl';

/** Letters that are written from right to left: bidirectional classes R and AL (UAX 9). */
const RIGHT_TO_LEFT =
  /[\p{Script=Hebrew}\p{Script=Arabic}\p{Script=Syriac}\p{Script=Thaana}\p{Script=Nko}\p{Script=Samaritan}\p{Script=Mandaic}\p{Script=Adlam}]/u;

/** Whether a text has letters that are written from right to left. */
export const hasRightToLeft = (text: string): boolean => RIGHT_TO_LEFT.test(text);

/** The direction of the first strong character (UAX 9, P2 and P3); undefined for text without one. */
export function firstStrong(text: string): Direction | undefined {
  const letter = /\p{L}/u.exec(text)?.[0];
  if (letter === undefined) return undefined;
  return RIGHT_TO_LEFT.test(letter) ? 'rtl' : 'ltr';
}
