/** Validates parts against the schemas of ECMA-376, leaving aside what was added to the standard later. */
import { XmlDocument, XsdValidator, XmlElement, XmlAttribute } from 'libxml2-wasm';
import { xmlRegisterFsInputProviders } from 'libxml2-wasm/lib/nodejs.mjs';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { holdToSchema } from './hold-to-schema.ts';
import type { Package } from './open-package.ts';
import { NAMESPACES, values } from './xml.ts';

interface Schema {
  readonly validator: XsdValidator;
  readonly namespaces: ReadonlySet<string>;
}
// Compiling takes half a second, and one schema serves all packages.
let compiled: Schema | undefined;

function schema(folder: string): Schema {
  if (compiled !== undefined) return compiled;
  xmlRegisterFsInputProviders();
  const url = join(folder, 'all.xsd');
  const all = XmlDocument.fromBuffer(readFileSync(url), { url });
  const namespaces = new Set(values(all, '/*/*/@namespace'));
  compiled = { validator: XsdValidator.fromDoc(all), namespaces };
  return compiled;
}

/** @param schemas Folder of the schemas. */
export function validatePart(opened: Package, part: string, schemas: string): void {
  const known = opened.tree(part);
  if (known === undefined) return;
  const { validator, namespaces } = schema(schemas);
  if (!namespaces.has(known.root.namespaceUri)) return;
  holdToSchema(opened, part, validator, (tree) => withoutLaterAdditions(tree, namespaces));
}

/** Extensions, markup compatibility, attributes of unknown namespaces, and the titles of shapes (third edition). */
function withoutLaterAdditions(tree: XmlDocument, namespaces: ReadonlySet<string>): void {
  for (const node of tree.find('//*[local-name()="extLst"] | //mc:*', NAMESPACES))
    if (node instanceof XmlElement && node.parent !== null) node.remove();
  const later = '//@*[namespace-uri()!=""] | //*[local-name()="cNvPr" or local-name()="docPr"]/@title';
  for (const node of tree.find(later))
    if (node instanceof XmlAttribute && !namespaces.has(node.namespaceUri) && !isXml(node)) node.remove();
}

const isXml = (node: XmlAttribute): boolean => node.namespaceUri === 'http://www.w3.org/XML/1998/namespace';
