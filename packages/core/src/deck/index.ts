export * from './deck.ts';
export * from './destination.ts';
