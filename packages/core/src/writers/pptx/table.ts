/** A native table (ECMA-376-1 §21.1.3). */
import { CELL_PADDING, placeOf, sideOf, type SetCell, type TableBox } from '../../scene/index.ts';
import { cellLook, type CellLine, type CellLook } from '../../theme/index.ts';
import { solidFill } from './colors.ts';
import { runsXml, type TextContext } from './text.ts';
import { emuOf, hundredths } from './xml.ts';

export function tableXml(box: TableBox, context: TextContext): string {
  const { theme } = context;
  const columns = box.columnWidths.map((width) => `<a:gridCol w="${width}"/>`).join('');
  const covering = new Map<string, SetCell>();
  for (const cell of box.cells)
    for (let r = cell.row; r < cell.row + cell.rows; r++)
      for (let c = cell.column; c < cell.column + cell.columns; c++) covering.set(`${r} ${c}`, cell);
  const rows = box.rowHeights.map((height, r) => {
    const cells = box.columnWidths.map((_, c) => {
      const cell = covering.get(`${r} ${c}`);
      if (cell === undefined) return emptyCell('', null, box.size, context);
      const look = cellLook(theme, placeOf(cell, box));
      if (cell.row === r && cell.column === c) return cellXml(cell, box.size, look, context);
      const merge = `${cell.column < c ? ' hMerge="1"' : ''}${cell.row < r ? ' vMerge="1"' : ''}`;
      return emptyCell(merge, look, box.size, context);
    });
    return `<a:tr h="${height}">${cells.join('')}</a:tr>`;
  });
  const head = `${theme.mirrored ? ' rtl="1"' : ''}${box.cells.some((cell) => cell.header) ? ' firstRow="1"' : ''}`;
  return `<a:tbl><a:tblPr${head}/><a:tblGrid>${columns}</a:tblGrid>${rows.join('')}</a:tbl>`;
}

function cellXml(cell: SetCell, size: number, look: CellLook, context: TextContext): string {
  const { theme } = context;
  const spans = `${cell.columns > 1 ? ` gridSpan="${cell.columns}"` : ''}${cell.rows > 1 ? ` rowSpan="${cell.rows}"` : ''}`;
  const extra = {
    attributes: ` sz="${hundredths(size)}"`,
    fill: solidFill(cell.header ? theme.table.headText : 'text'),
    mono: false,
    faces: '',
  };
  const text =
    runsXml(cell.runs, context, extra) || `<a:endParaRPr lang="${context.language}" sz="${hundredths(size)}"/>`;
  return `<a:tc${spans}><a:txBody><a:bodyPr/><a:lstStyle/><a:p>${cell.align === 'right' ? `<a:pPr algn="r"${sideOf(cell, theme).rtl ? ' rtl="1"' : ''}/>` : ''}${text}</a:p></a:txBody>${cellProperties(look, cell.pad)}</a:tc>`;
}

/** What a merged cell covers looks as it does. */
const emptyCell = (attributes: string, look: CellLook | null, size: number, { language }: TextContext): string =>
  `<a:tc${attributes}><a:txBody><a:bodyPr/><a:lstStyle/><a:p><a:endParaRPr lang="${language}" sz="${hundredths(size)}"/></a:p></a:txBody>${cellProperties(look)}</a:tc>`;

const NO_LOOK: CellLook = { fill: null, top: null, bottom: null, sides: null };

function cellProperties(look: CellLook | null, pad = 0): string {
  const [x, y] = [emuOf(CELL_PADDING.x), emuOf(CELL_PADDING.y)];
  const { fill, top, bottom, sides } = look ?? NO_LOOK;
  const line = (tag: string, of: CellLine | null): string =>
    of === null
      ? `<a:${tag} w="0"><a:noFill/></a:${tag}>`
      : `<a:${tag} w="${emuOf(of.width)}">${solidFill(of.color)}</a:${tag}>`;
  const lines = `${line('lnL', sides)}${line('lnR', sides)}${line('lnT', top)}${line('lnB', bottom)}`;
  return `<a:tcPr marL="${x}" marR="${x + pad}" marT="${y}" marB="${y}" anchor="ctr">${lines}${fill === null ? '<a:noFill/>' : solidFill(fill)}</a:tcPr>`;
}
