export * from './block.ts';
export * from './block-ids.ts';
export * from './block-index.ts';
export * from './block-text.ts';
export * from './direction.ts';
export * from './find-title.ts';
export * from './line-marks.ts';
export * from './notes-below.ts';
