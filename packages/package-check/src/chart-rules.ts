/** Charts and the workbooks inside of them say the same (ECMA-376-1 §21.2.2.65, §18.3). */
import type { XmlElement } from 'libxml2-wasm';
import { Package } from './open-package.ts';
import { attribute, elements, values } from './xml.ts';

export async function chartRules(opened: Package): Promise<void> {
  for (const part of opened.names) {
    if (!opened.typeOf(part)?.endsWith('drawingml.chart+xml')) continue;
    const tree = opened.tree(part);
    if (tree === undefined) continue;
    const [reference] = values(tree, '/c:chartSpace/c:externalData/@r:id');
    const target = opened.relationships(part).get(reference ?? '');
    if (target === undefined || target.external) continue;
    const bytes = opened.parts.get(target.target);
    if (bytes === undefined) continue;
    const workbook = await Package.open(bytes);
    try {
      const cells = readCells(workbook);
      for (const { part: inner, message } of workbook.faults) opened.fault(`${target.target} ${inner}`.trim(), message);
      for (const formula of elements(tree, '//c:numRef | //c:strRef')) compare(opened, part, formula, cells);
    } finally {
      workbook.dispose();
    }
  }
}

type Cells = ReadonlyMap<string, ReadonlyMap<string, string>>;

/** Texts of cells by sheet and address. */
function readCells(workbook: Package): Cells {
  const sheets = new Map<string, ReadonlyMap<string, string>>();
  const [main] = workbook.related('', 'officeDocument');
  const tree = main === undefined ? undefined : workbook.tree(main);
  if (main === undefined || tree === undefined) return sheets;
  const [strings] = workbook.related(main, 'sharedStrings');
  const shared = strings === undefined ? undefined : workbook.tree(strings);
  const texts =
    shared === undefined ? [] : elements(shared, '/s:sst/s:si').map((one) => values(one, './/s:t').join(''));
  for (const sheet of elements(tree, '/s:workbook/s:sheets/s:sheet')) {
    const name = attribute(sheet, 'name') ?? '';
    const target = workbook.relationships(main).get(attribute(sheet, 'id', 'r') ?? '');
    const own = target === undefined ? undefined : workbook.tree(target.target);
    if (own === undefined) {
      workbook.fault(main, `the sheet ${name} is not there`);
      continue;
    }
    const cells = elements(own, '//s:sheetData/s:row/s:c').map((cell): [string, string] => {
      const [value = ''] = values(cell, 's:v');
      const type = attribute(cell, 't');
      const text =
        type === 's' ? (texts[Number(value)] ?? '') : type === 'inlineStr' ? values(cell, './/s:t').join('') : value;
      return [attribute(cell, 'r') ?? '', text];
    });
    sheets.set(name, new Map(cells));
  }
  return sheets;
}

/** What the chart remembers of its cells is what stands in them. */
function compare(opened: Package, part: string, reference: XmlElement, sheets: Cells): void {
  const [formula = ''] = values(reference, 'c:f');
  const found = /^(?:'((?:[^']|'')+)'|([^'!]+))!(.+)$/.exec(formula);
  const cells = sheets.get((found?.[1] ?? found?.[2] ?? '').replaceAll("''", "'"));
  const addresses = found === null ? undefined : addressesOf(found[3]!);
  if (cells === undefined || addresses === undefined) {
    opened.fault(part, `its workbook has no ${formula}`);
    return;
  }
  const [count] = values(reference, '*/c:ptCount/@val');
  if (count !== undefined && Number(count) !== addresses.length)
    opened.fault(part, `${formula} are ${addresses.length} cells, and it remembers ${count}`);
  const known = new Map(
    elements(reference, '*/c:pt').map((point) => [Number(attribute(point, 'idx')), values(point, 'c:v')[0] ?? '']),
  );
  addresses.forEach((address, i) => {
    const [there, remembered] = [cells.get(address) ?? '', known.get(i) ?? ''];
    const same = there === remembered || (there !== '' && remembered !== '' && Number(there) === Number(remembered));
    if (!same) opened.fault(part, `${formula}: the cell ${address} holds “${there}”, and it remembers “${remembered}”`);
  });
}

/** `$B$2:$B$5` as four addresses, by rows; undefined for what is no range. */
function addressesOf(range: string): readonly string[] | undefined {
  const found = /^([A-Z]+)(\d+)(?::([A-Z]+)(\d+))?$/.exec(range.replaceAll('$', ''));
  if (found === null) return undefined;
  const [, left, top, right = left, bottom = top] = found;
  const rows = Array.from({ length: Number(bottom) - Number(top) + 1 }, (_, i) => Number(top) + i);
  const columns = Array.from({ length: columnNumber(right!) - columnNumber(left!) + 1 }, (_, i) =>
    columnName(columnNumber(left!) + i),
  );
  return rows.flatMap((row) => columns.map((column) => `${column}${row}`));
}

const columnNumber = (name: string): number =>
  [...name].reduce((sum, letter) => sum * 26 + letter.charCodeAt(0) - 64, 0);
const columnName = (number: number): string =>
  number === 0 ? '' : columnName(Math.floor((number - 1) / 26)) + String.fromCharCode(65 + ((number - 1) % 26));
