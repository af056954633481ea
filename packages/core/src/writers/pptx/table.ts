/** A native table (ECMA-376-1 §21.1.3). */
import { CELL_PADDING, type SetCell, type TableBox } from '../../scene/index.ts';
import type { Theme } from '../../theme/index.ts';
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
      if (cell === undefined) return emptyCell('', theme);
      if (cell.row === r && cell.column === c) return cellXml(cell, box.size, context);
      const merge = `${cell.column < c ? ' hMerge="1"' : ''}${cell.row < r ? ' vMerge="1"' : ''}`;
      return emptyCell(merge, theme);
    });
    return `<a:tr h="${height}">${cells.join('')}</a:tr>`;
  });
  const head = box.cells.some((cell) => cell.header) ? ' firstRow="1"' : '';
  return `<a:tbl><a:tblPr${head}/><a:tblGrid>${columns}</a:tblGrid>${rows.join('')}</a:tbl>`;
}

function cellXml(cell: SetCell, size: number, context: TextContext): string {
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
  return `<a:tc${spans}><a:txBody><a:bodyPr/><a:lstStyle/><a:p>${text}</a:p></a:txBody>${cellProperties(cell.header, theme)}</a:tc>`;
}

const emptyCell = (attributes: string, theme: Theme): string =>
  `<a:tc${attributes}><a:txBody><a:bodyPr/><a:lstStyle/><a:p><a:endParaRPr lang="en-GB"/></a:p></a:txBody>${cellProperties(false, theme)}</a:tc>`;

function cellProperties(header: boolean, theme: Theme): string {
  const [x, y] = [emuOf(CELL_PADDING.x), emuOf(CELL_PADDING.y)];
  const none = (tag: string): string => `<a:${tag} w="0"><a:noFill/></a:${tag}>`;
  const rule = `<a:lnB w="6350">${solidFill(theme.table.rule)}</a:lnB>`;
  const fill = header ? solidFill(theme.table.headColor) : '<a:noFill/>';
  return `<a:tcPr marL="${x}" marR="${x}" marT="${y}" marB="${y}">${none('lnL')}${none('lnR')}${none('lnT')}${rule}${fill}</a:tcPr>`;
}
