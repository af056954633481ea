/** One slide (ECMA-376-1 §19.3.1.38): its boxes in the placeholders of its layout. */
import {
  colorsOf,
  describeChart,
  describePicture,
  describeTable,
  type Box,
  type ChartBox,
  type PictureBox,
  type SceneSlide,
  type TableBox,
  type TextBox,
} from '../../scene/index.ts';
import { frameOf, isFoot, type Frame, type Layout } from '../../theme/index.ts';
import { xmlText } from '../../container/index.ts';
import { solidFill } from './colors.ts';
import { dateField, footText, isLiveDate } from './master-part.ts';
import { pictureXml } from './picture.ts';
import { motionXml } from './motion.ts';
import { placeholder } from './placeholders.ts';
import { isFigurePart } from '../slides/figure-items.ts';
import { figureGroup } from './figure.ts';
import { freeText, freeTitle } from './shapes.ts';
import { tableXml } from './table.ts';
import { spokenIn, textBody, type TextContext } from './text.ts';
import { fileWords, roleName } from '../slides/words.ts';
import { XML } from '../opc/package.ts';
import { guid, nonVisual, NS, tree, xfrm } from './xml.ts';

export interface SlideContext extends TextContext {
  /** Relationship id of a picture; undefined when its bytes are not at hand. */
  readonly picture: (id: PictureBox['picture']) => string | undefined;
  /** Writes a chart's parts, and gives its relationship id. */
  readonly chart: (box: ChartBox) => string;
}

export function slidePart(slide: SceneSlide, context: SlideContext): string {
  let id = 2;
  const next = (): number => id++;
  const parts = slide.boxes.filter(isFigurePart);
  const placed = slide.boxes.filter((box) => !isFigurePart(box));
  const numbers = new Map<Box, number>();
  const shapes = placed
    .map((box) => {
      const number = next();
      numbers.set(box, number);
      return boxXml(box, slide, number, context);
    })
    .join('');
  const figure = parts.length === 0 ? '' : figureGroup(parts, slide.layout, next, context);
  const foot = slide.layout.frames
    .filter(({ role }) => isFoot(role))
    .map((frame) => footXml(frame, slide, next(), context))
    .join('');
  const shown = slide.hidden ? ' show="0"' : '';
  // Colours of its own: the ground is said again, so that it is taken from them.
  const ground =
    slide.colors === null ? '' : `<p:bg><p:bgPr>${solidFill(slide.layout.ground)}<a:effectLst/></p:bgPr></p:bg>`;
  return `${XML}<p:sld ${NS}${shown}><p:cSld>${ground}${tree(shapes + figure + foot)}</p:cSld><p:clrMapOvr><a:masterClrMapping/></p:clrMapOvr>${motionXml(slide, numbers)}</p:sld>`;
}

function boxXml(box: Box, slide: SceneSlide, id: number, context: SlideContext): string {
  const ph = placeholder(box.frame, slide.layout.name);
  const name = `${roleName(fileWords(context.language), box.frame.role)} ${id}`;
  switch (box.kind) {
    case 'text':
      return box.frame.role === 'title' && box.frame.placeholder === null
        ? freeTitle(box, nonVisual(id, name), context)
        : ph === '' || box.free === true
          ? freeText(box, nonVisual(id, name), context)
          : textXml(box, nonVisual(id, name), ph, slide.layout, context);
    case 'picture': {
      const rel = context.picture(box.picture);
      const named = nonVisual(id, name, describePicture(box, slide));
      return rel === undefined ? '' : pictureXml(box, colorsOf(slide, context.theme), named, ph, rel);
    }
    case 'table':
      return tableFrame(
        box,
        nonVisual(id, name, describeTable(box.table, slide.title)),
        ph,
        spokenIn(context, box.part),
      );
    case 'chart':
      return chartFrame(box, nonVisual(id, name, describeChart(box.chart, slide.title)), ph, context);
    // Of a figure, whose group is written apart.
    case 'shape':
    case 'connector':
    case 'icon':
      return '';
  }
}

function textXml(box: TextBox, named: string, ph: string, layout: Layout, context: SlideContext): string {
  const own = frameOf(layout, box.frame.role) ?? box.frame;
  const { x, y, width, height } = box.frame;
  const inside = y === own.y && height === own.height && x >= own.x && x + width <= own.x + own.width;
  // A title that is broken evenly keeps its place: its text alone is narrower.
  const place = inside ? '' : xfrm(box.frame);
  const insets = inside ? ([x - own.x, own.x + own.width - x - width] as const) : ([0, 0] as const);
  return `<p:sp><p:nvSpPr>${named}<p:cNvSpPr><a:spLocks noGrp="1"/></p:cNvSpPr><p:nvPr>${ph}</p:nvPr></p:nvSpPr>${place === '' ? '<p:spPr/>' : `<p:spPr>${place}</p:spPr>`}${textBody(box, context, insets, own.anchor)}</p:sp>`;
}

const graphicFrame = (place: string, named: string, ph: string, uri: string, inner: string): string =>
  `<p:graphicFrame><p:nvGraphicFramePr>${named}<p:cNvGraphicFramePr><a:graphicFrameLocks noGrp="1"/></p:cNvGraphicFramePr><p:nvPr>${ph}</p:nvPr></p:nvGraphicFramePr>${place}<a:graphic><a:graphicData uri="http://schemas.openxmlformats.org/drawingml/2006/${uri}">${inner}</a:graphicData></a:graphic></p:graphicFrame>`;

function tableFrame(box: TableBox, named: string, ph: string, context: SlideContext): string {
  const height = box.rowHeights.reduce((sum, row) => sum + row, 0);
  const width = box.columnWidths.reduce((sum, column) => sum + column, 0);
  const place = xfrm(
    { ...box.frame, width: width as typeof box.frame.width, height: height as typeof box.frame.height },
    'p:xfrm',
  );
  return graphicFrame(place, named, ph, 'table', tableXml(box, context));
}

function chartFrame(box: ChartBox, named: string, ph: string, context: SlideContext): string {
  const inner = `<c:chart xmlns:c="http://schemas.openxmlformats.org/drawingml/2006/chart" r:id="${context.chart(box)}"/>`;
  return graphicFrame(xfrm(box.frame, 'p:xfrm'), named, ph, 'chart', inner);
}

function footXml(frame: Frame, slide: SceneSlide, id: number, { theme, language }: SlideContext): string {
  const fill = frame.says ? `>${solidFill(frame.style.color)}</a:rPr>` : '/>';
  const text = isLiveDate(theme, frame.role)
    ? dateField(`<a:rPr lang="${language}"${fill}`, footText(theme, frame.role))
    : frame.role === 'number'
      ? `<a:fld id="${guid(0, 1)}" type="slidenum"><a:rPr lang="${language}"${fill}<a:t>${slide.number}</a:t></a:fld><a:endParaRPr lang="${language}"/>`
      : `<a:r><a:rPr lang="${language}"${fill}<a:t>${xmlText(footText(theme, frame.role))}</a:t></a:r>`;
  return `<p:sp><p:nvSpPr>${nonVisual(id, `${roleName(fileWords(language), frame.role)} ${id}`)}<p:cNvSpPr><a:spLocks noGrp="1"/></p:cNvSpPr><p:nvPr>${placeholder(frame, slide.layout.name)}</p:nvPr></p:nvSpPr><p:spPr/><p:txBody><a:bodyPr/><a:lstStyle/><a:p>${text}</a:p></p:txBody></p:sp>`;
}
