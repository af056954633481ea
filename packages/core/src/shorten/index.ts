export { languageOf, type Language } from './languages.ts';
export { titleFrom } from './phrases.ts';
export { suggestTitle } from './suggest-title.ts';
export { cosine, marginal, vectorsOf, worths } from './rank.ts';
export { splitSentences } from './sentences.ts';
export * from './shorten.ts';
export { shorterBeginning, telling, TELLING, type Told } from './telling.ts';
export { trimSentence } from './trim.ts';
export { beginningOf, inForm, type Beginning, type VerbForm } from './verb-forms.ts';
