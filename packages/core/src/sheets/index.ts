export * from './make-sheets.ts';
export * from './sheet.ts';
