export * from './deck.ts';
export * from './destination.ts';
export * from './motion.ts';
export * from './talk-time.ts';
