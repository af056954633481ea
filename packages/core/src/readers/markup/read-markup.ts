/**
 * Turns HTML elements into blocks (HTML Standard, parsed by parse5). Scripts, styles and hidden elements are left
 * out; unknown elements give their text.
 */
import { parseFragment, type DefaultTreeAdapterTypes } from 'parse5';
import { LIMITS, ReadError, type Report, type SourcePlace } from '../../base/index.ts';
import { safeLink, type TableCell, type TableRow } from '../../content/index.ts';
import { dropForbidden } from '../../container/index.ts';
import type { Level } from '../../document/index.ts';
import { ELEMENT_MARKS, InlineRuns } from '../inline-runs.ts';
import { namedPicture } from '../named-picture.ts';
import type { PictureStore } from '../picture-store.ts';
import { draftBreak, type Draft } from '../read-result.ts';

type Node = DefaultTreeAdapterTypes.ChildNode;
type Element = DefaultTreeAdapterTypes.Element;

export interface MarkupContext {
  readonly report: Report;
  readonly pictures: PictureStore;
  readonly place: SourcePlace;
  readonly out: (draft: Draft) => void;
}

const LEFT_OUT = new Set([
  'script',
  'style',
  'head',
  'template',
  'noscript',
  'svg',
  'math',
  'iframe',
  'object',
  'embed',
  'form',
  'input',
  'button',
  'select',
  'textarea',
  'audio',
  'canvas',
]);
const BLOCKS = new Set([
  'address',
  'article',
  'aside',
  'blockquote',
  'body',
  'center',
  'dd',
  'details',
  'dialog',
  'div',
  'dl',
  'dt',
  'fieldset',
  'figcaption',
  'figure',
  'footer',
  'h1',
  'h2',
  'h3',
  'h4',
  'h5',
  'h6',
  'header',
  'hgroup',
  'hr',
  'html',
  'li',
  'main',
  'nav',
  'ol',
  'p',
  'pre',
  'section',
  'summary',
  'table',
  'ul',
]);

/** @throws ReadError `bomb` when elements are nested too deep. */
export function readMarkup(html: string, context: MarkupContext): void {
  new MarkupReader(context).read(parseFragment(html).childNodes);
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

  constructor(context: MarkupContext) {
    this.#context = context;
  }

  read(nodes: readonly Node[]): void {
    for (const node of nodes) this.#node(node);
    this.#flush();
  }

  #node(node: Node): void {
    if (node.nodeName === '#text') {
      const text = dropForbidden((node as DefaultTreeAdapterTypes.TextNode).value).replace(/[ \t\r\n\f]+/g, ' ');
      if (text !== ' ' || !this.#inline.empty) this.#inline.text(text);
      return;
    }
    if (!('tagName' in node)) return;
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
    if (
      LEFT_OUT.has(name) ||
      attribute(element, 'hidden') !== undefined ||
      /display\s*:\s*none/i.test(attribute(element, 'style') ?? '')
    )
      return;
    if (BLOCKS.has(name)) this.#flush();
    const heading = /^h([1-6])$/.exec(name);
    if (heading !== null) {
      this.#children(element);
      const runs = this.#inline.take();
      if (runs.length > 0) this.#context.out({ kind: 'heading', level: Number(heading[1]) as Level, runs, place });
      this.#flushAside();
      return;
    }
    switch (name) {
      case 'br':
        this.#inline.text('\n');
        return;
      case 'hr':
        this.#context.out(draftBreak('rule', place));
        return;
      case 'img':
        this.#picture(element);
        return;
      case 'a':
        this.#inline.pushLink(safeLink(attribute(element, 'href') ?? ''));
        this.#children(element);
        this.#inline.popLink();
        return;
      case 'pre': {
        const text = textOf(element).replace(/\n$/, '');
        if (text.trim() !== '') this.#context.out({ kind: 'code', text: dropForbidden(text), place });
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
        this.#table(element);
        return;
    }
    const mark = ELEMENT_MARKS[name];
    if (mark !== undefined) this.#inline.push(mark);
    this.#children(element);
    if (mark !== undefined) this.#inline.pop(mark);
    if (BLOCKS.has(name)) this.#flush();
  }

  /** Ends the paragraph being gathered. */
  #flush(): void {
    const runs = this.#inline.take();
    const { out, place } = this.#context;
    if (runs.length > 0) {
      const item = this.#item;
      if (item !== undefined) {
        out({
          kind: 'listItem',
          depth: Math.max(1, this.#lists.length),
          ordered: item.ordered,
          ...(item.ordered ? { number: item.next++ } : {}),
          runs,
          place,
        });
        // A second paragraph of the item is text that belongs to it, not an item.
        this.#item = undefined;
      } else if (this.#quoted > 0) out({ kind: 'quote', runs, place });
      else out({ kind: 'paragraph', runs, place });
    }
    this.#flushAside();
  }

  #flushAside(): void {
    for (const draft of this.#after) this.#context.out(draft);
    this.#after = [];
  }

  #picture(element: Element): void {
    const source = attribute(element, 'src');
    if (source === undefined || source === '') return;
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
    const { place, out } = this.#context;
    const rows: TableRow[] = [];
    const outside: Draft[] = [];
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
      out({ kind: 'table', table: { rows, columns }, place });
    for (const draft of outside) out(draft);
  }

  #cell(cell: Element, outside: Draft[]) {
    const inline = new InlineRuns();
    const inner = new MarkupReader({
      ...this.#context,
      out: (draft) => {
        if (draft.kind === 'picture') outside.push(draft);
        if (!inline.empty) inline.text('\n');
        if ('runs' in draft) for (const run of draft.runs) inline.text(run.text);
        else if (draft.kind === 'code') inline.text(draft.text);
      },
    });
    inner.#depth = this.#depth;
    inner.read(cell.childNodes);
    return inline.take();
  }
}

function* tableRows(table: Element): Generator<{ row: Element; head: boolean }> {
  for (const part of table.childNodes) {
    if (!('tagName' in part)) continue;
    if (part.tagName === 'tr') yield { row: part, head: false };
    else
      for (const row of part.childNodes)
        if (row.nodeName === 'tr') yield { row: row as Element, head: part.tagName === 'thead' };
  }
}

const span = (cell: Element, name: string): number => Math.min(Math.max(1, Number(attribute(cell, name)) || 1), 100);

function attribute(element: Element, name: string): string | undefined {
  return element.attrs.find((attr) => attr.name === name)?.value;
}

function textOf(element: Element): string {
  let text = '';
  for (const child of element.childNodes) {
    if (child.nodeName === '#text') text += (child as DefaultTreeAdapterTypes.TextNode).value;
    else if (child.nodeName === 'br') text += '\n';
    else if ('tagName' in child) text += textOf(child);
  }
  return text;
}
