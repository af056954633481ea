/** What stands in a shape tree (ECMA-376-1 §19.3.1.45), drawn: shapes, pictures, words, tables; charts and the like as a field. */
import svgPath from 'svgpath';
import { EMU_PER_POINT } from '../../base/index.ts';
import { nodeAt, nodesNamed, type XmlNode } from '../../container/index.ts';
import type { PictureId } from '../../content/index.ts';
import type { BackdropItem, BackdropPicture, Bounds, Hex, Matrix } from '../../theme/index.ts';
import { colorIn, opacityIn } from '../colors.ts';
import { flagIn, numberIn, shareOf } from '../values.ts';
import { guidesIn, outlinePaths, ownOutline, type Outline } from './guides.ts';
import { boxAround, isUpright, placed, scaled, within } from './matrix.ts';
import { fillNode, fillOf, strokeOf, styledFill, type Palettes } from './paint.ts';
import { presetOutline } from './presets.ts';
import { drawWords, type WordContext, type WordSetting } from './words.ts';

/** What drawing needs of the part in which a tree stands. */
export interface TreeContext extends Palettes, WordContext {
  /** Takes in a picture that the part leads to; undefined where it cannot be drawn. */
  readonly picture: (relationship: string) => PictureId | undefined;
  /** The same for what the theme's styles lead to. */
  readonly themePicture: (relationship: string) => PictureId | undefined;
  /** How words of a placeholder are set, and its box in EMU; null for one that is not drawn: it is there to be filled. */
  readonly placeholder: (ph: XmlNode, own: Bounds | undefined) => WordSetting | null;
  /** Called for each thing that is not drawn as it is. */
  readonly undrawn: () => void;
}

/** Of a row of a table that says less, in EMU. */
const ONE_LINE = 340_000;
/** More things than that on one slide are not drawn. */
const MOST_ITEMS = 600;
const POINTS: Matrix = [1 / EMU_PER_POINT, 0, 0, 1 / EMU_PER_POINT, 0, 0];
const rounded = (value: number): number => Math.round(value * 100) / 100;

export function drawTree(tree: XmlNode | undefined, context: TreeContext): readonly BackdropItem[] {
  const drawing = new Drawing(context);
  drawing.walk(tree, POINTS, undefined);
  return drawing.items;
}

/** The ground of a slide, a layout or a master (§19.3.1.1): a colour under everything, and what is drawn on it. */
export function drawGround(
  background: XmlNode | undefined,
  size: { readonly width: number; readonly height: number },
  context: TreeContext,
): { readonly color: Hex | undefined; readonly items: readonly BackdropItem[] } {
  const properties = nodeAt(background, 'p:bgPr');
  const reference = nodeAt(background, 'p:bgRef');
  const own = colorIn(reference, context.scheme);
  const said = fillNode(properties);
  const node = said ?? styledFill(reference, context);
  const color = node?.name === 'a:solidFill' ? colorIn(node, context.scheme, own) : own;
  if (node === undefined || node.name === 'a:solidFill') return { color, items: [] };
  const drawing = new Drawing(said === undefined ? { ...context, picture: context.themePicture } : context);
  const box: Bounds = [0, 0, size.width, size.height];
  drawing.shape(box, POINTS, presetOutline('rect')!, { fill: node, own });
  const [first] = drawing.items;
  const stops =
    first?.kind === 'shape' && first.fill !== null && typeof first.fill !== 'string' ? first.fill.stops : [];
  return { color: stops[Math.floor(stops.length / 2)]?.color ?? color, items: drawing.items };
}

interface Dress {
  readonly fill: XmlNode | undefined;
  readonly own?: Hex | undefined;
  readonly line?: XmlNode | undefined;
  readonly reference?: XmlNode | undefined;
  readonly group?: XmlNode | undefined;
  readonly adjustments?: ReturnType<typeof guidesIn>;
  readonly alt?: string;
}

class Drawing {
  readonly items: BackdropItem[] = [];
  readonly #context: TreeContext;

  constructor(context: TreeContext) {
    this.#context = context;
  }

