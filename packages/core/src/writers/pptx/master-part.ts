/** Slide master and layouts (ECMA-376-1 §19.3.1.42, §19.3.1.39): everything that slides inherit. */
import { xmlText } from '../../container/index.ts';
import {
  frameOf,
  layoutNamed,
  type Frame,
  type Layout,
  type LevelStyle,
  type Mark,
  type TextStyle,
  type Theme,
} from '../../theme/index.ts';
import { schemeColor, solidFill } from './colors.ts';
import { FRAME_NAMES, LAYOUT_TYPES, placeholder } from './placeholders.ts';
import { colorMap } from './theme-part.ts';
import { emuOf, hundredths, NS, tree, xfrm, XML } from './xml.ts';

const fontOf = (style: TextStyle): string => (style.font === 'heading' ? '+mj' : '+mn');
const faces = (style: TextStyle): string =>
  `<a:latin typeface="${fontOf(style)}-lt"/><a:ea typeface="${fontOf(style)}-ea"/><a:cs typeface="${fontOf(style)}-cs"/>`;
const ALIGN = { left: 'l', center: 'ctr', right: 'r' } as const;
const ANCHOR = { top: 't', middle: 'ctr', bottom: 'b' } as const;

const spacing = (style: TextStyle, before: number): string =>
  `<a:lnSpc><a:spcPct val="${Math.round(style.lineSpacing * 100_000)}"/></a:lnSpc><a:spcBef><a:spcPct val="${Math.round(before * 100_000)}"/></a:spcBef>`;

function plainLevel(tag: string, style: TextStyle, align: Frame['align'], before = 0): string {
  return `<a:${tag} marL="0" indent="0" algn="${ALIGN[align]}">${spacing(style, before)}<a:buNone/><a:defRPr sz="${hundredths(style.sizes[0]!)}" b="${style.bold ? 1 : 0}" kern="1200">${solidFill(style.color)}${faces(style)}</a:defRPr></a:${tag}>`;
}

function pointLevel(index: number, level: LevelStyle, style: TextStyle): string {
  const tag = `lvl${index + 1}pPr`;
  return `<a:${tag} marL="${emuOf(level.indent)}" indent="${-emuOf(level.hanging)}" algn="l">${spacing(style, level.spaceBefore)}<a:buClr>${schemeColor(level.bulletColor)}</a:buClr><a:buFont typeface="+mj-lt"/><a:buChar char="${xmlText(level.bullet)}"/><a:defRPr sz="${hundredths(style.sizes[0]! * level.scale)}" b="0" kern="1200">${solidFill(level.color)}${faces(style)}</a:defRPr></a:${tag}>`;
}

const body = (frame: Frame): string =>
  `<a:bodyPr vert="horz" wrap="square" lIns="0" tIns="0" rIns="0" bIns="0" anchor="${ANCHOR[frame.anchor]}"><a:normAutofit/></a:bodyPr>`;

function placeholderShape(frame: Frame, id: number, ph: string, listStyle: string, prompt: string): string {
  return `<p:sp><p:nvSpPr><p:cNvPr id="${id}" name="${FRAME_NAMES[frame.role]} ${id}"/><p:cNvSpPr><a:spLocks noGrp="1"/></p:cNvSpPr><p:nvPr>${ph}</p:nvPr></p:nvSpPr><p:spPr>${xfrm(frame)}<a:prstGeom prst="rect"><a:avLst/></a:prstGeom></p:spPr><p:txBody>${body(frame)}<a:lstStyle>${listStyle}</a:lstStyle>${prompt}</p:txBody></p:sp>`;
}

const paragraph = (text: string, level = 0): string =>
  `<a:p>${level > 0 ? `<a:pPr lvl="${level}"/>` : ''}<a:r><a:rPr lang="en-GB"/><a:t>${text}</a:t></a:r></a:p>`;
