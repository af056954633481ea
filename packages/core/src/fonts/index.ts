export * from './break-lines.ts';
export * from './families.ts';
export * from './font-faces.ts';
export * from './font-metrics.ts';
export { otherHeight } from './other-scripts.ts';
