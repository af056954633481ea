export * from './deck.ts';
export * from './destination.ts';
export * from './link-goals.ts';
export * from './motion.ts';
export * from './talk-time.ts';
