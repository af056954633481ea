export { readDocx } from './read-docx.ts';
