export * from './ledger.ts';
export * from './map-document.ts';
export * from './preset-maps.ts';
export * from './text-kind.ts';
