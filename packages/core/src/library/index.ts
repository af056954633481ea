export { englishFor } from './glossary.ts';
export * from './library.ts';
export * from './search.ts';
