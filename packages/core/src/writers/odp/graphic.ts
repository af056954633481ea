/** How drawn things look (OASIS ODF 1.3 part 3, §17.21), and the things that stand free: shapes, symbols, lines, text. */
import svgpath from 'svgpath';
import { EMU_PER_POINT } from '../../base/index.ts';
import { CORNER, ICON_SIDE, outline, type ConnectorBox, type IconBox, type ShapeBox } from '../../scene/index.ts';
import type { TextBox } from '../../scene/index.ts';
import type { Frame, Geometry, Hex, Rect } from '../../theme/index.ts';
import { NO_INSETS, type HeldText, type Insets } from '../slides/figure-items.ts';
import { textXml, type PageContext } from './text.ts';
import { color, element, length, place, points, type Attributes } from '../odf/xml.ts';

export const LAYER = { 'draw:layer': 'layout' } as const;

export const filled = (hex: Hex | null): Attributes =>
  hex === null ? { 'draw:fill': 'none' } : { 'draw:fill': 'solid', 'draw:fill-color': color(hex) };

export const stroked = (line: { readonly hex: Hex; readonly width: number } | null): Attributes =>
  line === null
    ? { 'draw:stroke': 'none' }
    : { 'draw:stroke': 'solid', 'svg:stroke-color': color(line.hex), 'svg:stroke-width': points(line.width) };

/** How text stands in a shape or a frame, which keeps its size whatever is written in it. */
export const textPlace = (anchor: Frame['anchor'], [left, top, right, bottom]: Insets = NO_INSETS): Attributes => ({
  'draw:textarea-vertical-align': anchor,
  'draw:auto-grow-height': 'false',
  'draw:auto-grow-width': 'false',
  'fo:wrap-option': 'wrap',
  'fo:padding-left': length(left),
  'fo:padding-top': length(top),
  'fo:padding-right': length(right),
  'fo:padding-bottom': length(bottom),
});

export const graphicStyle = ({ styles }: Pick<PageContext, 'styles'>, properties: Attributes): string =>
  styles.style('graphic', element('style:graphic-properties', properties));

/** Text in a frame of its own. @param more Attributes of the frame. */
export function freeText(box: TextBox, context: PageContext, more: Attributes = {}): string {
  const style = graphicStyle(context, { ...filled(null), ...stroked(null), ...textPlace(box.frame.anchor) });
  return element(
    'draw:frame',
    { 'draw:style-name': style, ...LAYER, ...more, ...place(box.frame) },
    element('draw:text-box', {}, textXml(box, context)),
  );
}

/** Paints of a shape without text. */
export interface ShapePaint {
  readonly fill: Hex | null;
  readonly line: { readonly hex: Hex; readonly width: number } | null;
}
export interface ShapeForm {
  readonly geometry: Geometry;
  readonly rect: Rect;
  readonly inset?: number;
  readonly upsideDown?: boolean;
  readonly mirrored?: boolean | undefined;
  /** Clockwise, in degrees. */
  readonly turned?: number;
}

/** A shape by its outline; rectangles and ellipses as such, so that they stay what they are. */
export function shapeXml(form: ShapeForm, style: string, more: Attributes, inner = ''): string {
  const { geometry, rect, inset = 0, upsideDown = false, mirrored, turned = 0 } = form;
  const attributes = { 'draw:style-name': style, ...LAYER, ...more };
  if (turned === 0 && geometry === 'ellipse') return element('draw:ellipse', { ...attributes, ...place(rect) }, inner);
  if (turned === 0 && (geometry === 'rect' || geometry === 'round')) {
    const corner = geometry === 'rect' ? null : length(Math.min(rect.width, rect.height) * CORNER);
    return element('draw:rect', { ...attributes, ...place(rect), 'draw:corner-radius': corner }, inner);
  }
  const inPoints = {
    x: rect.x / EMU_PER_POINT,
    y: rect.y / EMU_PER_POINT,
    width: rect.width / EMU_PER_POINT,
    height: rect.height / EMU_PER_POINT,
  };
  const d = outline(geometry, inPoints, inset, upsideDown, mirrored);
  const path =
    turned === 0
      ? d
      : svgpath(d)
          .rotate(turned, ...middle(inPoints))
          .toString();
  return pathXml(path, attributes, inner);
}

const middle = ({ x, y, width, height }: { x: number; y: number; width: number; height: number }) =>
  [x + width / 2, y + height / 2] as const;

