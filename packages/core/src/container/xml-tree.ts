/** XML parts as trees that keep all that was written, for parts whose pieces refer to one another and for parts that are changed. */
import { SaxesParser, type SaxesTagNS } from 'saxes';
import { LIMITS, ReadError, textDecoder } from '../base/index.ts';
import { encodingOf, NAMESPACES, readXmlPart, type Attributes } from './xml-reader.ts';
import { xmlText } from './xml-text.ts';
import type { ZipReader } from './zip-reader.ts';

export interface XmlNode {
  /** With the prefixes that `xml-reader` gives. */
  readonly name: string;
  readonly attributes: Attributes;
  readonly children: readonly XmlNode[];
  /** Of its element; empty for none. */
  readonly namespace: string;
  /** As the part writes it, with its own prefixes and declarations. */
  readonly written: { readonly name: string; readonly attributes: Attributes };
  /** Namespaces of the prefixes that it is written with, by the attribute that would declare them. */
  readonly uses: Attributes;
  /** Its children, with what stands between them. */
  readonly content: readonly XmlContent[];
}
/** An element, text, or a comment or instruction as it was written. */
export type XmlContent = XmlNode | { readonly text: string } | { readonly markup: string };

const isNode = (content: XmlContent): content is XmlNode => 'children' in content;

interface Growing {
  readonly tag: SaxesTagNS;
  readonly content: XmlContent[];
}

/**
 * A part that is only read: names, attributes and text, without what was written otherwise. A third of the time of a whole tree.
 * @throws ReadError as `readXmlPart` does.
 */
export function readPlainTree(zip: ZipReader, part: string): XmlNode {
  const open: { readonly children: XmlNode[]; readonly content: XmlContent[] }[] = [];
  let root: XmlNode | undefined;
  readXmlPart(zip, part, {
    open(name, attributes) {
      const node = { name, attributes, children: [], content: [], namespace: '', written: UNWRITTEN, uses: NO_USES };
      const around = open.at(-1);
      if (around === undefined) root ??= node;
      around?.children.push(node);
      around?.content.push(node);
      open.push(node);
    },
    close: () => void open.pop(),
    text: (text) => void open.at(-1)?.content.push({ text }),
  });
  if (root === undefined) throw new ReadError('bad-xml', { part });
  return root;
}
const NO_USES: Attributes = {};
const UNWRITTEN: XmlNode['written'] = { name: '', attributes: NO_USES };

/** @throws ReadError as `ZipReader.read` and `parseXmlTree` do. */
export function readXmlTree(zip: ZipReader, part: string): XmlNode {
  const bytes = zip.read(part);
  return parseXmlTree(textDecoder(encodingOf(bytes)).decode(bytes), part);
}

/** @throws ReadError `bad-xml`, also for a text without an element, `doctype`, `bomb`. */
export function parseXmlTree(text: string, part?: string): XmlNode {
  const place = part === undefined ? {} : { part };
  const parser = new SaxesParser({ xmlns: true, position: false });
  const open: Growing[] = [];
  let root: XmlNode | undefined;
  const add = (content: XmlContent): void => void open.at(-1)?.content.push(content);
  parser.on('doctype', () => {
    throw new ReadError('doctype', place);
  });
  parser.on('error', (error) => {
    // Neither spoils anything else: a forbidden character, and a prefix that nothing declares, which names nothing of ours.
    if (/disallowed character|unbound namespace prefix/.test(error.message)) return;
    throw new ReadError('bad-xml', place, { cause: error });
  });
  parser.on('opentag', (tag) => {
    if (Object.keys(tag.attributes).length > LIMITS.xmlAttributes || open.length >= LIMITS.xmlDepth)
      throw new ReadError('bomb', place);
    open.push({ tag, content: [] });
  });
  parser.on('closetag', () => {
    const { tag, content } = open.pop()!;
    const node = nodeOf(tag, content);
    if (open.length === 0) root = node;
    else add(node);
  });
  parser.on('text', (one) => add({ text: one }));
  parser.on('cdata', (one) => add({ text: one }));
  parser.on('comment', (one) => add({ markup: `<!--${one}-->` }));
  parser.on('processinginstruction', ({ target, body }) => add({ markup: `<?${target} ${body}?>` }));
  parser.write(text).close();
  if (root === undefined) throw new ReadError('bad-xml', place);
  return root;
}

