export * from './read-html.ts';
