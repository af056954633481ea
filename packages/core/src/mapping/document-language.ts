/** The language of a document: what it says of itself, else what its words tell. */
import { blockText, type DocumentModel } from '../document/index.ts';
import { languageOf, type Language } from '../shorten/index.ts';

const languages = new WeakMap<DocumentModel, Language>();

export function documentLanguage(document: DocumentModel): Language {
  let language = languages.get(document);
  if (language === undefined) {
    language = languageOf(
      document.language,
      (function* () {
        for (const block of document.blocks)
          if (block.kind === 'paragraph' || block.kind === 'listItem') yield blockText(block);
      })(),
    );
    languages.set(document, language);
  }
  return language;
}
