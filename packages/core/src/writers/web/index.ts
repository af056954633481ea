export { writePage } from './write-page.ts';
