/** In which language and direction a paragraph is said to be written, gathered from its pieces. */
import { languageTag, type LanguageTag } from '../base/index.ts';
import type { Direction } from '../document/index.ts';

/** Tags that say that it is no language (BCP 47; ODF writes `none`). */
const NO_LANGUAGE = /^(?:zxx|und|mul|none|x-none)\b/i;

export class Spoken {
  direction: Direction | undefined;
  readonly #letters = new Map<string | undefined, number>();

  /** @param tag As the original writes it; undefined where it says nothing of this piece. */
  add(text: string, tag: string | undefined): void {
    const letters = text.trim().length;
    if (letters > 0) this.#letters.set(tag, (this.#letters.get(tag) ?? 0) + letters);
  }

  /** The language of most letters, and the direction, where they are said. */
  take(): { readonly lang?: LanguageTag; readonly direction?: Direction } {
    let [tag, most] = [undefined as string | undefined, 0];
    for (const [next, letters] of this.#letters) if (letters > most) [tag, most] = [next, letters];
    const language = tag === undefined || NO_LANGUAGE.test(tag) ? undefined : languageTag(tag);
    const { direction } = this;
    this.#letters.clear();
    return { ...(language === undefined ? {} : { lang: language }), ...(direction === undefined ? {} : { direction }) };
  }
}

/** A language in three parts by the script of the text that it is said of. */
export interface ByScript {
  readonly latin?: string | undefined;
  readonly asian?: string | undefined;
  readonly complex?: string | undefined;
}

/** Which of them holds for a text: letters of Arabic and Indic scripts are complex, ideographs and their like Asian. */
export function ofScript(languages: ByScript, text: string): string | undefined {
  if (/[\u2e80-\u9fff\uac00-\ud7af\uf900-\ufaff]/.test(text)) return languages.asian ?? languages.latin;
  if (/[\u0590-\u109f\u1780-\u17ff\ufb1d-\ufdff\ufe70-\ufeff]/.test(text)) return languages.complex ?? languages.latin;
  return languages.latin;
}
