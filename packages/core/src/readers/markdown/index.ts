export * from './read-markdown.ts';
