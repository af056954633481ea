/** Everything that hosts of the core use. */
export * from './base/index.ts';
export * from './charts/index.ts';
export * from './checks/index.ts';
export * from './content/index.ts';
export * from './deck/index.ts';
export * from './document/index.ts';
export * from './edits/index.ts';
export * from './fonts/font-families.ts';
export * from './layout/index.ts';
export * from './library/index.ts';
export * from './mapping/index.ts';
export * from './pipeline/index.ts';
export * from './readers/index.ts';
export * from './scene/index.ts';
export { languageOf, type Language } from './shorten/index.ts';
export * from './starter/index.ts';
export * from './structure/index.ts';
export * from './theme/index.ts';
