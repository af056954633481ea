/**
 * Turns HTML elements into blocks (HTML Standard, parsed by parse5). Scripts, styles and hidden elements are left
 * out; unknown elements give their text.
 */
import { parse, parseFragment } from 'parse5';
import { formatNumber, LIMITS, ReadError, type NumberFormat, type Report, type SourcePlace } from '../../base/index.ts';
import {
  runsText,
  safeLink,
  sliceRuns,
  trimRuns,
  type Runs,
  type TableCell,
  type TableRow,
} from '../../content/index.ts';
import { dropForbidden } from '../../container/index.ts';
import { type Direction, type LeftKind, type Level, type Look } from '../../document/index.ts';
import { cellRuns } from '../cell-runs.ts';
import { ELEMENT_MARKS, InlineRuns, type Mark } from '../inline-runs.ts';
import { namedPicture } from '../named-picture.ts';
import type { PictureStore } from '../picture-store.ts';
import type { PlaceNames } from '../place-names.ts';
import { Spoken } from '../spoken.ts';
import { draftBreak, type Draft } from '../read-result.ts';
import { attribute, isElement, isText, textOf, type Element, type Node } from './elements.ts';
import { findFurniture } from './furniture.ts';
import { formatOfSign, formatOfStyle, itemLabel } from '../list-label.ts';
import { findNotes, target, type PageNote } from './notes.ts';
import { findTitles } from './page-title.ts';
import { isSpacer } from '../spacer.ts';
import { isLayout, span, tableRows } from './html-table.ts';
import { inlineStyle, type InlineStyle } from './inline-style.ts';
import { pastedItem } from './pasted-item.ts';

export interface MarkupContext {
  readonly report: Report;
  readonly pictures: PictureStore;
  readonly place: SourcePlace;
  readonly out: (draft: Draft) => void;
  /** Where a name is kept for the next that is given out. */
  readonly names: PlaceNames;
}

/** Subtrees that are not text. */
const LEFT_OUT = new Set('script style head template noscript input'.split(' '));
/** Subtrees that are drawn; words in them are told of. */
const DRAWN = new Set('svg object canvas'.split(' '));
/** Subtrees of controls, whose labels are told of. */
const CONTROLS = new Set('button select textarea'.split(' '));
const MEDIA = new Set('iframe embed video audio'.split(' '));
const BLOCKS = new Set(
  'address article aside blockquote body center dd details dialog div dl dt fieldset figcaption figure footer form h1 h2 h3 h4 h5 h6 header hgroup hr html li main nav ol p pre section summary table td th caption tr ul'.split(
    ' ',
  ),
);

/** @throws ReadError `too-deep` when elements are nested too deep. */
export function readMarkup(html: string, context: MarkupContext): void {
  new MarkupReader(context).read(parseFragment(html).childNodes);
}

/**
 * Reads a page or a piece of one: what stands around its text is marked as left out.
 * @returns Its tree, for the ledger.
 * @throws ReadError `too-deep`.
 */
export function readPage(html: string, context: MarkupContext): readonly Node[] {
  const whole = /<(?:html|body|head)\b/i.test(html);
  const { childNodes } = whole ? parse(html) : parseFragment(html);
  checkDepth(childNodes, context);
  new MarkupReader(context, {
    furniture: findFurniture(childNodes),
    notes: findNotes(childNodes),
    told: new Set(),
    titles: findTitles(childNodes),
  }).read(childNodes);
  return childNodes;
}

function checkDepth(nodes: readonly Node[], { place }: MarkupContext): void {
  let level: readonly Node[] = nodes;
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > LIMITS.xmlDepth) throw new ReadError('too-deep', place);
    level = level.filter(isElement).flatMap((element) => element.childNodes);
  }
}

/** What is known of a whole page before it is read. */
interface PageParts {
  readonly furniture: ReadonlyMap<Element, LeftKind>;
  readonly notes: ReadonlyMap<string, PageNote>;
  /** Notes that stand in the text already. */
  readonly told: Set<PageNote>;
  /** Elements whose class says that they are the title of the page. */
  readonly titles: ReadonlySet<Element>;
}
const NO_PARTS: PageParts = { furniture: new Map(), notes: new Map(), told: new Set(), titles: new Set() };

