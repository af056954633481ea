/** Counts what an expert would still remark of a sound presentation: what its receiver, or somebody who does not see it, lacks. */
import type { XmlElement } from 'libxml2-wasm';
import { Package } from './open-package.ts';
import { slidesOf } from './slides-of.ts';
import { attribute, elements, values } from './xml.ts';

export const AUDIT_RULES = [
  'no-title',
  'repeated-title',
  'no-description',
  'no-language',
  'color-by-value',
  'small-type',
  'typed-number',
  'plain-table',
  'text-on-shape',
  'loose-connector',
  'unused-relationship',
  'unnamed-link',
  'no-properties',
] as const;
export type AuditRule = (typeof AUDIT_RULES)[number];

export interface Remark {
  readonly rule: AuditRule;
  readonly part: string;
  readonly what: string;
}

/** @returns Remarks in the order of the slides. @throws Error where the file is no package. */
export async function auditPackage(bytes: Uint8Array): Promise<readonly Remark[]> {
  const opened = await Package.open(bytes);
  try {
    const [main] = opened.related('', 'officeDocument');
    if (main === undefined) throw new Error('it has no presentation');
    const audit = new Audit(opened, main);
    for (const slide of slidesOf(opened, main)) audit.slide(slide);
    audit.properties();
    return audit.remarks;
  } finally {
    opened.dispose();
  }
}

/** Hundredths of a point, on a slide of the usual width; a narrower one is shown as large. */
const LEAST_SIZE = 1200;
const USUAL_WIDTH = 12_192_000; // EMU
const TITLES = ['title', 'ctrTitle'];
const textOf = (at: XmlElement): string => values(at, './/a:t').join('').replace(/\s+/g, ' ').trim();
const hidden = (sheet: XmlElement): boolean => attribute(sheet, 'show') === '0';

class Audit {
  readonly remarks: Remark[] = [];
  readonly #opened: Package;
  readonly #titles = new Set<string>();
  readonly #leastSize: number;

  constructor(opened: Package, main: string) {
    this.#opened = opened;
    const tree = opened.tree(main);
    const [width] = tree === undefined ? [] : values(tree, '/p:presentation/p:sldSz/@cx');
    this.#leastSize = LEAST_SIZE * Math.min(1, Number(width ?? USUAL_WIDTH) / USUAL_WIDTH);
  }

