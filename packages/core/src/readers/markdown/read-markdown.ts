/** Reads Markdown: CommonMark 0.31 with tables, strikethrough and task lists (GFM), footnotes, definitions, front matter, and what dialects add. */
import MarkdownIt from 'markdown-it';
import type { Token } from 'markdown-it';
import definitions from 'markdown-it-deflist';
import footnotes from 'markdown-it-footnote';
import { decodeText, ReadError, Report, type SourcePlace } from '../../base/index.ts';
import { dropForbidden } from '../../container/index.ts';
import {
  plain,
  runsText,
  sliceRuns,
  trimRuns,
  type Run,
  type Runs,
  type TableCell,
  type TableRow,
} from '../../content/index.ts';
import type { Level } from '../../document/index.ts';
import { itemNumber } from '../list-label.ts';
import { readMarkup } from '../markup/index.ts';
import { PlaceNames } from '../place-names.ts';
import { PictureStore } from '../picture-store.ts';
import { BlockList, draftBreak, readResult, type Draft, type ReadOptions, type ReadResult } from '../read-result.ts';
import { each } from '../account.ts';
import { dialects } from './dialects.ts';
import { readInline, type Inline, type Shared } from './inline.ts';
import { markdownText } from './source-text.ts';
import { readFrontMatter } from './front-matter.ts';

/** Share of the time that parsing takes. */
const PARSED = 0.6;
const PROGRESS_TOKENS = 2000;

/** Quotes and lists within one another; the parser leaves out what is deeper. */
const MOST_NESTING = 100;

const parser = new MarkdownIt({ html: true, maxNesting: MOST_NESTING }).use(footnotes).use(definitions).use(dialects);

/** @throws ReadError `empty` or `bomb`. */
export function readMarkdown(bytes: Uint8Array, { progress }: ReadOptions = {}): ReadResult {
  const source = dropForbidden(decodeText(bytes));
  if (source.trim() === '') throw new ReadError('empty');
  const report = new Report();
  const pictures = new PictureStore(report);
  const list = new BlockList();
  const names = new PlaceNames();
  const { matter, length } = readFrontMatter(source, report);
  const skippedLines = source.slice(0, length).split('\n').length - 1;
  const tokens = parse(source.slice(length));
  const deepest = tokens.find((token) => token.level >= MOST_NESTING - 2);
  if (deepest !== undefined)
    report.add('nesting-dropped', deepest.map ? { line: deepest.map[0] + 1 + skippedLines } : {}, {
      most: MOST_NESTING,
    });
  progress?.(PARSED);
  const firstHeading = tokens[tokens.findIndex((token) => token.type === 'heading_open') + 1]?.content.trim();
  if (matter?.title !== undefined && matter.title !== firstHeading)
    list.add({ kind: 'paragraph', role: 'title', runs: plain(matter.title), place: { line: 1 } });
  for (const line of matter?.lines ?? [])
    list.add({ kind: 'paragraph', role: 'subtitle', runs: plain(line), place: { line: 1 } });
  new TokenReader({ report, pictures, names, skippedLines, out: (draft) => list.add(names.on(draft)) }).read(
    tokens,
    (done) => progress?.(PARSED + (1 - PARSED) * done),
  );
  const result = readResult(
    list,
    pictures.pictures,
    report,
    {
      title: matter?.title ?? null,
      author: matter?.author ?? null,
      language: matter?.language ?? null,
      ...matter?.about,
    },
    each(() => markdownText(tokens)),
  );
  return matter?.slidesAt === undefined
    ? result
    : { ...result, document: { ...result.document, slidesAt: matter.slidesAt } };
}

/** A note that nothing refers to is dropped by the parser; it is referred to at the end. */
function parse(source: string): readonly Token[] {
  const env: { footnotes?: { readonly refs?: Readonly<Record<string, number>> } } = {};
  const tokens = parser.parse(source, env);
  const unused = Object.entries(env.footnotes?.refs ?? {}).filter(([, id]) => id < 0);
  if (unused.length === 0) return tokens;
  return parser.parse(`${source}\n\n${unused.map(([key]) => `[^${key.slice(1)}]`).join('')}\n`, {});
}

interface Context {
  readonly report: Report;
  readonly pictures: PictureStore;
  readonly names: PlaceNames;
  readonly skippedLines: number;
  readonly out: (draft: Draft) => void;
}
interface Context extends Shared {
  readonly skippedLines: number;
  readonly out: (draft: Draft) => void;
}

class TokenReader {
  readonly #context: Context;
  readonly #notes = new Map<number, Runs>();
  readonly #lists: { ordered: boolean; next: number; mark: string }[] = [];
  #place: SourcePlace = {};
  /** The next paragraph is the item itself, not text below it. */
  #startsItem = false;
  #quoted = 0;

  constructor(context: Context) {
    this.#context = context;
  }

  /** @param progress Called with the fraction of the tokens done. */
  read(tokens: readonly Token[], progress?: (done: number) => void): void {
    const end = tokens.findIndex((token) => token.type === 'footnote_block_open');
    const body = end < 0 ? tokens : tokens.slice(0, end);
    if (end >= 0) this.#readNotes(tokens.slice(end));
    let told = 0;
    for (let i = 0; i < body.length; i++) {
      i = this.#token(body, i);
      if (i - told < PROGRESS_TOKENS) continue;
      told = i;
      progress?.(i / body.length);
    }
  }

