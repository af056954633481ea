/** Paragraphs and runs of DrawingML (ECMA-376-1 §21.1.2). */
import { isWrittenAs, languageAmong, primaryOf, USUAL_LANGUAGE, type LanguageTag } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import { runsText, type Run, type Runs } from '../../content/index.ts';
import { paraSetting, sidedAlign, sideOf, type Para, type SceneSlide, type TextBox } from '../../scene/index.ts';
import type { Frame, Theme } from '../../theme/index.ts';
import { schemeColor, solidFill } from './colors.ts';
import { bulletsOf, withMark, type Bullet } from './bullet.ts';
import { ALIGN, ANCHOR, faces, spacing } from './text-style.ts';
import { fontFace } from './theme-part.ts';
import { emuOf, hundredths } from './xml.ts';

export interface TextContext {
  readonly theme: Theme;
  readonly language: LanguageTag;
  /** Of parts, and under null of the title, where it is another. */
  readonly languages?: SceneSlide['languages'];
  /** Gives the relationship id of a link; undefined for links within the document. */
  readonly link: (target: string) => string | undefined;
  /** Gives that of the slide to which a link within the document leads, where it leads to one. */
  readonly goal?: (link: string) => string | undefined;
  /** Gives the relationship id of the slide that a part leads to, where it leads to one. */
  readonly jump?: (part: NonNullable<Para['part']>) => string | undefined;
}

const JUMP = 'ppaction://hlinksldjump';

/** A click that leads to a slide of this file (§20.1.2.2.23, §21.1.2.3.5), in the colour that the text has (an extension). */
function clickOf({ part }: Para, { jump }: TextContext): Pick<Extra, 'click'> {
  const id = part === null ? undefined : jump?.(part);
  return id === undefined
    ? {}
    : {
        click: `<a:hlinkClick r:id="${id}" action="${JUMP}"><a:extLst><a:ext uri="{A12FA001-AC4F-418D-AE19-62706E023703}"><ahyp:hlinkClr xmlns:ahyp="http://schemas.microsoft.com/office/drawing/2018/hyperlinkcolor" val="tx"/></a:ext></a:extLst></a:hlinkClick>`,
      };
}

/** The context in the language of a part. */
export function spokenIn<C extends TextContext>(context: C, part: Para['part'], style?: Para['style']): C {
  // Without a part it is the title, or a word of ours.
  const own = part === null && style !== 'title' ? undefined : context.languages?.get(part);
  return own === undefined ? context : { ...context, language: own };
}

/** What all runs of a paragraph have beyond what they inherit. */
interface Extra {
  readonly attributes: string;
  readonly fill: string;
  readonly mono: boolean;
  /** Fonts, where they are not inherited. */
  readonly faces: string;
  /** Where a click leads, whatever the runs say. */
  readonly click?: string;
}
const NOTHING: Extra = { attributes: '', fill: '', mono: false, faces: '' };

/**
 * Text in a placeholder, which it inherits from.
 * @param insets How far it stands in at the left and the right, in EMU.
 * @param anchor The placeholder's own.
 */
export function textBody(
  { paras, frame, scale, spread }: TextBox,
  context: TextContext,
  [left, right]: readonly [number, number] = [0, 0],
  anchor = frame.anchor,
): string {
  const attributes = `${left > 0 ? ` lIns="${left}"` : ''}${right > 0 ? ` rIns="${right}"` : ''}${anchor === frame.anchor ? '' : ` anchor="${ANCHOR[frame.anchor]}"`}`;
  // Thousandths of a percent (§21.1.2.1.3); a receiver sizes the inherited type by it. It only shrinks: what is larger says its size.
  const fit =
    scale < 1
      ? `<a:bodyPr${attributes}><a:normAutofit fontScale="${Math.round(scale * 100_000)}"/></a:bodyPr>`
      : `<a:bodyPr${attributes}/>`;
  const larger = Math.max(1, scale);
  const bullets = bulletsOf(paras);
  const set = paras.map((para, i) => {
    const space = i === 0 || spread === 1 ? '' : spreadXml(para, frame, spread, context);
    return paragraphXml(para, frame, context, larger, space, bullets[i]);
  });
  return `<p:txBody>${fit}<a:lstStyle/>${set.join('')}</p:txBody>`;
}

const spreadXml = (para: Para, frame: Frame, spread: number, { theme }: TextContext): string =>
  `<a:spcBef><a:spcPct val="${Math.round(paraSetting(para, frame, theme).spaceBefore * spread * 100_000)}"/></a:spcBef>`;

