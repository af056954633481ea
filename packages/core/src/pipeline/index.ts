export { DEFLATE_SETTINGS, type Deflate } from '../container/index.ts';
export * from './compare-outlines.ts';
export * from './convert.ts';
export * from './formats.ts';
export * from './needed-sizes.ts';
export * from './open-document.ts';
export * from './review-edition.ts';
export * from './write-deck.ts';
