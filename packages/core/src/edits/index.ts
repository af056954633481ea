export * from './decisions.ts';
export * from './edit.ts';
export * from './replay.ts';
