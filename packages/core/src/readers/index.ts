export * from './detect-type.ts';
export * from './read-document.ts';
export type { ReadOptions, ReadResult } from './read-result.ts';
