/** Reads an organisation's presentation (ECMA-376-1 §13, §19.3) as a template: masters, layouts, colours, fonts, grounds, logos. */
import { emu, ptFromEmu, ReadError } from '../base/index.ts';
import {
  mainPart,
  nodeAt,
  nodesNamed,
  openZip,
  readRelationships,
  readXmlTree,
  type XmlNode,
  type ZipReader,
} from '../container/index.ts';
import type { PictureData } from '../content/index.ts';
import { takePicture } from '../readers/index.ts';
import type { Align, Frame, Geometry, Hex, LayoutPicture, LevelStyle, Palette, Rect } from '../theme/index.ts';
import { colorIn, mapped, readScheme, type Scheme } from './colors.ts';
import { ownSlides, withUses } from './own-slides.ts';
import type {
  TemplateLayout,
  TemplateMark,
  TemplateMaster,
  TemplateModel,
  TemplatePlaceholder,
} from './template-model.ts';

export interface ReadTemplate {
  readonly model: TemplateModel;
  readonly pictures: readonly PictureData[];
}

const MOST_LAYOUTS = 200;

/** @throws ReadError `wrong-type` for another kind of file, `part-missing` for one without masters, and as the container does. */
export function readTemplate(bytes: Uint8Array): ReadTemplate {
  const zip = openZip(bytes);
  const main = mainPart(zip, 'presentationml');
  const presentation = readXmlTree(zip, main);
  const relationships = readRelationships(zip, main);
  const size = nodeAt(presentation, 'p:sldSz')?.attributes;
  const reader = new Reader(zip);
  const slides = nodesNamed(nodeAt(presentation, 'p:sldIdLst'), 'p:sldId').flatMap(
    ({ attributes }) => relationships.get(attributes['r:id'] ?? '')?.target ?? [],
  );
  nodesNamed(nodeAt(presentation, 'p:sldMasterIdLst'), 'p:sldMasterId').forEach((entry) => {
    const target = relationships.get(entry.attributes['r:id'] ?? '')?.target;
    if (target !== undefined && zip.has(target)) reader.addMaster(target);
  });
  if (reader.layouts.length === 0) throw new ReadError('part-missing', { part: main });
  return {
    model: {
      size: { width: emu(Number(size?.cx ?? 12_192_000)), height: emu(Number(size?.cy ?? 6_858_000)) },
      masters: reader.masters,
      layouts: withUses(reader.layouts, zip, slides),
      slides: slides.length,
      ...ownSlides(zip, slides),
      pictures: [...reader.pictures.values()].map(({ id, mime, width, height }) => ({ id, mime, width, height })),
      undrawn: reader.undrawn,
    },
    pictures: [...reader.pictures.values()],
  };
}

/** A placeholder where it is said: by a master or by a layout. */
interface Said {
  readonly type: string | null;
  readonly index: string | null;
  readonly rect: Rect | undefined;
  readonly body: XmlNode | undefined;
  readonly style: XmlNode | undefined;
}
interface Drawn {
  readonly marks: TemplateMark[];
  readonly pictures: LayoutPicture[];
}

class Reader {
  readonly masters: TemplateMaster[] = [];
  readonly layouts: TemplateLayout[] = [];
  readonly pictures = new Map<string, PictureData>();
  undrawn = 0;
  readonly #zip: ZipReader;

  constructor(zip: ZipReader) {
    this.#zip = zip;
  }

