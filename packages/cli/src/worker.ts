/** A thread that makes decks of documents. */
export { tryJob as default } from './convert-file.ts';
