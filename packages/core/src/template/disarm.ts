/**
 * Takes out of a presentation what acts or leads outside: macros, embedded objects and controls, links (ECMA-376-1 §15.2,
 * §19.3; ECMA-376-2 §9.3). What is handed on with it is looked at only.
 */
import { decodeUtf8 } from '../base/index.ts';
import {
  contentWithout,
  nodeAt,
  nodesWithin,
  openZip,
  ownerOf,
  readRelationships,
  readXmlTree,
  relationshipsOf,
  unescaped,
  withAttribute,
  withContent,
  withoutAttribute,
  writeXmlTree,
  ZipWriter,
  type Deflate,
  type Relationships,
  type XmlContent,
  type XmlNode,
  type ZipReader,
} from '../container/index.ts';

export interface Disarmed {
  /** The same bytes where there was nothing to take out. */
  readonly bytes: Uint8Array;
  readonly macros: boolean;
  /** Embedded objects, controls and add-ins. */
  readonly objects: number;
  /** To the outside. */
  readonly links: number;
}

const CONTENT_TYPES = '[Content_Types].xml';
/** Last segments of the types of relationships. */
const MACROS = /^(?:vbaProject|vbaProjectSignature|wordVbaData|extensibility|attachedToolbars|keyMapCustomizations)/i;
const OBJECTS = /^(?:oleObject|control|activeXControlBinary|webextension|webextensiontaskpanes)$/i;
/** What a presentation's own slides say: words that one may follow by a click stay theirs; nothing goes out by itself. */
const SLIDES = /\/(?:slides|notesSlides|comments)\/[^/]+$/i;
const INERT = /^(?:https?|mailto):/i;
/** An embedded file: of a chart it is its numbers, of anything else an object. */
const PACKAGE = 'package';
/** What a click or a time does that is no way within the presentation. */
const ACTION = /^ppaction:\/\/(?:macro|program|ole)/i;
const MACRO_TYPE = /macroEnabled(?:Template|Slideshow)?\.|macroEnabledTemplate/i;
const ARMED_DEFAULT = /vbaProject|oleObject|activeX/i;

/** @throws ReadError as `openZip` and `readXmlTree` do. */
export function disarm(bytes: Uint8Array, deflate?: Deflate): Disarmed {
  const zip = openZip(bytes);
  if (!zip.has(CONTENT_TYPES)) return { bytes, macros: false, objects: 0, links: 0 };
  const work = new Disarming(zip);
  return work.isArmed ? work.finish(deflate) : { bytes, macros: false, objects: 0, links: 0 };
}

class Disarming {
  readonly #zip: ZipReader;
  readonly #types: XmlNode;
  /** Ids of relationships that go, by part; '' is the package. */
  readonly #gone = new Map<string, ReadonlySet<string>>();
  #macros: boolean;
  #objects = 0;
  #links = 0;
  #actions = false;

  constructor(zip: ZipReader) {
    this.#zip = zip;
    this.#types = readXmlTree(zip, CONTENT_TYPES);
    this.#macros = this.#types.children.some(({ attributes }) => MACRO_TYPE.test(attributes.ContentType ?? ''));
    for (const part of ['', ...zip.names]) {
      if (part.endsWith('.rels')) continue;
      this.#judge(part, readRelationships(zip, part));
    }
  }

  get isArmed(): boolean {
    return this.#macros || this.#actions || this.#gone.size > 0;
  }

  #judge(part: string, relationships: Relationships): void {
    const gone = new Set<string>();
    for (const [id, { type, target, external }] of relationships) {
      if (external && type === 'hyperlink' && SLIDES.test(part) && INERT.test(target)) continue;
      if (external) this.#links++;
      else if (MACROS.test(type)) this.#macros = true;
      else if (OBJECTS.test(type) || (type === PACKAGE && !/chart/i.test(part))) this.#objects++;
      else continue;
      gone.add(id);
    }
    if (gone.size > 0) this.#gone.set(part, gone);
    if (/\.xml$/i.test(part) && !this.#actions) this.#actions = mentionsAction(this.#zip.read(part));
  }

