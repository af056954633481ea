/**
 * The words of the interface in the language of whoever looks at it. A text is its own key, in English; `de.json` has all of them in
 * German, `en.json` the plural forms alone. The language holds for as long as the page is open, so that constants may be words.
 */
import i18next from 'i18next';
import { cloneElement, createElement, type ReactElement, type ReactNode } from 'react';
import { language, type Language } from './language.ts';
import en from './en.json' with { type: 'json' };

const LOCALES: Readonly<Record<Language, string>> = { en: 'en-GB', de: 'de-DE', long: 'en-GB', mirrored: 'en-GB' };
export const LOCALE = LOCALES[language];

const words = i18next.createInstance();
await words.init({
  lng: language === 'de' ? 'de' : 'en',
  resources: {
    en: { translation: en },
    ...(language === 'de' && {
      de: { translation: (await import('./de.json', { with: { type: 'json' } })).default },
    }),
  },
  fallbackLng: 'en',
  keySeparator: false,
  nsSeparator: false,
});

const stretch = language === 'long' || language === 'mirrored' ? (await import('./stretched.ts')).stretched : undefined;
const number = new Intl.NumberFormat(LOCALE, { useGrouping: true });

export const grouped = (n: number): string => number.format(n);

const plurals = new Intl.PluralRules(LOCALE);
const templates = new Map<string, string>();

/** A text as the catalogue has it, its marks in it; looked up once for each plural form, since it is said with every row that is drawn. */
function template(text: string, count?: number): string {
  const key = count === undefined ? text : `${text}_${plurals.select(count)}`;
  let found = templates.get(key);
  if (found === undefined) {
    const said = words.t(text, { skipInterpolation: true, ...(count !== undefined && { count }) });
    templates.set(key, (found = stretch === undefined ? said : stretch(said)));
  }
  return found;
}

/** Of `{name}` in a text; `count` chooses among its plural forms and stands as `{n}`, its thousands apart; what is absent is nothing. */
type Values = Readonly<Record<string, unknown>> & { readonly count?: number };

function filled(text: string, values: Values): string {
  return text.replace(/\{(\w+)\}/g, (_, name: string) => {
    const value = name === 'n' && values.count !== undefined ? grouped(values.count) : values[name];
    return value === false || value === null || value === undefined ? '' : String(value);
  });
}

export const t = (text: string, values?: Values): string =>
  values === undefined ? template(text) : filled(template(text, values.count), values);

/** A text of the catalogue with its `{marks}` left in it, for whoever fills them in otherwise; also sentences of the core and the server. */
export const raw = (text: string): string => template(text);

/** Sentences of the server: those of the catalogue come first, and what else it adds stays as it is. */
export function sentences(text: string): string {
  const ends = [text.length, ...[...text.matchAll(/(?<=[.!?]) /g)].map(({ index }) => index).reverse()];
  const known = ends.find((end) => words.exists(text.slice(0, end))) ?? text.length;
  return raw(text.slice(0, known)) + text.slice(known);
}

/** A label within a sentence: German nouns keep their capital. */
export const lowered = (label: string): string => (language === 'de' ? label : label.toLowerCase());

/** Words with elements among them: `<b>12 lines</b> look like headings`. Each name of a mark has its element; `b` is bold without. */
export const rich = (
  text: string,
  values: Values = {},
  marks: Readonly<Record<string, (words: string) => ReactElement>> = {},
): ReactNode[] =>
  template(text, values.count)
    .split(/(<\w+>.*?<\/\w+>)/)
    .map((piece, i) => {
      const [, name = '', inner = ''] = /^<(\w+)>(.*)<\/\1>$/.exec(piece) ?? [];
      const mark = marks[name] ?? (name === 'b' ? (words: string) => createElement('b', null, words) : undefined);
      return mark === undefined ? filled(piece, values) : cloneElement(mark(filled(inner, values)), { key: i });
    });
