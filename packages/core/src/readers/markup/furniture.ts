/**
 * Finds what stands around the text of a web page: navigation, adverts, share rows, cookie lines, related links,
 * comments. By elements and roles that say so, by place (beside the main text, at the edge of the page), by the share of
 * links, as in Kohlschütter et al., "Boilerplate Detection using Shallow Text Features" (2010), and by what stands on the
 * page twice. A word in the name that an author gave an element counts only beside one of these.
 */
import type { LeftKind } from '../../document/index.ts';
import { attribute, isElement, isText, textOf, type Element, type Node } from './elements.ts';

const ROLES: Readonly<Record<string, LeftKind>> = {
  navigation: 'navigation',
  menu: 'navigation',
  menubar: 'navigation',
  search: 'navigation',
  complementary: 'aside',
  contentinfo: 'page-footer',
  alertdialog: 'cookies',
};

/** Words in classes and ids; a name is parted at hyphens, underscores and capitals. They support other evidence and are none alone. */
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
  /** Links that say that they lead to the page before, after or above. */
  readonly steps: number;
  /** First-level headings in it. */
  readonly titles: number;
  /** Letters in paragraphs, items and cells that are no links. */
  readonly prose: number;
  /** Elements that hold text of their own: paragraphs, items, headings, tables. */
  readonly texts: number;
  /** Fields and buttons. */
  readonly controls: number;
}
const NOTHING: Measured = { letters: 0, linked: 0, links: 0, steps: 0, titles: 0, prose: 0, texts: 0, controls: 0 };

const TEXTS = new Set('p li h1 h2 h3 h4 h5 h6 td th dd dt blockquote pre'.split(' '));
const PROSE = new Set('p li dd td blockquote pre'.split(' '));
/** Elements that are never beside the text themselves. */
const NEVER =
  /^(body|html|main|article|h[1-6]|p|a|span|em|strong|b|i|li|td|th|tr|tbody|img|figure|pre|code|blockquote)$/;

const SHORT = 160; // letters
const LINKED = 0.5; // share of the letters
/** Share of the page's letters at its begin and its end that are its edges. */
const EDGE = 0.1;

/** @returns The outermost elements that are furniture, each with what it is. */
export function findFurniture(roots: readonly Node[]): ReadonlyMap<Element, LeftKind> {
  return new Finder(roots).found;
}

class Finder {
  readonly found = new Map<Element, LeftKind>();
  readonly #sizes = new Map<Element, Measured>();
  readonly #page: Measured;
  /** The elements that hold the text, where the page says which. */
  readonly #main: ReadonlySet<Element>;
  /** What stands around those. */
  readonly #around = new Set<Element>();
  readonly #twice: ReadonlySet<string>;
  /** Letters and prose of the page before the element that is looked at. */
  #before = 0;
  #prose = 0;

