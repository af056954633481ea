export { branchOfPoint } from './carry.ts';
export * from './decisions.ts';
export * from './edit.ts';
export * from './replay.ts';
export { RELIEVED, spokenInstead } from './spoken.ts';
