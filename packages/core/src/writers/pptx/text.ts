/** Paragraphs and runs of DrawingML (ECMA-376-1 §21.1.2). */
import type { LanguageTag } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import type { Run, Runs } from '../../content/index.ts';
import { paraSetting, type Para, type TextBox } from '../../scene/index.ts';
import type { Frame, Theme } from '../../theme/index.ts';
import { schemeColor, solidFill } from './colors.ts';
import { ALIGN, faces, spacing } from './text-style.ts';
import { emuOf, hundredths } from './xml.ts';

export interface TextContext {
  readonly theme: Theme;
  readonly language: LanguageTag;
  /** Gives the relationship id of a link; undefined for links within the document, which slides do not have. */
  readonly link: (target: string) => string | undefined;
}

/** What all runs of a paragraph have beyond what they inherit. */
interface Extra {
  readonly attributes: string;
  readonly fill: string;
  readonly mono: boolean;
  /** Fonts, where they are not inherited. */
  readonly faces: string;
}
const NOTHING: Extra = { attributes: '', fill: '', mono: false, faces: '' };

export function textBody({ paras, frame, scale }: TextBox, context: TextContext): string {
  // Thousandths of a percent (§21.1.2.1.3); a receiver sizes the inherited type by it.
  const fit =
    scale < 1 ? `<a:bodyPr><a:normAutofit fontScale="${Math.round(scale * 100_000)}"/></a:bodyPr>` : '<a:bodyPr/>';
  return `<p:txBody>${fit}<a:lstStyle/>${paras.map((paragraph) => paragraphXml(paragraph, frame, context)).join('')}</p:txBody>`;
}

/** Text that inherits nothing: it stands in no placeholder. */
export function freeTextBody({ paras, frame, scale }: TextBox, anchor: string, context: TextContext): string {
  const { style, align } = frame;
  const size = style.sizes[0]! * scale;
  const paragraphs = paras.map((para, i) => {
    const set = paraSetting(para, frame, context.theme);
    const attributes = ` sz="${hundredths(size * set.scale)}"${style.bold || set.bold === true ? ' b="1"' : ''}${set.italic ? ' i="1"' : ''}${style.caps ? ' cap="all"' : ''}`;
    const bullet =
      set.bullet === null || set.bullet === ''
        ? '<a:buNone/>'
        : `<a:buClr>${schemeColor(set.bulletColor)}</a:buClr><a:buChar char="${xmlText(set.bullet)}"/>`;
    const indent = set.indent === 0 ? '' : ` marL="${emuOf(set.indent)}" indent="${-emuOf(set.hanging)}"`;
    const properties = `<a:pPr${indent} algn="${ALIGN[align]}">${spacing(style, i === 0 ? 0 : set.spaceBefore)}${bullet}</a:pPr>`;
    const extra: Extra = { attributes, fill: solidFill(set.color), mono: set.mono, faces: faces(style) };
    return `<a:p>${properties}${runsXml(para.runs, context, extra)}</a:p>`;
  });
  return `<p:txBody><a:bodyPr wrap="square" lIns="0" tIns="0" rIns="0" bIns="0" anchor="${anchor}"><a:noAutofit/></a:bodyPr><a:lstStyle/>${paragraphs.join('')}</p:txBody>`;
}

function paragraphXml(paragraph: Para, frame: Frame, context: TextContext): string {
  switch (paragraph.style) {
    case 'title':
    case 'subtitle':
      return `<a:p>${runsXml(paragraph.runs, context)}</a:p>`;
    case 'point':
      return `<a:p>${paragraph.level > 1 ? `<a:pPr lvl="${paragraph.level - 1}"/>` : ''}${runsXml(paragraph.runs, context)}</a:p>`;
    case 'plain':
    case 'item':
    case 'detail':
      // In a frame for points it has no bullet; every other frame has none anyway.
      return frame.role.startsWith('body')
        ? `<a:p><a:pPr marL="0" indent="0"><a:buNone/></a:pPr>${runsXml(paragraph.runs, context)}</a:p>`
        : `<a:p>${runsXml(paragraph.runs, context)}</a:p>`;
    case 'body':
      return `<a:p><a:pPr marL="0" indent="0"><a:buNone/></a:pPr>${runsXml(paragraph.runs, context)}</a:p>`;
    case 'quote': {
      const { indent, color } = paraSetting(paragraph, frame, context.theme);
      return `<a:p><a:pPr marL="${emuOf(indent)}" indent="0"><a:buNone/></a:pPr>${runsXml(paragraph.runs, context, { ...NOTHING, attributes: ' i="1"', fill: solidFill(color) })}</a:p>`;
    }
    case 'code': {
      const size = hundredths(frame.style.sizes[0]! * paraSetting(paragraph, frame, context.theme).scale);
      return `<a:p><a:pPr marL="0" indent="0"><a:buNone/></a:pPr>${runsXml(paragraph.runs, context, { ...NOTHING, attributes: ` sz="${size}"`, mono: true })}</a:p>`;
    }
  }
}

export function runsXml(runs: Runs, context: TextContext, extra: Extra = NOTHING): string {
  let xml = '';
  for (const run of runs) {
    const properties = runProperties(run, context, extra);
    const pieces = run.text.split('\n');
    pieces.forEach((piece, i) => {
      if (i > 0) xml += `<a:br>${properties}</a:br>`;
      if (piece !== '') xml += `<a:r>${properties}<a:t>${xmlText(piece)}</a:t></a:r>`;
    });
  }
  return xml;
}

function runProperties(run: Run, { theme, language, link }: TextContext, extra: Extra): string {
  let attributes = ` lang="${language}"${extra.attributes}`;
  if (run.bold && !extra.attributes.includes(' b=')) attributes += ' b="1"';
  if (run.italic && !extra.attributes.includes(' i=')) attributes += ' i="1"';
  if (run.strike) attributes += ' strike="sngStrike"';
  if (run.position === 'super') attributes += ' baseline="33000"';
  if (run.position === 'sub') attributes += ' baseline="-15000"';
  let inner = extra.fill;
  if (!run.code && !extra.mono) inner += extra.faces;
  else inner += `<a:latin typeface="${xmlText(theme.fonts.mono)}"/><a:cs typeface="${xmlText(theme.fonts.mono)}"/>`;
  const id = run.link === undefined ? undefined : link(run.link);
  if (id !== undefined) inner += `<a:hlinkClick r:id="${id}"/>`;
  return inner === '' ? `<a:rPr${attributes}/>` : `<a:rPr${attributes}>${inner}</a:rPr>`;
}
