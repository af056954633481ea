/** Which language the interface speaks: the one chosen by hand, or the first of the browser's that it knows. */

/** `long` and `mirrored` are for looking at layouts: texts two fifths longer, and from right to left. */
export type Language = 'en' | 'de' | 'long' | 'mirrored';
export const LANGUAGES: Readonly<Record<'en' | 'de', string>> = { en: 'English', de: 'Deutsch' };

const KEY = 'alvex.language';
const known = (tag: string | null | undefined): Language | undefined =>
  (['en', 'de', 'long', 'mirrored'] as const).find((one) => tag?.toLowerCase().split('-')[0] === one);

function chosen(): Language | undefined {
  try {
    return known(localStorage.getItem(KEY));
  } catch {
    return undefined;
  }
}

/** Outside of a page nobody is spoken to: tests and workers have the texts as they are written. */
export const language: Language =
  typeof document === 'undefined'
    ? 'en'
    : (chosen() ?? navigator.languages.map(known).find((one) => one !== undefined) ?? 'en');

if (typeof document !== 'undefined') {
  document.documentElement.lang = language === 'de' ? 'de' : 'en';
  document.documentElement.dir = language === 'mirrored' ? 'rtl' : 'ltr';
}

/** The page is loaded anew: what was written is kept, and every word is in the other language at once. */
export function speak(other: Language): void {
  try {
    localStorage.setItem(KEY, other);
  } catch {
    // A browser that keeps nothing goes on as it is.
  }
  location.reload();
}
