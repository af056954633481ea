export * from './count.ts';
export * from './join-bytes.ts';
export * from './limits.ts';
export * from './read-error.ts';
export * from './report.ts';
export * from './text-codec.ts';
export * from './units.ts';
export * from './unreachable.ts';
