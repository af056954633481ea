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
  relationshipsOf,
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
import { layoutNamed } from '../../theme/index.ts';
import { notesMasterPart } from './notes-part.ts';
import { placeAmong, withSlides } from './presentation-in-template.ts';
import { SlideParts, TYPES } from './slide-parts.ts';
import { describedBy } from './properties.ts';
import { coreProperties, CORE_REL, CORE_TYPE, THUMBNAIL_REL, relationships, type Rel } from '../opc/package.ts';
import { emptyShows, withoutSlides } from './without-slides.ts';
import { tableStyle, tableStyles } from './table-style.ts';
import { themePart } from './theme-part.ts';
import { withMended } from './mended-colors.ts';
import { countedAgain, propertiesOf } from './template-properties.ts';

const CONTENT_TYPES = '[Content_Types].xml';
const ROOT_RELS = '_rels/.rels';
const THEME = 'application/vnd.openxmlformats-officedocument.theme+xml';

/** @throws ReadError as `readTemplate` does. */
export const writeIntoTemplate = (
  scene: Scene,
  template: Uint8Array,
  pictures: PictureSource,
  thumbnail?: Uint8Array,
  deflate?: Deflate,
): Uint8Array => new InTemplate(scene, openZip(template), thumbnail, deflate).written(pictures);

class InTemplate {
  readonly #scene: Scene;
  readonly #source: ZipReader;
  readonly #thumbnail: Uint8Array | undefined;
  readonly #deflate: Deflate | undefined;
  readonly #zip: ZipWriter;
  /** Their presentation part, and its relationships. */
  readonly #main: string;
  readonly #known: Relationships;
  /** Leads the names of our parts. */
  readonly #prefix: string;
  /** Relationships of their slides that go. */
  readonly #dropped: ReadonlySet<string>;
  readonly #notesMaster: string | undefined;
  /** Free relationships of the presentation: of a notes master, of table styles, and of each slide. */
  readonly #ids: readonly string[];
  /** Parts of theirs that say what is ours, by name. */
  readonly #changed: Map<string, string>;
  /** Relationships of the presentation that are ours. */
  readonly #ours: Rel[] = [];

  constructor(scene: Scene, source: ZipReader, thumbnail: Uint8Array | undefined, deflate: Deflate | undefined) {
    this.#scene = scene;
    this.#source = source;
    this.#thumbnail = thumbnail;
    this.#deflate = deflate;
    this.#zip = new ZipWriter(deflate);
    this.#main = mainPart(source, 'presentationml');
    this.#known = readRelationships(source, this.#main);
    this.#prefix = freePrefix(source);
    this.#dropped = this.#droppedSlides();
    this.#notesMaster = [...this.#known.values()].find(({ type }) => type === 'notesMaster')?.target;
    this.#ids = freeIds(this.#known, scene.slides.length + 2);
    const stay = [...this.#known.values()].filter(({ type }) => type === 'slide').length - this.#dropped.size;
    this.#changed = new Map(
      this.#isEmptied ? propertiesOf(source, scene) : countedAgain(source, stay + scene.slides.length),
    );
  }

  /** Whether none of their slides stay. */
  get #isEmptied(): boolean {
    return (this.#scene.theme.template?.keep ?? 'none') === 'none';
  }

