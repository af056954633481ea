/** How the cells of a table look, on the screen and in files alike. */
import type { CellLine, OwnTableStyle, Paint } from './own-table.ts';
import type { Theme } from './theme.ts';

export interface CellLook {
  readonly fill: Paint | null;
  readonly top: CellLine | null;
  readonly bottom: CellLine | null;
  /** At the left and the right. */
  readonly sides: CellLine | null;
}

/** Whether the cell is of the head, whether that ends below it, and which row it is of how many; counted from 0. */
interface CellPlace {
  readonly header: boolean;
  readonly endsHead: boolean;
  readonly row: number;
  readonly last: boolean;
  /** The table's head is of several rows, which no style knows. */
  readonly tall?: boolean;
}

const FINE = 0.5;
const HEAVY = 2;

export function cellLook({ table: { headColor, rule, lines, own } }: Theme, at: CellPlace): CellLook {
  if (own !== undefined && at.tall !== true) return ownLook(own, at);
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

function ownLook({ head, body }: OwnTableStyle, { header, row, last }: CellPlace): CellLook {
  const { fill, sides } = header ? head : body;
  return {
    fill: !header && body.band !== undefined && row % 2 === 1 ? body.band : fill,
    top: row === 0 ? body.above : null,
    bottom: header ? head.under : last ? body.below : body.between,
    sides,
  };
}

/** The colour of a cell's words. */
export function cellInk({ table: { headText, own } }: Theme, at: CellPlace): Paint {
  const said = own === undefined || at.tall === true ? null : (at.header ? own.head : own.body).text;
  return said ?? (at.header ? headText : 'text');
}
