/** Small questions to parse5's tree. */
import type { DefaultTreeAdapterTypes } from 'parse5';
import { LIMITS, ReadError, type SourcePlace } from '../../base/index.ts';

export type Node = DefaultTreeAdapterTypes.ChildNode;
export type Element = DefaultTreeAdapterTypes.Element;

export const isElement = (node: Node): node is Element => 'tagName' in node;
export const isText = (node: Node): node is DefaultTreeAdapterTypes.TextNode => node.nodeName === '#text';

export function attribute(element: Element, name: string): string | undefined {
  return element.attrs.find((attr) => attr.name === name)?.value;
}

/** All text below an element; line breaks count. */
export function textOf(element: Element): string {
  let text = '';
  for (const child of element.childNodes) {
    if (isText(child)) text += child.value;
    else if (child.nodeName === 'br') text += '\n';
    else if (isElement(child)) text += textOf(child);
  }
  return text;
}

/** Of a picture, a video or a sound, or of the first in it that says one. */
export const sourceOf = (element: Element): string | undefined =>
  attribute(element, 'src') ??
  element.childNodes
    .filter(isElement)
    .map((child) => attribute(child, 'src'))
    .find((src) => src !== undefined);

/** Before anything goes down into them. @throws ReadError `too-deep`. */
export function checkDepth(nodes: readonly Node[], place: SourcePlace): void {
  let level: readonly Node[] = nodes;
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > LIMITS.xmlDepth) throw new ReadError('too-deep', place);
    level = level.filter(isElement).flatMap((element) => element.childNodes);
  }
}
