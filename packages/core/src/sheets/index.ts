export * from './make-sheets.ts';
export * from './sheet.ts';
export type { Passage } from './paragraphs.ts';
