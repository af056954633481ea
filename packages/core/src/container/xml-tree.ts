/** Small parts as trees: for parts whose pieces refer to one another, not for a document's text. */
import { readXmlPart, type Attributes } from './xml-reader.ts';
import type { ZipReader } from './zip-reader.ts';

export interface XmlNode {
  /** With the prefixes that `xml-reader` gives. */
  readonly name: string;
  readonly attributes: Attributes;
  readonly children: readonly XmlNode[];
}

/** @throws ReadError as `readXmlPart` does, and `bad-xml` for a part without an element. */
export function readXmlTree(zip: ZipReader, part: string): XmlNode {
  const root: { name: string; attributes: Attributes; children: XmlNode[] } = {
    name: '',
    attributes: {},
    children: [],
  };
  const open = [root];
  readXmlPart(zip, part, {
    open(name, attributes) {
      const node = { name, attributes, children: [] };
      open.at(-1)!.children.push(node);
      open.push(node);
    },
    close() {
      open.pop();
    },
  });
  return root.children[0] ?? root;
}

/** The node at the end of a path of names, each the first of its name. */
export const nodeAt = (node: XmlNode | undefined, ...path: readonly string[]): XmlNode | undefined =>
  path.reduce<XmlNode | undefined>((at, name) => at?.children.find((child) => child.name === name), node);

export const nodesNamed = (node: XmlNode | undefined, name: string): readonly XmlNode[] =>
  node?.children.filter((child) => child.name === name) ?? [];
