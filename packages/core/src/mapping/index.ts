export * from './ledger.ts';
export * from './map-document.ts';
export { NO_OVERRIDES, type Overrides } from './plan.ts';
export * from './preset-maps.ts';
export * from './text-kind.ts';
