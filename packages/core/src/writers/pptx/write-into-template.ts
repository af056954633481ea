/**
 * Writes a scene into an organisation's presentation: its masters, layouts and themes stay byte for byte as they were, its
 * own slides go or stay before or after ours (ECMA-376-1 §13, ECMA-376-2).
 */
import { decodeUtf8, USUAL_LANGUAGE } from '../../base/index.ts';
import {
  contentWithout,
  mainPart,
  nodeAt,
  nodesNamed,
  openZip,
  originOf,
  ownerOf,
  parseXmlTree,
  readRelationships,
  readXmlTree,
  unescaped,
  withAttribute,
  withContent,
  writeXmlTree,
  ZipWriter,
  type Deflate,
  type Relationships,
  type XmlNode,
  type ZipReader,
} from '../../container/index.ts';
import type { PictureSource, Scene } from '../../scene/index.ts';
import { layoutNamed, type TemplateUse } from '../../theme/index.ts';
import { notesMasterPart } from './notes-part.ts';
import { partedBehind, SECTIONS_URI, sectionList, sectionsIn, sectionsOf, type Section } from './section-list.ts';
import { SlideParts, TYPES } from './slide-parts.ts';
import { describedBy } from './properties.ts';
import { coreProperties, CORE_REL, CORE_TYPE, THUMBNAIL_REL, relationships, type Rel } from '../opc/package.ts';
import { emptyShows, withoutSlides } from './without-slides.ts';
import { tableStyle, tableStyles } from './table-style.ts';
import { themePart } from './theme-part.ts';
import { withMended } from './mended-colors.ts';
import { countedAgain, propertiesOf } from './template-properties.ts';

const FIRST_SLIDE_ID = 256;
const REL = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
/** Leads the namespaces of the strict kind (ISO/IEC 29500-1). */
const STRICT = 'http://purl.oclc.org/ooxml';
const CONTENT_TYPES = '[Content_Types].xml';
const ROOT_RELS = '_rels/.rels';
const THEME = 'application/vnd.openxmlformats-officedocument.theme+xml';

