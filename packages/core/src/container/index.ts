export * from './package.ts';
export * from './xml-reader.ts';
export * from './xml-text.ts';
export * from './zip-reader.ts';
export * from './zip-writer.ts';
export * from './xml-tree.ts';
export * from './slide-origin.ts';
