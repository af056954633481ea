/** A chart as it is read from the right: its axes, bars and legend the other way round, its words as they are. */
import svgpath from 'svgpath';
import { emu, emuFromPt } from '../base/index.ts';
import { plain } from '../content/index.ts';
import { sideOf } from '../layout/index.ts';
import type { Theme } from '../theme/index.ts';
import type { DrawnShape } from './drawn-shape.ts';
import type { Piece } from './drawn-text.ts';

/** @param middle About which it is turned, in points. */
export const mirroredShape = (shape: DrawnShape, middle: number): DrawnShape => ({
  ...shape,
  d: svgpath(shape.d)
    .scale(-1, 1)
    .translate(2 * middle, 0)
    .round(2)
    .toString(),
});

/** @param middle About which it is turned, in points. */
export const mirroredPiece = (piece: Piece, middle: number): Piece => ({
  ...piece,
  x: emu(2 * emuFromPt(middle) - piece.x - piece.width),
});

/** A piece that is known by its left edge, by its right one where it is written from there. */
export const asWritten = (piece: Piece, theme: Theme): Piece =>
  sideOf({ runs: plain(piece.text) }, theme).rtl ? { ...piece, x: emu(piece.x + piece.width), rtl: true } : piece;
