/**
 * Turns HTML elements into blocks (HTML Standard, parsed by parse5). Scripts, styles and hidden elements are left
 * out; unknown elements give their text.
 */
import { parseFragment } from 'parse5';
import type { Report, SourcePlace } from '../../base/index.ts';
import { runsText, safeLink, sliceRuns, trimRuns, type Runs } from '../../content/index.ts';
import { dropForbidden } from '../../container/index.ts';
import { type LeftKind, type Level, type Look } from '../../document/index.ts';
import { cellRuns } from '../cell-runs.ts';
import { namedPicture } from '../named-picture.ts';
import type { PictureStore } from '../picture-store.ts';
import type { PlaceNames } from '../place-names.ts';
import { draftBreak, type Draft } from '../read-result.ts';
import { attribute, checkDepth, isElement, isText, sourceOf, textOf, type Element, type Node } from './elements.ts';
import { BLOCKS, CONTROLS, DRAWN, LEFT_OUT, marksOf, MEDIA, PAGE, WHOLE } from './element-kinds.ts';
import { listState, numbered, PLAIN_LIST, type ListState } from './list-state.ts';
import { target, type PageNote } from './notes.ts';
import { languageAt } from './page-says.ts';
import { isSpacer } from '../spacer.ts';
import { Gathered } from './gathered.ts';
import { isLayout, tableOf } from './html-table.ts';
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

/** @throws ReadError `too-deep` when elements are nested too deep. */
export function readMarkup(html: string, context: MarkupContext): void {
  const { childNodes } = parseFragment(html);
  checkDepth(childNodes, context.place);
  new MarkupReader(context).read(childNodes);
}

/** What is known of a whole page before it is read. */
export interface PageParts {
  readonly furniture: ReadonlyMap<Element, LeftKind>;
  readonly notes: ReadonlyMap<string, PageNote>;
  /** Notes that stand in the text already. */
  readonly told: Set<PageNote>;
  /** Elements whose class says that they are the title of the page. */
  readonly titles: ReadonlySet<Element>;
}
const NO_PARTS: PageParts = { furniture: new Map(), notes: new Map(), told: new Set(), titles: new Set() };

