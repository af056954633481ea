/** What must hold in an OpenDocument package besides its schema: parts, names and references (ODF 1.3 parts 2 and 3). */
import { XmlAttribute, XmlElement, type XmlDocument } from 'libxml2-wasm';
import { posix } from 'node:path';
import type { Archive } from './open-archive.ts';
import { attribute, elements, repeated, values } from './xml.ts';

const MANIFEST = 'META-INF/manifest.xml';
const TYPE = 'mimetype';
const PREFIX = 'application/vnd.oasis.opendocument.';

export const isOpenDocument = ({ parts }: Archive): boolean => parts.has(TYPE) || parts.has(MANIFEST);

/** @param bytes The archive as it stands, for what is told of the place of its first entry. */
export function openDocumentRules(archive: Archive, bytes: Uint8Array): void {
  checkType(archive, bytes);
  checkManifest(archive);
  const folders = [...archive.parts.keys()].flatMap((name) =>
    posix.basename(name) === 'content.xml' ? [posix.dirname(name)] : [],
  );
  if (!folders.includes('.')) archive.fault('content.xml', 'a document needs it');
  for (const folder of folders) checkReferences(archive, folder);
}

/** The type stands first, as it is, so that it is found at a known place (ODF 1.3 part 2, §3.3). */
function checkType(archive: Archive, bytes: Uint8Array): void {
  const said = new TextDecoder().decode(archive.parts.get(TYPE));
  if (!said.startsWith(PREFIX)) archive.fault(TYPE, `this is no type of a document: ${said.slice(0, 80)}`);
  const { compression, extra, name } = firstEntry(bytes);
  if (name !== TYPE) archive.fault(TYPE, 'it does not stand first in the archive');
  else if (compression !== 0) archive.fault(TYPE, 'it is compressed');
  else if (extra !== 0) archive.fault(TYPE, 'it has an extra field');
}

/** Of the first local file header of an archive. */
function firstEntry(bytes: Uint8Array): {
  readonly name: string;
  readonly compression: number;
  readonly extra: number;
} {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const name = new TextDecoder().decode(bytes.subarray(30, 30 + view.getUint16(26, true)));
  return { name, compression: view.getUint16(8, true), extra: view.getUint16(28, true) };
}

/** Every file is listed with its type, and nothing else is (ODF 1.3 part 2, §3.2). */
function checkManifest(archive: Archive): void {
  const tree = archive.tree(MANIFEST);
  if (tree === undefined) {
    archive.fault(MANIFEST, 'a document needs it');
    return;
  }
  const entries = new Map(
    elements(tree, '/manifest:manifest/manifest:file-entry').map((entry) => [
      attribute(entry, 'full-path', 'manifest') ?? '',
      attribute(entry, 'media-type', 'manifest') ?? '',
    ]),
  );
  const listed = values(tree, '/manifest:manifest/manifest:file-entry/@manifest:full-path');
  for (const name of repeated(listed)) archive.fault(MANIFEST, `${name} is listed twice`);
  for (const name of listed)
    if (!name.endsWith('/') && !archive.parts.has(name))
      archive.fault(MANIFEST, `it lists a file that is not there: ${name}`);
  for (const name of archive.parts.keys())
    if (name !== TYPE && !name.startsWith('META-INF/') && !entries.has(name)) archive.fault(name, 'it is not listed');
  const type = new TextDecoder().decode(archive.parts.get(TYPE));
  if (entries.has('/') && entries.get('/') !== type)
    archive.fault(MANIFEST, `it says ${entries.get('/')} of the document, which says ${type}`);
}

/** Elements that define what an attribute names, by the attribute's own name. */
const STYLES = ['style:style', 'text:list-style', 'number:*'];
const NAMES: Readonly<Record<string, readonly string[]>> = {
  'style-name': STYLES,
  'parent-style-name': STYLES,
  'next-style-name': STYLES,
  'apply-style-name': STYLES,
  'text-style-name': STYLES,
  'default-cell-style-name': STYLES,
  'data-style-name': STYLES,
  'list-style-name': STYLES,
  'page-layout-name': ['style:page-layout'],
  'presentation-page-layout-name': ['style:presentation-page-layout'],
  'master-page-name': ['style:master-page'],
  'font-name': ['style:font-face'],
  'font-name-asian': ['style:font-face'],
  'font-name-complex': ['style:font-face'],
  'fill-image-name': ['draw:fill-image'],
  'fill-gradient-name': ['draw:gradient'],
  'fill-hatch-name': ['draw:hatch'],
  'opacity-name': ['draw:opacity'],
  'stroke-dash': ['draw:stroke-dash'],
  'marker-start': ['draw:marker'],
  'marker-end': ['draw:marker'],
  'use-header-name': ['presentation:header-decl'],
  'use-footer-name': ['presentation:footer-decl'],
  'use-date-time-name': ['presentation:date-time-decl'],
};
const ID_REFERENCES = new Set(['targetElement', 'start-shape', 'end-shape']);

