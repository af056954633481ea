/**
 * Finds what stands around the text of a web page: navigation, adverts, share rows, cookie lines, related links,
 * comments. By elements and roles that say so, by the names that authors of pages give, and by the share of links, as in
 * Kohlschütter et al., "Boilerplate Detection using Shallow Text Features" (2010).
 */
import type { LeftKind } from '../../document/index.ts';
import { attribute, isElement, isText, type Element, type Node } from './elements.ts';

/** A form around the whole page is told from one within it by its size. */
const TAGS: Readonly<Record<string, LeftKind>> = {
  nav: 'navigation',
  aside: 'aside',
  footer: 'page-footer',
  form: 'sign-up',
};
const ROLES: Readonly<Record<string, LeftKind>> = {
  navigation: 'navigation',
  menu: 'navigation',
  menubar: 'navigation',
  search: 'navigation',
  complementary: 'aside',
  contentinfo: 'page-footer',
  alertdialog: 'cookies',
};

/** Words in classes and ids; a name is parted at hyphens, underscores and capitals. */
const NAMES: readonly (readonly [LeftKind, ReadonlySet<string>])[] = [
  ['cookies', new Set(['cookie', 'cookies', 'consent', 'gdpr'])],
  [
    'advert',
    new Set([
      'ad',
      'ads',
      'advert',
      'adverts',
      'advertisement',
      'advertising',
      'sponsor',
      'sponsored',
      'promo',
      'promotion',
      'adslot',
    ]),
  ],
  ['share', new Set(['share', 'sharing', 'social', 'sharebar'])],
  [
    'related',
    new Set(['related', 'recommended', 'recommendations', 'trending', 'teaser', 'teasers', 'mostread', 'popular']),
  ],
  ['comments', new Set(['comments', 'commentlist', 'respond', 'discussion'])],
  ['sign-up', new Set(['newsletter', 'subscribe', 'subscription', 'signup', 'paywall', 'login', 'donate'])],
  [
    'navigation',
    new Set([
      'nav',
      'navbar',
      'navigation',
      'menu',
      'breadcrumb',
      'breadcrumbs',
      'pagination',
      'pager',
      'toolbar',
      'masthead',
      'topbar',
      'skip',
      'skiplink',
    ]),
  ],
  ['aside', new Set(['sidebar', 'widget', 'widgets', 'popup', 'modal'])],
  ['page-footer', new Set(['footer', 'copyright', 'colophon'])],
];
/** Words with which authors name the text itself, whatever stands beside them. */
const TEXT_NAMES = new Set([
  'article',
  'content',
  'main',
  'body',
  'text',
  'entry',
  'story',
  'page',
  'wrapper',
  'layout',
]);

interface Measured {
  readonly letters: number;
  readonly linked: number;
  readonly links: number;
  /** First-level headings in it. */
  readonly titles: number;
}

/** @returns The outermost elements that are furniture, each with what it is. */
export function findFurniture(roots: readonly Node[]): ReadonlyMap<Element, LeftKind> {
  const found = new Map<Element, LeftKind>();
  const sizes = new Map<Element, Measured>();
  const measured = roots.filter(isElement).map((root) => measure(root, sizes));
  const total = measured.reduce((sum, { letters }) => sum + letters, 0);
  const titles = measured.reduce((sum, one) => sum + one.titles, 0);
  const main = hasElement(roots, 'article') || hasElement(roots, 'main');
  let prose = 0;
  const proseLength = total * 0.5;
  const walk = (element: Element, inText: boolean): void => {
    const { letters, titles: own } = sizes.get(element)!;
    // A site's own name may be a heading in its menu, beside that of the page.
    const hasTitle = own > 0 && own === titles;
    const kind = kindOf(element, inText, main);
    // What holds most of the page, or its title, is not beside the text; comments may be longer than it.
    const most = kind === 'comments' && prose > 0 ? 0.95 : 0.5;
    if (kind !== undefined && !hasTitle && letters <= Math.max(total * most, 200)) {
      found.set(element, kind);
      return;
    }
    const text = inText || element.tagName === 'article' || element.tagName === 'main';
    if (!text && !hasTitle && isLinkList(element, sizes.get(element)!) && (prose === 0 || prose > proseLength)) {
      found.set(element, prose === 0 ? 'navigation' : 'related');
      return;
    }
    if (element.tagName === 'p') prose += letters;
    for (const child of element.childNodes) if (isElement(child)) walk(child, text);
  };
  for (const root of roots) if (isElement(root)) walk(root, false);
  return found;
}

function kindOf(element: Element, inText: boolean, hasMain: boolean): LeftKind | undefined {
  const role = ROLES[attribute(element, 'role') ?? ''];
  if (role !== undefined) return role;
  const tag = element.tagName;
  // Within an article, an aside is the author's own, and a footer may hold its sources.
  if (TAGS[tag] !== undefined && (tag === 'nav' || !inText)) return TAGS[tag];
  if (tag === 'header' && !inText && hasMain) return 'navigation';
  if (/^(body|html|main|article|h[1-6]|p|a|span|em|strong|b|i|li|td|th|tr|tbody|img|figure)$/.test(tag))
    return undefined;
  return nameKind(element);
}

function nameKind(element: Element): LeftKind | undefined {
  for (const name of `${attribute(element, 'id') ?? ''} ${attribute(element, 'class') ?? ''}`.split(/\s+/)) {
    if (name === '') continue;
    const words = name
      .replace(/([a-z])(?=[A-Z])/g, '$1-')
      .toLowerCase()
      .split(/[-_:]+/);
    if (words.length > 4) continue;
    for (const [kind, known] of NAMES)
      if (words.some((word) => known.has(word)) && !(words.length > 1 && TEXT_NAMES.has(words.at(-1)!))) return kind;
  }
  return undefined;
}

const LEAST_LINKS = 4;

/** A list that is nothing but short links. */
function isLinkList({ tagName }: Element, { letters, linked, links }: Measured): boolean {
  if (tagName !== 'ul' && tagName !== 'ol' && tagName !== 'div' && tagName !== 'table' && tagName !== 'section')
    return false;
  return links >= LEAST_LINKS && linked >= letters * 0.8 && linked / links <= 60;
}

function measure(element: Element, sizes: Map<Element, Measured>): Measured {
  let [letters, linked, links] = [0, 0, element.tagName === 'a' ? 1 : 0];
  let titles = element.tagName === 'h1' ? 1 : 0;
  if (element.tagName !== 'script' && element.tagName !== 'style')
    for (const child of element.childNodes) {
      if (isText(child)) letters += child.value.trim().length;
      else if (isElement(child)) {
        const inner = measure(child, sizes);
        letters += inner.letters;
        linked += inner.linked;
        links += inner.links;
        titles += inner.titles;
      }
    }
  if (element.tagName === 'a') linked = letters;
  const measured = { letters, linked, links, titles };
  sizes.set(element, measured);
  return measured;
}

const hasElement = (nodes: readonly Node[], tag: string): boolean =>
  nodes.some((node) => isElement(node) && (node.tagName === tag || hasElement(node.childNodes, tag)));
