/** Paragraphs and runs of DrawingML (ECMA-376-1 §21.1.2). */
import { xmlText } from '../../container/index.ts';
import type { Run, Runs } from '../../content/index.ts';
import { paraSetting, type Para } from '../../scene/index.ts';
import type { Frame, Theme } from '../../theme/index.ts';
import { solidFill } from './colors.ts';
import { emuOf, hundredths } from './xml.ts';

export interface TextContext {
  readonly theme: Theme;
  readonly language: string;
  /** Gives the relationship id of a link; undefined for links within the document, which slides do not have. */
  readonly link: (target: string) => string | undefined;
}

/** What all runs of a paragraph have beyond what they inherit. */
interface Extra {
  readonly attributes: string;
  readonly fill: string;
  readonly mono: boolean;
}
const NOTHING: Extra = { attributes: '', fill: '', mono: false };

export function textBody(paragraphs: readonly Para[], frame: Frame, scale: number, context: TextContext): string {
  // Thousandths of a percent (§21.1.2.1.3); a receiver sizes the inherited type by it.
  const fit =
    scale < 1 ? `<a:bodyPr><a:normAutofit fontScale="${Math.round(scale * 100_000)}"/></a:bodyPr>` : '<a:bodyPr/>';
  return `<p:txBody>${fit}<a:lstStyle/>${paragraphs.map((paragraph) => paragraphXml(paragraph, frame, context)).join('')}</p:txBody>`;
}

function paragraphXml(paragraph: Para, frame: Frame, context: TextContext): string {
  switch (paragraph.style) {
    case 'title':
    case 'subtitle':
      return `<a:p>${runsXml(paragraph.runs, context)}</a:p>`;
    case 'point':
      return `<a:p>${paragraph.level > 1 ? `<a:pPr lvl="${paragraph.level - 1}"/>` : ''}${runsXml(paragraph.runs, context)}</a:p>`;
    case 'body':
      return `<a:p><a:pPr marL="0" indent="0"><a:buNone/></a:pPr>${runsXml(paragraph.runs, context)}</a:p>`;
    case 'quote': {
      const { indent, color } = paraSetting(paragraph, frame, context.theme);
      return `<a:p><a:pPr marL="${emuOf(indent)}" indent="0"><a:buNone/></a:pPr>${runsXml(paragraph.runs, context, { attributes: ' i="1"', fill: solidFill(color), mono: false })}</a:p>`;
    }
    case 'code': {
      const size = hundredths(frame.style.sizes[0]! * paraSetting(paragraph, frame, context.theme).scale);
      return `<a:p><a:pPr marL="0" indent="0"><a:buNone/></a:pPr>${runsXml(paragraph.runs, context, { attributes: ` sz="${size}"`, fill: '', mono: true })}</a:p>`;
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
  if (run.bold) attributes += ' b="1"';
  if (run.italic && !extra.attributes.includes(' i=')) attributes += ' i="1"';
  if (run.strike) attributes += ' strike="sngStrike"';
  if (run.position === 'super') attributes += ' baseline="33000"';
  if (run.position === 'sub') attributes += ' baseline="-15000"';
  let inner = extra.fill;
  if (run.code || extra.mono)
    inner += `<a:latin typeface="${xmlText(theme.fonts.mono)}"/><a:cs typeface="${xmlText(theme.fonts.mono)}"/>`;
  const id = run.link === undefined ? undefined : link(run.link);
  if (id !== undefined) inner += `<a:hlinkClick r:id="${id}"/>`;
  return inner === '' ? `<a:rPr${attributes}/>` : `<a:rPr${attributes}>${inner}</a:rPr>`;
}
