export { writePptx } from './write-pptx.ts';
