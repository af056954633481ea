/** Figures as things that can be moved: a group of items, each a group of its shapes with their text in them (ECMA-376-1 §19.3.1.22). */
import type { ConnectorBox, ConnectorEnd, ShapeBox, TextBox } from '../../scene/index.ts';
import { middleOf, type Geometry, type LayoutName, type Rect, type Side } from '../../theme/index.ts';
import { CLOSE, figureOf, rectOf, type Drawn, type FigurePart } from '../slides/figure-items.ts';
import { fileWords, itemName } from '../slides/words.ts';
import { solidFill } from './colors.ts';
import { freeText, iconXml, shapeXml, textRect } from './shapes.ts';
import { freeTextBody, type TextContext } from './text.ts';
import { emuOf, nonVisual, xfrm } from './xml.ts';

/** A shape as it was written. */
interface WrittenShape {
  readonly id: number;
  readonly box: ShapeBox;
}

/**
 * A figure as a group whose own lengths are the slide's.
 * @param next Gives the next free id.
 */
export function figureGroup(
  parts: readonly FigurePart[],
  layout: { readonly name: LayoutName; readonly label: string },
  next: () => number,
  context: TextContext,
): string {
  const figure = figureOf(parts, layout.name, textRect);
  const id = next();
  const shapes = new Map<number, readonly WrittenShape[]>();
  const behind = drawnXml(figure.behind, next, context, '').xml;
  if (figure.items.length === 0) return behind;
  const ours = fileWords(context.language);
  const inside = figure.items.map(({ index, words, extent, drawn }) => {
    const name = `${itemName(ours, layout.name)} ${index + 1}${words === '' ? '' : `: ${words}`}`;
    const group = next();
    const { xml, written } = drawnXml(drawn, next, context, name);
    shapes.set(index, written);
    return drawn.length === 1 ? xml : groupXml(nonVisual(group, name), extent, xml);
  });
  const lines = figure.connectors.map((connector) => connectorXml(connector, shapes, next()));
  return groupXml(
    nonVisual(
      id,
      `${ours === fileWords(null) ? layout.label : ours.roles.figure} ${id}`,
      figure.said === '' ? undefined : figure.said,
    ),
    figure.extent,
    behind + inside.join('') + lines.join(''),
  );
}

const groupXml = (named: string, { x, y, width, height }: Rect, inner: string): string =>
  `<p:grpSp><p:nvGrpSpPr>${named}<p:cNvGrpSpPr/><p:nvPr/></p:nvGrpSpPr><p:grpSpPr><a:xfrm><a:off x="${x}" y="${y}"/><a:ext cx="${width}" cy="${height}"/><a:chOff x="${x}" y="${y}"/><a:chExt cx="${width}" cy="${height}"/></a:xfrm></p:grpSpPr>${inner}</p:grpSp>`;

/** @param name Of the item; one that is drawn of one thing alone has it itself. */
function drawnXml(drawn: readonly Drawn[], next: () => number, context: TextContext, name: string) {
  const written: WrittenShape[] = [];
  const called = drawn.length === 1 && name !== '' ? name : undefined;
  const xml = drawn.map(({ box, held }) => {
    const id = next();
    switch (box.kind) {
      case 'shape': {
        written.push({ id, box });
        if (held === undefined) return shapeXml(box, nonVisual(id, called ?? `Shape ${id}`, null));
        const body = freeTextBody(held.text, context, held.insets, held.wraps);
        return shapeXml(box, nonVisual(id, called ?? textName(held.text, id)), body);
      }
      case 'icon':
        return iconXml(box, nonVisual(id, `Symbol ${id}: ${box.icon.name}`, null));
      case 'text':
        return freeText(box, nonVisual(id, called ?? textName(box, id)), context);
    }
  });
  return { xml: xml.join(''), written };
}

const textName = ({ paras }: TextBox, id: number): string =>
  `${paras.every(({ part }) => part === null) ? 'Number' : 'Text'} ${id}`;

/** Indices of the places where connectors hold on to a shape (`cxnLst` of presetShapeDefinitions), by side. */
const SITES: Readonly<Record<Side, number>> = { top: 0, left: 1, bottom: 2, right: 3 };
const siteOf = (geometry: Geometry, side: Side): number => SITES[side] * (geometry === 'ellipse' ? 2 : 1);

function connectorXml(box: ConnectorBox, shapes: ReadonlyMap<number, readonly WrittenShape[]>, id: number): string {
  const { from, to, color, width, arrow } = box;
  const glue = (tag: string, end: ConnectorEnd): string => {
    const shape = shapes.get(end.item)?.find((one) => isAt(one.box, end));
    return shape === undefined ? '' : `<a:${tag} id="${shape.id}" idx="${siteOf(shape.box.geometry, end.side)}"/>`;
  };
  const turned = `${to.x < from.x ? ' flipH="1"' : ''}${to.y < from.y ? ' flipV="1"' : ''}`;
  const head = arrow ? '<a:tailEnd type="triangle" w="lg" len="lg"/>' : '';
  return `<p:cxnSp><p:nvCxnSpPr>${nonVisual(id, `Connector ${id}`, null)}<p:cNvCxnSpPr>${glue('stCxn', from)}${glue('endCxn', to)}</p:cNvCxnSpPr><p:nvPr/></p:nvCxnSpPr><p:spPr>${xfrm(rectOf(box), 'a:xfrm', turned)}<a:prstGeom prst="straightConnector1"><a:avLst/></a:prstGeom><a:ln w="${emuOf(width)}">${solidFill(color)}${head}</a:ln></p:spPr></p:cxnSp>`;
}

function isAt({ rect }: ShapeBox, { side, x, y }: ConnectorEnd): boolean {
  const middle = middleOf(rect, side);
  return Math.abs(x - middle.x) < CLOSE && Math.abs(y - middle.y) < CLOSE;
}
