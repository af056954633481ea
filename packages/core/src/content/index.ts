export * from './picture.ts';
export * from './run.ts';
export * from './table.ts';
export * from './words.ts';
export type * from './file-about.ts';
