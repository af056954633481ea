export { languageOfPage, titleAbove, titleOfPage } from './page-says.ts';
export { readMarkup, type MarkupContext } from './read-markup.ts';
export { readPage } from './read-page.ts';
export * from './source-text.ts';
