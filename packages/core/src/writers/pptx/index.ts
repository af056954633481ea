export { writePptx } from './write-pptx.ts';
export * from './write-into-template.ts';
