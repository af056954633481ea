export { DEFLATE_SETTINGS } from '../container/index.ts';
export * from './compare-outlines.ts';
export * from './convert.ts';
export * from './export-pptx.ts';
export * from './needed-sizes.ts';
export * from './open-document.ts';
export * from './review-edition.ts';
