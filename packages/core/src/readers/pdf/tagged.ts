/** Makes blocks of a tagged PDF by what its elements say they are (ISO 32000-1 §14.8.4; ISO 14289-1). */
import {
  mergeRuns,
  runsText,
  sliceRuns,
  trimRuns,
  type Runs,
  type TableCell,
  type TableRow,
} from '../../content/index.ts';
import { lineMark, type Level } from '../../document/index.ts';
import { languageTag, type Report } from '../../base/index.ts';
import { cellRuns } from '../cell-runs.ts';
import { itemNumber } from '../list-label.ts';
import type { Draft } from '../read-result.ts';
import { linesOf } from './lines.ts';
import type { Placed } from './paragraphs.ts';
import type { Item, PdfPage } from './page.ts';
import { joinLines, wordsOf } from './runs.ts';
import type { StructureElement } from './structure-tree.ts';

export interface TaggedPage {
  readonly page: PdfPage;
  readonly structure: readonly StructureElement[];
  /** Pictures of the page, in its order. */
  readonly pictures: readonly Placed[];
}

/** Share of the letters that elements must hold. */
const COVERED = 0.8;
const EDGE = 0.12; // of the page's height
/** Elements that are blocks of text, or hold some (§14.8.4.2, §14.8.4.3). */
const BLOCKS =
  /^(?:Document|DocumentFragment|Part|Art|Sect|Div|Aside|BlockQuote|Caption|TOC|TOCI|Index|Private|P|H\d?|Title|L|LI|LBody|Table|TR|TH|TD|THead|TBody|TFoot|Note|FENote|Figure)$/;

type Child = StructureElement | number;

/** Whether it stands within a line of text, as what has no meaning of its own does with all that is in it. */
const isInline = (child: Child): boolean =>
  typeof child === 'number' || (!BLOCKS.test(child.type) && child.children.every(isInline));

const letters = (items: readonly Item[]): number =>
  items.reduce((sum, { text }) => sum + text.replace(/\s/g, '').length, 0);

function* marksIn(elements: readonly Child[]): Generator<number> {
  for (const one of elements)
    if (typeof one === 'number') yield one;
    else yield* marksIn(one.children);
}

function* elementsIn(elements: readonly Child[]): Generator<StructureElement> {
  for (const one of elements)
    if (typeof one !== 'number') {
      yield one;
      yield* elementsIn(one.children);
    }
}

/** Whether the elements hold nearly all of the text, and say more of it than that it is text. */
export function isTagged(pages: readonly TaggedPage[]): boolean {
  let [all, covered, headings] = [0, 0, 0];
  for (const { page, structure } of pages) {
    const marks = new Set(marksIn(structure));
    all += letters(page.items);
    covered += letters(page.items.filter(({ mark }) => marks.has(mark)));
    for (const { type } of elementsIn(structure)) if (/^H\d?$|^Title$/.test(type)) headings++;
  }
  return headings > 0 && covered >= all * COVERED;
}

export function taggedBlocks(pages: readonly TaggedPage[], report: Report): readonly Draft[] {
  const words = wordsOf(pages.flatMap(({ page }) => page.items));
  const blocks: Draft[] = [];
  for (const page of pages) {
    const drafts = new PageReader(page, words, report).read();
    // An element that goes on over the end of a page has a part on each; heads and feet stand between.
    const at = blocks.findLastIndex(({ left }) => left === undefined);
    const first = drafts.findIndex(({ left }) => left === undefined);
    if (at >= 0 && first >= 0 && goesOn(blocks[at]!, drafts[first]!))
      blocks[at] = joined(blocks[at]!, drafts.splice(first, 1)[0]!);
    blocks.push(...drafts);
  }
  return blocks;
}

function goesOn(before: Draft, draft: Draft): boolean {
  if (before.kind !== draft.kind && !(before.kind === 'listItem' && draft.kind === 'paragraph')) return false;
  if (!('runs' in before) || !('runs' in draft)) return false;
  return !/[.!?:;”"’)]$/.test(runsText(before.runs)) && /^[\p{Ll}(“"]/u.test(runsText(draft.runs));
}

const joined = (before: Draft, draft: Draft): Draft =>
  'runs' in before && 'runs' in draft
    ? { ...before, runs: mergeRuns([...before.runs, { text: ' ' }, ...draft.runs]) }
    : before;

class PageReader {
  readonly #tagged: TaggedPage;
  readonly #words: ReadonlySet<string>;
  readonly #report: Report;
  readonly #byMark = new Map<number, Item[]>();
  readonly #out: Draft[] = [];
  readonly #place: { readonly page: number };
  #pictures = 0;
  #notes = 0;

