export { writeDocx, type DocxOptions } from './write-docx.ts';
