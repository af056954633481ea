/** Languages as BCP 47 tags (RFC 5646): what is not one is no language. */

import { getOrMake } from './remember.ts';

/** Well-formed and in its canonical case: letters, digits and hyphens only. */
export type LanguageTag = string & { readonly language: 'bcp47' };

/** Of what says no language of its own. */
export const USUAL_LANGUAGE = 'en-GB' as LanguageTag;

/** The same few are asked for each piece of a text. */
const known = new Map<string, LanguageTag | null>();
const MOST_KNOWN = 1000;

/** @returns undefined for what is no tag (by ECMA-402 §6.2.2). Underscores, which some programs write, are hyphens. */
export function languageTag(text: string | null | undefined): LanguageTag | undefined {
  if (text === null || text === undefined) return undefined;
  if (known.size >= MOST_KNOWN) known.clear();
  return getOrMake(known, text, canonical) ?? undefined;
}

function canonical(text: string): LanguageTag | null {
  try {
    return (Intl.getCanonicalLocales(text.trim().replaceAll('_', '-'))[0] ?? null) as LanguageTag | null;
  } catch {
    return null;
  }
}

/** The language of a tag without its region and script. */
export const primaryOf = (tag: string): string => tag.split('-')[0]!.toLowerCase();

/** What a table of languages has for one: by its primary subtag; Chinese in traditional signs has its own, `zh-hant`. */
export function saidIn<T>(table: Readonly<Record<string, T>>, language: string | null | undefined): T | undefined {
  const tag = (language ?? '').toLowerCase();
  if (/^zh-(?:hant|tw|hk|mo)\b/.test(tag)) return table['zh-hant'] ?? table.zh;
  const primary = primaryOf(tag);
  return table[NORWEGIAN.has(primary) ? 'nb' : primary];
}
const NORWEGIAN: ReadonlySet<string> = new Set(['nb', 'nn', 'no']);
