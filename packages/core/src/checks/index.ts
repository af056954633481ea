export * from './slide-advice.ts';
