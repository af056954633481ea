export { readOdp } from './read-odp.ts';