  #droppedSlides(): ReadonlySet<string> {
    const replaces = this.#scene.theme.template?.replaces;
    const isReplaced = (part: string): boolean =>
      replaces !== undefined &&
      this.#source.has(part) &&
      originOf(readXmlTree(this.#source, part))?.document === replaces;
    return new Set(
      [...this.#known].flatMap(([id, { type, target }]) =>
        type === 'slide' && (this.#isEmptied || isReplaced(target)) ? [id] : [],
      ),
    );
  }

  written(pictures: PictureSource): Uint8Array {
    const parts = this.#slideParts(pictures);
    const pictured = this.#packageParts(parts);
    this.#tableStyles(parts);
    const source = this.#source;
    const [main, dropped] = [this.#main, this.#dropped];
    const relsName = relationshipsOf(main);
    const rels = readXmlTree(source, relsName);
    const read = readXmlTree(source, main);
    const shows = emptyShows(read, dropped);
    const presentation = withSlides(withoutSlides(read, dropped, shows), this.#scene, {
      behind: this.#isEmptied ? null : placeAmong(nodeAt(read, 'p:sldIdLst'), dropped, this.#scene.theme.template!),
      slideIds: this.#ids.slice(2),
      notesMaster: this.#notesMaster === undefined ? this.#ids[0]! : null,
    });
    const gone = new Set([
      ...[...this.#known].flatMap(([id, { target }]) => (dropped.has(id) ? [target] : [])),
      ...pictured,
    ]);
    const reached = reachable(source, gone);
    for (const name of source.names) {
      if (!reached.has(name) || name === main || name === relsName) continue;
      const content = this.#changed.get(name) ?? partWithout(source, name, gone, shows);
      this.#zip.add({ name, content, stored: /\.(png|jpe?g|gif|xlsx)$/i.test(name) });
    }
    this.#zip.add({ name: main, content: writeXmlTree(presentation) });
    this.#zip.add({ name: relsName, content: withOthers(rels, dropped, this.#ours) });
    for (const part of parts.media.parts) this.#zip.add(part);
    const types = contentTypes(readXmlTree(source, CONTENT_TYPES), main, reached, {
      overrides: parts.overrides,
      defaults: this.#thumbnail === undefined ? parts.defaults : [...parts.defaults, ['png', 'image/png']],
    });
    return this.#zip.finish([{ name: CONTENT_TYPES, content: types }]);
  }

  /** Our slides, and a notes master where there is none. */
  #slideParts(pictures: PictureSource): SlideParts {
    const { theme, slides, language } = this.#scene;
    const prefix = this.#prefix;
    const isOwn = this.#notesMaster === undefined;
    const master = `ppt/notesMasters/${prefix}notesMaster1.xml`;
    const at = {
      prefix,
      layout: ({ layout }: Scene['slides'][number]) => `/${layout.part ?? ''}`,
      notesMaster: isOwn ? `../notesMasters/${prefix}notesMaster1.xml` : `/${this.#notesMaster}`,
      ownNotes: isOwn,
      finish: (xml: string, { colors }: Scene['slides'][number]['layout']) => withMended(xml, colors?.mended),
    };
    const parts = new SlideParts(this.#zip, this.#scene, pictures, at, this.#deflate);
    slides.forEach((slide, i) => {
      parts.addSlide(slide, i + 1);
      this.#ours.push({ id: this.#ids[i + 2]!, type: 'slide', target: `/ppt/${parts.slideName(i + 1)}` });
    });
    if (isOwn) {
      parts.add(master, notesMasterPart(theme, language ?? USUAL_LANGUAGE), `${TYPES}.notesMaster+xml`, [
        { id: 'rId1', type: 'theme', target: `../theme/${prefix}theme1.xml` },
      ]);
      parts.add(`ppt/theme/${prefix}theme1.xml`, themePart(theme), THEME);
      this.#ours.push({ id: this.#ids[0]!, type: 'notesMaster', target: `/${master}` });
    }
    return parts;
  }

  /** What the package leads to besides the presentation: what the file is about, and its picture. @returns Pictures of theirs that go, since they show a slide that is gone. */
  #packageParts(parts: SlideParts): readonly string[] {
    const root = readRelationships(this.#source, '');
    const [coreId, pictureId] = freeIds(root, 2);
    const led: Rel[] = [];
    if (![...root.values()].some(({ type }) => type === 'core-properties')) {
      const name = `docProps/${this.#prefix}core.xml`;
      parts.add(name, coreProperties(describedBy(this.#scene)), CORE_TYPE);
      led.push({ id: coreId!, type: CORE_REL, target: `/${name}` });
    }
    const pictured = [...root].filter(([, { type }]) => this.#isEmptied && type === 'thumbnail');
    if (this.#thumbnail !== undefined && this.#isEmptied) {
      const name = `docProps/${this.#prefix}thumbnail.png`;
      this.#zip.add({ name, content: this.#thumbnail, stored: true });
      led.push({ id: pictureId!, type: THUMBNAIL_REL, target: `/${name}` });
    }
    if (led.length + pictured.length > 0) {
      const without = new Set(pictured.map(([id]) => id));
      this.#changed.set(ROOT_RELS, withOthers(readXmlTree(this.#source, ROOT_RELS), without, led));
    }
    return pictured.map(([, { target }]) => target);
  }

  /** How tables look, where there are any and the template has no style for them. */
  #tableStyles(parts: SlideParts): void {
    const { theme, slides } = this.#scene;
    if (theme.table.own !== undefined || !slides.some(({ boxes }) => boxes.some(({ kind }) => kind === 'table')))
      return;
    const mended = (xml: string): string => withMended(xml, layoutNamed(theme, 'points').colors?.mended);
    const styles = [...this.#known.values()].find(({ type }) => type === 'tableStyles')?.target;
    if (styles !== undefined && this.#source.has(styles)) {
      this.#changed.set(styles, withTableStyle(readXmlTree(this.#source, styles), mended(tableStyle(theme))));
      return;
    }
    const name = `ppt/${this.#prefix}tableStyles.xml`;
    parts.add(name, mended(tableStyles(theme)), `${TYPES}.tableStyles+xml`);
    this.#ours.push({ id: this.#ids[1]!, type: 'tableStyles', target: `/${name}` });
  }
}

/** A part as it was, but for what leads to slides that are gone. */
function partWithout(
  source: ZipReader,
  name: string,
  gone: ReadonlySet<string>,
  shows: ReadonlySet<string>,
): Uint8Array | string {
  const owner = ownerOf(name);
  const ids = leadingTo(gone, readRelationships(source, owner ?? name));
  const bytes = source.read(name);
  if (owner !== undefined) return ids.size === 0 ? bytes : withOthers(readXmlTree(source, name), ids, []);
  if (!/\.xml$/i.test(name) || (ids.size === 0 && !SAYS_SLIDES.test(decodeUtf8(bytes)))) return bytes;
  const root = readXmlTree(source, name);
  const result = withoutSlides(root, ids, shows);
  return result === root ? bytes : writeXmlTree(result);
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
    const rels = relationshipsOf(part);
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
