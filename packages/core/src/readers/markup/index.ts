export * from './read-markup.ts';
export * from './source-text.ts';
