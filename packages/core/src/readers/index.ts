export * from './detect-type.ts';
export * from './read-document.ts';
export { isTurned, takePicture } from './picture-store.ts';
export { looksLikeMarkdown } from './text/index.ts';
export type { ReadOptions, ReadResult } from './read-result.ts';
