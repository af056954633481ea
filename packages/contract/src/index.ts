export * from './schemas.ts';
