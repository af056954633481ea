export { branchOfPoint } from './carry.ts';
export { carryOver, currentEdition } from './carry-over.ts';
export * from './decisions.ts';
export * from './edit.ts';
export { editPictures } from './edit-pictures.ts';
export * from './replay.ts';
export { RELIEVED, spoken } from './spoken.ts';
export type { Unplaced, UnplacedReason } from './unplaced.ts';
