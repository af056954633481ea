/** How the cells of a table look, on the screen and in files alike. */
import type { ColorName } from './palette.ts';
import type { Theme } from './theme.ts';

/** A line along a cell's edge. */
export interface CellLine {
  readonly color: ColorName;
  readonly width: number /* points */;
}
export interface CellLook {
  readonly fill: ColorName | null;
  readonly top: CellLine | null;
  readonly bottom: CellLine | null;
  /** At the left and the right. */
  readonly sides: CellLine | null;
}

const FINE = 0.5;
const HEAVY = 2;

/** @param at Whether the cell is of the head, whether that ends below it, and which row it is of how many; counted from 0. */
export function cellLook(
  { table: { headColor, rule, lines } }: Theme,
  at: { readonly header: boolean; readonly endsHead: boolean; readonly row: number; readonly last: boolean },
): CellLook {
  const fine: CellLine = { color: rule, width: FINE };
  const heavy: CellLine = { color: rule, width: HEAVY };
  const fill = at.header && headColor !== 'ground' ? headColor : null;
  switch (lines) {
    case 'rows':
      return { fill, top: null, bottom: fine, sides: null };
    case 'book':
      return {
        fill: null,
        top: at.row === 0 ? heavy : null,
        bottom: at.last ? heavy : at.endsHead ? { ...fine, width: 1 } : null,
        sides: null,
      };
    case 'base':
      return { fill: null, top: null, bottom: at.endsHead ? heavy : at.last ? heavy : fine, sides: null };
    case 'bands':
      return { fill: at.header ? fill : at.row % 2 === 0 ? 'panel' : null, top: null, bottom: null, sides: null };
    case 'grid':
      return { fill, top: fine, bottom: fine, sides: fine };
  }
}