  finish(deflate: Deflate | undefined): Disarmed {
    const reached = this.#reached();
    const zip = new ZipWriter(deflate);
    for (const name of this.#zip.names) {
      if (name === CONTENT_TYPES || !reached.has(name)) continue;
      zip.add({ name, content: this.#content(name), stored: /\.(png|jpe?g|gif|xlsx)$/i.test(name) });
    }
    return {
      bytes: zip.finish([{ name: CONTENT_TYPES, content: writeXmlTree(this.#contentTypes(reached)) }]),
      macros: this.#macros,
      objects: this.#objects,
      links: this.#links,
    };
  }

  /** Parts that are led to when what goes is gone. */
  #reached(): ReadonlySet<string> {
    const found = new Set<string>();
    const open = [''];
    while (open.length > 0) {
      const part = open.pop()!;
      const rels = relationshipsOf(part);
      if (this.#zip.has(rels)) found.add(rels);
      for (const [id, { target, external }] of readRelationships(this.#zip, part)) {
        if (external || this.#gone.get(part)?.has(id) === true || found.has(target) || !this.#zip.has(target)) continue;
        found.add(target);
        open.push(target);
      }
    }
    return found;
  }

  #content(name: string): string | Uint8Array {
    const owner = ownerOf(name);
    const gone = this.#gone.get(owner ?? name);
    const bytes = this.#zip.read(name);
    if (owner !== undefined) {
      if (gone === undefined) return bytes;
      const root = readXmlTree(this.#zip, name);
      return writeXmlTree(
        withContent(
          root,
          contentWithout(root, ({ attributes }) => gone.has(attributes.Id ?? '')),
        ),
      );
    }
    if (!/\.xml$/i.test(name) || (gone === undefined && !mentionsAction(bytes))) return bytes;
    return writeXmlTree(disarmed(readXmlTree(this.#zip, name), gone ?? new Set()));
  }

  #contentTypes(reached: ReadonlySet<string>): XmlNode {
    const lower = new Set([...reached].map((name) => name.toLowerCase()));
    const kept = this.#types.children.flatMap((one) => {
      const type = one.attributes.ContentType ?? '';
      if (one.name === 'Default') return ARMED_DEFAULT.test(type) ? [] : [one];
      if (one.name !== 'Override') return [one];
      if (!lower.has(unescaped((one.attributes.PartName ?? '').slice(1)).toLowerCase())) return [];
      return MACRO_TYPE.test(type) ? [withAttribute(one, 'ContentType', plainType(type))] : [one];
    });
    return withContent(this.#types, kept);
  }
}

const mentionsAction = (bytes: Uint8Array): boolean => /ppaction:\/\/(?:macro|program|ole)/i.test(decodeUtf8(bytes));

/** [MS-OFFMACRO2] §2.2.1: the types of main parts with macros, and those without. */
const plainType = (type: string): string =>
  `application/vnd.openxmlformats-officedocument.presentationml.${
    /template/i.test(type) ? 'template' : /slideshow/i.test(type) ? 'slideshow' : 'presentation'
  }.main+xml`;

/** Elements that are nothing without what they lead to. */
const LEADING =
  /^(?:a:hlink\w*|\w*:?(?:audioFile|videoFile|wavAudioFile|quickTimeFile)|c:externalData|p:custDataLst|p:tags)$/;

/** An element without what leads to relationships that are gone. Of an object its picture stays in its place; without one, animations go with it. */
function disarmed(root: XmlNode, gone: ReadonlySet<string>): XmlNode {
  let objects = false;
  const leads = ({ attributes }: XmlNode): boolean =>
    Object.entries(attributes).some(([name, value]) => name.startsWith('r:') && gone.has(value));
  const holdsObject = (node: XmlNode): boolean =>
    (node.name === 'p:oleObj' && leads(node)) || node.children.some(holdsObject);
  const holdsLeading = (node: XmlNode): boolean => leads(node) || node.children.some(holdsLeading);
  const isUnwanted = (node: XmlNode): boolean => {
    if (ACTION.test(node.attributes.action ?? '')) return true;
    if (node.name === 'p:controls' && holdsLeading(node)) return true;
    return LEADING.test(node.name) && leads(node);
  };
  const walk = (node: XmlNode): XmlNode => {
    const content = node.content.flatMap((one): XmlContent[] => {
      if (!('children' in one)) return [one];
      if (isUnwanted(one)) return [];
      if (one.name === 'p:graphicFrame' && holdsObject(one)) {
        const picture = pictureOf(one);
        objects ||= picture === undefined;
        return picture === undefined ? [] : [walk(picture)];
      }
      // An extension that holds nothing any more says nothing.
      const inner = walk(one);
      return inner.children.length === 0 && one.children.length > 0 && one.name === 'p:ext' ? [] : [inner];
    });
    let result = withContent(node, content);
    for (const [name, value] of Object.entries(node.written.attributes))
      if (gone.has(value) && node.attributes[`r:${name.split(':').at(-1)}`] === value)
        result = withoutAttribute(result, name);
    return result;
  };
  const walked = walk(root);
  return objects
    ? withContent(
        walked,
        contentWithout(walked, ({ name }) => name === 'p:timing'),
      )
    : walked;
}

/** The picture that an object is shown by (ECMA-376-1 §19.3.2.4), under the object's number and name. */
function pictureOf(frame: XmlNode): XmlNode | undefined {
  const [picture] = nodesWithin(frame, 'p:pic');
  const about = nodeAt(picture, 'p:nvPicPr', 'p:cNvPr');
  const own = nodeAt(frame, 'p:nvGraphicFramePr', 'p:cNvPr');
  if (picture === undefined || about === undefined || own === undefined) return undefined;
  return replaced(picture, about, { ...own, written: { ...own.written, name: about.written.name } });
}

const replaced = (node: XmlNode, one: XmlNode, by: XmlNode): XmlNode =>
  node === one
    ? by
    : withContent(
        node,
        node.content.map((child) => ('children' in child ? replaced(child, one, by) : child)),
      );