/**
 * Text that inherits nothing: it stands in no placeholder of its layout. It was measured to fit; where it is written on, it shrinks.
 * @param insets How far it stands in at the left, the top, the right and the bottom, in EMU.
 * @param overMaster Whether a style of the master holds for it, which it then gainsays.
 */
export function freeTextBody(
  { paras, frame, scale, spread }: TextBox,
  context: TextContext,
  [left, top, right, bottom]: readonly [number, number, number, number] = [0, 0, 0, 0],
  wraps = true,
  overMaster = false,
): string {
  const { style, align } = frame;
  /** What it has, or where the master might say otherwise has not. */
  const said = (has: boolean, yes: string, no: string): string => (has ? yes : overMaster ? no : '');
  const size = style.sizes[0]! * scale;
  const bullets = bulletsOf(paras);
  const paragraphs = paras.map((para, i) => {
    const set = paraSetting(para, frame, context.theme);
    const attributes = ` sz="${hundredths(size * set.scale)}"${said(style.bold || set.bold === true, ' b="1"', ' b="0"')}${said(set.italic === true, ' i="1"', ' i="0"')}${said(style.caps === true, ' cap="all"', ' cap="none"')}`;
    const bullet =
      set.bullet === null || set.bullet === ''
        ? '<a:buNone/>'
        : `<a:buClr>${schemeColor(set.bulletColor)}</a:buClr>${bullets[i]?.xml ?? `<a:buChar char="${xmlText(set.bullet)}"/>`}`;
    const indent =
      set.indent === 0 && !overMaster ? '' : ` marL="${emuOf(set.indent)}" indent="${-emuOf(set.hanging)}"`;
    const { rtl, fromRight } = sideOf(para, context.theme);
    const side = ALIGN[sidedAlign(align, fromRight, context.theme)];
    const properties = `<a:pPr${indent} algn="${side}"${rtl ? ' rtl="1"' : ''}>${spacing(style, i === 0 ? 0 : set.spaceBefore * spread)}${bullet}</a:pPr>`;
    const extra: Extra = {
      attributes,
      fill: solidFill(set.color),
      mono: set.mono,
      faces: faces(style),
      ...clickOf(para, context),
    };
    return `<a:p>${properties}${runsXml(withMark(para.runs, bullets[i]), spokenIn(context, para.part, para.style), extra)}</a:p>`;
  });
  return `<p:txBody><a:bodyPr wrap="${wraps ? 'square' : 'none'}" lIns="${left}" tIns="${top}" rIns="${right}" bIns="${bottom}"${context.theme.mirrored ? ' rtlCol="1"' : ''} anchor="${ANCHOR[frame.anchor]}"><a:normAutofit/></a:bodyPr><a:lstStyle/>${paragraphs.join('')}</p:txBody>`;
}

/** @param larger Factor by which type is larger than the placeholder's. @param space Its own space before it. */
function paragraphXml(
  paragraph: Para,
  frame: Frame,
  context: TextContext,
  larger: number,
  space: string,
  bullet: Bullet | undefined,
): string {
  const set = paraSetting(paragraph, frame, context.theme);
  const size =
    larger > 1 || paragraph.style === 'code' ? ` sz="${hundredths(frame.style.sizes[0]! * set.scale * larger)}"` : '';
  const attributes = `${paragraph.style === 'quote' ? ' i="1"' : ''}${size}`;
  const fill = paragraph.style === 'quote' || frame.says ? solidFill(set.color) : '';
  const runs = runsXml(withMark(paragraph.runs, bullet), spokenIn(context, paragraph.part, paragraph.style), {
    ...NOTHING,
    attributes,
    fill,
    mono: paragraph.style === 'code',
    ...clickOf(paragraph, context),
  });
  const direction = directionOf(paragraph, frame, context.theme);
  const paragraphed = (level: string, inner: string): string => {
    const own = `${level}${direction}`;
    return own === '' && inner === '' && space === ''
      ? `<a:p>${runs}</a:p>`
      : inner === '' && space === ''
        ? `<a:p><a:pPr${own}/>${runs}</a:p>`
        : `<a:p><a:pPr${own}>${space}${inner}</a:pPr>${runs}</a:p>`;
  };
  switch (paragraph.style) {
    case 'title':
    case 'subtitle':
      return paragraphed('', '');
    case 'point': {
      const level = paragraph.level > 1 ? ` lvl="${paragraph.level - 1}"` : '';
      if (paragraph.marks === undefined) return paragraphed(level, '');
      // Numbers want more room than bullets; what goes on from the page before has none to hang.
      const hanging = paragraph.mark?.text === '' ? 0 : -emuOf(set.hanging);
      return paragraphed(` marL="${emuOf(set.indent)}"${level} indent="${hanging}"`, bullet?.xml ?? '');
    }
    case 'plain':
    case 'item':
    case 'detail':
      // In a frame for points it has no bullet; every other frame has none anyway.
      return frame.role.startsWith('body') ? paragraphed(' marL="0" indent="0"', '<a:buNone/>') : paragraphed('', '');
    case 'body':
    case 'code':
      return paragraphed(' marL="0" indent="0"', '<a:buNone/>');
    case 'quote':
      return paragraphed(` marL="${emuOf(set.indent)}" indent="0"`, '<a:buNone/>');
  }
}