interface ListState {
  readonly ordered: boolean;
  readonly format: NumberFormat;
  readonly step: 1 | -1;
  next: number;
}
const PLAIN_LIST: ListState = { ordered: false, format: 'decimal', step: 1, next: 1 };

class MarkupReader {
  readonly #context: MarkupContext;
  readonly #inline = new InlineRuns();
  readonly #lists: ListState[] = [];
  /** What the text being gathered will become. */
  #item: ListState | undefined;
  #quoted = 0;
  /** Terms of a definition list that are open. */
  #terms = 0;
  #depth = 0;
  #after: Draft[] = [];
  readonly #parts: PageParts;
  readonly #noteElements: ReadonlySet<Element>;
  #left: LeftKind | undefined;
  /** Of the block being read. */
  #style: InlineStyle | undefined;
  readonly #sizes: number[] = [];
  #largest = 0;
  /** Of the elements around, innermost last. */
  readonly #languages: string[] = [];
  readonly #directions: Direction[] = [];
  #spoken = new Spoken();

  constructor(context: MarkupContext, parts = NO_PARTS) {
    this.#context = context;
    this.#parts = parts;
    this.#noteElements = new Set([...parts.notes.values()].map(({ element }) => element));
  }

  read(nodes: readonly Node[]): void {
    for (const node of nodes) this.#node(node);
    this.#flush();
  }

  #node(node: Node): void {
    if (isText(node)) {
      const text = dropForbidden(node.value).replace(/[ \t\r\n\f]+/g, ' ');
      if (text.trim() !== '') this.#largest = Math.max(this.#largest, this.#sizes.at(-1) ?? 0);
      this.#spoken.add(text, this.#languages.at(-1));
      if (text !== ' ' || !this.#inline.empty) this.#inline.text(text);
      return;
    }
    if (!isElement(node)) return;
    if (++this.#depth > LIMITS.xmlDepth) throw new ReadError('too-deep', this.#context.place);
    // What a page says of all of itself is the document's.
    const language = PAGE.has(node.tagName) ? undefined : languageAt(node);
    const direction = attribute(node, 'dir')?.toLowerCase();
    const told = direction === 'rtl' || direction === 'ltr' ? direction : undefined;
    // A block that begins ends the text before it, which is not in its language.
    if ((language !== undefined || told !== undefined) && BLOCKS.has(node.tagName)) this.#flush();
    if (language !== undefined) this.#languages.push(language);
    if (told !== undefined) this.#directions.push(told);
    this.#element(node);
    if (language !== undefined) this.#languages.pop();
    if (told !== undefined) this.#directions.pop();
    this.#depth--;
  }

  #children(element: Element): void {
    for (const child of element.childNodes) this.#node(child);
  }

