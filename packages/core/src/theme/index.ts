export * from './contrast.ts';
export * from './theme.ts';
export * from './themes.ts';
