// What writers need of the stages before; they import the scene alone.
export type { Note } from '../deck/index.ts';
export {
  CELL_PADDING,
  paraSetting,
  type Box,
  type Para,
  type PictureBox,
  type SetCell,
  type TableBox,
  type TextBox,
} from '../layout/index.ts';
export * from './drawn-text.ts';
export * from './scene.ts';
