/** Validates parts against the schemas of OpenDocument, leaving aside what others have added to it (ODF 1.3 part 3, §2.2.2). */
import { RelaxNGValidator, XmlAttribute, XmlDocument, XmlElement } from 'libxml2-wasm';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { holdToSchema } from './hold-to-schema.ts';
import type { Archive } from './open-archive.ts';
import { NAMESPACES } from './xml.ts';

interface Schema {
  readonly validator: RelaxNGValidator;
  readonly namespaces: ReadonlySet<string>;
  /** Of the standard, which the root names. */
  readonly version: string;
}
// Compiling takes a third of a second, and one schema serves all packages.
const compiled = new Map<string, Schema>();

const XML = 'http://www.w3.org/XML/1998/namespace';

function schema(path: string, version: string): Schema {
  const known = compiled.get(path);
  if (known !== undefined) return known;
  const tree = XmlDocument.fromBuffer(readFileSync(path));
  const namespaces = new Set([...Object.values(tree.root.namespaces), XML, '']);
  const made = { validator: RelaxNGValidator.fromDoc(tree), namespaces, version };
  compiled.set(path, made);
  return made;
}

/** @param schemas Folder of the schemas. */
export function validateOpenDocument(archive: Archive, part: string, schemas: string): void {
  const known = archive.tree(part);
  if (known === undefined) return;
  const isManifest = known.root.namespaceUri === NAMESPACES.manifest;
  // Objects of other kinds, such as formulas, have schemas of their own.
  if (!isManifest && known.root.namespaceUri !== NAMESPACES.office) return;
  const found = isManifest
    ? schema(join(schemas, 'manifest.rng'), '1.2')
    : schema(join(schemas, 'document.rng'), '1.3');
  holdToSchema(archive, part, found.validator, (tree) => {
    withoutAdditions(tree, found.namespaces);
    atVersion(tree.root, isManifest ? 'manifest' : 'office', found.version);
  });
}

/** Elements go with what they hold, since it is not known what it means. */
function withoutAdditions(tree: XmlDocument, namespaces: ReadonlySet<string>): void {
  for (const node of tree.find('//*'))
    if (node instanceof XmlElement && !namespaces.has(node.namespaceUri) && node.parent !== null) node.remove();
  for (const node of tree.find('//@*'))
    if (node instanceof XmlAttribute && !namespaces.has(node.namespaceUri)) node.remove();
}

/** What holds of one version holds of the later ones; only the number differs. */
function atVersion(root: XmlElement, prefix: 'manifest' | 'office', version: string): void {
  const said = root.attr('version', prefix);
  if (said !== null && /^1\.[0-3]$/.test(said.value)) said.value = version;
}
