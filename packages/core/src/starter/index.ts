export * from './purposes.ts';
export * from './start-outline.ts';
