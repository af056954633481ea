export { readPptx } from './read-pptx.ts';
