/**
 * Writes a scene into an organisation's presentation: its masters, layouts and themes stay byte for byte as they were, its
 * own slides go or stay before or after ours (ECMA-376-1 §13, ECMA-376-2).
 */
import { decodeUtf8 } from '../../base/index.ts';
import {
  mainPart,
  openZip,
  readRelationships,
  xmlText,
  ZipWriter,
  type Deflate,
  type ZipReader,
} from '../../container/index.ts';
import type { PictureSource, Scene } from '../../scene/index.ts';
import { SCHEME } from './colors.ts';
import { notesMasterPart } from './notes-part.ts';
import { SECTIONS_URI, sectionList } from './section-list.ts';
import { SlideParts, TYPES } from './slide-parts.ts';
import { themePart } from './theme-part.ts';
import { XML } from './xml.ts';

const FIRST_SLIDE_ID = 256;
const REL = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const THEME = 'application/vnd.openxmlformats-officedocument.theme+xml';

/** @throws ReadError as `readTemplate` does. */
export function writeIntoTemplate(
  scene: Scene,
  template: Uint8Array,
  pictures: PictureSource,
  deflate?: Deflate,
): Uint8Array {
  const { theme, slides } = scene;
  const keep = theme.template?.keep ?? 'none';
  const source = openZip(template);
  const main = mainPart(source, 'presentationml');
  const known = readRelationships(source, main);
  const folder = main.slice(0, main.lastIndexOf('/') + 1);
  const text = (name: string): string => decodeUtf8(source.read(name));
  const prefix = freePrefix(source);
  const zip = new ZipWriter(deflate);

  const slideRels = [...known].filter(([, { type }]) => type === 'slide');
  const dropped = new Set(keep === 'none' ? slideRels.map(([id]) => id) : []);
  const notesMaster = [...known.values()].find(({ type }) => type === 'notesMaster')?.target;
  const at = {
    prefix,
    layout: ({ layout }: Scene['slides'][number]) => `/${layout.part ?? ''}`,
    notesMaster: notesMaster === undefined ? `../notesMasters/${prefix}notesMaster1.xml` : `/${notesMaster}`,
    finish: (xml: string) => withMendedColors(xml, scene),
  };
  const parts = new SlideParts(zip, scene, pictures, at, deflate);
  slides.forEach((slide, i) => parts.addSlide(slide, i + 1));
  if (notesMaster === undefined) {
    parts.add(`ppt/notesMasters/${prefix}notesMaster1.xml`, notesMasterPart(theme), `${TYPES}.notesMaster+xml`, [
      { id: 'rId1', type: 'theme', target: `../theme/${prefix}theme1.xml` },
    ]);
    parts.add(`ppt/theme/${prefix}theme1.xml`, themePart(theme), THEME);
  }

  // Relationships of the presentation: theirs without the slides that go, and ours.
  const ids = freeIds(known, slides.length + 1);
  const slideIds = ids.slice(1);
  const relsName = `${folder}_rels/${main.slice(folder.length)}.rels`;
  const relation = (id: string, type: string, target: string): string =>
    `<Relationship Id="${id}" Type="${REL}/${type}" Target="/${target}"/>`;
  const ours =
    slides.map((_, i) => relation(slideIds[i]!, 'slide', `ppt/${parts.slideName(i + 1)}`)).join('') +
    (notesMaster === undefined ? relation(ids[0]!, 'notesMaster', `ppt/notesMasters/${prefix}notesMaster1.xml`) : '');
  const relsXml = text(relsName)
    .replace(/<(?:\w+:)?Relationship\b[^>]*?\/>/g, (one) =>
      dropped.has(/\bId="([^"]*)"/.exec(one)?.[1] ?? '') ? '' : one,
    )
    .replace(/<\/(\w+:)?Relationships>/, (end, own?: string) =>
      own === undefined ? ours + end : ours.replaceAll('<Relationship ', `<${own}Relationship `) + end,
    );

  const presentation = withSlides(text(main), scene, {
    keep,
    slideIds,
    notesMaster: notesMaster === undefined ? ids[0]! : null,
  });
  const reached = reachable(source, main, dropped);
  for (const name of source.names) {
    if (!reached.has(name) || name === main || name === relsName) continue;
    zip.add({ name, content: source.read(name), stored: /\.(png|jpe?g|gif|xlsx)$/i.test(name) });
  }
  zip.add({ name: main, content: presentation });
  zip.add({ name: relsName, content: relsXml });
  for (const part of parts.media.parts) zip.add(part);
  return zip.finish([
    { name: '[Content_Types].xml', content: contentTypes(text('[Content_Types].xml'), reached, parts) },
  ]);
}

function freePrefix(source: ZipReader): string {
  for (let i = 1; ; i++) {
    const prefix = `deck${i}-`;
    if (!source.names.some((name) => name.includes(`/${prefix}`))) return prefix;
  }
}

function freeIds(known: ReadonlyMap<string, unknown>, count: number): readonly string[] {
  const ids: string[] = [];
  for (let i = 1; ids.length < count; i++) if (!known.has(`rId${i}`)) ids.push(`rId${i}`);
  return ids;
}

