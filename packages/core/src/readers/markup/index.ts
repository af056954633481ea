export * from './read-markup.ts';
