/** Slide master and layouts (ECMA-376-1 §19.3.1.42, §19.3.1.39): everything that slides inherit. */
import type { LanguageTag } from '../../base/index.ts';
import { xmlText } from '../../container/index.ts';
import type { PictureId } from '../../content/index.ts';
import {
  footPlace,
  frameIn,
  frameOf,
  isFoot,
  layoutNamed,
  type Frame,
  type Layout,
  type LayoutPicture,
  type Mark,
  type Theme,
} from '../../theme/index.ts';
import { solidFill } from './colors.ts';
import { LAYOUT_TYPES, masterFoot, placeholder } from './placeholders.ts';
import { presetGeometry } from './shapes.ts';
import { ANCHOR, plainLevel, pointLevel } from './text-style.ts';
import { colorMap } from './theme-part.ts';
import { fileWords, roleName, type FileWords } from '../slides/words.ts';
import { XML } from '../opc/package.ts';
import { emuOf, guid, NS, tree, xfrm } from './xml.ts';

/** Relationship id of a picture of the part that is written; undefined when its bytes are not at hand. */
export type PictureRel = (id: PictureId) => string | undefined;

const body = (frame: Frame): string =>
  `<a:bodyPr vert="horz" wrap="square" lIns="0" tIns="0" rIns="0" bIns="0" anchor="${ANCHOR[frame.anchor]}"><a:normAutofit/></a:bodyPr>`;

function placeholderShape(
  frame: Frame,
  name: string,
  id: number,
  ph: string,
  listStyle: string,
  prompt: string,
): string {
  return `<p:sp><p:nvSpPr><p:cNvPr id="${id}" name="${name} ${id}"/><p:cNvSpPr><a:spLocks noGrp="1"/></p:cNvSpPr><p:nvPr>${ph}</p:nvPr></p:nvSpPr><p:spPr>${xfrm(frame)}<a:prstGeom prst="rect"><a:avLst/></a:prstGeom></p:spPr><p:txBody>${body(frame)}<a:lstStyle>${listStyle}</a:lstStyle>${prompt}</p:txBody></p:sp>`;
}

const paragraph = (text: string, language: LanguageTag, level = 0): string =>
  `<a:p>${level > 0 ? `<a:pPr lvl="${level}"/>` : ''}<a:r><a:rPr lang="${language}"/><a:t>${xmlText(text)}</a:t></a:r></a:p>`;

/** @param text The author's, at the foot. @param language The author's. */
function prompt({ role }: Frame, ours: FileWords, theme: Theme, language: LanguageTag): string {
  if (role === 'number')
    return `<a:p><a:fld id="{B6F15528-21DE-4FAA-801E-634DDDAF4B2B}" type="slidenum"><a:rPr lang="${ours.language}"/><a:t>‹#›</a:t></a:fld><a:endParaRPr lang="${ours.language}"/></a:p>`;
  if (role.startsWith('body')) return ours.levels.map((level, i) => paragraph(level, ours.language, i)).join('');
  const text = footText(theme, role);
  if (isLiveDate(theme, role)) return `<a:p>${dateField(`<a:rPr lang="${language}"/>`, text)}</a:p>`;
  return text === '' ? paragraph(roleName(ours, role), ours.language) : paragraph(text, language);
}

const background = (ground: Layout['ground']): string =>
  `<p:bg><p:bgPr>${solidFill(ground)}<a:effectLst/></p:bgPr></p:bg>`;

function markShape(mark: Mark, id: number): string {
  const paint =
    mark.outline === undefined
      ? `${solidFill(mark.color)}<a:ln><a:noFill/></a:ln>`
      : `<a:noFill/><a:ln w="${emuOf(mark.outline)}">${solidFill(mark.color)}<a:miter lim="800000"/></a:ln>`;
  return `<p:sp><p:nvSpPr><p:cNvPr id="${id}" name="Mark ${id}"/><p:cNvSpPr/><p:nvPr userDrawn="1"/></p:nvSpPr><p:spPr>${xfrm(mark, 'a:xfrm', mark.mirrored ? ' flipH="1"' : '')}${presetGeometry(mark.shape ?? 'rect', mark)}${paint}</p:spPr></p:sp>`;
}

function pictureShape(picture: LayoutPicture, id: number, rel: PictureRel): string {
  const embedded = rel(picture.picture);
  return embedded === undefined
    ? ''
    : `<p:pic><p:nvPicPr><p:cNvPr id="${id}" name="Logo ${id}" descr="${xmlText(picture.alt)}"/><p:cNvPicPr><a:picLocks noChangeAspect="1"/></p:cNvPicPr><p:nvPr userDrawn="1"/></p:nvPicPr><p:blipFill><a:blip r:embed="${embedded}"/><a:stretch><a:fillRect/></a:stretch></p:blipFill><p:spPr>${xfrm(picture)}<a:prstGeom prst="rect"><a:avLst/></a:prstGeom></p:spPr></p:pic>`;
}

/** The logo of slides of content stands on the master; layouts that show none of it, or their own, hide the master's shapes. */
const masterPictures = (theme: Theme): readonly LayoutPicture[] => layoutNamed(theme, 'points').pictures ?? [];

/** Whether a date is written as a field, which says the day on which it is seen (ECMA-376-1 §21.1.2.2.4). */
export const isLiveDate = ({ look }: Theme, role: Frame['role']): boolean =>
  role === 'date' && look?.foot.date.live === true;
