/** Reads an organisation's presentation (ECMA-376-1 §13, §19.3) as a template: masters, layouts, colours, fonts, grounds, logos. */
import { emu, ReadError } from '../base/index.ts';
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
import type { PictureData, PictureId } from '../content/index.ts';
import { takePicture } from '../readers/index.ts';
import type { BackdropItem, Hex, Palette } from '../theme/index.ts';
import { mapped, readScheme, type Scheme } from './colors.ts';
import { flagIn, numberIn } from './values.ts';
import { drawGround, drawTree, type TreeContext } from './drawing/draw-tree.ts';
import { slideDrawer } from './drawing/draw-slides.ts';
import { ownSlides, readable, withUses } from './own-slides.ts';
import { ownTableStyle } from './own-tables.ts';
import { levelOf, placeholderOf, saidIn, sizeOf, type Said } from './placeholders.ts';
import type { TemplateLayout, TemplateMaster, TemplateModel } from './template-model.ts';

export interface ReadTemplate {
  readonly model: TemplateModel;
  readonly pictures: readonly PictureData[];
}
export interface ReadTemplateOptions {
  /** Its own slides are drawn too, for its author to know them. */
  readonly slides?: boolean;
}

/** Raised with what is read of a template; what was kept of one by an older number is read anew. Those of documents' readers come before. */
export const TEMPLATE_VERSION = 101;

const MOST_LAYOUTS = 200;

/** @throws ReadError `wrong-type` for another kind of file, `part-missing` for one without masters, and as the container does. */
export function readTemplate(bytes: Uint8Array, options: ReadTemplateOptions = {}): ReadTemplate {
  const zip = openZip(bytes);
  const main = mainPart(zip, 'presentationml');
  const presentation = readXmlTree(zip, main);
  const relationships = readRelationships(zip, main);
  const { cx, cy } = nodeAt(presentation, 'p:sldSz')?.attributes ?? {};
  const size = { width: emu(numberIn(cx, 12_192_000)), height: emu(numberIn(cy, 6_858_000)) };
  const reader = new Reader(zip, size);
  const slides = nodesNamed(nodeAt(presentation, 'p:sldIdLst'), 'p:sldId').flatMap(
    ({ attributes }) => relationships.get(attributes['r:id'] ?? '')?.target ?? [],
  );
  nodesNamed(nodeAt(presentation, 'p:sldMasterIdLst'), 'p:sldMasterId').forEach((entry) => {
    const target = relationships.get(entry.attributes['r:id'] ?? '')?.target;
    if (target !== undefined && zip.has(target)) reader.addMaster(target);
  });
  if (reader.layouts.length === 0) throw new ReadError('part-missing', { part: main });
  const styles = [...relationships.values()].find(({ type }) => type === 'tableStyles')?.target;
  const tableStyle = styles === undefined ? undefined : ownTableStyle(readable(zip, styles), reader.scheme);
  const draw = options.slides
    ? slideDrawer(zip, reader.layouts, reader.masters, (part, layout) => reader.contextOf(part, layout), size)
    : undefined;
  return {
    model: {
      size,
      masters: reader.masters,
      layouts: withUses(reader.layouts, zip, slides),
      slides: slides.length,
      ...ownSlides(zip, slides, draw),
      ...(tableStyle === undefined ? {} : { tableStyle }),
      pictures: [...reader.pictures.values()].map(({ id, mime, width, height }) => ({ id, mime, width, height })),
      undrawn: reader.undrawn,
    },
    pictures: [...reader.pictures.values()],
  };
}

/** What a master gives to its layouts. */
interface FromMaster {
  readonly index: number;
  readonly theme: string | undefined;
  readonly scheme: Scheme;
  readonly styles: XmlNode | undefined;
  readonly formats: XmlNode | undefined;
  readonly own: readonly Said[];
  readonly ground: Ground;
  readonly items: readonly BackdropItem[];
}
interface Ground {
  readonly color: Hex;
  readonly items: readonly BackdropItem[];
}

class Reader {
  readonly masters: TemplateMaster[] = [];
  readonly layouts: TemplateLayout[] = [];
  readonly pictures = new Map<string, PictureData>();
  undrawn = 0;
  readonly #zip: ZipReader;
  readonly #size: TemplateModel['size'];
  /** By the part of its picture; undefined for one that cannot be taken. */
  readonly #taken = new Map<string, PictureId | undefined>();
  readonly #from: FromMaster[] = [];
  readonly #schemes: Scheme[] = [];