  constructor(tagged: TaggedPage, words: ReadonlySet<string>, report: Report) {
    this.#tagged = tagged;
    this.#words = words;
    this.#report = report;
    this.#place = { page: tagged.page.number };
    for (const item of tagged.page.items) {
      const same = this.#byMark.get(item.mark);
      if (same === undefined) this.#byMark.set(item.mark, [item]);
      else same.push(item);
    }
  }

  read(): Draft[] {
    this.#group(this.#tagged.structure, 0);
    for (const { draft } of this.#tagged.pictures.slice(this.#pictures)) this.#out.push(draft);
    // What no element holds is an artifact of the page: at its edge a head or a foot, within it text all the same.
    const { page } = this.#tagged;
    for (const line of linesOf({ ...page, items: [...this.#byMark.values()].flat() })) {
      const runs = trimRuns(joinLines([line], this.#words, false));
      const edge = line.y > page.height * (1 - EDGE) || line.y < page.height * EDGE;
      const left = /\p{L}/u.test(line.text) ? ('running-head' as const) : ('page-number' as const);
      if (runs.length > 0) this.#out.push({ kind: 'paragraph', runs, place: this.#place, ...(edge ? { left } : {}) });
    }
    return this.#out;
  }

  /** Elements in their order; marked content that stands directly in a group is a paragraph. */
  #group(children: readonly Child[], depth: number): void {
    let loose: Child[] = [];
    const flush = (): void => {
      const runs = this.#runs(loose);
      if (runs.length > 0) this.#out.push({ kind: 'paragraph', runs, place: this.#place });
      loose = [];
    };
    for (const child of children) {
      if (typeof child === 'number' || isInline(child)) loose.push(child);
      else {
        flush();
        this.#element(child, depth);
      }
    }
    flush();
  }

  #element(element: StructureElement, depth: number): void {
    const from = this.#out.length;
    this.#blocks(element, depth);
    const language = languageTag(element.language);
    if (language === undefined) return;
    for (let i = from; i < this.#out.length; i++)
      if (this.#out[i]!.kind !== 'picture') this.#out[i] = { lang: language, ...this.#out[i]! };
  }

  #blocks(element: StructureElement, depth: number): void {
    const { type, children } = element;
    const place = this.#place;
    const heading = /^H([1-6]?)$/.exec(type);
    if (heading !== null)
      return this.#text(children, depth, (runs) => ({
        kind: 'heading',
        level: (Number(heading[1]) || 1) as Level,
        runs,
        place,
      }));
    switch (type) {
      case 'Title':
        return this.#text(children, depth, (runs) => ({ kind: 'paragraph', role: 'title', runs, place }));
      case 'Caption':
        return this.#text(children, depth, (runs) => ({ kind: 'paragraph', role: 'caption', runs, place }));
      case 'P':
        return this.#text(children, depth, (runs) => ({ kind: 'paragraph', runs, place }));
      case 'BlockQuote':
        return this.#text(children, depth, (runs) => ({ kind: 'quote', runs, place }));
      case 'TOC':
      case 'TOCI':
        return this.#text(children, depth, (runs) => ({ kind: 'paragraph', role: 'contents', runs, place }));
      case 'Note':
      case 'FENote':
        return this.#text(children, depth, (runs) => this.#note(runs));
      case 'L':
        return this.#group(children, depth + 1);
      case 'LI':
        return this.#item(children, Math.max(1, depth));
      case 'Table':
        return this.#table(element);
      case 'Figure':
        return this.#figure(element);
      default:
        return this.#group(children, depth);
    }
  }

  /** A block of the text in it; other blocks in it stand behind. */
  #text(children: readonly Child[], depth: number, make: (runs: Runs) => Draft): void {
    const inline = children.filter((child) => isInline(child));
    const runs = this.#runs(inline);
    if (runs.length > 0) this.#out.push(make(runs));
    // Quotes and entries of a list of contents hold paragraphs, which are of their kind.
    for (const child of children) {
      if (typeof child === 'number' || isInline(child)) continue;
      if (child.type === 'P' || child.type === 'TOCI') this.#text(child.children, depth, make);
      else this.#element(child, depth);
    }
  }

  #note(runs: Runs): Draft {
    const text = runsText(runs);
    const label = /^[[(]?(\d{1,3}|[*†‡§])[\]).]?\s+/u.exec(text);
    this.#notes++;
    if (label !== null) this.#report.mark(label[1]!);
    const rest = label === null ? runs : trimRuns(sliceRuns(runs, label[0].length, text.length));
    return { kind: 'footnote', label: label?.[1] ?? `${this.#notes}`, runs: rest, place: this.#place };
  }

  #item(children: readonly Child[], depth: number): void {
    const label = children.filter((child) => typeof child !== 'number' && child.type === 'Lbl');
    const bodies = children.flatMap((child) =>
      typeof child !== 'number' && child.type === 'LBody' ? child.children : label.includes(child) ? [] : [child],
    );
    const isText = (child: StructureElement | number): boolean =>
      isInline(child) || (typeof child !== 'number' && child.type === 'P');
    const end = bodies.findIndex((child) => !isText(child));
    const own = bodies.slice(0, end < 0 ? bodies.length : end);
    // The first paragraph is the item; without paragraphs, all of it is.
    const whole = !own.some((child) => typeof child !== 'number' && child.type === 'P');
    const first = whole ? own : own.slice(0, 1);
    const others = whole ? [] : own.slice(1);
    const written = runsText(this.#runs(label)).trim();
    const text = this.#runs(first);
    // Some exporters leave the mark in the text.
    const mark = lineMark(`${written === '' ? '' : `${written} `}${runsText(text)}`);
    const cut =
      written === '' && mark !== undefined && mark.needs !== 'row' ? runsText(text).length - mark.text.length : 0;
    this.#report.mark(written === '' && cut > 0 ? mark!.mark : written);
    const ordered = mark?.kind === 'number' && (written !== '' || cut > 0);
    const runs = trimRuns(sliceRuns(text, cut, Infinity));
    const number = mark?.number ?? 1;
    if (runs.length > 0)
      this.#out.push({
        kind: 'listItem',
        depth,
        ordered,
        ...itemNumber(ordered, number, mark?.mark),
        runs,
        place: this.#place,
      });
    this.#group([...others, ...(end < 0 ? [] : bodies.slice(end))], depth);
  }

  #table(table: StructureElement): void {
    const outside: Draft[] = [];
    const rows: TableRow[] = [];
    const rest: Child[] = [];
    const walk = (children: readonly Child[]): void => {
      for (const child of children) {
        if (typeof child === 'number') rest.push(child);
        else if (child.type === 'TR') {
          const cells = child.children.filter((cell): cell is StructureElement => typeof cell !== 'number');
          rows.push({
            header: cells.length > 0 && cells.every(({ type }) => type === 'TH'),
            cells: cells.map((cell): TableCell => ({ runs: this.#cell(cell, outside), columns: 1, rows: 1 })),
          });
        } else if (/^T(Head|Body|Foot)$/.test(child.type)) walk(child.children);
        else rest.push(child);
      }
    };
    walk(table.children);
    this.#group(rest, 0);
    const columns = Math.max(0, ...rows.map(({ cells }) => cells.length));
    const place = this.#place;
    if (rows.length === 1 && columns === 1) {
      const [runs] = rows[0]!.cells.map((cell) => cell.runs);
      if (runs!.length > 0) this.#out.push({ kind: 'paragraph', runs: runs!, place });
    } else if (rows.some(({ cells }) => cells.some(({ runs }) => runs.length > 0)))
      this.#out.push({ kind: 'table', table: { rows, columns }, place });
    this.#out.push(...outside);
  }

  #cell(cell: StructureElement, outside: Draft[]): Runs {
    const from = this.#out.length;
    this.#group(cell.children, 0);
    return cellRuns(this.#out.splice(from), outside);
  }

  #figure(figure: StructureElement): void {
    const drawn = this.#tagged.pictures[this.#pictures]?.draft;
    if (drawn !== undefined) {
      this.#pictures++;
      this.#out.push(drawn.kind === 'picture' && figure.alt !== '' ? { ...drawn, alt: figure.alt } : drawn);
    } else if (figure.alt !== '') this.#out.push({ kind: 'picture', alt: figure.alt, place: this.#place });
    this.#group(figure.children, 0);
  }

  /** The text of marked content, taken once, in the order of its lines. */
  #runs(children: readonly Child[]): Runs {
    const items: Item[] = [];
    for (const mark of marksIn(children)) {
      items.push(...(this.#byMark.get(mark) ?? []));
      this.#byMark.delete(mark);
    }
    if (items.length === 0) return [];
    return trimRuns(joinLines(linesOf({ ...this.#tagged.page, items }), this.#words, false));
  }
}