export class MarkupReader {
  readonly #context: MarkupContext;
  readonly #text = new Gathered();
  readonly #lists: ListState[] = [];
  /** What the text being gathered will become. */
  #item: ListState | undefined;
  #quoted = 0;
  /** Terms of a definition list that are open. */
  #terms = 0;
  #after: Draft[] = [];
  readonly #parts: PageParts;
  readonly #noteElements: ReadonlySet<Element>;
  #left: LeftKind | undefined;
  /** Of the block being read. */
  #style: InlineStyle | undefined;

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
      this.#text.text(node.value);
      return;
    }
    if (!isElement(node)) return;
    // What a page says of all of itself is the document's.
    const language = PAGE.has(node.tagName) ? undefined : languageAt(node);
    const direction = attribute(node, 'dir')?.toLowerCase();
    const told = direction === 'rtl' || direction === 'ltr' ? direction : undefined;
    // A block that begins ends the text before it, which is not in its language.
    if ((language !== undefined || told !== undefined) && BLOCKS.has(node.tagName)) this.#flush();
    this.#text.within({ language, direction: told }, () => this.#element(node));
  }

  #children(element: Element): void {
    for (const child of element.childNodes) this.#node(child);
  }

  /** As a paragraph of its own, or several. */
  #whole(element: Element): void {
    this.#children(element);
    this.#flush();
  }

  #element(element: Element): void {
    const name = element.tagName;
    if (LEFT_OUT.has(name)) return;
    if (CONTROLS.has(name) || DRAWN.has(name))
      return this.#dropped(element, DRAWN.has(name) ? 'A drawing' : 'A button or field');
    // A note stands where it is referred to.
    if (this.#noteElements.has(element)) return;
    const style = this.#styleOf(element);
    const hidden = style.hidden && !WHOLE.has(name);
    if (hidden && !BLOCKS.has(name)) return this.#dropped(element, 'A hidden part');
    const left = this.#parts.furniture.get(element) ?? (hidden ? 'hidden' : undefined);
    if (left !== undefined && this.#left === undefined) {
      this.#flush();
      this.#left = left;
      this.#element(element);
      this.#flush();
      this.#left = undefined;
      return;
    }
    if (MEDIA.has(name)) return this.#media(element);
    if (BLOCKS.has(name)) {
      this.#flush();
      this.#style = style;
    }
    this.#context.names.add(attribute(element, 'id'));
    if (name === 'a') this.#context.names.add(attribute(element, 'name'));
    if (this.#named(element, name)) return;
    this.#text.styled(marksOf(name, style), style.size, () => this.#children(element));
    if (BLOCKS.has(name)) this.#flush();
  }

  /** @returns Whether the element's name says what it is; others are text with a look. */
  #named(element: Element, name: string): boolean {
    const { place } = this.#context;
    const heading = /^h([1-6])$/.exec(name);
    if (heading !== null) {
      this.#children(element);
      const { runs } = this.#text.take(undefined);
      if (runs.length > 0) this.#out({ kind: 'heading', level: Number(heading[1]) as Level, runs, place });
      this.#flushAside();
      return true;
    }
    switch (name) {
      case 'br':
        this.#text.sign('\n');
        return true;
      case 'hr':
        this.#out(draftBreak('rule', place));
        return true;
      case 'img':
        this.#picture(element);
        return true;
      case 'title':
        return true;
      case 'math':
        this.#context.report.add('equation-flattened', place);
        this.#text.sign(dropForbidden(textOf(element)).replace(/\s+/g, ' '));
        return true;
      case 'a':
        this.#anchor(element);
        return true;
      case 'pre': {
        const text = textOf(element).replace(/\n$/, '');
        if (text.trim() !== '') this.#out({ kind: 'code', text: dropForbidden(text), place });
        return true;
      }
      case 'ul':
      case 'ol':
        this.#lists.push(listState(element));
        this.#whole(element);
        this.#lists.pop();
        return true;
      case 'li':
        this.#item = this.#lists.at(-1) ?? { ...PLAIN_LIST };
        if (this.#item.ordered && Number.isInteger(Number(attribute(element, 'value') ?? NaN)))
          this.#item.next = Number(attribute(element, 'value'));
        this.#whole(element);
        this.#item = undefined;
        return true;
      case 'dt':
        this.#item = { ...PLAIN_LIST };
        this.#terms++;
        this.#whole(element);
        this.#terms--;
        this.#item = undefined;
        return true;
      case 'blockquote':
        this.#quoted++;
        this.#whole(element);
        this.#quoted--;
        return true;
      case 'table':
        if (isLayout(element)) this.#whole(element);
        else this.#table(element);
        return true;
      default:
        return false;
    }
  }

  #styleOf(element: Element): InlineStyle {
    const style = inlineStyle(element);
    if (element.tagName === 'figcaption') return { ...style, use: 'caption' };
    // One that is among many, or stands in a box, is the title of that.
    return style.use === 'title' && !this.#parts.titles.has(element) ? { ...style, use: undefined } : style;
  }

  #anchor(element: Element): void {
    const href = attribute(element, 'href');
    if (href === undefined) return this.#children(element);
    const text = textOf(element).trim();
    // A sign beside a heading by which one can link to it, or one that leads back from a note.
    if (href.startsWith('#') && SIGNS_ONLY.test(text) && !holdsPicture(element)) return;
    const note = href.startsWith('#') ? this.#parts.notes.get(target(href)) : undefined;
    if (note !== undefined) {
      this.#context.report.mark(text);
      if (!this.#parts.told.has(note)) this.#after.push(...this.#note(note));
      return;
    }
    this.#text.linked(safeLink(href), () => this.#children(element));
  }

  #note(note: PageNote): readonly Draft[] {
    this.#parts.told.add(note);
    const drafts: Draft[] = [];
    const outside: Draft[] = [];
    const inner = new MarkupReader({ ...this.#context, out: (draft) => drafts.push(draft) });
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
      ...(draft.kind === 'break' || draft.kind === 'picture' ? {} : this.#text.speech()),
      ...(this.#left === undefined ? {} : { left: this.#left }),
    });
  }

  #dropped(element: Element, what: string): void {
    const text = textOf(element).replace(/\s+/g, ' ').trim();
    if (/[\p{L}\p{N}]/u.test(text))
      this.#context.report.add('markup-dropped', this.#context.place, { what, text: text });
  }

  /** A video or sound stays a link with its title. */
  #media(element: Element): void {
    const source = sourceOf(element);
    const link = safeLink(source?.replace(/^\/\//, 'https://') ?? '');
    const title = attribute(element, 'title') ?? attribute(element, 'aria-label');
    if (link === undefined) this.#dropped(element, 'A video or sound');
    else this.#out({ kind: 'paragraph', runs: [{ text: title?.trim() || link, link }], place: this.#context.place });
  }

  /** Ends the paragraph being gathered. */
  #flush(): void {
    const { runs, look } = this.#text.take(this.#style?.align);
    const { place } = this.#context;
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
    const outside: Draft[] = [];
    for (const part of table.childNodes)
      if (isElement(part) && part.tagName === 'caption') {
        const runs = this.#cell(part, outside);
        if (runs.length > 0) this.#out({ kind: 'paragraph', role: 'caption', runs, place });
      }
    const read = tableOf(table, (cell) => this.#cell(cell, outside));
    if (read.rows.some(({ cells }) => cells.some(({ runs }) => runs.length > 0)))
      this.#out({ kind: 'table', table: read, place });
    for (const draft of outside) this.#out(draft);
  }

  #cell(cell: Element, outside: Draft[]): Runs {
    const drafts: Draft[] = [];
    this.#context.names.add(attribute(cell, 'id'));
    const inner = new MarkupReader({ ...this.#context, out: (draft) => drafts.push(draft) }, this.#parts);
    inner.read(cell.childNodes);
    return cellRuns(drafts, outside);
  }
}

/** What a link shows that is no word: the sign of a section, an arrow back. */
const SIGNS_ONLY = /^[\s\p{P}\p{S}\u{1f517}\ufe0e\ufe0f]*$/u;

const holdsPicture = (element: Element): boolean =>
  element.childNodes.some((child) => isElement(child) && (child.tagName === 'img' || holdsPicture(child)));
