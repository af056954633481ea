export * from './chart.ts';
export * from './number-text.ts';
export * from './read-chart.ts';
