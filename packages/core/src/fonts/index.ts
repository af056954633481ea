export * from './break-lines.ts';
export * from './font-families.ts';
export * from './font-metrics.ts';
