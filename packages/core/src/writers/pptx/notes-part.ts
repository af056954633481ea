/** Notes slides and their master (ECMA-376-1 §19.3.1.26, §19.3.1.27). */
import { firstStrong, type LanguageTag } from '../../base/index.ts';
import { runsText } from '../../content/index.ts';
import type { Note } from '../../scene/index.ts';
import { notesType, type Theme } from '../../theme/index.ts';
import { bulletsOf, withMark, type Bullet } from './bullet.ts';
import { runsXml, type TextContext } from './text.ts';
import { colorMap } from './theme-part.ts';
import { fileWords } from '../slides/words.ts';
import { XML } from '../opc/package.ts';
import { guid, hundredths, nonVisual, NS, tree } from './xml.ts';

export const NOTES_WIDTH = 6_858_000;
export const NOTES_HEIGHT = 9_144_000;

const IMAGE =
  '<a:xfrm><a:off x="685800" y="1143000"/><a:ext cx="5486400" cy="3086100"/></a:xfrm><a:prstGeom prst="rect"><a:avLst/></a:prstGeom>';
const TEXT =
  '<a:xfrm><a:off x="685800" y="4400550"/><a:ext cx="5486400" cy="3600450"/></a:xfrm><a:prstGeom prst="rect"><a:avLst/></a:prstGeom>';

const image = (properties: string): string =>
  `<p:sp><p:nvSpPr><p:cNvPr id="2" name="Slide 2"/><p:cNvSpPr><a:spLocks noGrp="1" noRot="1" noChangeAspect="1"/></p:cNvSpPr><p:nvPr><p:ph type="sldImg"/></p:nvPr></p:nvSpPr><p:spPr>${properties}</p:spPr></p:sp>`;

const text = (properties: string, body: string, style = ''): string =>
  `<p:sp><p:nvSpPr><p:cNvPr id="3" name="Notes 3"/><p:cNvSpPr><a:spLocks noGrp="1"/></p:cNvSpPr><p:nvPr><p:ph type="body" idx="1"/></p:nvPr></p:nvSpPr><p:spPr>${properties}</p:spPr><p:txBody><a:bodyPr/>${style === '' ? '<a:lstStyle/>' : `<a:lstStyle>${style}</a:lstStyle>`}${body}</p:txBody></p:sp>`;

/** What stands at the edges of a printed page: type, name, index, place, side. */
const FOOT = [
  ['hdr', 'Header', 0, 0, 0, 'l'],
  ['dt', 'Date', 2, 3_884_613, 0, 'r'],
  ['ftr', 'Footer', 4, 0, 8_685_213, 'l'],
  ['sldNum', 'Page number', 5, 3_884_613, 8_685_213, 'r'],
] as const;

const LEVELS = 5;
const spaced = (space: number): string => `<a:spcBef><a:spcPts val="${hundredths(space)}"/></a:spcBef>`;

/** How the author wants notes to be set, where their master is not ours: it stays as it is. */
function ruledStyle({ look }: Theme): string {
  const { size, space } = look?.rules.notes ?? {};
  if (size === undefined && space === undefined) return '';
  const before = space === undefined ? '' : spaced(space);
  const type = size === undefined ? '' : `<a:defRPr sz="${hundredths(size)}"/>`;
  return Array.from({ length: LEVELS }, (_, i) => `<a:lvl${i + 1}pPr>${before}${type}</a:lvl${i + 1}pPr>`).join('');
}

