/**
 * Turns HTML elements into blocks (HTML Standard, parsed by parse5). Scripts, styles and hidden elements are left
 * out; unknown elements give their text.
 */
import { parse, parseFragment } from 'parse5';
import { LIMITS, ReadError, type Report, type SourcePlace } from '../../base/index.ts';
import { safeLink, type Runs, type TableCell, type TableRow } from '../../content/index.ts';
import { dropForbidden } from '../../container/index.ts';
import { type LeftKind, type Level, type Look } from '../../document/index.ts';
import { cellRuns } from '../cell-runs.ts';
import { ELEMENT_MARKS, InlineRuns, type Mark } from '../inline-runs.ts';
import { namedPicture } from '../named-picture.ts';
import type { PictureStore } from '../picture-store.ts';
import { draftBreak, type Draft } from '../read-result.ts';
import { attribute, isElement, isText, textOf, type Element, type Node } from './elements.ts';
import { findFurniture } from './furniture.ts';
import { isLayout, span, tableRows } from './html-table.ts';
import { inlineStyle, type InlineStyle } from './inline-style.ts';
import { pastedItem } from './pasted-item.ts';

export interface MarkupContext {
  readonly report: Report;
  readonly pictures: PictureStore;
  readonly place: SourcePlace;
  readonly out: (draft: Draft) => void;
}

/** Subtrees that are not text. */
const LEFT_OUT = new Set('script style head template noscript svg object canvas input'.split(' '));
/** Subtrees of controls, whose labels are told of. */
const CONTROLS = new Set('button select textarea'.split(' '));
const MEDIA = new Set('iframe embed video audio'.split(' '));
const BLOCKS = new Set(
  'address article aside blockquote body center dd details dialog div dl dt fieldset figcaption figure footer form h1 h2 h3 h4 h5 h6 header hgroup hr html li main nav ol p pre section summary table td th caption tr ul'.split(
    ' ',
  ),
);

/** @throws ReadError `bomb` when elements are nested too deep. */
export function readMarkup(html: string, context: MarkupContext): void {
  new MarkupReader(context).read(parseFragment(html).childNodes);
}

/** Reads a page or a piece of one: what stands around its text is marked as left out. @throws ReadError `bomb`. */
export function readPage(html: string, context: MarkupContext): void {
  const whole = /<(?:html|body|head)\b/i.test(html);
  const { childNodes } = whole ? parse(html) : parseFragment(html);
  checkDepth(childNodes, context);
  new MarkupReader(context, findFurniture(childNodes)).read(childNodes);
}

function checkDepth(nodes: readonly Node[], { place }: MarkupContext): void {
  let level: readonly Node[] = nodes;
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > LIMITS.xmlDepth) throw new ReadError('bomb', place);
    level = level.filter(isElement).flatMap((element) => element.childNodes);
  }
}

interface ListState {
  readonly ordered: boolean;
  next: number;
}

class MarkupReader {
  readonly #context: MarkupContext;
  readonly #inline = new InlineRuns();
  readonly #lists: ListState[] = [];
  /** What the text being gathered will become. */
  #item: ListState | undefined;
  #quoted = 0;
  #depth = 0;
  #after: Draft[] = [];
  readonly #furniture: ReadonlyMap<Element, LeftKind>;
  #left: LeftKind | undefined;
  /** Of the block being read. */
  #style: InlineStyle | undefined;
  readonly #sizes: number[] = [];
  #largest = 0;

  constructor(context: MarkupContext, furniture: ReadonlyMap<Element, LeftKind> = new Map()) {
    this.#context = context;
    this.#furniture = furniture;
  }

  read(nodes: readonly Node[]): void {
    for (const node of nodes) this.#node(node);
    this.#flush();
  }

  #node(node: Node): void {
    if (isText(node)) {
      const text = dropForbidden(node.value).replace(/[ \t\r\n\f]+/g, ' ');
      if (text.trim() !== '') this.#largest = Math.max(this.#largest, this.#sizes.at(-1) ?? 0);
      if (text !== ' ' || !this.#inline.empty) this.#inline.text(text);
      return;
    }
    if (!isElement(node)) return;
    if (++this.#depth > LIMITS.xmlDepth) throw new ReadError('bomb', this.#context.place);
    this.#element(node);
    this.#depth--;
  }

  #children(element: Element): void {
    for (const child of element.childNodes) this.#node(child);
  }

  #element(element: Element): void {
    const name = element.tagName;
    const { place } = this.#context;
    if (LEFT_OUT.has(name)) return;
    const style = inlineStyle(element);
    if (style.hidden || CONTROLS.has(name)) {
      this.#dropped(element, style.hidden ? 'A hidden part' : 'A button or field');
      return;
    }
    const left = this.#furniture.get(element);
    if (left !== undefined && this.#left === undefined) {
      this.#flush();
      this.#left = left;
      this.#children(element);
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
        this.#inline.pushLink(safeLink(attribute(element, 'href') ?? ''));
        this.#children(element);
        this.#inline.popLink();
        return;
      case 'pre': {
        const text = textOf(element).replace(/\n$/, '');
        if (text.trim() !== '') this.#out({ kind: 'code', text: dropForbidden(text), place });
        return;
      }
      case 'ul':
      case 'ol':
        this.#lists.push({ ordered: name === 'ol', next: Number(attribute(element, 'start') ?? 1) || 1 });
        this.#children(element);
        this.#flush();
        this.#lists.pop();
        return;
      case 'li':
        this.#item = this.#lists.at(-1) ?? { ordered: false, next: 1 };
        this.#children(element);
        this.#flush();
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

  #out(draft: Draft): void {
    this.#context.out(this.#left === undefined ? draft : { ...draft, left: this.#left });
  }

  #dropped(element: Element, what: string): void {
    const text = textOf(element).replace(/\s+/g, ' ').trim();
    if (/[\p{L}\p{N}]/u.test(text))
      this.#context.report.add('markup-dropped', this.#context.place, { what, text: text.slice(0, 60) });
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
          depth: Math.max(1, this.#lists.length),
          ordered: item.ordered,
          ...(item.ordered ? { number: item.next++ } : {}),
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
    const item = pastedItem(runs, style);
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
    // Counters of visits are pictures that nobody sees.
    if (Number(attribute(element, 'width') ?? 9) <= 2 || Number(attribute(element, 'height') ?? 9) <= 2) return;
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
    const inner = new MarkupReader({ ...this.#context, out: (draft) => drafts.push(draft) });
    inner.#depth = this.#depth;
    inner.read(cell.childNodes);
    return cellRuns(drafts, outside);
  }
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
