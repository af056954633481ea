export * from './read-rtf.ts';
