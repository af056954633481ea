export * from './deck.ts';
export * from './destination.ts';
export * from './talk-time.ts';
