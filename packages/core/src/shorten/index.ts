export { LANGUAGES, languageOf, wordsOf, type Language } from './languages.ts';
export { keyPhrases, titleFrom } from './phrases.ts';
export { cosine, marginal, vectorsOf, worths, type Vector } from './rank.ts';
export { splitSentences } from './sentences.ts';
export * from './shorten.ts';
export { negates, trimSentence } from './trim.ts';
