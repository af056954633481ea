/** The language that a page or a part of it says it is in. */
import { PAGE } from './element-kinds.ts';
import { attribute, isElement, type Element, type Node } from './elements.ts';

export const languageAt = (element: Element): string | undefined =>
  attribute(element, 'lang') ?? attribute(element, 'xml:lang');

/** What a page says of its language (HTML Standard, "The lang and xml:lang attributes"). */
export function languageOfPage(tree: readonly Node[]): string | undefined {
  for (const node of tree) {
    if (!isElement(node) || !PAGE.has(node.tagName)) continue;
    const found = languageAt(node) ?? languageOfPage(node.childNodes);
    if (found !== undefined) return found;
  }
  return undefined;
}
