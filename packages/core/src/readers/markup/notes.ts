/** Finds the footnotes of a page: what short links in the text lead to, and what says of itself that it is one (DPUB-ARIA 1.1). */
import { attribute, isElement, textOf, type Element, type Node } from './elements.ts';

export interface PageNote {
  /** As the first link to it shows. */
  readonly label: string;
  readonly element: Element;
}

const ROLES = new Set(['doc-footnote', 'doc-endnote']);
const HOLDERS = /^(li|aside|p|div|dd|section|tr)$/;
/** A number, a letter or a sign, with or without brackets. */
const LABEL = /^[[(]?(?:\d{1,3}|[a-z]{1,2}|[ivx]{1,5}|[*†‡§¶]{1,3}|note \d{1,3})[\])]?$/iu;
const LONGEST = 3000; // letters of a note

/** @returns The notes by the id to which the links lead. */
export function findNotes(roots: readonly Node[]): ReadonlyMap<string, PageNote> {
  const labels = new Map<string, string>();
  const byId = new Map<string, Element>();
  const walk = (element: Element, raised: boolean): void => {
    const id = attribute(element, 'id') ?? (element.tagName === 'a' ? attribute(element, 'name') : undefined);
    if (id !== undefined && !byId.has(id)) byId.set(id, element);
    const href = element.tagName === 'a' ? attribute(element, 'href') : undefined;
    if (href?.startsWith('#') === true && href.length > 1) {
      const text = textOf(element).trim();
      const refers = raised || inner(element, 'sup') || /\bdoc-noteref\b/.test(attribute(element, 'role') ?? '');
      if (LABEL.test(text) && (refers || /^[[(]/.test(text)) && !labels.has(target(href)))
        labels.set(target(href), text.replace(/[[\]()]/g, ''));
    }
    for (const child of element.childNodes)
      if (isElement(child)) walk(child, raised || element.tagName === 'sup' || child.tagName === 'sup');
  };
  for (const root of roots) if (isElement(root)) walk(root, false);
  const notes = new Map<string, PageNote>();
  const taken = new Set<Element>();
  for (const [id, label] of labels) {
    const element = holder(byId.get(id));
    if (element === undefined || taken.has(element)) continue;
    taken.add(element);
    notes.set(id, { label, element });
  }
  return notes;
}

/** The id to which a link within the page leads. */
export function target(href: string): string {
  try {
    return decodeURIComponent(href.slice(1));
  } catch {
    return href.slice(1);
  }
}

const inner = (element: Element, tag: string): boolean =>
  element.childNodes.some((child) => isElement(child) && child.tagName === tag);

/** The element that holds the whole note: the one that is led to, or that around a mere anchor; never a part of the text. */
function holder(led: Element | undefined): Element | undefined {
  for (let element = led; element !== undefined;) {
    if (HOLDERS.test(element.tagName)) {
      const text = textOf(element).trim();
      const says = ROLES.has(attribute(element, 'role') ?? '') || leadsBack(element) || LABELLED.test(text);
      return text !== '' && text.length <= LONGEST && (says || element.tagName === 'li' || element.tagName === 'aside')
        ? element
        : undefined;
    }
    const parent: unknown = element.parentNode;
    element = isElement(parent as Node) ? (parent as Element) : undefined;
  }
  return undefined;
}

const LABELLED = /^[[(]?(?:\d{1,3}|[*†‡§]{1,3})[\]).:]?\s/u;

const leadsBack = (element: Element): boolean =>
  element.childNodes.some(
    (child) =>
      isElement(child) &&
      ((child.tagName === 'a' && attribute(child, 'href')?.startsWith('#') === true) || leadsBack(child)),
  );
