export { writeOdt } from './write-odt.ts';
