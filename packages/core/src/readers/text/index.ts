export * from './read-text.ts';
export * from './looks-like-markdown.ts';
