/** A native table (ECMA-376-1 §21.1.3). */
import equal from 'fast-deep-equal';
import { xmlText } from '../../container/index.ts';
import { runsText } from '../../content/index.ts';
import { CELL_PADDING, placeOf, sideOf, type SetCell, type TableBox } from '../../scene/index.ts';
import { cellInk, cellLook, type CellLine, type CellLook, type Paint, type Theme } from '../../theme/index.ts';
import { styledLook, styledText, tableStyleId, type TableFlags } from './table-style.ts';
import { paintFill } from './colors.ts';
import { runsXml, type TextContext } from './text.ts';
import { emuOf, hundredths } from './xml.ts';

export function tableXml(box: TableBox, context: TextContext): string {
  const { theme } = context;
  const { own } = theme.table;
  const columns = box.columnWidths.map((width) => `<a:gridCol w="${width}"/>`).join('');
  const covering = new Map<string, SetCell>();
  for (const cell of box.cells)
    for (let r = cell.row; r < cell.row + cell.rows; r++)
      for (let c = cell.column; c < cell.column + cell.columns; c++) covering.set(`${r} ${c}`, cell);
  const flags = flagsOf(box);
  const last = box.rowHeights.length - 1;
  const rows = box.rowHeights.map((height, r) => {
    const styled = { look: styledLook(theme, flags, r, r === last), text: styledText(theme, flags, r) };
    const bold =
      (flags.head && r === 0 && own?.head.bold !== false) || (flags.total && r === last && own === undefined);
    const cells = box.columnWidths.map((_, c) => {
      const cell = covering.get(`${r} ${c}`);
      if (cell === undefined) return emptyCell('', NO_LOOK, styled.look, box.size, context);
      const place = placeOf(cell, box);
      const look = cellLook(theme, place);
      if (cell.row === r && cell.column === c)
        return cellXml(cell, box.size, { look, text: cellInk(theme, place) }, { ...styled, bold }, context);
      const merge = `${cell.column < c ? ' hMerge="1"' : ''}${cell.row < r ? ' vMerge="1"' : ''}`;
      return emptyCell(merge, look, styled.look, box.size, context);
    });
    return `<a:tr h="${height}">${cells.join('')}</a:tr>`;
  });
  const parts = `${theme.mirrored ? ' rtl="1"' : ''}${flags.head ? ' firstRow="1"' : ''}${namesRows(box) && own?.paintsColumn !== true ? ' firstCol="1"' : ''}${flags.total ? ' lastRow="1"' : ''}${bands(theme) ? ' bandRow="1"' : ''}`;
  return `<a:tbl><a:tblPr${parts}><a:tableStyleId>${xmlText(tableStyleId(theme))}</a:tableStyleId></a:tblPr><a:tblGrid>${columns}</a:tblGrid>${rows.join('')}</a:tbl>`;
}

const bands = ({ table: { lines, own } }: Theme): boolean =>
  own === undefined ? lines === 'bands' : own.body.band !== undefined;

/** A head of several rows is no first row alone; a sum is a last row that stands out as a whole. */
function flagsOf({ cells, rowHeights }: TableBox): TableFlags {
  const last = rowHeights.length - 1;
  const below = cells.filter(({ row }) => row === last);
  return {
    head: cells.some(({ header }) => header) && cells.every(({ header, row }) => header === (row === 0)),
    total:
      last > 0 &&
      below.every(({ header, runs }) => !header && runs.every(({ bold }) => bold)) &&
      below.some(({ runs }) => runs.length > 0),
  };
}

/**
 * Whether the first column says what its rows are about, so that it is read out with their numbers: names, each another, beside
 * columns of numbers. The style draws it no other way.
 */
function namesRows({ cells, columnWidths }: TableBox): boolean {
  const body = cells.filter(({ header }) => !header);
  const names = body.filter(({ column }) => column === 0).map(({ runs }) => runsText(runs).trim());
  const values = body.filter(({ column }) => column > 0).map(({ runs }) => runsText(runs).trim());
  return (
    columnWidths.length > 1 &&
    names.length > 1 &&
    names.every((name) => /\p{L}/u.test(name)) &&
    new Set(names).size === names.length &&
    values.filter((value) => /^[^\p{L}]*\d/u.test(value)).length * 2 > values.length
  );
}

interface Colored {
  readonly look: CellLook;
  readonly text: Paint;
}
/** How a cell comes out by the table's style alone. */
interface Styled extends Colored {
  readonly bold: boolean;
}

function cellXml(cell: SetCell, size: number, own: Colored, styled: Styled, context: TextContext): string {
  const { theme } = context;
  const spans = `${cell.columns > 1 ? ` gridSpan="${cell.columns}"` : ''}${cell.rows > 1 ? ` rowSpan="${cell.rows}"` : ''}`;
  const extra = {
    attributes: ` sz="${hundredths(size)}"`,
    fill: own.text === styled.text ? '' : paintFill(own.text),
    mono: false,
    faces: '',
  };
  const runs = styled.bold ? cell.runs.map(({ bold: _, ...run }) => run) : cell.runs;
  const text = runsXml(runs, context, extra) || `<a:endParaRPr lang="${context.language}" sz="${hundredths(size)}"/>`;
  return `<a:tc${spans}><a:txBody><a:bodyPr/><a:lstStyle/><a:p>${cell.align === 'right' ? `<a:pPr algn="r"${sideOf(cell, theme).rtl ? ' rtl="1"' : ''}/>` : ''}${text}</a:p></a:txBody>${cellProperties(own.look, styled.look, cell.pad)}</a:tc>`;
}

/** What a merged cell covers looks as it does. */
const emptyCell = (
  attributes: string,
  look: CellLook,
  styled: CellLook,
  size: number,
  { language }: TextContext,
): string =>
  `<a:tc${attributes}><a:txBody><a:bodyPr/><a:lstStyle/><a:p><a:endParaRPr lang="${language}" sz="${hundredths(size)}"/></a:p></a:txBody>${cellProperties(look, styled)}</a:tc>`;

const NO_LOOK: CellLook = { fill: null, top: null, bottom: null, sides: null };

/** What the table's style says is not said again. */
function cellProperties({ fill, top, bottom, sides }: CellLook, styled: CellLook, pad = 0): string {
  const [x, y] = [emuOf(CELL_PADDING.x), emuOf(CELL_PADDING.y)];
  const line = (tag: string, of: CellLine | null, byStyle: CellLine | null): string =>
    equal(of, byStyle)
      ? ''
      : of === null
        ? `<a:${tag} w="0"><a:noFill/></a:${tag}>`
        : `<a:${tag} w="${emuOf(of.width)}">${paintFill(of.color)}</a:${tag}>`;
  const lines = `${line('lnL', sides, styled.sides)}${line('lnR', sides, styled.sides)}${line('lnT', top, styled.top)}${line('lnB', bottom, styled.bottom)}`;
  const ground = fill === styled.fill ? '' : fill === null ? '<a:noFill/>' : paintFill(fill);
  return `<a:tcPr marL="${x}" marR="${x + pad}" marT="${y}" marB="${y}" anchor="ctr"${lines + ground === '' ? '/>' : `>${lines}${ground}</a:tcPr>`}`;
}