function nodeOf(tag: SaxesTagNS, content: readonly XmlContent[]): XmlNode {
  const written: Record<string, string> = {};
  const attributes: Record<string, string> = {};
  const uses: Record<string, string> = { [declaration(tag.prefix)]: tag.uri };
  for (const { name, prefix, uri, local, value } of Object.values(tag.attributes)) {
    written[name] = value;
    if (prefix !== '' && prefix !== 'xmlns' && prefix !== 'xml') uses[declaration(prefix)] = uri;
    attributes[canonical(name, uri, local)] = value;
  }
  return {
    name: canonical(tag.name, tag.uri, tag.local),
    namespace: tag.uri,
    attributes,
    children: content.filter(isNode),
    written: { name: tag.name, attributes: written },
    uses,
    content,
  };
}

const declaration = (prefix: string): string => (prefix === '' ? 'xmlns' : `xmlns:${prefix}`);

function canonical(name: string, namespace: string, local: string): string {
  const prefix = NAMESPACES[namespace];
  return prefix === undefined ? name : prefix === '' ? local : `${prefix}:${local}`;
}

/** The same element with other content. */
export const withContent = (node: XmlNode, content: readonly XmlContent[]): XmlNode => ({
  ...node,
  content,
  children: content.filter(isNode),
});

/** Content without the elements of a name. */
export const contentWithout = (node: XmlNode, unwanted: (child: XmlNode) => boolean): readonly XmlContent[] =>
  node.content.filter((one) => !isNode(one) || !unwanted(one));

/** An element that is the same but for one attribute, by the name that it is written with. */
export const withAttribute = (node: XmlNode, name: string, value: string): XmlNode => ({
  ...node,
  attributes: { ...node.attributes, [name]: value },
  written: { ...node.written, attributes: { ...node.written.attributes, [name]: value } },
});

/** An element that is the same but for one attribute that it has not, by the name that it is written with. */
export function withoutAttribute(node: XmlNode, name: string): XmlNode {
  const { [name]: value, ...written } = node.written.attributes;
  const local = name.split(':').at(-1);
  const attributes = Object.fromEntries(
    Object.entries(node.attributes).filter(([key, one]) => key.split(':').at(-1) !== local || one !== value),
  );
  return { ...node, attributes, written: { ...node.written, attributes: written } };
}

const HEAD = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n';

/** A whole part, in UTF-8. */
export const writeXmlTree = (root: XmlNode): string => HEAD + written(root, new Map([['xmlns', '']]));

/** @param declared Namespaces by prefix, as the elements around declare them; what is declared again is not written again. */
function written(
  { written: { name, attributes }, uses, content }: XmlNode,
  declared: ReadonlyMap<string, string>,
): string {
  const inner = new Map(declared);
  let tag = name;
  // Moved to another place, it may stand where its prefixes are not declared.
  for (const [key, value] of [...Object.entries(attributes), ...Object.entries(uses)]) {
    if (key === 'xmlns' || key.startsWith('xmlns:')) {
      if (inner.get(key) === value) continue;
      inner.set(key, value);
    }
    tag += ` ${key}="${attributeText(value)}"`;
  }
  if (content.length === 0) return `<${tag}/>`;
  const parts = content.map((one) =>
    'text' in one ? xmlText(one.text) : 'markup' in one ? one.markup : written(one, inner),
  );
  return `<${tag}>${parts.join('')}</${name}>`;
}

// Line ends in attributes would come back as blanks (XML 1.0 §3.3.3).
const attributeText = (value: string): string =>
  xmlText(value).replace(/[\t\n\r]/g, (one) => `&#${one.charCodeAt(0)};`);

/** The node at the end of a path of names, each the first of its name. */
export const nodeAt = (node: XmlNode | undefined, ...path: readonly string[]): XmlNode | undefined =>
  path.reduce<XmlNode | undefined>((at, name) => at?.children.find((child) => child.name === name), node);

export const nodesNamed = (node: XmlNode | undefined, name: string): readonly XmlNode[] =>
  node?.children.filter((child) => child.name === name) ?? [];

/** Elements of a name at any depth, in their order. */
export const nodesWithin = (node: XmlNode, name: string): readonly XmlNode[] =>
  node.children.flatMap((child) => [...(child.name === name ? [child] : []), ...nodesWithin(child, name)]);
