/** What must hold in any OpenDocument package that we write: parts, names and references, besides its schema. */
import { strFromU8, unzipSync } from 'fflate';
import { nodesWithin, parseXmlTree, type XmlNode } from '../container/index.ts';

/** Attributes that name a style, and the elements that define one. */
const STYLE_NAMES =
  /^(?:style:parent-style-name|style:data-style-name|(?:draw|text|table|chart|presentation):style-name)$/;
const DEFINES = new Set(['style:style', 'text:list-style', 'number:number-style']);
const LENGTH = /^-?\d+(?:\.\d+)?pt$/;

/** Texts of all parts that are XML, by name. */
export function odfParts(bytes: Uint8Array): ReadonlyMap<string, string> {
  const parts = Object.entries(unzipSync(bytes)).filter(([name]) => name.endsWith('.xml'));
  return new Map(parts.map(([name, content]) => [name, strFromU8(content)]));
}

export const everyNode = (node: XmlNode): readonly XmlNode[] => [node, ...node.children.flatMap(everyNode)];

/** What is wrong; nothing where all holds. */
export function odfFaults(bytes: Uint8Array): readonly string[] {
  const faults: string[] = [];
  const names = Object.keys(unzipSync(bytes));
  // The first part's name, and its bytes unpacked, stand at places that are known (ODF 1.3 part 2, §3.3).
  if (strFromU8(bytes.subarray(30, 38)) !== 'mimetype' || bytes[8] !== 0) faults.push('the type does not stand first');
  const trees = new Map([...odfParts(bytes)].map(([name, xml]) => [name, parseXmlTree(xml)]));
  const listed = trees
    .get('META-INF/manifest.xml')!
    .children.map(({ attributes }) => attributes['manifest:full-path']!);
  for (const name of names)
    if (!listed.includes(name) && name !== 'mimetype' && name !== 'META-INF/manifest.xml')
      faults.push(`${name} unlisted`);
  for (const name of listed)
    if (!name.endsWith('/') && !names.includes(name)) faults.push(`${name} is listed and missing`);

  const common = defined(trees.get('styles.xml'));
  const masters = nodesWithin(trees.get('styles.xml')!, 'style:master-page').map((one) => one.attributes['style:name']);
  for (const [part, root] of trees) {
    const nodes = everyNode(root);
    const own =
      part === 'content.xml' || part === 'styles.xml' ? new Set([...defined(root), ...common]) : defined(root);
    const ids = nodes.flatMap(({ attributes }) => attributes['xml:id'] ?? []);
    if (new Set(ids).size !== ids.length) faults.push(`${part}: ids twice`);
    const fonts = nodes.filter(({ name }) => name === 'style:font-face').map((one) => one.attributes['style:name']);
    const places = nodes.flatMap(({ name, attributes }) =>
      name === 'draw:page' ? attributes['draw:name']! : name === 'text:bookmark' ? attributes['text:name']! : [],
    );
    if (new Set(places).size !== places.length) faults.push(`${part}: places twice`);
    for (const { name, attributes } of nodes)
      for (const [key, value = ''] of Object.entries(attributes)) {
        const fault = (what: string): number => faults.push(`${part}: ${name} ${key}="${value}" ${what}`);
        if (STYLE_NAMES.test(key) && !own.has(value)) fault('is no style');
        if (key === 'style:font-name' && !fonts.includes(value)) fault('is no font that is declared');
        if (key === 'draw:master-page-name' && !masters.includes(value)) fault('is no master page');
        if (/(?:targetElement|start-shape|end-shape)$/.test(key) && !ids.includes(value)) fault('is no id');
        if (/^svg:(?:x|y|width|height|x1|x2|y1|y2)$/.test(key) && !LENGTH.test(value)) fault('is no length');
        if (/NaN|Infinity|undefined/.test(value)) fault('is no value');
        if (key === 'xlink:href' && value.startsWith('#') && !places.includes(value.slice(1))) fault('leads nowhere');
        if (key === 'xlink:href' && /^draw:(image|object)$/.test(name)) {
          const href = value.replace(/^\.\//, '');
          if (!names.includes(href) && !names.includes(`${href}/content.xml`)) fault('is no part');
        }
      }
  }
  return faults;
}

const defined = (root: XmlNode | undefined): ReadonlySet<string> =>
  new Set(
    root === undefined
      ? []
      : everyNode(root)
          .filter(({ name }) => DEFINES.has(name))
          .map(({ attributes }) => attributes['style:name']!),
  );
