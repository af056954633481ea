/** Shapes, symbols and text boxes (ECMA-376-1 §19.3.1.43, §20.1.9). */
import svgpath from 'svgpath';
import { ICON_SIDE, POINT_DEPTH, CORNER, type IconBox, type ShapeBox, type TextBox } from '../../scene/index.ts';
import type { Geometry, Rect } from '../../theme/index.ts';
import { schemeColor, solidFill } from './colors.ts';
import { freeTextBody, type TextContext } from './text.ts';
import { emuOf, xfrm } from './xml.ts';

const PRESETS: Readonly<Record<Geometry, string>> = {
  rect: 'rect',
  round: 'roundRect',
  ellipse: 'ellipse',
  triangle: 'triangle',
  diamond: 'diamond',
  chevron: 'chevron',
  tag: 'homePlate',
  arrow: 'rightArrow',
  trapezoid: 'trapezoid',
};

const guide = (value: number): string =>
  `<a:avLst><a:gd name="adj" fmla="val ${Math.round(value * 100_000)}"/></a:avLst>`;

/** @param inset Of a trapezoid, of its width. */
export function presetGeometry(geometry: Geometry, rect: Rect, inset = 0): string {
  const list =
    geometry === 'round'
      ? guide(CORNER)
      : geometry === 'chevron' || geometry === 'tag'
        ? guide(POINT_DEPTH)
        : geometry === 'trapezoid'
          ? guide((inset * rect.width) / Math.min(rect.width, rect.height))
          : '<a:avLst/>';
  return `<a:prstGeom prst="${PRESETS[geometry]}">${list}</a:prstGeom>`;
}

/** Where a preset shape has its text (`rect` of presetShapeDefinitions, ECMA-376-1 annex D); null where none of ours stands in it. */
export function textRect({ geometry, rect, inset, mirrored }: ShapeBox): Rect | null {
  const { x, y, width, height } = rect;
  const short = Math.min(width, height);
  const within = (left: number, top: number, right: number, bottom: number): Rect => ({
    x: Math.round(x + (mirrored ? right : left)) as Rect['x'],
    y: Math.round(y + top) as Rect['y'],
    width: Math.round(width - left - right) as Rect['width'],
    height: Math.round(height - top - bottom) as Rect['height'],
  });
  switch (geometry) {
    case 'rect':
      return rect;
    case 'round': {
      const corner = short * CORNER * (1 - Math.SQRT1_2);
      return within(corner, corner, corner, corner);
    }
    case 'ellipse': {
      const [dx, dy] = [width, height].map((side) => (side / 2) * (1 - Math.SQRT1_2)) as [number, number];
      return within(dx, dy, dx, dy);
    }
    case 'chevron': {
      const point = short * POINT_DEPTH;
      return within(point, 0, point, 0);
    }
    case 'tag':
      return within(0, 0, (short * POINT_DEPTH) / 2, 0);
    case 'trapezoid': {
      const share = inset * 2;
      return within((width / 3) * share, (height / 3) * share, (width / 3) * share, 0);
    }
    case 'triangle':
    case 'diamond':
    case 'arrow':
      return null;
  }
}

/** @param text Its body, where it holds any. */
export function shapeXml(box: ShapeBox, named: string, text = ''): string {
  const turned = `${box.turned === 0 ? '' : ` rot="${box.turned * 60_000}"`}${box.mirrored ? ' flipH="1"' : ''}${box.upsideDown ? ' flipV="1"' : ''}`;
  const place = xfrm(box.rect, 'a:xfrm', turned);
  const fill = box.fill === null ? '<a:noFill/>' : solidFill(box.fill);
  const line =
    box.line === null
      ? '<a:ln><a:noFill/></a:ln>'
      : `<a:ln w="${emuOf(box.line.width)}">${solidFill(box.line.color)}</a:ln>`;
  return `<p:sp><p:nvSpPr>${named}<p:cNvSpPr/><p:nvPr/></p:nvSpPr><p:spPr>${place}${presetGeometry(box.geometry, box.rect, box.inset)}${fill}${line}</p:spPr>${text}</p:sp>`;
}

/** Text in a box of its own. */
export const freeText = (box: TextBox, named: string, context: TextContext): string =>
  free(`${named}<p:cNvSpPr txBox="1"/><p:nvPr/>`, box, freeTextBody(box, context));

/** A title on a layout that has no place for one: it stands free, and is still what the slide is called (§19.7.10). */
export const freeTitle = (box: TextBox, named: string, context: TextContext): string =>
  free(
    `${named}<p:cNvSpPr><a:spLocks noGrp="1"/></p:cNvSpPr><p:nvPr><p:ph type="title"/></p:nvPr>`,
    box,
    freeTextBody(box, context, undefined, true, true),
  );

const free = (properties: string, box: TextBox, body: string): string =>
  `<p:sp><p:nvSpPr>${properties}</p:nvSpPr><p:spPr>${xfrm(box.frame)}<a:prstGeom prst="rect"><a:avLst/></a:prstGeom><a:noFill/></p:spPr>${body}</p:sp>`;

/** Units of a symbol's outline; more than its side, so that rounding is not seen. */
const FINE = 1000;

/** A symbol as an outline of its own (§20.1.9.8): lines that take the theme's colour. */
export function iconXml({ icon, rect, color }: IconBox, named: string): string {
  const side = ICON_SIDE * FINE;
  const paths = icon.paths.map((d) => `<a:path w="${side}" h="${side}" fill="none">${pathXml(d)}</a:path>`).join('');
  const width = Math.round((rect.width * 2) / ICON_SIDE);
  return `<p:sp><p:nvSpPr>${named}<p:cNvSpPr/><p:nvPr/></p:nvSpPr><p:spPr>${xfrm(rect)}<a:custGeom><a:avLst/><a:gdLst/><a:ahLst/><a:cxnLst/><a:rect l="0" t="0" r="r" b="b"/><a:pathLst>${paths}</a:pathLst></a:custGeom><a:noFill/><a:ln w="${width}" cap="rnd"><a:solidFill>${schemeColor(color)}</a:solidFill><a:round/></a:ln></p:spPr></p:sp>`;
}

function pathXml(d: string): string {
  let xml = '';
  const at = (x: number, y: number): string => `<a:pt x="${Math.round(x * FINE)}" y="${Math.round(y * FINE)}"/>`;
  svgpath(d)
    .abs()
    .unarc()
    .unshort()
    .iterate((segment, _, x, y) => {
      const [command, ...v] = segment as [string, ...number[]];
      switch (command) {
        case 'M':
          xml += `<a:moveTo>${at(v[0]!, v[1]!)}</a:moveTo>`;
          break;
        case 'L':
          xml += `<a:lnTo>${at(v[0]!, v[1]!)}</a:lnTo>`;
          break;
        case 'H':
          xml += `<a:lnTo>${at(v[0]!, y)}</a:lnTo>`;
          break;
        case 'V':
          xml += `<a:lnTo>${at(x, v[0]!)}</a:lnTo>`;
          break;
        case 'C':
          xml += `<a:cubicBezTo>${at(v[0]!, v[1]!)}${at(v[2]!, v[3]!)}${at(v[4]!, v[5]!)}</a:cubicBezTo>`;
          break;
        case 'Q':
          xml += `<a:quadBezTo>${at(v[0]!, v[1]!)}${at(v[2]!, v[3]!)}</a:quadBezTo>`;
          break;
        case 'Z':
          xml += '<a:close/>';
      }
    });
  return xml;
}
