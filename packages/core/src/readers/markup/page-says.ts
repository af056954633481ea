/** What a page says of itself: its language, and its title. */
import { parse } from 'parse5';
import { PAGE } from './element-kinds.ts';
import { attribute, isElement, textOf, type Element, type Node } from './elements.ts';

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

/** The title in the head of a page (HTML Standard, "The title element"); a drawing within it may have one of its own. */
export function titleOfPage(tree: readonly Node[]): string | undefined {
  for (const node of tree) {
    if (!isElement(node)) continue;
    const found =
      node.tagName === 'title'
        ? textOf(node).replace(/\s+/g, ' ').trim() || undefined
        : node.tagName === 'html' || node.tagName === 'head'
          ? titleOfPage(node.childNodes)
          : undefined;
    if (found !== undefined) return found;
  }
  return undefined;
}

/** The same of a page of which only the beginning is at hand. */
export const titleAbove = (html: string): string | undefined => titleOfPage(parse(html).childNodes);
