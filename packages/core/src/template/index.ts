export * from './disarm.ts';
export * from './read-template.ts';
export * from './template-model.ts';
export * from './template-theme.ts';