/** Of a document, or of an object in a folder of its own: what its content and its styles name is there. */
function checkReferences(archive: Archive, folder: string): void {
  const inFolder = (name: string): string => posix.join(folder, name);
  const styles = archive.tree(inFolder('styles.xml'));
  const common = styles === undefined ? new Map<string, ReadonlySet<string>>() : definitions(styles);
  for (const part of [inFolder('content.xml'), inFolder('styles.xml')]) {
    const tree = archive.tree(part);
    if (tree === undefined) continue;
    const own = definitions(tree);
    const isDefined = (by: string, name: string): boolean =>
      own.get(by)?.has(name) === true || common.get(by)?.has(name) === true;
    const ids = new Set(values(tree, '//@xml:id | //@draw:id'));
    const places = new Set(values(tree, PLACES));
    for (const id of repeated(values(tree, '//@xml:id'))) archive.fault(part, `two elements have the id ${id}`);
    checkTwice(archive, part, tree);
    for (const node of tree.find('//@*')) {
      if (!(node instanceof XmlAttribute) || !(node.parent instanceof XmlElement)) continue;
      const { name, value, parent } = node;
      const fault = (what: string): void => archive.fault(part, `${parent.name} ${name}="${value}" ${what}`);
      const by = NAMES[name];
      // The name of a thing itself, and a name that is said to be none.
      if (by !== undefined && value !== '' && !by.some((one) => isDefined(one, value))) fault('names nothing');
      if (ID_REFERENCES.has(name) && !ids.has(value)) fault('is no id');
      if (/\b(?:NaN|-?Infinity|undefined)\b/.test(value) && !IS_TEXT.has(name)) fault('is no value');
      if (name !== 'href') continue;
      // Behind a bar stands what kind of thing it is: headings are found by their text.
      if (value.startsWith('#') && !value.includes('|') && !places.has(value.slice(1))) fault('leads nowhere');
      if (SHOWN.has(parent.name) && !isThere(archive, folder, value)) fault('is no part');
    }
  }
}

/** Attributes that hold what people have written. */
const IS_TEXT = new Set(['name', 'display-name', 'title', 'href', 'string-value', 'formula', 'description', 'author']);

const nameOf = (element: XmlElement): string | undefined =>
  ['style', 'draw', 'presentation', 'text'].map((prefix) => attribute(element, 'name', prefix)).find(Boolean);

function definitions(tree: XmlDocument): ReadonlyMap<string, ReadonlySet<string>> {
  const found = new Map<string, Set<string>>();
  for (const node of elements(tree, '//*[@style:name or @draw:name or @presentation:name]')) {
    const kind = node.namespacePrefix === 'number' ? 'number:*' : `${node.namespacePrefix}:${node.name}`;
    const name = nameOf(node);
    if (name === undefined) continue;
    let names = found.get(kind);
    if (names === undefined) found.set(kind, (names = new Set()));
    names.add(name);
  }
  return found;
}

/** Styles of a family, pages and bookmarks are found by their names. */
function checkTwice(archive: Archive, part: string, tree: XmlDocument): void {
  const named = (path: string): readonly string[] =>
    elements(tree, path).map((one) => `${attribute(one, 'family', 'style') ?? one.name} ${nameOf(one) ?? ''}`);
  const all = [
    '//office:styles/style:style',
    '//office:automatic-styles/style:style',
    '//draw:page',
    '//text:bookmark | //text:bookmark-start',
  ];
  for (const name of all.flatMap((path) => repeated(named(path)))) archive.fault(part, `this stands twice: ${name}`);
}

/** To which links within the document lead. */
const PLACES = '//draw:page/@draw:name | //text:bookmark/@text:name | //text:bookmark-start/@text:name';
/** Elements that show what they link to. */
const SHOWN = new Set(['image', 'object', 'object-ole', 'plugin', 'fill-image', 'font-face-uri']);

/** Whether what is shown is a part of the package, an object in a folder of it, or outside. */
function isThere({ parts }: Archive, folder: string, href: string): boolean {
  if (/^(?:[a-z][a-z\d+.-]*:|\.\.\/|\/|#)/i.test(href)) return true;
  const name = posix.join(folder, decodeURI(href)).replace(/\/$/, '');
  return parts.has(name) || parts.has(`${name}/content.xml`);
}
