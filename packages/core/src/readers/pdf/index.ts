export * from './read-pdf.ts';
