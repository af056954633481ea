/** What shapes of a slide, layout, master or page of notes say of each other (ECMA-376-1 §19.3, §20.1, §21.1). */
import type { XmlDocument, XmlElement } from 'libxml2-wasm';
import type { Package } from './open-package.ts';
import { attribute, elements, repeated, values } from './xml.ts';

const SHEETS = /presentationml\.(slide|slideLayout|slideMaster|notesSlide|notesMaster)\+xml$/;

export function shapeRules(opened: Package): void {
  for (const part of opened.names) {
    if (!SHEETS.test(opened.typeOf(part) ?? '')) continue;
    const tree = opened.tree(part);
    if (tree === undefined) continue;
    checkShapes(opened, part, tree);
    checkTables(opened, part, tree);
    const [layout] = opened.related(part, 'slideLayout');
    const its = layout === undefined ? undefined : opened.tree(layout);
    if (its !== undefined && !/slideMaster\+xml$/.test(opened.typeOf(part) ?? ''))
      checkPlaceholders(opened, part, tree, its);
  }
}

function checkShapes(opened: Package, part: string, tree: XmlDocument): void {
  const ids = values(tree, '//p:cNvPr/@id');
  for (const id of repeated(ids)) opened.fault(part, `two shapes have the id ${id}`);
  for (const id of values(tree, '//a:stCxn/@id | //a:endCxn/@id'))
    if (!ids.includes(id)) opened.fault(part, `a connector is tied to a shape that is not there: ${id}`);
  for (const id of values(tree, '//p:spTgt/@spid | //p:bldP/@spid'))
    if (!ids.includes(id)) opened.fault(part, `a movement is of a shape that is not there: ${id}`);
}

interface Place {
  readonly type: string;
  readonly index: string;
}
const place = (element: XmlElement): Place => {
  const type = attribute(element, 'type') ?? 'obj';
  return { type: type === 'ctrTitle' ? 'title' : type, index: attribute(element, 'idx') ?? '0' };
};
const ALONE: ReadonlySet<string> = new Set(['title', 'dt', 'ftr', 'sldNum', 'hdr']);

/** Every placeholder stands on the layout too: by its kind where there is one of it, else by its index (§19.3.1.36). A title may stand where a layout has none. */
function checkPlaceholders(opened: Package, part: string, tree: XmlDocument, layout: XmlDocument): void {
  const there = elements(layout, '//p:nvPr/p:ph').map(place);
  const own = elements(tree, '//p:nvPr/p:ph').map(place);
  const titled = there.some(({ type }) => type === 'title');
  for (const { type, index } of own)
    if (type === 'title' && !titled) {
      if (elements(tree, '//p:sp[p:nvSpPr/p:nvPr/p:ph/@type="title"]/p:spPr/a:xfrm').length === 0)
        opened.fault(part, 'its layout has no placeholder title, and its own has no place');
    } else if (!there.some((one) => (ALONE.has(type) ? one.type === type : one.index === index)))
      opened.fault(part, `its layout has no placeholder ${type} ${index}`);
  for (const key of repeated(own.map(({ type, index }) => (ALONE.has(type) ? type : index))))
    opened.fault(part, `two shapes stand in the placeholder ${key}`);
}

/** Every row has a cell for each column, and no cell spans more than there are. */
function checkTables(opened: Package, part: string, tree: XmlDocument): void {
  for (const table of elements(tree, '//a:tbl')) {
    const columns = elements(table, 'a:tblGrid/a:gridCol').length;
    const rows = elements(table, 'a:tr');
    rows.forEach((row, at) => {
      const cells = elements(row, 'a:tc');
      if (cells.length !== columns)
        opened.fault(part, `a row of a table has ${cells.length} cells for ${columns} columns`);
      cells.forEach((cell, i) => {
        if (
          i + Number(attribute(cell, 'gridSpan') ?? 1) > columns ||
          at + Number(attribute(cell, 'rowSpan') ?? 1) > rows.length
        )
          opened.fault(part, 'a cell reaches over the end of its table');
      });
    });
  }
}
