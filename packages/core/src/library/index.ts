export { englishFor } from './glossary.ts';
export * from './scenes.ts';
export * from './search.ts';
