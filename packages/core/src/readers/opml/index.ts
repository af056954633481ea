export * from './read-opml.ts';