  #element(element: Element): void {
    const name = element.tagName;
    const { place } = this.#context;
    if (LEFT_OUT.has(name)) return;
    if (CONTROLS.has(name) || DRAWN.has(name)) {
      this.#dropped(element, DRAWN.has(name) ? 'A drawing' : 'A button or field');
      return;
    }
    // A note stands where it is referred to.
    if (this.#noteElements.has(element)) return;
    const style = this.#styleOf(element);
    const hidden = style.hidden && !WHOLE.has(name);
    if (hidden && !BLOCKS.has(name)) {
      this.#dropped(element, 'A hidden part');
      return;
    }
    const left = this.#parts.furniture.get(element) ?? (hidden ? 'hidden' : undefined);
    if (left !== undefined && this.#left === undefined) {
      this.#flush();
      this.#left = left;
      this.#element(element);
      this.#flush();
      this.#left = undefined;
      return;
    }
    if (MEDIA.has(name)) {
      this.#media(element);
      return;
    }
    if (BLOCKS.has(name)) {
      this.#flush();
      this.#style = style;
    }
    this.#context.names.add(attribute(element, 'id'));
    if (name === 'a') this.#context.names.add(attribute(element, 'name'));
    const heading = /^h([1-6])$/.exec(name);
    if (heading !== null) {
      this.#children(element);
      const runs = this.#inline.take();
      if (runs.length > 0) this.#out({ kind: 'heading', level: Number(heading[1]) as Level, runs, place });
      this.#flushAside();
      return;
    }
    switch (name) {
      case 'br':
        this.#inline.text('\n');
        return;
      case 'hr':
        this.#out(draftBreak('rule', place));
        return;
      case 'img':
        this.#picture(element);
        return;
      case 'title':
        return;
      case 'math':
        this.#context.report.add('equation-flattened', place);
        this.#inline.text(dropForbidden(textOf(element)).replace(/\s+/g, ' '));
        return;
      case 'a':
        this.#anchor(element);
        return;
      case 'pre': {
        const text = textOf(element).replace(/\n$/, '');
        if (text.trim() !== '') this.#out({ kind: 'code', text: dropForbidden(text), place });
        return;
      }
      case 'ul':
      case 'ol':
        this.#lists.push(listState(element));
        this.#children(element);
        this.#flush();
        this.#lists.pop();
        return;
      case 'li':
        this.#item = this.#lists.at(-1) ?? { ...PLAIN_LIST };
        if (this.#item.ordered && Number.isInteger(Number(attribute(element, 'value') ?? NaN)))
          this.#item.next = Number(attribute(element, 'value'));
        this.#children(element);
        this.#flush();
        this.#item = undefined;
        return;
      case 'dt':
        this.#item = { ...PLAIN_LIST };
        this.#terms++;
        this.#children(element);
        this.#flush();
        this.#terms--;
        this.#item = undefined;
        return;
      case 'blockquote':
        this.#quoted++;
        this.#children(element);
        this.#flush();
        this.#quoted--;
        return;
      case 'table':
        if (isLayout(element)) this.#children(element);
        else this.#table(element);
        this.#flush();
        return;
    }
    const marks = marksOf(name, style);
    for (const mark of marks) this.#inline.push(mark);
    if (style.size !== undefined) this.#sizes.push(style.size);
    this.#children(element);
    if (style.size !== undefined) this.#sizes.pop();
    for (const mark of marks) this.#inline.pop(mark);
    if (BLOCKS.has(name)) this.#flush();
  }

  #styleOf(element: Element): InlineStyle {
    const style = inlineStyle(element);
    if (element.tagName === 'figcaption') return { ...style, use: 'caption' };
    // One that is among many, or stands in a box, is the title of that.
    return style.use === 'title' && !this.#parts.titles.has(element) ? { ...style, use: undefined } : style;
  }

  #anchor(element: Element): void {
    const href = attribute(element, 'href');
    if (href === undefined) {
      this.#children(element);
      return;
    }
    const text = textOf(element).trim();
    // A sign beside a heading by which one can link to it, or one that leads back from a note.
    if (href.startsWith('#') && SIGNS_ONLY.test(text) && !holdsPicture(element)) return;
    const note = this.#noteOf(href);
    if (note !== undefined) {
      this.#context.report.mark(text);
      if (!this.#parts.told.has(note)) this.#after.push(...this.#note(note));
      return;
    }
    this.#inline.pushLink(safeLink(href));
    this.#children(element);
    this.#inline.popLink();
  }

  #noteOf(href: string): PageNote | undefined {
    if (!href.startsWith('#') || this.#parts.notes.size === 0) return undefined;
    return this.#parts.notes.get(target(href));
  }