/** A field of a day, with the words that stand until somebody opens it. */
export const dateField = (properties: string, words: string): string =>
  `<a:fld id="${guid(0, 4)}" type="datetime1">${properties}<a:t>${xmlText(words)}</a:t></a:fld>`;

/** Text that stands at the foot, the same on every slide. */
export const footText = (theme: Theme, role: Frame['role']): string =>
  role === 'footer' || role === 'date' ? (theme.look?.foot[role].text ?? '') : '';

/** @param language Of the deck. */
export function masterPart(theme: Theme, language: LanguageTag, rel: PictureRel): string {
  const ours = fileWords(language);
  const layout = layoutNamed(theme, 'points');
  const title = frameOf(layout, 'title')!;
  const points = frameOf(layout, 'body')!;
  const foot = layout.frames.flatMap((frame) => (isFoot(frame.role) ? [{ ...frame, role: frame.role }] : []));
  let id = 2;
  const shapes = [
    placeholderShape(title, ours.roles.title, id++, '<p:ph type="title"/>', '', prompt(title, ours, theme, language)),
    placeholderShape(
      points,
      ours.roles.body,
      id++,
      '<p:ph type="body" idx="1"/>',
      '',
      prompt(points, ours, theme, language),
    ),
    ...foot.map((frame) =>
      placeholderShape(
        frame,
        roleName(ours, frame.role),
        id++,
        masterFoot(frame.role),
        plainLevel('lvl1pPr', frame.style, frame.align),
        prompt(frame, ours, theme, language),
      ),
    ),
    ...masterPictures(theme).map((picture) => pictureShape(picture, id++, rel)),
  ].join('');
  const layouts = theme.layouts.map((_, i) => `<p:sldLayoutId id="${2_147_483_649 + i}" r:id="rId${i + 1}"/>`).join('');
  const levels = theme.levels
    .map((level, i) => pointLevel(i, level, points.style, points.align, theme.mirrored))
    .join('');
  return `${XML}<p:sldMaster ${NS}><p:cSld>${background('ground')}${tree(shapes)}</p:cSld>${colorMap(theme)}<p:sldLayoutIdLst>${layouts}</p:sldLayoutIdLst><p:txStyles><p:titleStyle>${plainLevel('lvl1pPr', title.style, title.align)}</p:titleStyle><p:bodyStyle>${levels}</p:bodyStyle><p:otherStyle>${otherLevels(theme)}</p:otherStyle></p:txStyles></p:sldMaster>`;
}

/** Of text that stands in no placeholder: what a receiver's author adds. */
export const otherLevels = ({ mirrored }: Theme): string =>
  Array.from(
    { length: 9 },
    (_, i) =>
      `<a:lvl${i + 1}pPr marL="${i * 457_200}" algn="${mirrored ? 'r' : 'l'}"${mirrored ? ' rtl="1"' : ''}><a:defRPr sz="1800" kern="1200">${solidFill('text')}<a:latin typeface="+mn-lt"/><a:ea typeface="+mn-ea"/><a:cs typeface="+mn-cs"/></a:defRPr></a:lvl${i + 1}pPr>`,
  ).join('');

/** @param language Of the deck. */
export function layoutPart(layout: Layout, theme: Theme, language: LanguageTag, rel: PictureRel): string {
  const ours = fileWords(language);
  const content = footPlace(layout.name) === 'content';
  let id = 2;
  const marks = layout.marks.map((mark) => markShape(mark, id++)).join('');
  const own = content ? [] : (layout.pictures ?? []);
  const pictures = own.map((picture) => pictureShape(picture, id++, rel)).join('');
  const frames = layout.frames
    .filter(({ role }) => role !== 'figure')
    .map((frame) =>
      placeholderShape(
        frame,
        roleName(ours, frame.role),
        id++,
        placeholder(frame, layout.name),
        ownStyle(frame, theme),
        prompt(frame, ours, theme, language),
      ),
    );
  const type = LAYOUT_TYPES[layout.name];
  const hidden = !content && masterPictures(theme).length > 0 ? ' showMasterSp="0"' : '';
  return `${XML}<p:sldLayout ${NS}${hidden}${type === undefined ? '' : ` type="${type}"`} preserve="1"><p:cSld name="${xmlText(layout.label)}">${layout.ground === 'ground' ? '' : background(layout.ground)}${tree(marks + pictures + frames.join(''))}</p:cSld><p:clrMapOvr><a:masterClrMapping/></p:clrMapOvr></p:sldLayout>`;
}

/** A layout says only what its master does not. */
function ownStyle(frame: Frame, theme: Theme): string {
  const { role, style, align } = frame;
  if (role.startsWith('body')) {
    const inherited = frameIn(theme, 'points', 'body');
    return sameStyle(inherited, frame)
      ? ''
      : theme.levels.map((level, i) => pointLevel(i, level, style, align, theme.mirrored)).join('');
  }
  if (role === 'title' && sameStyle(frameIn(theme, 'points', 'title'), frame)) return '';
  const object = role.startsWith('picture') || role === 'table' || role === 'chart';
  return plainLevel('lvl1pPr', object ? { ...style, sizes: [16] } : style, align, role === 'subtitle' ? 0.15 : 0);
}

const sameStyle = (a: Frame, b: Frame): boolean =>
  a.align === b.align && (a.style === b.style || JSON.stringify(a.style) === JSON.stringify(b.style));
