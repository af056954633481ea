export { CELL_PADDING, placeOf } from './fit-table.ts';
export * from './choose-layouts.ts';
export * from './lay-out-slide.ts';
export { FIGURES } from './figure-drafts.ts';
export { MOST_CODE, wordsIn, type LayoutOptions } from './draft.ts';
export { usualDress } from './picture-boxes.ts';
export * from './measure-ahead.ts';
export * from './page.ts';
export * from './page-time.ts';
export {
  capitals,
  sidedAlign,
  sideOf,
  longestWord,
  measurePara,
  type ParaSetting,
  paraSetting,
  placeText,
  SCRIPT_SCALE,
  stackHeight,
  lineHeight,
} from './set-text.ts';
export { REASONS, type Reason } from './signs.ts';
