/** Settles the language of a document and of those of its paragraphs that are in another. */
import { detectLanguage, isWrittenAs, primaryOf, type LanguageTag } from '../base/index.ts';
import { blockText, type Block } from '../document/index.ts';

const LOOKED_AT = 400; // characters of a paragraph

/**
 * A paragraph is in the language that the original says at it, where its letters can be that; else in the one that its
 * words tell. The document is in what most of its text is in: what a file says of all of itself is often what the program
 * was set to.
 * @param declared What the file says of all of itself.
 * @returns Blocks, of which those have a language that are in another than the document.
 */
export function settleLanguages(
  blocks: readonly Block[],
  declared: LanguageTag | undefined,
): { readonly blocks: readonly Block[]; readonly language: LanguageTag | null } {
  const weights = new Map<LanguageTag, number>();
  const own = blocks.map((block) => {
    if (block.kind === 'break' || block.kind === 'picture' || block.kind === 'code') return undefined;
    const text = blockText(block).slice(0, LOOKED_AT);
    const said = block.lang !== undefined && isWrittenAs(block.lang, text) ? block.lang : undefined;
    const language = said ?? asDeclared(detectLanguage(text, declared), declared);
    if (language !== undefined && block.left === undefined)
      weights.set(language, (weights.get(language) ?? 0) + text.length);
    return language;
  });
  let [language, most] = [declared, declared === undefined ? 0 : (weights.get(declared) ?? 0)];
  for (const [tag, weight] of weights) if (weight > most) [language, most] = [tag, weight];
  return {
    language: language ?? null,
    blocks: blocks.map((block, i) => {
      const kept = own[i] === language ? undefined : own[i];
      if (block.lang === kept) return block;
      const { lang: _, ...rest } = block;
      return (kept === undefined ? rest : { ...rest, lang: kept }) as Block;
    }),
  };
}

/** Words tell a language, not its region. */
const asDeclared = (seen: LanguageTag | undefined, declared: LanguageTag | undefined): LanguageTag | undefined =>
  seen !== undefined && declared !== undefined && primaryOf(declared) === primaryOf(seen) ? declared : seen;
