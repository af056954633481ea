export { CELL_PADDING } from './fit-table.ts';
export * from './lay-out-slide.ts';
export * from './measure-ahead.ts';
export * from './page.ts';
export { paraSetting, SCRIPT_SCALE, type ParaSetting } from './set-text.ts';