  /** Reads the token at `i`. @returns The index of the last token that was used. */
  #token(tokens: readonly Token[], i: number): number {
    const token = tokens[i]!;
    if (token.map) this.#place = { line: token.map[0] + 1 + this.#context.skippedLines };
    const place = this.#place;
    const { out, report, pictures, names } = this.#context;
    switch (token.type) {
      case 'heading_open': {
        const inline = this.#inline(tokens[i + 1]!);
        const id = token.attrGet('id');
        if (id !== null) names.add(String(id));
        out({ kind: 'heading', level: Number(token.tag.slice(1)) as Level, runs: inline.runs, place });
        this.#aside(inline);
        return i + 2;
      }
      case 'paragraph_open':
        this.#paragraph(this.#inline(tokens[i + 1]!));
        return i + 2;
      case 'bullet_list_open':
        this.#lists.push({ ordered: false, next: 1, mark: '' });
        break;
      case 'ordered_list_open':
        this.#lists.push({ ordered: true, next: Number(token.attrGet('start') ?? 1), mark: token.markup });
        break;
      case 'bullet_list_close':
      case 'ordered_list_close':
        this.#lists.pop();
        break;
      case 'dt_open':
        // A term is an item, what is said of it stands below.
        this.#lists.push({ ordered: false, next: 1, mark: '' });
        this.#startsItem = true;
        this.#paragraph(this.#inline(tokens[i + 1]!));
        this.#lists.pop();
        return i + 2;
      case 'list_item_open':
        this.#startsItem = true;
        break;
      case 'list_item_close':
        this.#startsItem = false;
        break;
      case 'blockquote_open':
        this.#quoted++;
        break;
      case 'blockquote_close':
        this.#quoted--;
        break;
      case 'fence':
      case 'code_block': {
        const language = token.info.trim().split(/\s/)[0];
        const text = token.content.replace(/\n$/, '');
        if (text.trim() !== '') out({ kind: 'code', text, place, ...(language ? { language } : {}) });
        this.#startsItem = false;
        break;
      }
      case 'hr':
        out(draftBreak('rule', place));
        break;
      case 'html_block':
        readMarkup(token.content, { report, pictures, names, place, out });
        break;
      case 'table_open':
        return this.#table(tokens, i);
    }
    return i;
  }

  #paragraph(inline: Inline): void {
    const { out } = this.#context;
    const place = this.#place;
    const list = this.#lists.at(-1);
    if (list !== undefined && this.#startsItem) {
      this.#startsItem = false;
      const task = /^\[([ xX])\] /.exec(runsText(inline.runs));
      if (task !== null) this.#context.report.mark(task[0]);
      const runs = task === null ? inline.runs : trimRuns(sliceRuns(inline.runs, 4, Infinity));
      const number = itemNumber(list.ordered, list.next, `${list.next}${list.mark}`);
      list.next++;
      if (runs.length > 0)
        out({
          kind: 'listItem',
          depth: this.#lists.length,
          ordered: list.ordered,
          ...number,
          ...(task === null ? {} : { checked: task[1] !== ' ' }),
          runs,
          place,
        });
    } else if (inline.runs.length > 0)
      out({ kind: this.#quoted > 0 && list === undefined ? 'quote' : 'paragraph', runs: inline.runs, place });
    this.#aside(inline);
  }

  #aside(inline: Inline): void {
    for (const picture of inline.pictures) this.#context.out(picture);
    for (const id of inline.notes) {
      const runs = this.#notes.get(id);
      if (runs !== undefined && runs.length > 0)
        this.#context.out({ kind: 'footnote', label: `${id + 1}`, runs, place: this.#place });
      // A note that is referred to twice stands once.
      this.#notes.delete(id);
    }
  }

  #table(tokens: readonly Token[], start: number): number {
    const rows: TableRow[] = [];
    const asides: Inline[] = [];
    const place = this.#place;
    let cells: TableCell[] = [];
    let header = false;
    let i = start + 1;
    for (; tokens[i]!.type !== 'table_close'; i++) {
      const token = tokens[i]!;
      if (token.type === 'thead_open') header = true;
      else if (token.type === 'thead_close') header = false;
      else if (token.type === 'tr_open') cells = [];
      else if (token.type === 'tr_close') rows.push({ header, cells });
      else if (token.type === 'inline') {
        const inline = this.#inline(token);
        cells.push({ runs: inline.runs, columns: 1, rows: 1 });
        asides.push(inline);
      }
    }
    if (rows.some((row) => row.cells.some((cell) => cell.runs.length > 0)))
      this.#context.out({
        kind: 'table',
        table: { rows, columns: Math.max(...rows.map((row) => row.cells.length)) },
        place,
      });
    for (const inline of asides) this.#aside(inline);
    return i;
  }

  #inline(token: Token): Inline {
    return readInline(token, this.#context, this.#place);
  }

  #readNotes(tokens: readonly Token[]): void {
    let id = -1;
    let runs: Run[] = [];
    for (const token of tokens) {
      if (token.type === 'footnote_open') {
        id = (token.meta as { id: number }).id;
        runs = [];
      } else if (token.type === 'inline') {
        const { runs: added } = this.#inline(token);
        if (added.length > 0) runs.push(...(runs.length > 0 ? [{ text: '\n' }] : []), ...added);
      } else if (token.type === 'footnote_close') this.#notes.set(id, runs);
    }
  }
}
