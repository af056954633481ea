export { writeOdp } from './write-odp.ts';