  #note(note: PageNote): readonly Draft[] {
    this.#parts.told.add(note);
    const drafts: Draft[] = [];
    const outside: Draft[] = [];
    const inner = new MarkupReader({ ...this.#context, out: (draft) => drafts.push(draft) });
    inner.#depth = this.#depth;
    inner.read(note.element.childNodes);
    const runs = trimRuns(cellRuns(drafts, outside));
    // The note repeats its number, with or without a bracket.
    const text = runsText(runs);
    const own = text.startsWith(note.label) ? /^[[(]?\S{1,4}?[\]).:]?\s+/u.exec(text)?.[0] : undefined;
    const length = own?.replace(/[^\p{L}\p{N}]/gu, '') === note.label ? own.length : 0;
    if (length > 0) this.#context.report.mark(note.label);
    const rest = trimRuns(sliceRuns(runs, length, text.length));
    const { place } = this.#context;
    return rest.length === 0 ? outside : [{ kind: 'footnote', label: note.label, runs: rest, place }, ...outside];
  }

  #out(draft: Draft): void {
    this.#context.out({
      ...draft,
      ...(draft.kind === 'break' || draft.kind === 'picture' ? {} : this.#speech()),
      ...(this.#left === undefined ? {} : { left: this.#left }),
    });
  }

  /** The language and direction of the text that was gathered. */
  #speech(): ReturnType<Spoken['take']> {
    const direction = this.#directions.at(-1);
    if (direction !== undefined) this.#spoken.direction = direction;
    const speech = this.#spoken.take();
    this.#spoken = new Spoken();
    return speech;
  }

  #dropped(element: Element, what: string): void {
    const text = textOf(element).replace(/\s+/g, ' ').trim();
    if (/[\p{L}\p{N}]/u.test(text))
      this.#context.report.add('markup-dropped', this.#context.place, { what, text: text });
  }

  /** A video or sound stays a link with its title. */
  #media(element: Element): void {
    const source =
      attribute(element, 'src') ??
      element.childNodes
        .filter(isElement)
        .map((child) => attribute(child, 'src'))
        .find((src) => src !== undefined);
    const link = safeLink(source?.replace(/^\/\//, 'https://') ?? '');
    const title = attribute(element, 'title') ?? attribute(element, 'aria-label');
    if (link === undefined) this.#dropped(element, 'A video or sound');
    else this.#out({ kind: 'paragraph', runs: [{ text: title?.trim() || link, link }], place: this.#context.place });
  }

  /** Ends the paragraph being gathered. */
  #flush(): void {
    const runs = this.#inline.take();
    const { place } = this.#context;
    const look = this.#look();
    this.#largest = 0;
    if (runs.length > 0) {
      const item = this.#item;
      if (item !== undefined) {
        this.#out({
          kind: 'listItem',
          depth: Math.max(1, this.#lists.length + this.#terms),
          ordered: item.ordered,
          ...(item.ordered ? numbered(item) : {}),
          runs,
          place,
        });
        // A second paragraph of the item is text that belongs to it, not an item.
        this.#item = undefined;
      } else if (this.#quoted > 0) this.#out({ kind: 'quote', runs, place });
      else this.#out(this.#paragraph(runs, look));
    }
    this.#flushAside();
  }

  #look(): Look | undefined {
    const align = this.#style?.align;
    if (this.#largest === 0 && align === undefined) return undefined;
    return { ...(this.#largest > 0 ? { size: this.#largest } : {}), ...(align === undefined ? {} : { align }) };
  }

  /** A paragraph, or what its style and its first characters say it is. */
  #paragraph(runs: Runs, look: Look | undefined): Draft {
    const { place } = this.#context;
    const style = this.#style;
    const use = style?.use;
    if (typeof use === 'number') return { kind: 'heading', level: use, runs, place };
    if (use === 'quote') return { kind: 'quote', runs, place };
    if (use === 'title' || use === 'subtitle' || use === 'caption')
      return { kind: 'paragraph', role: use, runs, place };
    const item = pastedItem(runs, style, this.#context.report);
    if (item !== undefined) return { ...item, place };
    return { kind: 'paragraph', runs, place, ...(look === undefined ? {} : { look }) };
  }

  #flushAside(): void {
    for (const draft of this.#after) this.#out(draft);
    this.#after = [];
  }

  #picture(element: Element): void {
    const source = attribute(element, 'src');
    if (source === undefined || source === '') return;
    const { width, height } = inlineStyle(element);
    if (isSpacer(width, height)) return;
    this.#after.push(
      namedPicture(
        source,
        attribute(element, 'alt') ?? null,
        this.#context.place,
        this.#context.pictures,
        this.#context.report,
      ),
    );
  }

  #table(table: Element): void {
    const { place } = this.#context;
    const rows: TableRow[] = [];
    const outside: Draft[] = [];
    for (const part of table.childNodes)
      if (isElement(part) && part.tagName === 'caption') {
        const runs = this.#cell(part, outside);
        if (runs.length > 0) this.#out({ kind: 'paragraph', role: 'caption', runs, place });
      }
    for (const { row, head } of tableRows(table)) {
      const cells = row.childNodes.filter((node): node is Element => node.nodeName === 'td' || node.nodeName === 'th');
      rows.push({
        header: head || (rows.length === 0 && cells.length > 1 && cells.every((cell) => cell.tagName === 'th')),
        cells: cells.map((cell): TableCell => ({
          runs: this.#cell(cell, outside),
          columns: span(cell, 'colspan'),
          rows: span(cell, 'rowspan'),
        })),
      });
    }
    const columns = Math.max(0, ...rows.map((row) => row.cells.reduce((sum, cell) => sum + cell.columns, 0)));
    if (rows.some((row) => row.cells.some((cell) => cell.runs.length > 0)))
      this.#out({ kind: 'table', table: { rows, columns }, place });
    for (const draft of outside) this.#out(draft);
  }

  #cell(cell: Element, outside: Draft[]): Runs {
    const drafts: Draft[] = [];
    this.#context.names.add(attribute(cell, 'id'));
    const inner = new MarkupReader({ ...this.#context, out: (draft) => drafts.push(draft) }, this.#parts);
    inner.#depth = this.#depth;
    inner.read(cell.childNodes);
    return cellRuns(drafts, outside);
  }
}