const PROMPTS: Readonly<Record<Frame['role'], string>> = {
  title: paragraph('Title'),
  subtitle: paragraph('Subtitle'),
  body: ['Point', 'Second level', 'Third level', 'Fourth level', 'Fifth level'].map(paragraph).join(''),
  body2: ['Point', 'Second level', 'Third level', 'Fourth level', 'Fifth level'].map(paragraph).join(''),
  picture: paragraph('Picture'),
  table: paragraph('Table'),
  number:
    '<a:p><a:fld id="{B6F15528-21DE-4FAA-801E-634DDDAF4B2B}" type="slidenum"><a:rPr lang="en-GB"/><a:t>‹#›</a:t></a:fld><a:endParaRPr lang="en-GB"/></a:p>',
};

const background = (ground: Layout['ground']): string =>
  `<p:bg><p:bgPr>${solidFill(ground)}<a:effectLst/></p:bgPr></p:bg>`;

const markShape = (mark: Mark, id: number): string =>
  `<p:sp><p:nvSpPr><p:cNvPr id="${id}" name="Mark ${id}"/><p:cNvSpPr/><p:nvPr userDrawn="1"/></p:nvSpPr><p:spPr>${xfrm(mark)}<a:prstGeom prst="rect"><a:avLst/></a:prstGeom>${solidFill(mark.color)}<a:ln><a:noFill/></a:ln></p:spPr></p:sp>`;

export function masterPart(theme: Theme): string {
  const layout = layoutNamed(theme, 'points');
  const title = frameOf(layout, 'title')!;
  const points = frameOf(layout, 'body')!;
  const number = frameOf(layout, 'number')!;
  const shapes =
    placeholderShape(title, 2, '<p:ph type="title"/>', '', PROMPTS.title) +
    placeholderShape(points, 3, '<p:ph type="body" idx="1"/>', '', PROMPTS.body) +
    placeholderShape(
      number,
      4,
      '<p:ph type="sldNum" sz="quarter" idx="4"/>',
      plainLevel('lvl1pPr', number.style, number.align),
      PROMPTS.number,
    );
  const layouts = theme.layouts.map((_, i) => `<p:sldLayoutId id="${2_147_483_649 + i}" r:id="rId${i + 1}"/>`).join('');
  const levels = theme.levels.map((level, i) => pointLevel(i, level, points.style)).join('');
  const other = Array.from(
    { length: 9 },
    (_, i) =>
      `<a:lvl${i + 1}pPr marL="${i * 457_200}" algn="l"><a:defRPr sz="1800" kern="1200">${solidFill('text')}<a:latin typeface="+mn-lt"/><a:ea typeface="+mn-ea"/><a:cs typeface="+mn-cs"/></a:defRPr></a:lvl${i + 1}pPr>`,
  ).join('');
  return `${XML}<p:sldMaster ${NS}><p:cSld>${background('ground')}${tree(shapes)}</p:cSld>${colorMap(theme)}<p:sldLayoutIdLst>${layouts}</p:sldLayoutIdLst><p:txStyles><p:titleStyle>${plainLevel('lvl1pPr', title.style, title.align)}</p:titleStyle><p:bodyStyle>${levels}</p:bodyStyle><p:otherStyle>${other}</p:otherStyle></p:txStyles></p:sldMaster>`;
}

export function layoutPart(layout: Layout, theme: Theme): string {
  const master = layoutNamed(theme, 'points');
  const own = layout.name === 'cover' || layout.name === 'section';
  let id = 2;
  const marks = layout.marks.map((mark) => markShape(mark, id++)).join('');
  const frames = layout.frames.map((frame) => {
    // A layout says only what its master does not.
    const inherits = frame.style === frameOf(master, frame.role)?.style || frame.role === 'body2';
    const plain = frame.role === 'picture' || frame.role === 'table';
    const style = plain
      ? plainLevel('lvl1pPr', { ...frame.style, sizes: [16] }, 'left')
      : inherits
        ? ''
        : plainLevel('lvl1pPr', frame.style, frame.align, frame.role === 'subtitle' ? 0.15 : 0);
    return placeholderShape(frame, id++, placeholder(frame.role, layout.name), style, PROMPTS[frame.role]);
  });
  return `${XML}<p:sldLayout ${NS} type="${LAYOUT_TYPES[layout.name]}" preserve="1"><p:cSld name="${xmlText(layout.label)}">${own ? background(layout.ground) : ''}${tree(marks + frames.join(''))}</p:cSld><p:clrMapOvr><a:masterClrMapping/></p:clrMapOvr></p:sldLayout>`;
}
