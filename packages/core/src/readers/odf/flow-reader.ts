/** Reads the text of an ODT (OASIS ODF 1.3 part 3, §5 and §9): paragraphs, lists, tables, notes and frames. */
import { runsText, safeLink, type Run, type TableCell, type TableRow } from '../../content/index.ts';
import type { SourcePlace } from '../../base/index.ts';
import type { Attributes, XmlHandler } from '../../container/index.ts';
import type { Level } from '../../document/index.ts';
import { cellRuns } from '../cell-runs.ts';
import { cleanRuns } from '../clean-runs.ts';
import { GatheredText } from '../gathered-text.ts';
import { hiddenBlock } from '../hidden-text.ts';
import { itemNumber } from '../list-label.ts';
import { ofScript, type ByScript } from '../spoken.ts';
import { draftBreak, type Draft } from '../read-result.ts';
import type { OdtContext } from './context.ts';
import { Frames } from './frames.ts';
import { OUTLINE, type Style } from './styles.ts';

interface Paragraph {
  readonly text: GatheredText;
  readonly style: Style;
  /** Of a heading, by its element. */
  readonly level: number | undefined;
  readonly before: Draft[];
  readonly after: Draft[];
  /** What comments at it say. */
  readonly remarks: string[];
  /** `text:is-list-header`: a heading without its number (§19.838). */
  readonly listHeader: boolean;
  readonly item: { depth: number; ordered: boolean; number: number; label: string } | undefined;
}
interface List {
  readonly style: string | undefined;
  next: number | undefined;
}
interface Grid {
  readonly rows: { readonly header: boolean; readonly cells: TableCell[] }[];
  header: boolean;
  readonly outside: Draft[];
  readonly place: SourcePlace;
}
interface Cell {
  readonly drafts: Draft[];
  readonly columns: number;
  readonly rows: number;
  readonly repeated: number;
}
/** Subtrees that hold no text of the document. */
const SKIPPED = new Set([
  'text:tracked-changes',
  'office:forms',
  'text:sequence-decls',
  'text:variable-decls',
  'office:event-listeners',
  'text:ruby-text',
  'text:table-of-content-source',
  'text:index-title-template',
  'office:binary-data',
]);

const MOST_REPEATED = 100;
const LOWEST = 6; // level of headings

export class OdtFlowReader implements XmlHandler {
  readonly #context: OdtContext;
  #out: (draft: Draft) => void;
  #paragraph: Paragraph | undefined;
  readonly #outer: { out: (draft: Draft) => void; paragraph: Paragraph | undefined; lists: List[] }[] = [];
  #lists: List[] = [];
  #itemOpen = false;
  readonly #spans: Style[] = [];
  readonly #links: (string | undefined)[] = [];
  readonly #grids: Grid[] = [];
  readonly #cells: Cell[] = [];
  readonly #frames: Frames;
  #contents = 0;
  #hiddenSections = 0;
  /** How many headings of each level there are so far, as the outline counts them. */
  readonly #headings: number[] = [];
  #annotation: Draft[] = [];
  #note: { label: string; readonly drafts: Draft[] } | undefined;
  #inCitation = false;
  #skip = 0;
  #paragraphs = 0;

  constructor(context: OdtContext, out: (draft: Draft) => void) {
    this.#context = context;
    this.#out = out;
    this.#frames = new Frames(context, { place: () => this.#place(), out: (draft) => this.#add(draft) });
  }

