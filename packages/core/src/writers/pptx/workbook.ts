/** The workbook of a chart (ECMA-376-1 §18): one sheet with the names in its first column and a series in each further one. */
import { xmlText, ZipWriter, type Deflate } from '../../container/index.ts';
import { formatCode, type Chart } from '../../scene/index.ts';
import { relationships, XML } from '../opc/package.ts';
import { columnName } from '../slides/column-name.ts';

const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const TYPES = 'application/vnd.openxmlformats-officedocument.spreadsheetml';

export function workbook(chart: Chart, deflate?: Deflate): Uint8Array {
  const zip = new ZipWriter(deflate);
  const across = chart.series[0]?.across;
  const columns: readonly { readonly name: string; readonly values: readonly (number | null)[] }[] = [
    ...(across === undefined ? [] : [{ name: chart.settings.acrossTitle ?? '', values: across }]),
    ...chart.series,
  ];
  const words = (text: string, at: string): string =>
    text === '' ? '' : `<c r="${at}" t="inlineStr"><is><t xml:space="preserve">${xmlText(text)}</t></is></c>`;
  const head = columns.map(({ name }, i) => words(name, `${columnName(i + 1)}1`)).join('');
  const rows = chart.categories.map((name, k) => {
    const cells = columns.map(({ values }, i) => {
      const value = values[k];
      return value === null || value === undefined
        ? ''
        : `<c r="${columnName(i + 1)}${k + 2}" s="1"><v>${value}</v></c>`;
    });
    return `<row r="${k + 2}">${words(name, `A${k + 2}`)}${cells.join('')}</row>`;
  });
  zip.add({
    name: 'xl/workbook.xml',
    content: `${XML}<workbook xmlns="${MAIN}" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="Sheet1" sheetId="1" r:id="rId1"/></sheets></workbook>`,
  });
  zip.add({
    name: 'xl/_rels/workbook.xml.rels',
    content: relationships([
      { id: 'rId1', type: 'worksheet', target: 'worksheets/sheet1.xml' },
      { id: 'rId2', type: 'styles', target: 'styles.xml' },
    ]),
  });
  zip.add({
    name: 'xl/worksheets/sheet1.xml',
    content: `${XML}<worksheet xmlns="${MAIN}"><sheetData><row r="1">${head}</row>${rows.join('')}</sheetData></worksheet>`,
  });
  zip.add({
    name: 'xl/styles.xml',
    content: `${XML}<styleSheet xmlns="${MAIN}"><numFmts count="1"><numFmt numFmtId="164" formatCode="${xmlText(formatCode(chart.format))}"/></numFmts><fonts count="1"><font><sz val="11"/><name val="Calibri"/></font></fonts><fills count="2"><fill><patternFill patternType="none"/></fill><fill><patternFill patternType="gray125"/></fill></fills><borders count="1"><border><left/><right/><top/><bottom/><diagonal/></border></borders><cellStyleXfs count="1"><xf numFmtId="0" fontId="0" fillId="0" borderId="0"/></cellStyleXfs><cellXfs count="2"><xf numFmtId="0" fontId="0" fillId="0" borderId="0" xfId="0"/><xf numFmtId="164" fontId="0" fillId="0" borderId="0" xfId="0" applyNumberFormat="1"/></cellXfs></styleSheet>`,
  });
  return zip.finish([
    {
      name: '[Content_Types].xml',
      content: `${XML}<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="${TYPES}.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="${TYPES}.worksheet+xml"/><Override PartName="/xl/styles.xml" ContentType="${TYPES}.styles+xml"/></Types>`,
    },
    {
      name: '_rels/.rels',
      content: relationships([{ id: 'rId1', type: 'officeDocument', target: 'xl/workbook.xml' }]),
    },
  ]);
}