  slide(part: string): void {
    const tree = this.#opened.tree(part);
    if (tree === undefined) return;
    const say = (rule: AuditRule, what: string): void => void this.remarks.push({ rule, part, what });
    const { root } = tree;
    const title = elements(root, '//p:sp[p:nvSpPr/p:nvPr/p:ph]').find((shape) =>
      TITLES.includes(values(shape, './p:nvSpPr/p:nvPr/p:ph/@type')[0] ?? ''),
    );
    const words = title === undefined ? '' : textOf(title);
    if (words === '') say('no-title', 'the slide');
    else if (!hidden(root) && this.#titles.has(words)) say('repeated-title', words);
    this.#titles.add(words);

    for (const shape of elements(root, '//p:pic | //p:graphicFrame | /p:sld/p:cSld/p:spTree/p:grpSp')) {
      const named = elements(shape, './*/p:cNvPr')[0]!;
      const decorative = values(named, './/*[local-name()="decorative"]/@val').some((value) => value !== '0');
      if (!decorative && (attribute(named, 'descr') ?? '').trim() === '')
        say('no-description', attribute(named, 'name') ?? '');
    }
    for (const run of elements(root, '//a:r[not(a:rPr/@lang)]')) say('no-language', textOf(run));
    for (const value of values(root, '//a:srgbClr/@val')) say('color-by-value', value);
    for (const value of values(root, '//@sz'))
      if (/^\d+$/.test(value) && Number(value) < this.#leastSize) say('small-type', `${Number(value) / 100} pt`);
    for (const paragraph of elements(root, '//p:txBody/a:p[not(a:pPr/a:buAutoNum)]')) {
      const text = textOf(paragraph);
      if (/^(\d+|[a-z]|[ivx]+)[.)]\s/i.test(text) && isPoint(paragraph)) say('typed-number', text.slice(0, 40));
    }
    for (const table of elements(root, '//a:tbl')) {
      if (values(table, './a:tblPr/a:tableStyleId').length === 0) say('plain-table', 'without a style');
      else if (values(table, './a:tblPr/@firstRow').length === 0 && elements(table, './a:tr').length > 1)
        say('plain-table', 'without a head');
    }
    for (const box of elements(root, '//p:grpSp/p:sp[p:nvSpPr/p:cNvSpPr/@txBox="1"]')) this.#onShape(box, say);
    for (const line of elements(root, '//p:cxnSp'))
      if (elements(line, './/a:stCxn').length + elements(line, './/a:endCxn').length < 2)
        say('loose-connector', values(line, './/p:cNvPr/@name')[0] ?? '');
    this.#links(part, root, say);
  }

  /** A text box on a shape that could hold its text. */
  #onShape(box: XmlElement, say: (rule: AuditRule, what: string) => void): void {
    const at = placeOf(box);
    const under = elements(box, '../p:sp[not(p:txBody) and not(p:spPr/a:custGeom)]').find((shape) => {
      const place = placeOf(shape);
      const [turned] = values(shape, './p:spPr/a:xfrm/@rot | ./p:spPr/a:xfrm/@flipV');
      return place !== undefined && at !== undefined && turned === undefined && contains(place, at);
    });
    const geometry = under === undefined ? '' : values(under, './p:spPr/a:prstGeom/@prst')[0];
    if (geometry === 'rect' || geometry === 'roundRect') say('text-on-shape', textOf(box).slice(0, 40));
  }

  #links(part: string, root: XmlElement, say: (rule: AuditRule, what: string) => void): void {
    const used = new Set(values(root, '//@r:id | //@r:embed | //@r:link'));
    for (const { id, type } of this.#opened.relationships(part).values())
      if (!used.has(id) && !['slideLayout', 'notesSlide', 'themeOverride'].includes(type))
        say('unused-relationship', `${id} ${type}`);
    for (const run of elements(root, '//a:r[a:rPr/a:hlinkClick]'))
      if (!/[\p{L}\p{N}]/u.test(textOf(run) + values(run, './a:rPr/a:hlinkClick/@tooltip').join('')))
        say('unnamed-link', textOf(run));
  }

  properties(): void {
    const [core] = this.#opened.related('', 'core-properties');
    const tree = core === undefined ? undefined : this.#opened.tree(core);
    for (const name of ['title', 'language'])
      if (tree === undefined || values(tree, `/*/*[local-name()="${name}"]`).join('').trim() === '')
        this.remarks.push({ rule: 'no-properties', part: core ?? '', what: name });
  }
}

/** In a place for points, and with no mark that a list would have. */
function isPoint(paragraph: XmlElement): boolean {
  const [type] = values(paragraph, '../../p:nvSpPr/p:nvPr/p:ph/@type');
  const placeholder = elements(paragraph, '../../p:nvSpPr/p:nvPr/p:ph').length > 0;
  return placeholder && (type === undefined || type === 'body') && elements(paragraph, './a:pPr/a:buNone').length === 0;
}

type Place = readonly [x: number, y: number, right: number, bottom: number];

function placeOf(shape: XmlElement): Place | undefined {
  const number = (path: string): number => Number(values(shape, `./p:spPr/a:xfrm/${path}`)[0] ?? NaN);
  const [x, y] = [number('a:off/@x'), number('a:off/@y')];
  const place = [x, y, x + number('a:ext/@cx'), y + number('a:ext/@cy')] as const;
  return place.some(Number.isNaN) ? undefined : place;
}

const contains = (outer: Place, inner: Place): boolean =>
  outer[0] <= inner[0] && outer[1] <= inner[1] && outer[2] >= inner[2] && outer[3] >= inner[3];