  /** Of its first master. */
  get scheme(): Scheme {
    return this.#from[0]!.scheme;
  }

  constructor(zip: ZipReader, size: TemplateModel['size']) {
    this.#zip = zip;
    this.#size = size;
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
    const index = this.masters.length - 1;
    const formats = nodeAt(elements, 'a:fmtScheme');
    const context = this.#context(part, { index, theme, scheme, formats });
    const from: FromMaster = {
      index,
      theme,
      scheme,
      styles,
      formats,
      own: saidIn(master),
      ground: this.#ground(master, scheme, context),
      items: drawTree(nodeAt(master, 'p:cSld', 'p:spTree'), context),
    };
    this.#from.push(from);
    for (const { type, target } of orderedLayouts(master, relationships)) {
      if (type !== 'slideLayout' || !this.#zip.has(target) || this.layouts.length >= MOST_LAYOUTS) continue;
      this.#addLayout(target, from);
    }
  }

  #addLayout(part: string, from: FromMaster): void {
    const layout = readXmlTree(this.#zip, part);
    const override = nodeAt(layout, 'p:clrMapOvr', 'a:overrideClrMapping');
    const scheme = override === undefined ? from.scheme : mapped(from.scheme, override);
    const context = this.#context(part, { ...from, scheme });
    const own = nodeAt(layout, 'p:cSld', 'p:bg') === undefined ? undefined : this.#ground(layout, scheme, context);
    const ground = own ?? from.ground;
    const masters = flagIn(layout.attributes.showMasterSp) === false ? [] : from.items;
    this.#schemes.push(scheme);
    this.layouts.push({
      part,
      name: nodeAt(layout, 'p:cSld')?.attributes.name ?? '',
      type: layout.attributes.type ?? null,
      master: from.index,
      ground: ground.color,
      placeholders: saidIn(layout).flatMap((said) => placeholderOf(said, from.own, from.styles, scheme) ?? []),
      grounds: ground.items.length,
      backdrop: [...ground.items, ...masters, ...drawTree(nodeAt(layout, 'p:cSld', 'p:spTree'), context)],
    });
  }

  #ground(root: XmlNode, scheme: Scheme, context: TreeContext): Ground {
    const { color, items } = drawGround(nodeAt(root, 'p:cSld', 'p:bg'), this.#size, context);
    return { color: color ?? scheme.get('bg1') ?? 'FFFFFF', items };
  }

  /** For what stands on a slide. @param layout The index of its layout. */
  contextOf(part: string, layout: number): TreeContext {
    const from = this.#from[this.layouts[layout]!.master]!;
    return { ...this.#context(part, { ...from, scheme: this.#schemes[layout]! }), undrawn: () => undefined };
  }

  #context(
    part: string,
    { index, theme, scheme, formats }: Pick<FromMaster, 'index' | 'theme' | 'scheme' | 'formats'>,
  ): TreeContext {
    const picture = (of: string) => {
      const relationships = readRelationships(this.#zip, of);
      return (relationship: string): PictureId | undefined => this.#take(relationships.get(relationship)?.target);
    };
    return {
      scheme,
      styles: formats,
      fonts: this.masters[index]!.fonts,
      picture: picture(part),
      themePicture: theme === undefined ? () => undefined : picture(theme),
      placeholder: () => null,
      undrawn: () => void this.undrawn++,
    };
  }

  #take(target: string | undefined): PictureId | undefined {
    if (target === undefined || !this.#zip.has(target)) return undefined;
    if (this.#taken.has(target)) return this.#taken.get(target);
    const taken = takePicture(this.#zip.read(target), target);
    const id = typeof taken === 'string' ? undefined : taken.id;
    if (typeof taken !== 'string') this.pictures.set(taken.id, taken);
    this.#taken.set(target, id);
    return id;
  }
}

/** In the order of the master's list, not of the relationships. */
function orderedLayouts(master: XmlNode, relationships: ReturnType<typeof readRelationships>) {
  return nodesNamed(nodeAt(master, 'p:sldLayoutIdLst'), 'p:sldLayoutId').flatMap(
    (entry) => relationships.get(entry.attributes['r:id'] ?? '') ?? [],
  );
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
