/** Shapes, symbols and text of figures (ECMA-376-1 §19.3.1.43, §20.1.9): all native, in one group. */
import svgpath from 'svgpath';
import {
  ICON_SIDE,
  POINT_DEPTH,
  CORNER,
  type Box,
  type IconBox,
  type ShapeBox,
  type TextBox,
} from '../../scene/index.ts';
import type { Geometry, Rect } from '../../theme/index.ts';
import { schemeColor, solidFill } from './colors.ts';
import { ANCHOR } from './text-style.ts';
import { freeTextBody, type TextContext } from './text.ts';
import { emuOf, xfrm } from './xml.ts';
import { xmlText } from '../../container/index.ts';

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

/** What is part of a figure: shapes, symbols, and text that stands in no placeholder. */
export const isFigurePart = (box: Box): box is ShapeBox | IconBox | TextBox =>
  box.kind === 'shape' || box.kind === 'icon' || (box.kind === 'text' && box.free === true);

/** A figure as a group whose own lengths are the slide's. @param next Gives the next free id. */
export function figureGroup(boxes: readonly Box[], name: string, next: () => number, context: TextContext): string {
  const parts = boxes.filter(isFigurePart);
  if (parts.length === 0) return '';
  const id = next();
  const rects = parts.map((box) => (box.kind === 'text' ? box.frame : box.rect));
  const x = Math.min(...rects.map((rect) => rect.x));
  const y = Math.min(...rects.map((rect) => rect.y));
  const width = Math.max(...rects.map((rect) => rect.x + rect.width)) - x;
  const height = Math.max(...rects.map((rect) => rect.y + rect.height)) - y;
  const place = `<a:off x="${x}" y="${y}"/><a:ext cx="${width}" cy="${height}"/>`;
  const inner = parts
    .map((box) =>
      box.kind === 'shape'
        ? shapeXml(box, next())
        : box.kind === 'icon'
          ? iconXml(box, next())
          : freeText(box, next(), context),
    )
    .join('');
  return `<p:grpSp><p:nvGrpSpPr><p:cNvPr id="${id}" name="${xmlText(name)} ${id}"/><p:cNvGrpSpPr/><p:nvPr/></p:nvGrpSpPr><p:grpSpPr><a:xfrm>${place}<a:chOff x="${x}" y="${y}"/><a:chExt cx="${width}" cy="${height}"/></a:xfrm></p:grpSpPr>${inner}</p:grpSp>`;
}

function shapeXml(box: ShapeBox, id: number): string {
  const turned = `${box.turned === 0 ? '' : ` rot="${box.turned * 60_000}"`}${box.mirrored ? ' flipH="1"' : ''}${box.upsideDown ? ' flipV="1"' : ''}`;
  const place = xfrm(box.rect, 'a:xfrm', turned);
  const fill = box.fill === null ? '<a:noFill/>' : solidFill(box.fill);
  const line =
    box.line === null
      ? '<a:ln><a:noFill/></a:ln>'
      : `<a:ln w="${emuOf(box.line.width)}">${solidFill(box.line.color)}</a:ln>`;
  return `<p:sp><p:nvSpPr><p:cNvPr id="${id}" name="Shape ${id}"/><p:cNvSpPr/><p:nvPr/></p:nvSpPr><p:spPr>${place}${presetGeometry(box.geometry, box.rect, box.inset)}${fill}${line}</p:spPr></p:sp>`;
}

/** Text in a box of its own. */
export const freeText = (box: TextBox, id: number, context: TextContext): string =>
  `<p:sp><p:nvSpPr><p:cNvPr id="${id}" name="Text ${id}"/><p:cNvSpPr txBox="1"/><p:nvPr/></p:nvSpPr><p:spPr>${xfrm(box.frame)}<a:prstGeom prst="rect"><a:avLst/></a:prstGeom><a:noFill/></p:spPr>${freeTextBody(box, ANCHOR[box.frame.anchor], context)}</p:sp>`;

/** Units of a symbol's outline; more than its side, so that rounding is not seen. */
const FINE = 1000;

/** A symbol as an outline of its own (§20.1.9.8): lines that take the theme's colour. */
function iconXml({ icon, rect, color }: IconBox, id: number): string {
  const side = ICON_SIDE * FINE;
  const paths = icon.paths.map((d) => `<a:path w="${side}" h="${side}" fill="none">${pathXml(d)}</a:path>`).join('');
  const width = Math.round((rect.width * 2) / ICON_SIDE);
  return `<p:sp><p:nvSpPr><p:cNvPr id="${id}" name="Symbol ${id}" descr="${xmlText(icon.name)}"/><p:cNvSpPr/><p:nvPr/></p:nvSpPr><p:spPr>${xfrm(rect)}<a:custGeom><a:avLst/><a:gdLst/><a:ahLst/><a:cxnLst/><a:rect l="0" t="0" r="r" b="b"/><a:pathLst>${paths}</a:pathLst></a:custGeom><a:noFill/><a:ln w="${width}" cap="rnd"><a:solidFill>${schemeColor(color)}</a:solidFill><a:round/></a:ln></p:spPr></p:sp>`;
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
