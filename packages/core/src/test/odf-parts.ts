/** Parts of the OpenDocument packages that we write. */
import { strFromU8, unzipSync } from 'fflate';
import type { XmlNode } from '../container/index.ts';

/** Texts of all parts that are XML, by name. */
export function odfParts(bytes: Uint8Array): ReadonlyMap<string, string> {
  const parts = Object.entries(unzipSync(bytes)).filter(([name]) => name.endsWith('.xml'));
  return new Map(parts.map(([name, content]) => [name, strFromU8(content)]));
}

export const everyNode = (node: XmlNode): readonly XmlNode[] => [node, ...node.children.flatMap(everyNode)];
