/** The presentation part of a template with our slides in its list and its sections (ECMA-376-1 §19.2.1.26). */
import { nodeAt, nodesNamed, parseXmlTree, withContent, type XmlNode } from '../../container/index.ts';
import type { Scene } from '../../scene/index.ts';
import type { TemplateUse } from '../../theme/index.ts';
import { partedBehind, SECTIONS_URI, sectionList, sectionsIn, sectionsOf, type Section } from './section-list.ts';

const FIRST_SLIDE_ID = 256;
const REL = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
/** Leads the namespaces of the strict kind (ISO/IEC 29500-1). */
const STRICT = 'http://purl.oclc.org/ooxml';

/** How many of the slides that stay stand before ours: these come in the place of the first that they replace, if nothing else is said. */
export function placeAmong(
  list: XmlNode | undefined,
  gone: ReadonlySet<string>,
  { keep, behind }: TemplateUse,
): number {
  if (keep === 'after') return 0;
  const stays = nodesNamed(list, 'p:sldId').map(({ attributes }) => !gone.has(attributes['r:id'] ?? ''));
  const first = stays.indexOf(false);
  return stays.slice(0, behind ?? (first < 0 ? Infinity : first)).filter(Boolean).length;
}

interface Placing {
  /** How many of their slides stand before ours; null where none stay. */
  readonly behind: number | null;
  readonly slideIds: readonly string[];
  /** Relationship of a notes master that is ours; null where the template has its own. */
  readonly notesMaster: string | null;
}

/** The presentation part with our slides in its list; everything else stays as the file has it. */
export function withSlides(root: XmlNode, scene: Scene, { behind, slideIds, notesMaster }: Placing): XmlNode {
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