/** Parts that are still led to when the slides that go are gone, with their relationships; what leads nowhere goes too. */
function reachable(source: ZipReader, main: string, dropped: ReadonlySet<string>): ReadonlySet<string> {
  const found = new Set<string>(['_rels/.rels']);
  const open = [''];
  const gone = new Set(
    [...readRelationships(source, main)].flatMap(([id, { target }]) => (dropped.has(id) ? [target] : [])),
  );
  while (open.length > 0) {
    const part = open.pop()!;
    const slash = part.lastIndexOf('/');
    const rels = `${part.slice(0, slash + 1)}_rels/${part.slice(slash + 1)}.rels`;
    if (source.has(rels)) found.add(rels);
    for (const { target, external } of readRelationships(source, part).values()) {
      if (external || found.has(target) || !source.has(target) || gone.has(target)) continue;
      found.add(target);
      open.push(target);
    }
  }
  return found;
}

interface Placing {
  readonly keep: 'none' | 'before' | 'after';
  readonly slideIds: readonly string[];
  /** Relationship of a notes master that is ours; null where the template has its own. */
  readonly notesMaster: string | null;
}

/** The presentation part with our slides in its list; prefixes are as the file has them. */
function withSlides(xml: string, scene: Scene, { keep, slideIds, notesMaster }: Placing): string {
  const p = /<(\w+:)?presentation\b/.exec(xml)?.[1] ?? '';
  const r =
    new RegExp(`xmlns:(\\w+)="(?:${REL}|http://purl\\.oclc\\.org/ooxml/officeDocument/relationships)"`).exec(
      xml,
    )?.[1] ?? 'r';
  const list = new RegExp(`<${p}sldIdLst\\b[^>]*?(?:/>|>([\\s\\S]*?)</${p}sldIdLst>)`);
  const theirs = list.exec(xml)?.[1] ?? '';
  const entries = [...theirs.matchAll(new RegExp(`<${p}sldId\\b[^>]*?(?:/>|>[\\s\\S]*?</${p}sldId>)`, 'g'))].map(
    ([entry]) => entry,
  );
  const usedIds = entries.map((entry) => Number(/\bid="(\d+)"/.exec(entry)?.[1] ?? 0));
  const first = Math.max(FIRST_SLIDE_ID - 1, ...usedIds) + 1;
  const own = slideIds.map((id, i) => `<${p}sldId id="${first + i}" ${r}:id="${id}"/>`);
  const all = keep === 'before' ? [...entries, ...own] : keep === 'after' ? [...own, ...entries] : own;
  let result = xml.replace(list, '');
  if (notesMaster !== null)
    result = after(
      result,
      p,
      ['sldMasterIdLst'],
      `<${p}notesMasterIdLst><${p}notesMasterId ${r}:id="${notesMaster}"/></${p}notesMasterIdLst>`,
    );
  if (all.length > 0)
    result = after(
      result,
      p,
      ['handoutMasterIdLst', 'notesMasterIdLst', 'sldMasterIdLst'],
      `<${p}sldIdLst>${all.join('')}</${p}sldIdLst>`,
    );
  // Sections name slides by id: theirs would name slides that are gone, or leave ours out.
  result = result.replace(
    new RegExp(`<${p}ext\\b[^>]*uri="${SECTIONS_URI.replace(/[{}]/g, '\\$&')}"[\\s\\S]*?</${p}ext>`),
    '',
  );
  const others = keep === 'none' ? undefined : { ids: usedIds, name: scene.theme.label, before: keep === 'before' };
  const sections = sectionList(
    scene,
    p,
    slideIds.map((_, i) => first + i),
    others,
  );
  result = result
    .replace(new RegExp(`<${p}extLst>\\s*</${p}extLst>`), '')
    .replace(new RegExp(`</${p}extLst>\\s*</${p}presentation>`), `</${p}extLst></${p}presentation>`);
  if (sections === '') return result;
  // The part's own list of extensions is its last child. Titles may hold what `replace` would take for a pattern.
  const tail = `</${p}extLst></${p}presentation>`;
  return result.includes(tail)
    ? result.replace(tail, () => sections + tail)
    : result.replace(`</${p}presentation>`, () => `<${p}extLst>${sections}${tail}`);
}

/** Behind the first of `names` that is there. */
function after(xml: string, p: string, names: readonly string[], added: string): string {
  for (const name of names) {
    const element = new RegExp(`<${p}${name}\\b[^>]*?(?:/>|>[\\s\\S]*?</${p}${name}>)`);
    if (element.test(xml)) return xml.replace(element, (found) => found + added);
  }
  return xml;
}

function contentTypes(xml: string, reached: ReadonlySet<string>, parts: SlideParts): string {
  const has = new Set([...xml.matchAll(/\bExtension="([^"]*)"/g)].map(([, ending]) => ending!.toLowerCase()));
  const defaults = parts.defaults
    .filter(([ending]) => !has.has(ending))
    .map(([ending, type]) => `<Default Extension="${ending}" ContentType="${type}"/>`)
    .join('');
  const kept = xml.replace(/<Override\b[^>]*?\/>/g, (one) => {
    const name = /\bPartName="\/([^"]*)"/.exec(one)?.[1];
    return name === undefined || reached.has(name) ? one : '';
  });
  // Built on a template file, the result is a presentation.
  const shown = kept.replace('presentationml.template.main+xml', 'presentationml.presentation.main+xml');
  return (shown.startsWith('<?xml') ? shown : XML + shown).replace(
    '</Types>',
    `${defaults}${parts.overrides.join('')}</Types>`,
  );
}

/** Where a colour of the template could not be read, slides say one that can; the template's theme keeps its own. */
function withMendedColors(xml: string, { theme }: Scene): string {
  let result = xml;
  for (const name of theme.mended ?? [])
    result = result.replaceAll(
      `<a:schemeClr val="${SCHEME[name]}"/>`,
      `<a:srgbClr val="${xmlText(theme.palette[name])}"/>`,
    );
  return result;
}