/** @throws ReadError as `readTemplate` does. */
export function writeIntoTemplate(
  scene: Scene,
  template: Uint8Array,
  pictures: PictureSource,
  thumbnail?: Uint8Array,
  deflate?: Deflate,
): Uint8Array {
  const { theme, slides } = scene;
  const keep = theme.template?.keep ?? 'none';
  const source = openZip(template);
  const main = mainPart(source, 'presentationml');
  const known = readRelationships(source, main);
  const folder = main.slice(0, main.lastIndexOf('/') + 1);
  const prefix = freePrefix(source);
  const zip = new ZipWriter(deflate);

  const isReplaced = (part: string): boolean =>
    theme.template?.replaces !== undefined &&
    source.has(part) &&
    originOf(readXmlTree(source, part))?.document === theme.template.replaces;
  const dropped = new Set(
    [...known].flatMap(([id, { type, target }]) =>
      type === 'slide' && (keep === 'none' || isReplaced(target)) ? [id] : [],
    ),
  );
  const notesMaster = [...known.values()].find(({ type }) => type === 'notesMaster')?.target;
  const at = {
    prefix,
    layout: ({ layout }: Scene['slides'][number]) => `/${layout.part ?? ''}`,
    notesMaster: notesMaster === undefined ? `../notesMasters/${prefix}notesMaster1.xml` : `/${notesMaster}`,
    ownNotes: notesMaster === undefined,
    finish: (xml: string, { colors }: Scene['slides'][number]['layout']) => withMended(xml, colors?.mended),
  };
  const parts = new SlideParts(zip, scene, pictures, at, deflate);
  slides.forEach((slide, i) => parts.addSlide(slide, i + 1));
  if (notesMaster === undefined) {
    parts.add(
      `ppt/notesMasters/${prefix}notesMaster1.xml`,
      notesMasterPart(theme, scene.language ?? USUAL_LANGUAGE),
      `${TYPES}.notesMaster+xml`,
      [{ id: 'rId1', type: 'theme', target: `../theme/${prefix}theme1.xml` }],
    );
    parts.add(`ppt/theme/${prefix}theme1.xml`, themePart(theme), THEME);
  }

  // Relationships of the presentation: theirs without the slides that go, and ours.
  const ids = freeIds(known, slides.length + 2);
  const slideIds = ids.slice(2);
  const relsName = `${folder}_rels/${main.slice(folder.length)}.rels`;
  const ours = slides.map((_, i): Rel => ({
    id: slideIds[i]!,
    type: 'slide',
    target: `/ppt/${parts.slideName(i + 1)}`,
  }));
  if (notesMaster === undefined)
    ours.push({ id: ids[0]!, type: 'notesMaster', target: `/ppt/notesMasters/${prefix}notesMaster1.xml` });
  // Parts of theirs that say what is ours: what the file is about, where nothing else is in it, and how its tables look.
  const stay = [...known.values()].filter(({ type }) => type === 'slide').length - dropped.size;
  const changed = new Map(keep === 'none' ? propertiesOf(source, scene) : countedAgain(source, stay + slides.length));
  const root = readRelationships(source, '');
  const [coreId, pictureId] = freeIds(root, 2);
  const led: Rel[] = [];
  if (![...root.values()].some(({ type }) => type === 'core-properties')) {
    const name = `docProps/${prefix}core.xml`;
    parts.add(name, coreProperties(describedBy(scene)), CORE_TYPE);
    led.push({ id: coreId!, type: CORE_REL, target: `/${name}` });
  }
  // A picture of theirs shows a slide that is gone.
  const pictured = new Map(
    keep === 'none' ? [...root].flatMap(([id, { type, target }]) => (type === 'thumbnail' ? [[id, target]] : [])) : [],
  );
  if (thumbnail !== undefined && keep === 'none') {
    const name = `docProps/${prefix}thumbnail.png`;
    zip.add({ name, content: thumbnail, stored: true });
    led.push({ id: pictureId!, type: THUMBNAIL_REL, target: `/${name}` });
  }
  if (led.length + pictured.size > 0)
    changed.set(ROOT_RELS, withOthers(readXmlTree(source, ROOT_RELS), new Set(pictured.keys()), led));
  const { own } = theme.table;
  if (own === undefined && scene.slides.some(({ boxes }) => boxes.some(({ kind }) => kind === 'table'))) {
    const styles = [...known.values()].find(({ type }) => type === 'tableStyles')?.target;
    const style = withMended(tableStyle(theme), layoutNamed(theme, 'points').colors?.mended);
    if (styles !== undefined && source.has(styles))
      changed.set(styles, withTableStyle(readXmlTree(source, styles), style));
    else {
      const name = `${prefix}tableStyles.xml`;
      parts.add(
        `ppt/${name}`,
        withMended(tableStyles(theme), layoutNamed(theme, 'points').colors?.mended),
        `${TYPES}.tableStyles+xml`,
      );
      ours.push({ id: ids[1]!, type: 'tableStyles', target: `/ppt/${name}` });
    }
  }
  const rels = readXmlTree(source, relsName);
  const read = readXmlTree(source, main);
  const shows = emptyShows(read, dropped);
  const presentation = withSlides(withoutSlides(read, dropped, shows), scene, {
    behind: keep === 'none' ? null : placeAmong(nodeAt(read, 'p:sldIdLst'), dropped, theme.template!),
    slideIds,
    notesMaster: notesMaster === undefined ? ids[0]! : null,
  });
  const gone = new Set([
    ...[...known].flatMap(([id, { target }]) => (dropped.has(id) ? [target] : [])),
    ...pictured.values(),
  ]);
  /** A part as it was, but for what leads to slides that are gone. */
  const apart = (name: string): Uint8Array | string => {
    const owner = ownerOf(name);
    const ids = leadingTo(gone, readRelationships(source, owner ?? name));
    const bytes = source.read(name);
    if (owner !== undefined) {
      const rels = ids.size === 0 ? undefined : readXmlTree(source, name);
      return rels === undefined
        ? bytes
        : writeXmlTree(
            withContent(
              rels,
              contentWithout(rels, ({ attributes }) => ids.has(attributes.Id ?? '')),
            ),
          );
    }
    if (!/\.xml$/i.test(name) || (ids.size === 0 && !SAYS_SLIDES.test(decodeUtf8(bytes)))) return bytes;
    const root = readXmlTree(source, name);
    const result = withoutSlides(root, ids, shows);
    return result === root ? bytes : writeXmlTree(result);
  };
  const reached = reachable(source, gone);
  for (const name of source.names) {
    if (!reached.has(name) || name === main || name === relsName) continue;
    const content = changed.get(name) ?? apart(name);
    zip.add({ name, content, stored: /\.(png|jpe?g|gif|xlsx)$/i.test(name) });
  }
  zip.add({ name: main, content: writeXmlTree(presentation) });
  zip.add({
    name: relsName,
    content: withOthers(rels, dropped, ours),
  });
  for (const part of parts.media.parts) zip.add(part);
  return zip.finish([
    {
      name: CONTENT_TYPES,
      content: contentTypes(readXmlTree(source, CONTENT_TYPES), main, reached, {
        overrides: parts.overrides,
        defaults: thumbnail === undefined ? parts.defaults : [...parts.defaults, ['png', 'image/png']],
      }),
    },
  ]);
}