const PAGE = new Set(['html', 'body']);
const languageAt = (element: Element): string | undefined =>
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

const WHOLE = new Set(['html', 'body', 'main', 'article']);
/** What a link shows that is no word: the sign of a section, an arrow back. */
const SIGNS_ONLY = /^[\s\p{P}\p{S}\u{1f517}\ufe0e\ufe0f]*$/u;

const holdsPicture = (element: Element): boolean =>
  element.childNodes.some((child) => isElement(child) && (child.tagName === 'img' || holdsPicture(child)));

/** An ordered list with its kind and start (HTML Standard, "The ol element"). */
function listState(element: Element): ListState {
  if (element.tagName !== 'ol') return { ...PLAIN_LIST };
  const reversed = attribute(element, 'reversed') !== undefined;
  const items = element.childNodes.filter((child) => child.nodeName === 'li').length;
  const start = Number.parseInt(attribute(element, 'start') ?? '', 10);
  return {
    ordered: true,
    format: formatOfStyle(attribute(element, 'style') ?? '') ?? formatOfSign(attribute(element, 'type')),
    step: reversed ? -1 : 1,
    next: Number.isNaN(start) ? (reversed ? items : 1) : start,
  };
}

/** The number of the next item, which is counted. */
function numbered(list: ListState): { readonly number: number; readonly label?: string } {
  const number = list.next;
  list.next += list.step;
  return { number, ...itemLabel(number, `${formatNumber(number, list.format)}.`) };
}

function marksOf(name: string, { bold, italic, strike, mono }: InlineStyle): readonly Mark[] {
  const own = ELEMENT_MARKS[name];
  const marks: Mark[] = [];
  // Editors wrap whole pages in a bold element whose style says that it is not bold.
  if (own !== undefined && !(own === 'bold' && bold === false) && !(own === 'italic' && italic === false))
    marks.push(own);
  if (bold && own !== 'bold' && !/^h[1-6]$/.test(name)) marks.push('bold');
  if (italic && own !== 'italic') marks.push('italic');
  if (strike && own !== 'strike') marks.push('strike');
  if (mono && own !== 'code' && name !== 'pre' && !BLOCKS.has(name)) marks.push('code');
  return marks;
}
