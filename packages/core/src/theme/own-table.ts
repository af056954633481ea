/** A table style that an organisation brings, in colours of its own. */
import type { Hex } from './color.ts';
import type { ColorName, Palette } from './palette.ts';

/** A colour of the theme by its name, or one of a template's own table style. */
export type Paint = ColorName | Hex;
export const paintOf = (palette: Palette, paint: Paint): Hex =>
  (palette as Readonly<Record<string, Hex>>)[paint] ?? paint;

/** A line along a cell's edge. */
export interface CellLine {
  readonly color: Paint;
  readonly width: number /* points */;
}

/** A template's own table style (ECMA-376-1 §20.1.4.2), as far as it is drawn; its tables have it by its id. */
export interface OwnTableStyle {
  readonly id: string;
  readonly head: OwnCells & {
    readonly bold: boolean;
    readonly under: CellLine | null;
  };
  readonly body: OwnCells & {
    /** Of every second row, where that is another. */
    readonly band?: Hex | null;
    /** Around the table, and between its rows. */
    readonly above: CellLine | null;
    readonly below: CellLine | null;
    readonly between: CellLine | null;
  };
  /** It paints the first column, where one is named as such. */
  readonly paintsColumn: boolean;
}
interface OwnCells {
  readonly fill: Hex | null;
  readonly text: Hex | null;
  /** At the left and the right. */
  readonly sides: CellLine | null;
}
