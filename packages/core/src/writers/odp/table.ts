/** A table on a page (OASIS ODF 1.3 part 3, §9 and §10.4.2). */
import { CELL_PADDING, placeOf, sideOf, type SetCell, type TableBox } from '../../scene/index.ts';
import { cellInk, cellLook, paintOf, type CellLine, type CellLook, type Palette } from '../../theme/index.ts';
import { runsXml, textProperties, type TextLook } from '../odf/runs.ts';
import type { PageContext } from './text.ts';
import { color, element, length, points } from '../odf/xml.ts';

/** @param context In the language of the table. */
export function tableXml(box: TableBox, context: PageContext): string {
  const { styles } = context;
  const at = new Map(box.cells.map((cell) => [`${cell.row} ${cell.column}`, cell]));
  const columns = box.columnWidths.map((width) =>
    element('table:table-column', {
      'table:style-name': styles.style(
        'table-column',
        element('style:table-column-properties', { 'style:column-width': length(width) }),
      ),
    }),
  );
  const rows = box.rowHeights.map((height, r) => {
    const cells = box.columnWidths.map((_, c) => {
      const cell = at.get(`${r} ${c}`);
      if (cell !== undefined) return cellXml(cell, box, context);
      const covered = box.cells.some(
        ({ row, column, rows, columns: wide }) => row <= r && r < row + rows && column <= c && c < column + wide,
      );
      return covered ? '<table:covered-table-cell/>' : '<table:table-cell/>';
    });
    const style = styles.style(
      'table-row',
      element('style:table-row-properties', { 'style:row-height': length(height) }),
    );
    return element('table:table-row', { 'table:style-name': style }, cells.join(''));
  });
  const heads = box.rowHeights.findIndex((_, r) => box.cells.some(({ row, header }) => row === r && !header));
  const head = rows.slice(0, Math.max(0, heads));
  const { mirrored } = context.theme;
  const style = styles.style(
    'table',
    element('style:table-properties', { 'style:writing-mode': mirrored ? 'rl-tb' : 'lr-tb' }),
  );
  return element(
    'table:table',
    { 'table:style-name': style },
    columns.join('') +
      (head.length === 0 ? '' : `<table:table-header-rows>${head.join('')}</table:table-header-rows>`) +
      rows.slice(head.length).join(''),
  );
}

function cellXml(cell: SetCell, box: TableBox, context: PageContext): string {
  const { theme, colors, styles } = context;
  const place = placeOf(cell, box);
  const look: CellLook = cellLook(theme, place);
  const { palette, inks } = colors;
  const text: TextLook = {
    family: theme.fonts.body,
    size: box.size,
    bold: false,
    italic: false,
    caps: false,
    color: paintOf(inks, cellInk(theme, place)),
  };
  const [x, y] = [CELL_PADDING.x, CELL_PADDING.y].map(points);
  const cellStyle = styles.style(
    'table-cell',
    element('style:table-cell-properties', {
      'fo:background-color': look.fill === null ? 'transparent' : color(paintOf(palette, look.fill)),
      'fo:border-top': border(look.top, palette),
      'fo:border-bottom': border(look.bottom, palette),
      'fo:border-left': border(look.sides, palette),
      'fo:border-right': border(look.sides, palette),
      'fo:padding-top': y,
      'fo:padding-bottom': y,
      'fo:padding-left': x,
      'fo:padding-right': points(CELL_PADDING.x + (cell.pad ?? 0) / 12_700),
      'style:vertical-align': 'middle',
    }),
  );
  const side = sideOf(cell, theme);
  const align = cell.align === 'right' ? (side.rtl ? 'left' : 'right') : side.fromRight ? 'right' : 'left';
  const paragraph = styles.style(
    'paragraph',
    element('style:paragraph-properties', {
      'fo:text-align': align,
      'style:writing-mode': side.rtl ? 'rl-tb' : 'lr-tb',
    }) + textProperties(text),
  );
  // A receiver that paints no grounds of cells still shows what stands on them.
  const behind =
    look.fill === null || !cell.header
      ? ''
      : styles.style(
          'text',
          element('style:text-properties', { 'fo:background-color': color(paintOf(palette, look.fill)) }),
        );
  const runs = runsXml(cell.runs, { ...context, mono: theme.fonts.mono }, text);
  const inner = behind === '' || runs === '' ? runs : element('text:span', { 'text:style-name': behind }, runs);
  return element(
    'table:table-cell',
    {
      'table:style-name': cellStyle,
      'table:number-columns-spanned': cell.columns > 1 ? cell.columns : null,
      'table:number-rows-spanned': cell.rows > 1 ? cell.rows : null,
    },
    element('text:p', { 'text:style-name': paragraph }, inner),
  );
}

const border = (line: CellLine | null, palette: Palette): string =>
  line === null ? 'none' : `${points(line.width)} solid ${color(paintOf(palette, line.color))}`;