  constructor(roots: readonly Node[]) {
    const elements = roots.filter(isElement);
    this.#page = elements.map((root) => measure(root, this.#sizes)).reduce(sum, NOTHING);
    this.#main = this.#mainOf(elements);
    for (const main of this.#main)
      for (let outer = parentOf(main); outer !== undefined; outer = parentOf(outer)) this.#around.add(outer);
    this.#twice = this.#repeated();
    for (const root of elements) this.#walk(root, false);
  }

  /** `main`, else the element of that role, else the articles; only where they hold something worth the name. */
  #mainOf(roots: readonly Element[]): ReadonlySet<Element> {
    const choices = [
      (element: Element) => element.tagName === 'main' || attribute(element, 'role') === 'main',
      (element: Element) => element.tagName === 'article',
    ];
    for (const isMain of choices) {
      const found = [...outermost(roots, isMain)];
      const letters = found.reduce((count, element) => count + this.#sizes.get(element)!.letters, 0);
      const titled = found.some((element) => this.#sizes.get(element)!.titles > 0);
      if (letters >= this.#page.letters * (titled ? EDGE : 0.25) && letters > 0) return new Set(found);
    }
    return new Set();
  }

  /** Rows of links that the page has more than once, as above and below its text. */
  #repeated(): ReadonlySet<string> {
    const seen = new Map<string, number>();
    for (const [element, size] of this.#sizes)
      if (isRow(element, size)) seen.set(keyOf(element), (seen.get(keyOf(element)) ?? 0) + 1);
    return new Set([...seen].filter(([, count]) => count > 1).map(([key]) => key));
  }

  #walk(element: Element, inText: boolean): void {
    const size = this.#sizes.get(element)!;
    const kind = this.#kindOf(element, size, inText);
    if (kind !== undefined) {
      this.found.set(element, kind);
      this.#before += size.letters;
      return;
    }
    const text = inText || this.#main.has(element);
    for (const child of element.childNodes)
      if (isElement(child)) this.#walk(child, text);
      else if (isText(child)) this.#before += child.value.trim().length;
    if (PROSE.has(element.tagName)) this.#prose += size.prose;
  }

  #kindOf(element: Element, size: Measured, inText: boolean): LeftKind | undefined {
    const page = this.#page;
    const { letters } = size;
    // A site's own name may be a heading in its menu, beside that of the page.
    if (size.titles > 0 && size.titles === page.titles) return undefined;
    if (this.#main.has(element) || this.#around.has(element)) return undefined;
    const named = NEVER.test(element.tagName) ? undefined : nameKind(element);
    // What holds most of the page is not beside the text; comments may be longer than it.
    const most = named === 'comments' && this.#prose > 0 ? 0.95 : 0.5;
    if (letters > Math.max(page.letters * most, 200) && !(this.#main.size > 0 && !inText)) return undefined;
    const said = saidKind(element, size, inText);
    if (said !== undefined) return said;
    if (letters === 0 && size.links === 0) return undefined;
    if (this.#main.size > 0 && !inText) {
      return named ?? (element.tagName === 'header' || isLinked(size) ? 'navigation' : 'aside');
    }
    if (isRow(element, size) && (size.steps > 0 || this.#twice.has(keyOf(element)) || isTrail(element, size)))
      return 'navigation';
    if (named !== undefined && this.#supports(named, size)) return named;
    if (inText || !isLinkList(element, size)) return undefined;
    const begun = this.#prose > Math.max(SHORT, page.prose * EDGE);
    return !begun ? 'navigation' : this.#prose > page.prose * 0.5 ? 'related' : undefined;
  }

  /** Whether more than its name speaks for an element being beside the text. */
  #supports(kind: LeftKind, size: Measured): boolean {
    if (isLinked(size)) return true;
    // Short, without paragraphs of its own: a notice, a button, an advert.
    if (size.letters <= SHORT && (size.texts === 0 || size.controls > 0)) return true;
    const after = this.#page.letters - this.#before - size.letters;
    const edge = Math.min(this.#before, after) <= this.#page.letters * EDGE;
    if (kind === 'comments') return this.#prose > 0 && edge;
    return (
      edge && size.letters <= Math.max(SHORT, this.#page.letters * EDGE) && (this.#prose === 0 || size.prose <= SHORT)
    );
  }
}

/** What an element says of itself by its tag or its role. */
function saidKind(element: Element, size: Measured, inText: boolean): LeftKind | undefined {
  const role = ROLES[attribute(element, 'role') ?? ''];
  if (role === 'aside' && inText) return undefined;
  if (role !== undefined) return role;
  switch (element.tagName) {
    case 'nav':
      return 'navigation';
    // Within an article, an aside is the author's own, and a footer may hold its sources.
    case 'aside':
      return inText ? undefined : 'aside';
    case 'footer':
      return inText ? undefined : 'page-footer';
    // A form around the text is told from one beside it by what it holds.
    case 'form':
      return inText || size.prose > SHORT ? undefined : 'sign-up';
    default:
      return undefined;
  }
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

const isLinked = ({ letters, linked, links }: Measured): boolean => links > 0 && linked >= letters * LINKED;

const LEAST_LINKS = 4;

/** A list that is nothing but short links. */
function isLinkList({ tagName }: Element, { letters, linked, links }: Measured): boolean {
  if (!/^(ul|ol|div|table|section|dl)$/.test(tagName)) return false;
  return links >= LEAST_LINKS && linked >= letters * 0.8 && linked / links <= 60;
}

const ROWS = /^(div|ul|ol|p|table|section|header|footer|dl|center)$/;

/** A short row of links, of which nothing else is much. */
const isRow = ({ tagName }: Element, { letters, linked, links, steps }: Measured): boolean =>
  ROWS.test(tagName) &&
  ((links >= 1 && letters <= 300 && linked >= letters * 0.4) || (steps >= 2 && letters <= MOST_BETWEEN));
/** Letters of a row between links back and on: the name of the book. */
const MOST_BETWEEN = 120;

const keyOf = (element: Element): string => textOf(element).replace(/\s+/g, ' ').trim();

/** Links one within the other, from the site to the page: parted by arrows or slashes. */
const isTrail = (element: Element, { links, texts }: Measured): boolean =>
  links >= 2 &&
  texts <= links + 1 &&
  /^[^>›»/→]{1,60}(?:\s[>›»/→]\s[^>›»/→]{1,60}){2,6}[>›»/→]?\s*$/.test(keyOf(element));

const STEP_KEYS = new Set(['p', 'n', 'u']);

/** Whether a link leads a page on, back or up: it says so by its relation, or by the key that follows it. */
function isStep(element: Element): boolean {
  const rels = (attribute(element, 'rel') ?? '').toLowerCase().split(/\s+/);
  return (
    rels.some((rel) => rel === 'prev' || rel === 'next' || rel === 'up' || rel === 'previous') ||
    STEP_KEYS.has((attribute(element, 'accesskey') ?? '').toLowerCase())
  );
}

const sum = (a: Measured, b: Measured): Measured => ({
  letters: a.letters + b.letters,
  linked: a.linked + b.linked,
  links: a.links + b.links,
  steps: a.steps + b.steps,
  titles: a.titles + b.titles,
  prose: a.prose + b.prose,
  texts: a.texts + b.texts,
  controls: a.controls + b.controls,
});

function measure(element: Element, sizes: Map<Element, Measured>): Measured {
  const { tagName } = element;
  let size = NOTHING;
  if (tagName !== 'script' && tagName !== 'style' && tagName !== 'noscript' && tagName !== 'template')
    for (const child of element.childNodes) {
      if (isText(child)) size = { ...size, letters: size.letters + child.value.trim().length };
      else if (isElement(child)) size = sum(size, measure(child, sizes));
    }
  const link = tagName === 'a' && attribute(element, 'href') !== undefined;
  size = {
    ...size,
    linked: link ? size.letters : size.linked,
    links: size.links + (link ? 1 : 0),
    steps: size.steps + (link && isStep(element) ? 1 : 0),
    titles: size.titles + (tagName === 'h1' ? 1 : 0),
    prose: PROSE.has(tagName) ? Math.max(size.prose, size.letters - size.linked) : size.prose,
    texts: size.texts + (TEXTS.has(tagName) && size.letters > 0 ? 1 : 0),
    controls: size.controls + (/^(button|input|select|textarea|iframe)$/.test(tagName) ? 1 : 0),
  };
  sizes.set(element, size);
  return size;
}

const parentOf = (element: Element): Element | undefined => {
  const parent = element.parentNode;
  return parent !== null && 'tagName' in parent ? parent : undefined;
};

function* outermost(elements: readonly Element[], test: (element: Element) => boolean): Generator<Element> {
  for (const element of elements) {
    if (test(element)) yield element;
    else yield* outermost(element.childNodes.filter(isElement), test);
  }
}