  open(name: string, a: Attributes): void {
    if (this.#skip > 0) {
      this.#skip++;
      return;
    }
    switch (name) {
      case 'text:p':
      case 'text:h':
        this.#start(name === 'text:h' ? Number(a['text:outline-level'] ?? 1) || 1 : undefined, a);
        break;
      case 'text:span':
        this.#spans.push(this.#context.styles.get('text', a['text:style-name']));
        break;
      case 'text:a':
        this.#links.push(safeLink((a['xlink:href'] ?? '').replace(/^#.*$/s, (name) => name.replace(/\s/g, '%20'))));
        break;
      case 'text:bookmark':
      case 'text:bookmark-start':
        this.#context.names?.add(a['text:name']);
        break;
      case 'text:s':
        this.#text(' '.repeat(Math.min(Number(a['text:c'] ?? 1) || 1, 200)));
        break;
      case 'text:tab':
        this.#text('\t');
        break;
      case 'text:line-break':
        this.#text('\n');
        break;
      case 'text:list': {
        const style = a['text:style-name'] ?? this.#lists.at(-1)?.style;
        this.#lists.push({ style, next: undefined });
        break;
      }
      case 'text:list-item':
      case 'text:list-header':
        this.#itemOpen = name === 'text:list-item';
        if (a['text:start-value'] !== undefined && this.#lists.length > 0)
          this.#lists.at(-1)!.next = Number(a['text:start-value']) || 1;
        break;
      case 'text:section':
        if (this.#hiddenSections > 0 || a['text:display'] === 'none' || a['text:is-hidden'] === 'true')
          this.#hiddenSections++;
        break;
      case 'text:note':
        this.#note = { label: '', drafts: [] };
        break;
      case 'office:annotation':
        this.#annotation = [];
        this.#enter((draft) => this.#annotation.push(draft));
        break;
      case 'text:note-citation':
        this.#inCitation = true;
        break;
      case 'text:note-body':
        this.#enter((draft) => this.#note?.drafts.push(draft));
        break;
      case 'text:table-of-content':
      case 'text:alphabetical-index':
        this.#contents++;
        break;
      case 'table:table':
        this.#frames.hasText();
        this.#grids.push({ rows: [], header: false, outside: [], place: this.#place() });
        break;
      case 'table:table-header-rows':
        if (this.#grids.length > 0) this.#grids.at(-1)!.header = true;
        break;
      case 'table:table-row':
        this.#grids.at(-1)?.rows.push({ header: this.#grids.at(-1)!.header, cells: [] });
        break;
      case 'table:covered-table-cell':
        this.#skip = 1;
        break;
      case 'table:table-cell':
        this.#startCell(a);
        break;
      case 'draw:text-box':
        this.#frames.hasText();
        this.#enterBox();
        break;
      case 'math:math':
        this.#context.report.add('equation-not-read', this.#place());
        this.#add({ kind: 'picture', alt: 'Equation', place: this.#place() });
        this.#skip = 1;
        break;
      case 'draw:custom-shape':
      case 'draw:rect':
      case 'draw:ellipse':
        this.#enterBox();
        break;
      default:
        this.#frames.open(name, a);
        if (SKIPPED.has(name)) this.#skip = 1;
    }
  }

  close(name: string): void {
    if (this.#skip > 0) {
      this.#skip--;
      return;
    }
    switch (name) {
      case 'text:p':
      case 'text:h':
        this.#end();
        break;
      case 'text:span':
        this.#spans.pop();
        break;
      case 'text:a':
        this.#links.pop();
        break;
      case 'text:list':
        this.#lists.pop();
        this.#itemOpen = false;
        break;
      case 'text:list-item':
        this.#itemOpen = false;
        break;
      case 'text:note-citation':
        this.#inCitation = false;
        break;
      case 'text:note-body':
        this.#leave();
        break;
      case 'text:section':
        if (this.#hiddenSections > 0) this.#hiddenSections--;
        break;
      case 'text:note':
        this.#endNote();
        break;
      case 'office:annotation':
        this.#endAnnotation();
        break;
      case 'text:table-of-content':
      case 'text:alphabetical-index':
        this.#contents--;
        break;
      case 'table:table-header-rows':
        if (this.#grids.length > 0) this.#grids.at(-1)!.header = false;
        break;
      case 'table:table-cell':
        this.#endCell();
        break;
      case 'table:table':
        this.#endTable();
        break;
      case 'draw:text-box':
      case 'draw:custom-shape':
      case 'draw:rect':
      case 'draw:ellipse':
        this.#leave();
        break;
      default:
        this.#frames.close(name);
    }
  }

  text(text: string): void {
    if (this.#skip > 0) return;
    if (this.#inCitation) {
      if (this.#note) this.#note.label += text.trim();
    } else if (!this.#frames.text(text)) this.#text(text.replace(/[ \t\r\n]+/g, ' '));
  }

  #place(): SourcePlace {
    return { part: 'content.xml', paragraph: Math.max(1, this.#paragraphs) };
  }

  #start(level: number | undefined, a: Attributes): void {
    this.#paragraphs++;
    const style = this.#context.styles.get('paragraph', a['text:style-name']);
    this.#paragraph = {
      text: new GatheredText(),
      style,
      level,
      before: style.breakBefore && this.#cells.length === 0 ? [draftBreak('page', this.#place())] : [],
      after: [],
      remarks: [],
      listHeader: a['text:is-list-header'] === 'true',
      item: this.#nextItem(),
    };
  }

  /** The first paragraph of an item is the item; others are text that belongs to it. */
  #nextItem(): Paragraph['item'] {
    const list = this.#lists.at(-1);
    if (list === undefined || !this.#itemOpen) return undefined;
    this.#itemOpen = false;
    const depth = this.#lists.length;
    const { ordered, start } = this.#context.styles.list(list.style, depth);
    const number = list.next ?? start;
    list.next = number + 1;
    const counts = this.#lists.map(
      ({ next }, i) => (next ?? this.#context.styles.list(list.style, i + 1).start + 1) - 1,
    );
    return { depth, ordered, number, label: this.#context.styles.label(list.style, counts) };
  }

  #end(): void {
    const { drafts, after } = this.#finished();
    for (const draft of [...drafts, ...after]) this.#out(draft);
  }

  #finished(): { drafts: readonly Draft[]; after: readonly Draft[] } {
    const paragraph = this.#paragraph;
    this.#paragraph = undefined;
    if (paragraph === undefined) return { drafts: [], after: [] };
    const remark = paragraph.remarks.join('\n');
    const made = this.#block(paragraph);
    paragraph.text.spoken.direction ??= paragraph.style.direction;
    const spoken = paragraph.text.spoken.take();
    const block = made === undefined ? undefined : { ...made, ...spoken, ...(remark === '' ? {} : { remark }) };
    const { hidden, empty } = paragraph.text;
    const drafts = [hiddenBlock(hidden, !empty, this.#place(), this.#context.report), block];
    return {
      drafts: [...paragraph.before, ...drafts.filter((draft) => draft !== undefined)],
      after: paragraph.after,
    };
  }

  #block({ text, style, level, item, listHeader }: Paragraph): Draft | undefined {
    const place = this.#place();
    const raw = text.runs.map(({ text: t }) => t).join('');
    const empty = raw.trim() === '';
    const runs = empty ? [] : cleanRuns(text.runs, place, this.#context.report);
    if (this.#contents > 0) return empty ? undefined : { kind: 'paragraph', role: 'contents', runs, place };
    const { use } = style;
    if (use === 'title' && !empty) return { kind: 'paragraph', role: 'title', runs, place };
    const outline = level ?? (style.outline || (typeof use === 'number' ? use : undefined));
    if (outline !== undefined) {
      if (outline > LOWEST) this.#context.report.add('level-raised', place, { level: outline });
      const label = empty || listHeader ? '' : this.#headingLabel(outline, item);
      const heading: Draft = { kind: 'heading', level: Math.min(Math.max(1, outline), LOWEST) as Level, runs, place };
      return label === '' ? heading : { ...heading, label };
    }
    if (empty) return undefined;
    if (use === 'subtitle' || use === 'caption' || use === 'contents')
      return { kind: 'paragraph', role: use, runs, place };
    if (use === 'quote') return { kind: 'quote', runs, place };
    if (use === 'code' || (text.allMono && style.mono)) return { kind: 'code', text: raw, place };
    if (item !== undefined) {
      const { depth, ordered, number, label } = item;
      return {
        kind: 'listItem',
        depth,
        ordered,
        ...itemNumber(ordered, number, label),
        runs,
        place,
      };
    }
    const look = text.look(style.align === 'end' ? 'right' : style.align, style.size);
    return { kind: 'paragraph', runs, place, ...(look === undefined ? {} : { look }) };
  }

  /** The number that the outline's style sets before a heading, or the list in which it stands. */
  #headingLabel(level: number, item: Paragraph['item']): string {
    if (item !== undefined) return item.ordered ? item.label : '';
    const { styles } = this.#context;
    const counts = this.#headings;
    counts.length = Math.min(counts.length, level);
    for (let above = counts.length; above < level; above++) counts[above] = styles.list(OUTLINE, above + 1).start - 1;
    counts[level - 1]!++;
    return styles.label(OUTLINE, counts);
  }

  #text(text: string): void {
    const paragraph = this.#paragraph;
    if (paragraph === undefined || text === '') return;
    if (paragraph.style.hidden || this.#hiddenSections > 0) {
      paragraph.text.hidden += text;
      return;
    }
    if (paragraph.text.empty && text === ' ') return;
    const { style } = paragraph;
    let bold = style.bold ?? false;
    let size = style.size ?? 0;
    let mono = style.mono ?? false;
    let [caps, italic, strike] = [style.caps, false, false];
    let position: Run['position'];
    let language: ByScript = { ...this.#context.styles.language, ...style.language };
    for (const span of this.#spans) {
      if (span.hidden) {
        paragraph.text.hidden += text;
        return;
      }
      bold = span.bold ?? bold;
      size = span.size ?? size;
      mono = span.mono ?? mono;
      italic = span.italic ?? italic;
      caps ||= span.caps;
      strike ||= span.strike;
      position = span.position ?? position;
      if (span.language !== undefined) language = { ...language, ...span.language };
    }
    const link = this.#links.at(-1);
    const look: Omit<Run, 'text'> = {
      ...(bold && !style.bold ? { bold: true } : {}),
      ...(italic ? { italic: true } : {}),
      ...(strike ? { strike: true } : {}),
      ...(mono && !style.mono ? { code: true } : {}),
      ...(position === undefined ? {} : { position }),
      ...(link === undefined ? {} : { link }),
    };
    paragraph.text.spoken.add(text, ofScript(language, text));
    paragraph.text.append(text, look, size, bold, caps, mono);
  }

  /** Goes into a place with paragraphs of its own. */
  #enter(out: (draft: Draft) => void): void {
    this.#outer.push({ out: this.#out, paragraph: this.#paragraph, lists: this.#lists });
    this.#out = out;
    this.#paragraph = undefined;
    this.#lists = [];
  }

  #enterBox(): void {
    const host = this.#paragraph;
    const out = this.#out;
    this.#enter(host === undefined ? out : (draft) => host.after.push(draft));
  }

  #leave(): void {
    const outer = this.#outer.pop();
    if (outer === undefined) return;
    this.#out = outer.out;
    this.#paragraph = outer.paragraph;
    this.#lists = outer.lists;
  }

  #endNote(): void {
    const note = this.#note;
    this.#note = undefined;
    if (note === undefined) return;
    const runs = cellRuns(note.drafts, []);
    if (runs.length > 0 && this.#paragraph)
      this.#paragraph.after.push({ kind: 'footnote', label: note.label, runs, place: this.#place() });
  }

  #endAnnotation(): void {
    this.#leave();
    const text = runsText(cellRuns(this.#annotation, [])).replaceAll('\n', ' ');
    if (text === '') return;
    this.#paragraph?.remarks.push(text);
    this.#context.report.add('comments-left', this.#place(), { text: text });
  }

  #startCell(a: Attributes): void {
    const drafts: Draft[] = [];
    this.#cells.push({
      drafts,
      columns: spanOf(a['table:number-columns-spanned']),
      rows: spanOf(a['table:number-rows-spanned']),
      repeated: spanOf(a['table:number-columns-repeated']),
    });
    this.#enter((draft) => drafts.push(draft));
  }

  #endCell(): void {
    const cell = this.#cells.pop();
    const grid = this.#grids.at(-1);
    this.#leave();
    if (cell === undefined || grid === undefined) return;
    const { columns, rows } = cell;
    const made: TableCell = { runs: cellRuns(cell.drafts, grid.outside), columns, rows };
    for (let i = 0; i < cell.repeated; i++) grid.rows.at(-1)?.cells.push(made);
  }

  #endTable(): void {
    const grid = this.#grids.pop();
    if (grid === undefined) return;
    const rows: TableRow[] = grid.rows.filter((row) => row.cells.length > 0);
    const columns = Math.max(0, ...rows.map((row) => row.cells.reduce((sum, cell) => sum + cell.columns, 0)));
    if (rows.some((row) => row.cells.some((cell) => cell.runs.length > 0)))
      this.#out({ kind: 'table', table: { rows, columns }, place: grid.place });
    for (const draft of grid.outside) this.#out(draft);
  }

  #add(draft: Draft): void {
    if (this.#paragraph) (this.#paragraph.text.empty ? this.#paragraph.before : this.#paragraph.after).push(draft);
    else this.#out(draft);
  }
}

const spanOf = (value: string | undefined): number => Math.min(Math.max(1, Number(value ?? 1) || 1), MOST_REPEATED);