  addMaster(part: string): void {
    const master = readXmlTree(this.#zip, part);
    const relationships = readRelationships(this.#zip, part);
    const theme = [...relationships.values()].find(({ type }) => type === 'theme')?.target;
    const themeRoot = theme === undefined || !this.#zip.has(theme) ? undefined : readXmlTree(this.#zip, theme);
    const elements = nodeAt(themeRoot, 'a:themeElements');
    const scheme = mapped(readScheme(nodeAt(elements, 'a:clrScheme')), nodeAt(master, 'p:clrMap'));
    const styles = nodeAt(master, 'p:txStyles');
    const font = (which: string): string =>
      nodeAt(elements, 'a:fontScheme', which, 'a:latin')?.attributes.typeface || 'Arial';
    const bodySize = sizeOf(nodeAt(styles, 'p:bodyStyle', 'a:lvl1pPr')) ?? 24;
    this.masters.push({
      name: themeRoot?.attributes.name ?? '',
      palette: paletteOf(scheme),
      fonts: { heading: font('a:majorFont'), body: font('a:minorFont') },
      levels: [1, 2, 3, 4, 5].map((level) =>
        levelOf(nodeAt(styles, 'p:bodyStyle', `a:lvl${level}pPr`), level, bodySize, scheme),
      ),
    });
    const own = saidIn(master);
    const index = this.masters.length - 1;
    const drawn: Drawn = { marks: [], pictures: [] };
    const ground = this.#ground(master, part, scheme, drawn);
    this.#draw(nodeAt(master, 'p:cSld', 'p:spTree'), part, scheme, drawn);
    for (const { type, target } of orderedLayouts(master, relationships)) {
      if (type !== 'slideLayout' || !this.#zip.has(target) || this.layouts.length >= MOST_LAYOUTS) continue;
      this.#addLayout(target, index, { scheme, styles, own, drawn, ground });
    }
  }

  #addLayout(
    part: string,
    master: number,
    from: { scheme: Scheme; styles: XmlNode | undefined; own: readonly Said[]; drawn: Drawn; ground: Hex },
  ): void {
    const layout = readXmlTree(this.#zip, part);
    const override = nodeAt(layout, 'p:clrMapOvr', 'a:overrideClrMapping');
    const scheme = override === undefined ? from.scheme : mapped(from.scheme, override);
    const shows = layout.attributes.showMasterSp !== '0';
    const drawn: Drawn = {
      marks: shows ? [...from.drawn.marks] : [],
      pictures: shows ? [...from.drawn.pictures] : [],
    };
    const ground =
      nodeAt(layout, 'p:cSld', 'p:bg') === undefined ? from.ground : this.#ground(layout, part, scheme, drawn);
    this.#draw(nodeAt(layout, 'p:cSld', 'p:spTree'), part, scheme, drawn);
    this.layouts.push({
      part,
      name: nodeAt(layout, 'p:cSld')?.attributes.name ?? '',
      type: layout.attributes.type ?? null,
      master,
      ground,
      placeholders: saidIn(layout).flatMap((said) => placeholderOf(said, from.own, from.styles, scheme) ?? []),
      marks: drawn.marks,
      pictures: drawn.pictures,
    });
  }

  #ground(root: XmlNode, part: string, scheme: Scheme, drawn: Drawn): Hex {
    const background = nodeAt(root, 'p:cSld', 'p:bg');
    const properties = nodeAt(background, 'p:bgPr');
    const blip = nodeAt(properties, 'a:blipFill', 'a:blip')?.attributes['r:embed'];
    if (blip !== undefined) this.#picture(part, blip, FULL, '', drawn);
    return (
      colorIn(properties, scheme) ?? colorIn(nodeAt(background, 'p:bgRef'), scheme) ?? scheme.get('bg1') ?? 'FFFFFF'
    );
  }

  /** What stands on a master or a layout beside its placeholders. */
  #draw(tree: XmlNode | undefined, part: string, scheme: Scheme, drawn: Drawn): void {
    for (const shape of tree?.children ?? []) {
      if (shape.name === 'p:grpSp') {
        // Groups whose own lengths are the slide's are drawn; others would have to be scaled.
        const place = nodeAt(shape, 'p:grpSpPr', 'a:xfrm');
        const same = ['off', 'ext'].every((one) => {
          const outer = nodeAt(place, `a:${one}`)?.attributes;
          const inner = nodeAt(place, `a:ch${one === 'off' ? 'Off' : 'Ext'}`)?.attributes;
          return outer?.x === inner?.x && outer?.y === inner?.y && outer?.cx === inner?.cx && outer?.cy === inner?.cy;
        });
        if (same) this.#draw(shape, part, scheme, drawn);
        else this.undrawn++;
      } else if (shape.name === 'p:pic') {
        const rect = rectOf(nodeAt(shape, 'p:spPr', 'a:xfrm'));
        const blip = nodeAt(shape, 'p:blipFill', 'a:blip')?.attributes['r:embed'];
        const alt = nodeAt(shape, 'p:nvPicPr', 'p:cNvPr')?.attributes.descr ?? '';
        if (nodeAt(shape, 'p:nvPicPr', 'p:nvPr', 'p:ph') !== undefined) continue;
        if (rect === undefined || blip === undefined || !this.#picture(part, blip, rect, alt, drawn)) this.undrawn++;
      } else if (shape.name === 'p:sp' || shape.name === 'p:cxnSp') {
        const about = nodeAt(shape, shape.name === 'p:sp' ? 'p:nvSpPr' : 'p:nvCxnSpPr');
        if (nodeAt(about, 'p:nvPr', 'p:ph') !== undefined) continue;
        const mark = markOf(shape, scheme);
        if (mark === undefined) this.undrawn++;
        else if (mark !== 'nothing') drawn.marks.push(mark);
      } else if (shape.name === 'p:graphicFrame') this.undrawn++;
    }
  }

  #picture(part: string, relationship: string, rect: Rect, alt: string, drawn: Drawn): boolean {
    const target = readRelationships(this.#zip, part).get(relationship)?.target;
    if (target === undefined || !this.#zip.has(target)) return false;
    const taken = takePicture(this.#zip.read(target), target);
    if (typeof taken === 'string') return false;
    this.pictures.set(taken.id, taken);
    drawn.pictures.push({ ...rect, picture: taken.id, alt });
    return true;
  }
}

const FULL: Rect = { x: emu(0), y: emu(0), width: emu(-1), height: emu(-1) };

/** In the order of the master's list, not of the relationships. */
function orderedLayouts(master: XmlNode, relationships: ReturnType<typeof readRelationships>) {
  return nodesNamed(nodeAt(master, 'p:sldLayoutIdLst'), 'p:sldLayoutId').flatMap(
    (entry) => relationships.get(entry.attributes['r:id'] ?? '') ?? [],
  );
}

function saidIn(root: XmlNode): readonly Said[] {
  const shapes = nodeAt(root, 'p:cSld', 'p:spTree')?.children ?? [];
  return shapes.flatMap((shape): readonly Said[] => {
    const about = shape.children.find(
      ({ name }) => name === 'p:nvSpPr' || name === 'p:nvPicPr' || name === 'p:nvGraphicFramePr',
    );
    const ph = nodeAt(about, 'p:nvPr', 'p:ph');
    if (ph === undefined) return [];
    return [
      {
        type: ph.attributes.type ?? null,
        index: ph.attributes.idx ?? null,
        rect: rectOf(nodeAt(shape, 'p:spPr', 'a:xfrm')),
        body: nodeAt(shape, 'p:txBody', 'a:bodyPr'),
        style: nodeAt(shape, 'p:txBody', 'a:lstStyle'),
      },
    ];
  });
}

function rectOf(place: XmlNode | undefined): Rect | undefined {
  const off = nodeAt(place, 'a:off')?.attributes;
  const ext = nodeAt(place, 'a:ext')?.attributes;
  const [x, y, width, height] = [off?.x, off?.y, ext?.cx, ext?.cy].map(Number) as [number, number, number, number];
  if (![x, y, width, height].every(Number.isFinite)) return undefined;
  return { x: emu(x), y: emu(y), width: emu(width), height: emu(height) };
}

const isTitle = (type: string | null): boolean => type === 'title' || type === 'ctrTitle';
const FOOT = new Set(['dt', 'ftr', 'sldNum']);

/** Which placeholder of the master a layout's inherits from (§19.3.1.36): that of its type. */
function parentOf({ type }: Said, own: readonly Said[]): Said | undefined {
  const wanted = isTitle(type) ? 'title' : type !== null && FOOT.has(type) ? type : 'body';
  return own.find((one) => (one.type ?? 'body') === wanted);
}

const USUAL_INSETS = { lIns: 91_440, tIns: 45_720, rIns: 91_440, bIns: 45_720 };
const ANCHORS: Readonly<Record<string, Frame['anchor']>> = { t: 'top', ctr: 'middle', b: 'bottom' };
const ALIGNS: Readonly<Record<string, Align>> = { l: 'left', ctr: 'center', r: 'right' };

const sizeOf = (level: XmlNode | undefined): number | undefined => {
  const size = Number(nodeAt(level, 'a:defRPr')?.attributes.sz ?? NaN) / 100;
  return Number.isFinite(size) ? size : undefined;
};

function placeholderOf(
  said: Said,
  own: readonly Said[],
  styles: XmlNode | undefined,
  scheme: Scheme,
): TemplatePlaceholder | undefined {
  const parent = parentOf(said, own);
  const outer = said.rect ?? parent?.rect;
  if (outer === undefined) return undefined;
  const kind = isTitle(said.type)
    ? 'p:titleStyle'
    : said.type !== null && FOOT.has(said.type)
      ? 'p:otherStyle'
      : 'p:bodyStyle';
  // From the nearest to the farthest; the first that says something decides.
  const levels = [
    nodeAt(said.style, 'a:lvl1pPr'),
    nodeAt(parent?.style, 'a:lvl1pPr'),
    nodeAt(styles, kind, 'a:lvl1pPr'),
  ];
  const bodies = [said.body, parent?.body];
  const first = <T>(nodes: readonly (XmlNode | undefined)[], read: (node: XmlNode) => T | undefined): T | undefined => {
    for (const node of nodes) {
      const found = node === undefined ? undefined : read(node);
      if (found !== undefined) return found;
    }
    return undefined;
  };
  const inset = (name: keyof typeof USUAL_INSETS): number =>
    first(bodies, ({ attributes }) => (attributes[name] === undefined ? undefined : Number(attributes[name]))) ??
    USUAL_INSETS[name];
  const runs = levels.map((level) => nodeAt(level, 'a:defRPr'));
  const face = first(runs, (run) => nodeAt(run, 'a:latin')?.attributes.typeface);
  return {
    type: said.type,
    index: said.index,
    rect: {
      x: emu(outer.x + inset('lIns')),
      y: emu(outer.y + inset('tIns')),
      width: emu(Math.max(1, outer.width - inset('lIns') - inset('rIns'))),
      height: emu(Math.max(1, outer.height - inset('tIns') - inset('bIns'))),
    },
    anchor: ANCHORS[first(bodies, ({ attributes }) => attributes.anchor) ?? 't'] ?? 'top',
    align: ALIGNS[first(levels, ({ attributes }) => attributes.algn) ?? 'l'] ?? 'left',
    size: first(levels, sizeOf) ?? 18,
    bold: first(runs, ({ attributes }) => attributes.b) === '1',
    caps: first(runs, ({ attributes }) => attributes.cap) === 'all',
    heading: face === undefined ? isTitle(said.type) : face.startsWith('+mj'),
    paint: first(runs, (run) => colorIn(run, scheme)) ?? scheme.get('tx1') ?? '000000',
    lineSpacing: first(levels, spacingOf) ?? 1,
  };
}

function spacingOf(level: XmlNode): number | undefined {
  const share = Number(nodeAt(level, 'a:lnSpc', 'a:spcPct')?.attributes.val ?? NaN) / 100_000;
  return Number.isFinite(share) && share > 0.5 && share < 3 ? share : undefined;
}

function levelOf(
  node: XmlNode | undefined,
  level: number,
  bodySize: number,
  scheme: Scheme,
): TemplateMaster['levels'][number] {
  const size = sizeOf(node) ?? bodySize;
  const left = Number(node?.attributes.marL ?? 0);
  const hanging = Math.max(0, -Number(node?.attributes.indent ?? 0));
  const before = nodeAt(node, 'a:spcBef');
  const share = Number(nodeAt(before, 'a:spcPct')?.attributes.val ?? NaN) / 100_000;
  const fixed = Number(nodeAt(before, 'a:spcPts')?.attributes.val ?? NaN) / 100 / (size * 1.2);
  const bullet = nodeAt(node, 'a:buNone') !== undefined ? '' : (nodeAt(node, 'a:buChar')?.attributes.char ?? '•');
  const base: LevelStyle = {
    scale: size / bodySize,
    color: 'text',
    // Signs of symbol fonts mean another letter in ours.
    bullet:
      /^[\x20-\x7e\u00a0-\u2fff]?$/.test(bullet) && nodeAt(node, 'a:buFont')?.attributes.charset !== '2' ? bullet : '•',
    bulletColor: 'text',
    indent: ptFromEmu(left),
    hanging: ptFromEmu(hanging),
    spaceBefore: Number.isFinite(share) ? share : Number.isFinite(fixed) ? fixed : level === 1 ? 0.3 : 0.15,
  };
  return { ...base, paint: colorIn(nodeAt(node, 'a:defRPr'), scheme) ?? scheme.get('tx1') ?? '000000' };
}

function paletteOf(scheme: Scheme): Palette {
  const named = (name: string, other: Hex): Hex => scheme.get(name) ?? other;
  const text = named('tx1', '000000');
  return {
    ground: named('bg1', 'FFFFFF'),
    text,
    panel: named('bg2', 'EEEEEE'),
    muted: named('tx2', text),
    accent1: named('accent1', text),
    accent2: named('accent2', text),
    accent3: named('accent3', text),
    accent4: named('accent4', text),
    accent5: named('accent5', text),
    accent6: named('accent6', text),
    link: named('hlink', text),
  };
}

const SHAPES: Readonly<Record<string, Geometry>> = {
  rect: 'rect',
  roundRect: 'round',
  ellipse: 'ellipse',
  triangle: 'triangle',
  diamond: 'diamond',
  line: 'rect',
  straightConnector1: 'rect',
};
const HAIRLINE = 9525;

/** @returns undefined for a shape that cannot be drawn; `nothing` for one that shows nothing. */
function markOf(shape: XmlNode, scheme: Scheme): TemplateMark | 'nothing' | undefined {
  const properties = nodeAt(shape, 'p:spPr');
  const rect = rectOf(nodeAt(properties, 'a:xfrm'));
  const preset = nodeAt(properties, 'a:prstGeom')?.attributes.prst ?? '';
  const geometry = SHAPES[preset];
  const style = nodeAt(shape, 'p:style');
  const without = nodeAt(properties, 'a:noFill') !== undefined;
  const fill = without ? undefined : (colorIn(properties, scheme) ?? colorIn(nodeAt(style, 'a:fillRef'), scheme));
  const line = nodeAt(properties, 'a:ln');
  const stroke = nodeAt(line, 'a:noFill') === undefined ? colorIn(line, scheme) : undefined;
  if (rect === undefined || (fill === undefined && stroke === undefined)) return 'nothing';
  if (geometry === undefined || nodeAt(properties, 'a:xfrm')?.attributes.rot !== undefined) return undefined;
  const width = Number(line?.attributes.w ?? HAIRLINE);
  if (preset === 'line' || preset === 'straightConnector1') {
    const flat = { ...rect, width: emu(Math.max(rect.width, width)), height: emu(Math.max(rect.height, width)) };
    const slanted = rect.width > width && rect.height > width;
    return slanted || stroke === undefined ? undefined : { ...flat, shape: 'rect', paint: stroke };
  }
  return fill !== undefined
    ? { ...rect, shape: geometry, paint: fill }
    : { ...rect, shape: geometry, paint: stroke!, outline: ptFromEmu(width) };
}