/** How many of the slides that stay stand before ours: these come in the place of the first that they replace, if nothing else is said. */
function placeAmong(list: XmlNode | undefined, gone: ReadonlySet<string>, { keep, behind }: TemplateUse): number {
  if (keep === 'after') return 0;
  const stays = nodesNamed(list, 'p:sldId').map(({ attributes }) => !gone.has(attributes['r:id'] ?? ''));
  const first = stays.indexOf(false);
  return stays.slice(0, behind ?? (first < 0 ? Infinity : first)).filter(Boolean).length;
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

const leadingTo = (gone: ReadonlySet<string>, relationships: Relationships): ReadonlySet<string> =>
  new Set([...relationships].flatMap(([id, { target, external }]) => (!external && gone.has(target) ? [id] : [])));

/** Parts that speak of slides by number or by show, not by relationship. */
const SAYS_SLIDES = /<\w+:(?:sldRg|custShow)\b|ppaction:\/\/customshow/i;

/** Parts that are still led to when those that go are gone, with their relationships; what leads nowhere goes too. */
function reachable(source: ZipReader, gone: ReadonlySet<string>): ReadonlySet<string> {
  const found = new Set<string>([ROOT_RELS]);
  const open = [''];
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

/** A part of relationships without some of them, and with more. */
const withOthers = (rels: XmlNode, without: ReadonlySet<string>, more: readonly Rel[]): string =>
  writeXmlTree(
    withContent(rels, [
      ...contentWithout(rels, ({ attributes }) => without.has(attributes.Id ?? '')),
      ...parseXmlTree(relationships(more)).children,
    ]),
  );

/** Their table styles with ours among them; the one that new tables get stays theirs. */
function withTableStyle(root: XmlNode, style: string): string {
  const made = parseXmlTree(`<a:made xmlns:a="${root.namespace}">${style}</a:made>`).children[0]!;
  const others = contentWithout(root, ({ attributes }) => attributes.styleId === made.attributes.styleId);
  return writeXmlTree(withContent(root, [...others, made]));
}

interface Placing {
  /** How many of their slides stand before ours; null where none stay. */
  readonly behind: number | null;
  readonly slideIds: readonly string[];
  /** Relationship of a notes master that is ours; null where the template has its own. */
  readonly notesMaster: string | null;
}

/** The presentation part with our slides in its list; everything else stays as the file has it. */
function withSlides(root: XmlNode, scene: Scene, { behind, slideIds, notesMaster }: Placing): XmlNode {
  const made = (xml: string): XmlNode => {
    const r = root.namespace.startsWith(STRICT) ? `${STRICT}/officeDocument/relationships` : REL;
    return parseXmlTree(`<p:made xmlns:p="${root.namespace}" xmlns:r="${r}">${xml}</p:made>`).children[0]!;
  };
  const theirs = nodeAt(root, 'p:sldIdLst');
  const entries = nodesNamed(theirs, 'p:sldId');
  const usedIds = entries.map(({ attributes }) => Number(attributes.id ?? 0));
  const first = Math.max(FIRST_SLIDE_ID - 1, ...usedIds) + 1;
  const own = slideIds.map((id, i) => made(`<p:sldId id="${first + i}" r:id="${id}"/>`));
  const all = behind === null ? own : [...entries.slice(0, behind), ...own, ...entries.slice(behind)];
  const extensions = nodeAt(root, 'p:extLst');
  const ids = slideIds.map((_, i) => first + i);
  const theirSections = sectionsIn(nodesNamed(extensions, 'p:ext'), behind === null ? [] : usedIds);
  const sections = sectionList(allSections(scene, ids, theirSections, { ids: usedIds, behind }));
  // Sections name slides by id: theirs would name slides that are gone, or leave ours out.
  const extended = [
    ...nodesNamed(extensions, 'p:ext').filter(({ attributes }) => attributes.uri !== SECTIONS_URI),
    ...(sections === '' ? [] : [made(sections)]),
  ];
  const list = theirs ?? made('<p:sldIdLst/>');
  const children = root.children.filter((child) => child !== theirs && child !== extensions);
  if (notesMaster !== null)
    children.push(made(`<p:notesMasterIdLst><p:notesMasterId r:id="${notesMaster}"/></p:notesMasterIdLst>`));
  if (all.length > 0) children.push(withContent(list, all));
  if (extended.length > 0) children.push(withContent(extensions ?? made('<p:extLst/>'), extended));
  return withContent(root, inOrder(children));
}

/** Sections hold all slides or none: what has none of its own gets one, where the other has some. */
function allSections(
  scene: Scene,
  ids: readonly number[],
  theirs: readonly Section[],
  { ids: others, behind }: { readonly ids: readonly number[]; readonly behind: number | null },
): readonly Section[] {
  const ours = sectionsOf(scene, ids);
  if (behind === null || others.length === 0) return ours;
  if (ours.length === 0 && theirs.length === 0) return [];
  const known = theirs.length > 0 ? theirs : [{ name: scene.theme.label, slides: others }];
  const [before, after] = partedBehind(known, behind);
  const own = ours.length > 0 ? ours : [{ name: scene.title ?? scene.slides[0]?.title ?? 'Slides', slides: ids }];
  return [...before, ...own, ...after];
}

/** Children of a presentation as the schema wants them (ECMA-376-1 §19.2.1.26); those between the lists and the extensions keep their order. */
function inOrder(children: readonly XmlNode[]): readonly XmlNode[] {
  const place = ({ name }: XmlNode): number => {
    const at = LISTS.indexOf(name);
    return name === 'p:extLst' ? LISTS.length + 1 : at < 0 ? LISTS.length : at;
  };
  return children.toSorted((one, other) => place(one) - place(other));
}
const LISTS = ['p:sldMasterIdLst', 'p:notesMasterIdLst', 'p:handoutMasterIdLst', 'p:sldIdLst'];

function contentTypes(
  root: XmlNode,
  main: string,
  reached: ReadonlySet<string>,
  parts: Pick<SlideParts, 'defaults' | 'overrides'>,
): string {
  const has = new Set(nodesNamed(root, 'Default').map(({ attributes }) => attributes.Extension?.toLowerCase()));
  const lower = new Set([...reached].map((name) => name.toLowerCase()));
  const kept = root.children.flatMap((one) => {
    if (one.name !== 'Override') return [one];
    const name = unescaped((one.attributes.PartName ?? '').slice(1)).toLowerCase();
    if (!lower.has(name)) return [];
    // Built on a template file, the result is a presentation.
    return name === main.toLowerCase() ? [withAttribute(one, 'ContentType', `${TYPES}.presentation.main+xml`)] : [one];
  });
  const defaults = [...new Map(parts.defaults)]
    .filter(([ending]) => !has.has(ending))
    .map(([ending, type]) => `<Default Extension="${ending}" ContentType="${type}"/>`);
  const ours = parseXmlTree(`<Types xmlns="${root.namespace}">${defaults.join('')}${parts.overrides.join('')}</Types>`);
  return writeXmlTree(withContent(root, [...kept, ...ours.children]));
}
