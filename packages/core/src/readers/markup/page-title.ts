/** Finds the element that a page calls its title by a class. */
import { attribute, isElement, type Element, type Node } from './elements.ts';
import { inlineStyle } from './inline-style.ts';

/** Boxes that have titles of their own. */
const BOXES = /^(table|figure|li|blockquote|aside|dl|details|nav|footer)$/;

/** @returns At most one element: where many have such a class, each is the title of something smaller. */
export function findTitles(roots: readonly Node[]): ReadonlySet<Element> {
  const found: Element[] = [];
  const walk = (element: Element, boxed: boolean): void => {
    if (!boxed && inlineStyle(element).use === 'title') found.push(element);
    const inner = boxed || BOXES.test(element.tagName) || (attribute(element, 'role') ?? '') === 'note';
    for (const child of element.childNodes) if (isElement(child)) walk(child, inner);
  };
  let all = 0;
  const count = (element: Element): void => {
    if (inlineStyle(element).use === 'title') all++;
    for (const child of element.childNodes) if (isElement(child)) count(child);
  };
  for (const root of roots)
    if (isElement(root)) {
      walk(root, false);
      count(root);
    }
  return new Set(all === 1 ? found : []);
}
