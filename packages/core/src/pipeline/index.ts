export * from './convert.ts';
export * from './export-pptx.ts';