/** An outline in points, as a path in a box of its own extent (§10.3.7). */
export function pathXml(d: string, attributes: Attributes, inner = ''): string {
  const path = svgpath(d).abs().unarc().unshort();
  const [xs, ys]: [number[], number[]] = [[], []];
  path.iterate((segment, _, x, y) => {
    const [command, ...v] = segment as [string, ...number[]];
    if (command === 'H') [xs, ys].forEach((list, i) => list.push(i === 0 ? v[0]! : y));
    else if (command === 'V') [xs, ys].forEach((list, i) => list.push(i === 0 ? x : v[0]!));
    else v.forEach((value, i) => (i % 2 === 0 ? xs : ys).push(value));
  });
  if (xs.length === 0) return '';
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  // A line has an extent too: without one its box could not be scaled into.
  const [width, height] = [Math.max(...xs) - left, Math.max(...ys) - top].map((side) => Math.max(side, 0.1));
  const own = path.translate(-left, -top).scale(FINE).round(0).toString();
  return element(
    'draw:path',
    {
      ...attributes,
      'svg:x': points(left),
      'svg:y': points(top),
      'svg:width': points(width!),
      'svg:height': points(height!),
      'svg:viewBox': `0 0 ${Math.round(width! * FINE)} ${Math.round(height! * FINE)}`,
      'svg:d': own,
    },
    inner,
  );
}
/** Units of a path to a point. */
const FINE = 100;

/** A shape of a figure, with the text that stands in it. */
export function figureShape(box: ShapeBox, held: HeldText | undefined, context: PageContext, more: Attributes): string {
  const { palette } = context.colors;
  const line = box.line === null ? null : { hex: palette[box.line.color], width: box.line.width };
  const paint = { ...filled(box.fill === null ? null : palette[box.fill]), ...stroked(line) };
  const style = graphicStyle(
    context,
    held === undefined ? paint : { ...paint, ...textPlace(held.text.frame.anchor, held.insets) },
  );
  const inner = held === undefined ? '' : textXml(held.text, context);
  return shapeXml(box, style, more, inner);
}

/** A symbol of lines. */
export function iconXml({ icon, rect, color: name }: IconBox, context: PageContext): string {
  const factor = rect.width / EMU_PER_POINT / ICON_SIDE;
  const style = graphicStyle(context, {
    ...filled(null),
    ...stroked({ hex: context.colors.palette[name], width: 2 * factor }),
    'draw:stroke-linejoin': 'round',
    'svg:stroke-linecap': 'round',
  });
  // Each begins anew, wherever the one before it ended.
  const all = svgpath(icon.paths.map((d) => svgpath(d).abs().toString()).join(''))
    .scale(factor)
    .translate(rect.x / EMU_PER_POINT, rect.y / EMU_PER_POINT);
  return pathXml(all.toString(), { 'draw:style-name': style, ...LAYER });
}

/** A line that goes along with the shapes at its ends (§10.3.10). @param idOf Of the shape at an end. */
export function connectorXml(
  box: ConnectorBox,
  context: PageContext,
  idOf: (end: ConnectorBox['from']) => string | undefined,
): string {
  const { from, to, color: name, width, arrow } = box;
  const style = graphicStyle(context, {
    ...filled(null),
    ...stroked({ hex: context.colors.palette[name], width }),
    ...(arrow
      ? { 'draw:marker-end': ARROW, 'draw:marker-end-width': points(width * 5), 'draw:marker-end-center': 'false' }
      : {}),
  });
  return element('draw:connector', {
    'draw:style-name': style,
    ...LAYER,
    'draw:type': 'line',
    'svg:x1': length(from.x),
    'svg:y1': length(from.y),
    'svg:x2': length(to.x),
    'svg:y2': length(to.y),
    'draw:start-shape': idOf(from),
    'draw:end-shape': idOf(to),
    ...lineBetween(from, to),
  });
}

/** How a line runs, in a box of its own extent. */
function lineBetween(from: ConnectorBox['from'], to: ConnectorBox['to']): Attributes {
  const [left, top] = [Math.min(from.x, to.x), Math.min(from.y, to.y)];
  const fine = (emu: number): number => Math.round((emu / EMU_PER_POINT) * FINE);
  const [width, height] = [Math.abs(from.x - to.x), Math.abs(from.y - to.y)].map((side) => Math.max(1, fine(side)));
  const at = ({ x, y }: { readonly x: number; readonly y: number }): string => `${fine(x - left)} ${fine(y - top)}`;
  return { 'svg:viewBox': `0 0 ${width} ${height}`, 'svg:d': `M${at(from)}L${at(to)}` };
}
/** The head of lines, which the styles of the file define. */
const ARROW = 'Arrow';
export const arrowMarker = element('draw:marker', {
  'draw:name': ARROW,
  'svg:viewBox': '0 0 20 20',
  'svg:d': 'M10 0 0 20h20z',
});
