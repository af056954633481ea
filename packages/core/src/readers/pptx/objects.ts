/** What a slide holds besides text (ECMA-376-1 §19.3.1.21, §19.3.1.37): pictures, tables, charts, diagrams, embedded objects. */
import { nodeAt, nodesNamed, nodesWithin, type XmlNode } from '../../container/index.ts';
import { chartDrafts } from '../chart-drafts.ts';
import { readChart } from '../ooxml-chart.ts';
import type { Draft } from '../read-result.ts';
import { TableDraft } from '../table-draft.ts';
import { isOn, treeOrTold, type SlideContext } from './context.ts';
import { shapeText } from './paragraphs.ts';

/** What a shape is called and described as (§20.1.2.2.8). */
export function descriptionOf(shape: XmlNode): string | null {
  const about = shape.children.find(({ name }) => /^p:nv\w*Pr$/.test(name));
  const { descr, title } = nodeAt(about, 'p:cNvPr')?.attributes ?? {};
  return descr?.trim() || title?.trim() || null;
}

export function pictureDraft(fill: XmlNode | undefined, alt: string | null, context: SlideContext): Draft | undefined {
  const { attributes } = nodeAt(fill, 'a:blip') ?? {};
  const id = attributes?.['r:embed'] ?? attributes?.['r:link'];
  if (id === undefined) return undefined;
  const { relationships, zip, report, pictures, place } = context;
  const rel = relationships.get(id);
  if (rel === undefined || rel.external || !zip.has(rel.target)) {
    report.add(rel ? 'picture-not-in-file' : 'picture-missing', place, rel ? { name: rel.target } : {});
    return { kind: 'picture', alt, place };
  }
  const picture = pictures.take(rel.target, () => zip.read(rel.target), place);
  return { kind: 'picture', alt, place, ...(picture === undefined ? {} : { picture }) };
}

/** The address of a film that stands in the web (§19.3.2.2, §20.1.3.6); its picture stands on the slide. */
export function filmAddress(shape: XmlNode, { relationships }: SlideContext): string | undefined {
  for (const name of ['a:videoFile', 'a:audioFile'])
    for (const film of nodesWithin(shape, name)) {
      const rel = relationships.get(film.attributes['r:link'] ?? '');
      if (rel?.external === true && /^https?:\/\//i.test(rel.target)) return rel.target;
    }
  return undefined;
}

export function frameDrafts(frame: XmlNode, context: SlideContext): readonly Draft[] {
  const data = nodeAt(frame, 'a:graphic', 'a:graphicData');
  const table = nodeAt(data, 'a:tbl');
  if (table !== undefined) return tableDrafts(table, context);
  const alt = descriptionOf(frame);
  const lost = (code: 'chart-not-read' | 'diagram-not-read', what: string): readonly Draft[] => {
    context.report.add(code, context.place);
    return [{ kind: 'picture', alt: alt === null ? what : `${what}: ${alt}`, place: context.place }];
  };
  const target = (id: string | undefined): string | undefined => {
    const rel = context.relationships.get(id ?? '');
    return rel === undefined || rel.external || !context.zip.has(rel.target) ? undefined : rel.target;
  };
  const chart = nodeAt(data, 'c:chart');
  if (chart !== undefined) {
    const part = target(chart.attributes['r:id']);
    const numbers = part === undefined ? undefined : readChart(context.zip, part);
    return numbers === undefined
      ? lost('chart-not-read', 'Chart')
      : chartDrafts(numbers, alt, context.place, context.report);
  }
  if (/chartex/.test(data?.attributes.uri ?? '')) return lost('chart-not-read', 'Chart');
  const diagram = nodeAt(data, 'dgm:relIds');
  if (diagram !== undefined) {
    const part = target(diagram.attributes['r:dm']);
    const model = part === undefined ? undefined : treeOrTold(context.zip, part, context.report, context.place);
    const items = model === undefined ? [] : diagramItems(model, context);
    return items.length > 0 ? items : lost('diagram-not-read', 'Diagram');
  }
  // What an embedded object looks like.
  for (const picture of data === undefined ? [] : nodesWithin(data, 'p:pic')) {
    const draft = pictureDraft(nodeAt(picture, 'p:blipFill'), alt ?? descriptionOf(picture), context);
    if (draft !== undefined) return [draft];
  }
  context.report.add('object-not-read', context.place);
  return [{ kind: 'picture', alt: alt ?? 'Object', place: context.place }];
}

/** Rows of §21.1.3.13; what stands in a cell that is joined to the one before it is not shown, yet it is text. */
function tableDrafts(table: XmlNode, context: SlideContext): readonly Draft[] {
  const { report, place } = context;
  const draft = new TableDraft(place);
  draft.firstRowIsHeader = isOn(nodeAt(table, 'a:tblPr')?.attributes.firstRow);
  for (const row of nodesNamed(table, 'a:tr')) {
    draft.startRow();
    const cells: { readonly drafts: Draft[]; readonly span: number; readonly continues: boolean }[] = [];
    for (const cell of nodesNamed(row, 'a:tc')) {
      const { gridSpan, hMerge, vMerge } = cell.attributes;
      const { drafts } = shapeText(nodeAt(cell, 'a:txBody'), [], context);
      if (isOn(hMerge) && cells.length > 0) cells.at(-1)!.drafts.push(...drafts);
      else cells.push({ drafts: [...drafts], span: Math.max(1, Number(gridSpan ?? 1) || 1), continues: isOn(vMerge) });
    }
    for (const { drafts, span, continues } of cells) draft.addCell(drafts, span, continues);
  }
  return draft.finish(report);
}

/** Texts of a diagram by its own model (§21.4.3): points below the points that hold them, in the order of their connections. */
function diagramItems(model: XmlNode, context: SlideContext): readonly Draft[] {
  const points = new Map(
    nodesNamed(nodeAt(model, 'dgm:ptLst'), 'dgm:pt').map((point) => [point.attributes.modelId ?? '', point]),
  );
  const below = new Map<string, { readonly id: string; readonly order: number }[]>();
  for (const { attributes } of nodesNamed(nodeAt(model, 'dgm:cxnLst'), 'dgm:cxn')) {
    if ((attributes.type ?? 'parOf') !== 'parOf') continue;
    const { srcId = '', destId = '', srcOrd } = attributes;
    below.set(srcId, [...(below.get(srcId) ?? []), { id: destId, order: Number(srcOrd) || 0 }]);
  }
  const items: Draft[] = [];
  const seen = new Set<string>();
  const walk = (id: string, depth: number): void => {
    if (seen.has(id) || depth > DEEPEST) return;
    seen.add(id);
    const found = shapeText(nodeAt(points.get(id), 'dgm:t'), [], context).drafts;
    items.push(...found.map((draft) => (draft.kind === 'listItem' ? { ...draft, depth: Math.max(1, depth) } : draft)));
    const next = (below.get(id) ?? []).toSorted((a, b) => a.order - b.order);
    for (const child of next) walk(child.id, found.length > 0 || depth > 0 ? depth + 1 : 1);
  };
  for (const [id, point] of points) if (point.attributes.type === 'doc') walk(id, 0);
  // What no connection leads to is text all the same.
  for (const id of points.keys()) walk(id, 1);
  return items;
}
const DEEPEST = 9;
