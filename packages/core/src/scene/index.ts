// What writers need of the stages before; they import the scene alone.
export type { ItemMark, Motion, Note } from '../deck/index.ts';
export {
  capitals,
  CELL_PADDING,
  lineHeight,
  sidedAlign,
  sideOf,
  measurePara,
  paraSetting,
  placeOf,
  placeText,
  type Box,
  type ChartBox,
  type ConnectorBox,
  type ConnectorEnd,
  type IconBox,
  type Para,
  type PictureBox,
  type ShapeBox,
  type SetCell,
  type SetParagraph,
  type TableBox,
  type TextBox,
} from '../layout/index.ts';
export { accentOf, coloredByCategory, formatCode, isMirrored, type Chart } from '../charts/index.ts';
export type { PictureDress } from '../deck/index.ts';
export * from './describe.ts';
export { CHART_TYPE } from './chart-pen.ts';
export * from './draw-chart.ts';
export * from './fonts-used.ts';
export * from './draw-slide.ts';
export * from './drawn-slide.ts';
export * from './drawn-shape.ts';
export * from './drawn-text.ts';
export { pictureGround } from './picture-ground.ts';
export * from './scene.ts';
export * from './steps.ts';
export * from './tone.ts';
export { mirroredSign, seenParts } from './visual-order.ts';
