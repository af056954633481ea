/** One slide (ECMA-376-1 §19.3.1.38): its boxes in the placeholders of its layout. */
import { xmlText } from '../../container/index.ts';
import type { Box, PictureBox, SceneSlide, TableBox, TextBox } from '../../scene/index.ts';
import { frameOf } from '../../theme/index.ts';
import { FRAME_NAMES, placeholder } from './placeholders.ts';
import { tableXml } from './table.ts';
import { textBody, type TextContext } from './text.ts';
import { guid, NS, tree, xfrm, XML } from './xml.ts';

export interface SlideContext extends TextContext {
  /** Relationship id of a picture; undefined when its bytes are not at hand. */
  readonly picture: (id: PictureBox['picture']) => string | undefined;
}

export function slidePart(slide: SceneSlide, context: SlideContext): string {
  let id = 2;
  const shapes = slide.boxes.map((box) => boxXml(box, slide, id++, context)).join('');
  const number = frameOf(slide.layout, 'number') === undefined ? '' : numberXml(slide, id);
  const shown = slide.hidden ? ' show="0"' : '';
  return `${XML}<p:sld ${NS}${shown}><p:cSld>${tree(shapes + number)}</p:cSld><p:clrMapOvr><a:masterClrMapping/></p:clrMapOvr></p:sld>`;
}

function boxXml(box: Box, slide: SceneSlide, id: number, context: SlideContext): string {
  const ph = placeholder(box.frame.role, slide.layout.name);
  const name = `${FRAME_NAMES[box.frame.role]} ${id}`;
  switch (box.kind) {
    case 'text':
      return textXml(box, id, name, ph, context);
    case 'picture':
      return pictureXml(box, id, name, ph, context);
    case 'table':
      return tableFrame(box, id, name, ph, context);
  }
}

const textXml = (box: TextBox, id: number, name: string, ph: string, context: SlideContext): string =>
  `<p:sp><p:nvSpPr><p:cNvPr id="${id}" name="${name}"/><p:cNvSpPr><a:spLocks noGrp="1"/></p:cNvSpPr><p:nvPr>${ph}</p:nvPr></p:nvSpPr><p:spPr/>${textBody(box.paras, box.frame, box.scale, context)}</p:sp>`;

function pictureXml(box: PictureBox, id: number, name: string, ph: string, context: SlideContext): string {
  const rel = context.picture(box.picture);
  if (rel === undefined) return '';
  const description = box.alt === null ? '' : ` descr="${xmlText(box.alt)}"`;
  return `<p:pic><p:nvPicPr><p:cNvPr id="${id}" name="${name}"${description}/><p:cNvPicPr><a:picLocks noGrp="1" noChangeAspect="1"/></p:cNvPicPr><p:nvPr>${ph}</p:nvPr></p:nvPicPr><p:blipFill><a:blip r:embed="${rel}"/><a:stretch><a:fillRect/></a:stretch></p:blipFill><p:spPr>${xfrm(box.rect)}</p:spPr></p:pic>`;
}

function tableFrame(box: TableBox, id: number, name: string, ph: string, context: SlideContext): string {
  const height = box.rowHeights.reduce((sum, row) => sum + row, 0);
  const width = box.columnWidths.reduce((sum, column) => sum + column, 0);
  const place = xfrm(
    { ...box.frame, width: width as typeof box.frame.width, height: height as typeof box.frame.height },
    'p:xfrm',
  );
  return `<p:graphicFrame><p:nvGraphicFramePr><p:cNvPr id="${id}" name="${name}"/><p:cNvGraphicFramePr><a:graphicFrameLocks noGrp="1"/></p:cNvGraphicFramePr><p:nvPr>${ph}</p:nvPr></p:nvGraphicFramePr>${place}<a:graphic><a:graphicData uri="http://schemas.openxmlformats.org/drawingml/2006/table">${tableXml(box, context)}</a:graphicData></a:graphic></p:graphicFrame>`;
}

const numberXml = (slide: SceneSlide, id: number): string =>
  `<p:sp><p:nvSpPr><p:cNvPr id="${id}" name="${FRAME_NAMES.number} ${id}"/><p:cNvSpPr><a:spLocks noGrp="1"/></p:cNvSpPr><p:nvPr>${placeholder('number', slide.layout.name)}</p:nvPr></p:nvSpPr><p:spPr/><p:txBody><a:bodyPr/><a:lstStyle/><a:p><a:fld id="${guid(0, 1)}" type="slidenum"><a:rPr lang="en-GB"/><a:t>${slide.number}</a:t></a:fld><a:endParaRPr lang="en-GB"/></a:p></p:txBody></p:sp>`;
