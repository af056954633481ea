export * from './drawn-text.ts';
export * from './scene.ts';
