export * from './read-odt.ts';