/** @param language Of the deck. */
export function notesMasterPart(theme: Theme, language: LanguageTag): string {
  const ours = fileWords(language);
  const { size, space } = notesType(theme);
  const levels = Array.from(
    { length: LEVELS },
    (_, i) =>
      `<a:lvl${i + 1}pPr marL="${i * 228_600}" algn="l">${spaced(space)}<a:defRPr sz="${hundredths(size)}" kern="1200"><a:solidFill><a:schemeClr val="tx1"/></a:solidFill><a:latin typeface="+mn-lt"/><a:ea typeface="+mn-ea"/><a:cs typeface="+mn-cs"/></a:defRPr></a:lvl${i + 1}pPr>`,
  ).join('');
  const prompt = `<a:p><a:r><a:rPr lang="${ours.language}"/><a:t>${ours.notes}</a:t></a:r></a:p>`;
  const foot = FOOT.map(([type, name, index, x, y, align], i) => {
    const id = i + 4;
    const said =
      type === 'sldNum'
        ? `<a:fld id="${guid(0, 3)}" type="slidenum"><a:rPr lang="${ours.language}"/><a:t>‹#›</a:t></a:fld>`
        : '';
    return `<p:sp><p:nvSpPr>${nonVisual(id, `${name} ${id}`)}<p:cNvSpPr><a:spLocks noGrp="1"/></p:cNvSpPr><p:nvPr><p:ph type="${type}" sz="quarter"${index === 0 ? '' : ` idx="${index}"`}/></p:nvPr></p:nvSpPr><p:spPr><a:xfrm><a:off x="${x}" y="${y}"/><a:ext cx="2971800" cy="458788"/></a:xfrm><a:prstGeom prst="rect"><a:avLst/></a:prstGeom></p:spPr><p:txBody><a:bodyPr vert="horz" anchor="${y === 0 ? 't' : 'b'}"/><a:lstStyle><a:lvl1pPr algn="${align}"><a:defRPr sz="1200"/></a:lvl1pPr></a:lstStyle><a:p>${said}<a:endParaRPr lang="${ours.language}"/></a:p></p:txBody></p:sp>`;
  }).join('');
  // Notes are printed: always dark on white.
  return `${XML}<p:notesMaster ${NS}><p:cSld><p:bg><p:bgPr><a:solidFill><a:schemeClr val="bg1"/></a:solidFill><a:effectLst/></p:bgPr></p:bg>${tree(image(IMAGE) + text(TEXT, prompt) + foot)}</p:cSld>${colorMap({ ...theme, dark: false })}<p:notesStyle>${levels}</p:notesStyle></p:notesMaster>`;
}

const pageNumber = (language: string): string =>
  `<p:sp><p:nvSpPr>${nonVisual(4, 'Page number 4')}<p:cNvSpPr><a:spLocks noGrp="1"/></p:cNvSpPr><p:nvPr><p:ph type="sldNum" sz="quarter" idx="5"/></p:nvPr></p:nvSpPr><p:spPr/><p:txBody><a:bodyPr/><a:lstStyle/><a:p><a:fld id="${guid(0, 3)}" type="slidenum"><a:rPr lang="${language}"/><a:t>‹#›</a:t></a:fld><a:endParaRPr lang="${language}"/></a:p></p:txBody></p:sp>`;

/** @param ownMaster Whether its master is ours, which has a place for the number of the page and says how notes are set. */
export function notesSlidePart(notes: readonly Note[], context: TextContext, ownMaster: boolean): string {
  const bullets = bulletsOf(notes.map(asItem));
  const body = notes.map(
    (note, i) =>
      `<a:p>${noteProperties(note, bullets[i])}${runsXml(withMark(note.runs, bullets[i]), note.lang === undefined ? context : { ...context, language: note.lang })}</a:p>`,
  );
  return `${XML}<p:notes ${NS}><p:cSld>${tree(image('') + text('', body.join(''), ownMaster ? '' : ruledStyle(context.theme)) + (ownMaster ? pageNumber(context.language) : ''))}</p:cSld><p:clrMapOvr><a:masterClrMapping/></p:clrMapOvr></p:notes>`;
}

const levelOf = ({ depth }: Note): number => Math.min(Math.max(depth, 1), 5);

function asItem(note: Note): Parameters<typeof bulletsOf>[0][number] {
  if (note.kind === 'paragraph') return { style: 'body', level: 1 };
  return { style: 'point', level: levelOf(note), ...(note.mark === undefined ? {} : { mark: note.mark }) };
}

function noteProperties(note: Note, bullet: Bullet | undefined): string {
  const side = (note.direction ?? firstStrong(runsText(note.runs))) === 'rtl' ? ' algn="r" rtl="1"' : '';
  if (note.kind === 'paragraph') return side === '' ? '' : `<a:pPr${side}/>`;
  const level = levelOf(note);
  // What an author wrote has no number of the original's: the receiver counts.
  const usual = note.ordered
    ? '<a:buFont typeface="+mj-lt"/><a:buAutoNum type="arabicPeriod"/>'
    : '<a:buFont typeface="Arial"/><a:buChar char="•"/>';
  return `<a:pPr marL="${level * 228_600}" lvl="${level - 1}" indent="-228600"${side}>${bullet?.xml ?? usual}</a:pPr>`;
}
