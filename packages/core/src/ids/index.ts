export * from './ids.ts';
