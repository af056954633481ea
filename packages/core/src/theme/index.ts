export { contrastRatio, isHex, type Hex } from './color.ts';
export * from './design.ts';
export * from './designs.ts';
export * from './dress.ts';
export * from './font-pairs.ts';
export * from './look.ts';
export * from './palette.ts';
export * from './picture-colors.ts';
export * from './theme.ts';