/** Text that is written from the right begins there, unless it stands in the middle (§21.1.2.2.7). */
function directionOf(para: Para, { align }: Frame, theme: Theme): string {
  const { rtl, fromRight } = sideOf(para, theme);
  const side = sidedAlign(align, fromRight, theme);
  const own = side === align ? '' : ` algn="${ALIGN[side]}"`;
  // A bullet stands at the right of a paragraph from right to left alone.
  const written = rtl || (fromRight && para.style === 'point');
  return `${own}${written ? ' rtl="1"' : theme.mirrored ? ' rtl="0"' : ''}`;
}

export function runsXml(runs: Runs, context: TextContext, extra: Extra = NOTHING): string {
  let xml = '';
  const language = languageAmong(runsText(runs), context.language);
  for (const run of runs) {
    // Words within a text are of its language unless they are in other letters.
    const own = isWrittenAs(language, run.text) ? language : languageAmong(run.text, language);
    const properties = runProperties(run, { ...context, language: own }, extra);
    const pieces = run.text.split('\n');
    pieces.forEach((piece, i) => {
      if (i > 0) xml += `<a:br>${properties}</a:br>`;
      if (piece !== '') xml += `<a:r>${properties}<a:t>${xmlText(piece)}</a:t></a:r>`;
    });
  }
  return xml;
}

/** Languages whose texts hold words in Latin letters, which are then of another (§21.1.2.3.9). */
const OF_BOTH: ReadonlySet<string> = new Set(['ja', 'ko', 'zh']);

/** Words of a link that do not say where it leads: signs alone, and the commonest of such words in languages whose letters are Latin. */
const SAYS_NOTHING =
  /^(?:[^\p{L}\p{N}]*|(?:click )?here|(?:this )?link|(?:read |learn )?more|hier|mehr|ici|plus|aquí|más|qui|aqui|mais|tu|więcej)[\s.!…]*$/iu;
const shownTarget = (target: string): string => target.replace(/^(?:https?:\/\/|mailto:)/, '');

function runProperties(run: Run, { theme, language, link, goal }: TextContext, extra: Extra): string {
  let attributes = ` lang="${language}"${OF_BOTH.has(primaryOf(language)) ? ` altLang="${USUAL_LANGUAGE}"` : ''}${extra.attributes}`;
  if (run.bold && !extra.attributes.includes(' b=')) attributes += ' b="1"';
  if (run.italic && !extra.attributes.includes(' i=')) attributes += ' i="1"';
  if (run.strike) attributes += ' strike="sngStrike"';
  if (run.position === 'super') attributes += ' baseline="33000"';
  if (run.position === 'sub') attributes += ' baseline="-15000"';
  let inner = extra.fill;
  if (!run.code && !extra.mono) inner += extra.faces;
  else inner += `<a:latin ${fontFace(theme.fonts.mono)}/><a:cs ${fontFace(theme.fonts.mono)}/>`;
  const id = run.link === undefined ? undefined : link(run.link);
  const within = run.link === undefined || id !== undefined ? undefined : goal?.(run.link);
  if (id !== undefined)
    inner += `<a:hlinkClick r:id="${id}"${SAYS_NOTHING.test(run.text) ? ` tooltip="${xmlText(shownTarget(run.link!))}"` : ''}/>`;
  else if (within !== undefined) inner += `<a:hlinkClick r:id="${within}" action="${JUMP}"/>`;
  else inner += extra.click ?? '';
  return inner === '' ? `<a:rPr${attributes}/>` : `<a:rPr${attributes}>${inner}</a:rPr>`;
}