  walk(tree: XmlNode | undefined, matrix: Matrix, group: XmlNode | undefined): void {
    for (const node of tree?.children ?? []) {
      if (this.items.length > MOST_ITEMS) return this.#context.undrawn();
      switch (node.name) {
        case 'p:grpSp':
          this.#group(node, matrix, group);
          break;
        case 'p:sp':
        case 'p:cxnSp':
          this.#shape(node, matrix, group);
          break;
        case 'p:pic':
          this.#picture(node, matrix);
          break;
        case 'p:graphicFrame':
          this.#frame(node, matrix);
          break;
        // What a receiver does not know is drawn as the author of the file says it should be (ECMA-376-3 §10).
        case 'mc:AlternateContent':
          this.walk(nodeAt(node, 'mc:Fallback') ?? nodeAt(node, 'mc:Choice'), matrix, group);
      }
    }
  }

  #group(node: XmlNode, matrix: Matrix, outer: XmlNode | undefined): void {
    if (isHidden(nodeAt(node, 'p:nvGrpSpPr'))) return;
    const properties = nodeAt(node, 'p:grpSpPr');
    const place = nodeAt(properties, 'a:xfrm');
    const own = fillNode(properties);
    const fill = own === undefined || own.name === 'a:grpFill' ? outer : own;
    const box = boxOf(place);
    const inner = boxOf(place, 'a:chOff', 'a:chExt');
    if (box === undefined || inner === undefined) return this.walk(node, matrix, fill);
    const into = within(turnedIn(place, box), scaled(inner, box[2], box[3]));
    this.walk(node, within(matrix, into), fill);
  }

  #shape(node: XmlNode, matrix: Matrix, group: XmlNode | undefined): void {
    const about = nodeAt(node, node.name === 'p:sp' ? 'p:nvSpPr' : 'p:nvCxnSpPr');
    if (isHidden(about)) return;
    const properties = nodeAt(node, 'p:spPr');
    const place = nodeAt(properties, 'a:xfrm');
    const ph = nodeAt(about, 'p:nvPr', 'p:ph');
    const own = boxOf(place);
    const setting = ph === undefined ? undefined : this.#context.placeholder(ph, own);
    if (setting === null) return;
    const box = own ?? setting?.box;
    if (box === undefined) return;
    const into = within(matrix, turnedIn(place, box));
    const local: Bounds = [0, 0, box[2], box[3]];
    const style = nodeAt(node, 'p:style');
    const preset = nodeAt(properties, 'a:prstGeom');
    const outline = this.#outline(properties);
    const filled = fillNode(properties);
    const reference = nodeAt(style, 'a:fillRef');
    this.shape(local, into, outline, {
      fill: filled ?? styledFill(reference, this.#context),
      own: colorIn(reference, this.#context.scheme),
      line: nodeAt(properties, 'a:ln'),
      reference: nodeAt(style, 'a:lnRef'),
      group,
      adjustments: guidesIn(nodeAt(preset, 'a:avLst')),
      alt: nodeAt(about, 'p:cNvPr')?.attributes.descr ?? '',
    });
    const body = nodeAt(node, 'p:txBody');
    const ink = colorIn(nodeAt(style, 'a:fontRef'), this.#context.scheme);
    if (body !== undefined)
      this.items.push(...drawWords(body, local, into, this.#context, { ...setting, ink: ink ?? setting?.ink }));
  }

  #outline(properties: XmlNode | undefined): Outline {
    const own = nodeAt(properties, 'a:custGeom');
    if (own !== undefined) return ownOutline(own);
    const name = nodeAt(properties, 'a:prstGeom')?.attributes.prst ?? 'rect';
    const outline = presetOutline(name);
    if (outline !== undefined) return outline;
    this.#context.undrawn();
    return presetOutline('rect')!;
  }

  /** @param matrix From the box's own lengths, which begin at its corner, to points. */
  shape(box: Bounds, matrix: Matrix, outline: Outline, dress: Dress): void {
    const [, , width, height] = box;
    const { fill, own, group } = dress;
    const painted = fillOf(fill, this.#context, { box, matrix, own, group });
    const factor = Math.sqrt(Math.abs(matrix[0] * matrix[3] - matrix[1] * matrix[2])) * EMU_PER_POINT;
    const line = strokeOf(dress.line, dress.reference, this.#context, factor || 1);
    const around = boxAround(matrix, box).map(rounded) as unknown as Bounds;
    for (const path of outlinePaths(outline, width, height, dress.adjustments)) {
      if (path.d === '') continue;
      const d = svgPath(path.d)
        .matrix([...matrix])
        .round(2)
        .toString();
      if (path.filled && painted.picture !== undefined) this.#filling(painted.picture, box, matrix, d, dress.alt ?? '');
      const shape = {
        fill: path.filled ? painted.fill : null,
        ...(path.stroked ? line : { stroke: null, strokeWidth: 0 }),
      };
      if (shape.fill === null && shape.stroke === null) continue;
      this.items.push({ kind: 'shape', d, box: around, opacity: painted.opacity, ...shape });
    }
  }

  #picture(node: XmlNode, matrix: Matrix): void {
    const about = nodeAt(node, 'p:nvPicPr');
    if (isHidden(about)) return;
    const properties = nodeAt(node, 'p:spPr');
    const place = nodeAt(properties, 'a:xfrm');
    const own = boxOf(place);
    const ph = nodeAt(about, 'p:nvPr', 'p:ph');
    const setting = ph === undefined ? undefined : this.#context.placeholder(ph, own);
    const box = own ?? setting?.box;
    const filled = nodeAt(node, 'p:blipFill');
    if (setting === null || filled === undefined) return;
    if (box === undefined) return this.#context.undrawn();
    const into = within(matrix, turnedIn(place, box));
    const preset = nodeAt(properties, 'a:prstGeom');
    this.shape([0, 0, box[2], box[3]], into, this.#outline(properties), {
      fill: filled,
      line: nodeAt(properties, 'a:ln'),
      adjustments: guidesIn(nodeAt(preset, 'a:avLst')),
      alt: nodeAt(about, 'p:cNvPr')?.attributes.descr ?? '',
    });
  }

  /** A picture that fills a shape (§20.1.8.14). */
  #filling(node: XmlNode, [, , width, height]: Bounds, matrix: Matrix, d: string, alt: string): void {
    const blip = nodeAt(node, 'a:blip');
    const picture = this.#context.picture(blip?.attributes['r:embed'] ?? '');
    if (picture === undefined) return this.#context.undrawn();
    const sides = (one: XmlNode | undefined): BackdropPicture['cut'] =>
      ['l', 't', 'r', 'b'].map(
        (side) => shareOf(one?.attributes[side] ?? '0') || 0,
      ) as unknown as BackdropPicture['cut'];
    const cut = sides(nodeAt(node, 'a:srcRect'));
    const [left, top, right, bottom] = sides(nodeAt(node, 'a:stretch', 'a:fillRect'));
    const inner: Bounds = [left * width, top * height, width * (1 - left - right), height * (1 - top - bottom)];
    const alpha = shareOf(nodeAt(blip, 'a:alphaModFix')?.attributes.amt);
    const upright = isUpright(matrix);
    const box = upright ? boxAround(matrix, inner) : inner;
    // A rectangle that stands upright needs no outline to be seen in.
    const plain =
      upright && left === 0 && top === 0 && right === 0 && bottom === 0 && /^M[^A-Z]*(?:[LHV][^A-Z]*){3}Z$/i.test(d);
    this.items.push({
      kind: 'picture',
      picture,
      alt,
      box: box.map(rounded) as unknown as Bounds,
      cut,
      opacity: Number.isFinite(alpha) ? alpha : 1,
      ...(upright ? {} : { matrix: matrix.map((one) => Math.round(one * 1e8) / 1e8) as unknown as Matrix }),
      ...(plain ? {} : { clip: d }),
    });
  }

  #frame(node: XmlNode, matrix: Matrix): void {
    if (isHidden(nodeAt(node, 'p:nvGraphicFramePr'))) return;
    const place = nodeAt(node, 'p:xfrm');
    const box = boxOf(place);
    if (box === undefined) return;
    const into = within(matrix, turnedIn(place, box));
    const data = nodeAt(node, 'a:graphic', 'a:graphicData');
    const table = nodeAt(data, 'a:tbl');
    if (table !== undefined) return this.#table(table, into);
    const object = nodeAt(data, 'p:oleObj') ?? nodeAt(data, 'mc:AlternateContent', 'mc:Fallback', 'p:oleObj');
    const shown = nodeAt(object, 'p:pic');
    if (shown !== undefined) return this.#picture(shown, matrix);
    // A chart, a diagram, a film: its place.
    this.#context.undrawn();
    const muted = this.#context.scheme.get('tx1') ?? '808080';
    this.items.push({
      kind: 'shape',
      d: svgPath(`M0 0H${box[2]}V${box[3]}H0Z`)
        .matrix([...into])
        .round(2)
        .toString(),
      box: boxAround(into, [0, 0, box[2], box[3]]).map(rounded) as unknown as Bounds,
      fill: muted,
      opacity: 0.08,
      stroke: muted,
      strokeWidth: 0.75,
    });
  }

  /** Cells with their fills and words (§21.1.3); what a table style would add is not drawn. */
  #table(table: XmlNode, matrix: Matrix): void {
    const widths = nodesNamed(nodeAt(table, 'a:tblGrid'), 'a:gridCol').map(({ attributes }) =>
      numberIn(attributes.w, 0),
    );
    const { scheme } = this.#context;
    const line = scheme.get('tx1') ?? '808080';
    const head = flagIn(nodeAt(table, 'a:tblPr')?.attributes.firstRow) === true;
    let y = 0;
    for (const [r, row] of nodesNamed(table, 'a:tr').entries()) {
      const height = Math.max(numberIn(row.attributes.h, 0), ONE_LINE);
      let x = 0;
      for (const [c, cell] of nodesNamed(row, 'a:tc').entries()) {
        const width = widths.slice(c, c + numberIn(cell.attributes.gridSpan, 1)).reduce((sum, one) => sum + one, 0);
        const box: Bounds = [0, 0, width, height];
        const into = within(matrix, [1, 0, 0, 1, x, y]);
        if (!flagIn(cell.attributes.hMerge) && !flagIn(cell.attributes.vMerge) && width > 0) {
          const fill = fillNode(nodeAt(cell, 'a:tcPr'));
          const painted = fillOf(fill, this.#context, { box, matrix: into });
          this.items.push({
            kind: 'shape',
            d: svgPath(`M0 0H${width}V${height}H0Z`)
              .matrix([...into])
              .round(2)
              .toString(),
            box: boxAround(into, box).map(rounded) as unknown as Bounds,
            fill: painted.fill ?? (head && r === 0 ? (scheme.get('accent1') ?? null) : null),
            opacity: painted.fill === null && head && r === 0 ? 0.2 : opacityIn(fill),
            stroke: line,
            strokeWidth: 0.25,
          });
          const body = nodeAt(cell, 'a:txBody');
          if (body !== undefined)
            this.items.push(...drawWords(body, box, into, this.#context, { bold: head && r === 0 }));
        }
        x += widths[c] ?? 0;
      }
      y += height;
    }
  }
}

const isHidden = (about: XmlNode | undefined): boolean => flagIn(nodeAt(about, 'p:cNvPr')?.attributes.hidden) === true;

function boxOf(place: XmlNode | undefined, off = 'a:off', ext = 'a:ext'): Bounds | undefined {
  const [from, size] = [nodeAt(place, off)?.attributes, nodeAt(place, ext)?.attributes];
  const box = [from?.x, from?.y, size?.cx, size?.cy].map((one) => numberIn(one, NaN));
  return box.every(Number.isFinite) ? (box as unknown as Bounds) : undefined;
}

function turnedIn(place: XmlNode | undefined, box: Bounds): Matrix {
  const { rot, flipH, flipV } = place?.attributes ?? {};
  return placed(box, numberIn(rot, 0) / 60_000, flagIn(flipH) ?? false, flagIn(flipV) ?? false);
}
