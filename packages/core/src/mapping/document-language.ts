/** The language of a document: what it says of itself, else what its words tell. */
import { remembered } from '../base/index.ts';
import { blockText, type DocumentModel } from '../document/index.ts';
import { languageOf, type Language } from '../shorten/index.ts';

export const documentLanguage = remembered((document: DocumentModel): Language =>
  languageOf(
    document.language,
    (function* () {
      for (const block of document.blocks)
        if (block.kind === 'paragraph' || block.kind === 'listItem') yield blockText(block);
    })(),
  ),
);
