/** Languages as BCP 47 tags (RFC 5646): what is not one is no language. */

/** Well-formed and in its canonical case: letters, digits and hyphens only. */
export type LanguageTag = string & { readonly language: 'bcp47' };

/** Of what says no language of its own. */
export const USUAL_LANGUAGE = 'en-GB' as LanguageTag;

/** @returns undefined for what is no tag (by ECMA-402 §6.2.2). Underscores, which some programs write, are hyphens. */
export function languageTag(text: string | null | undefined): LanguageTag | undefined {
  try {
    return Intl.getCanonicalLocales((text ?? '').trim().replaceAll('_', '-'))[0] as LanguageTag | undefined;
  } catch {
    return undefined;
  }
}

/** The language of a tag without its region and script. */
export const primaryOf = (tag: string): string => tag.split('-')[0]!.toLowerCase();
