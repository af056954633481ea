/** Reads the text of an ODT (OASIS ODF 1.3 part 3, §5 and §9): paragraphs, lists, tables, notes and frames. */
import { runsText, safeLink } from '../../content/index.ts';
import type { SourcePlace } from '../../base/index.ts';
import type { Attributes, XmlHandler } from '../../container/index.ts';
import { cellRuns } from '../cell-runs.ts';
import { GatheredText } from '../gathered-text.ts';
import { hiddenBlock } from '../hidden-text.ts';
import { ofScript } from '../spoken.ts';
import { draftBreak, type Draft } from '../read-result.ts';
import type { OdtContext } from './context.ts';
import { Frames } from './frames.ts';
import { Grids } from './grids.ts';
import { ParagraphBlocks, type Paragraph } from './paragraph-blocks.ts';
import { lookOf } from './span-look.ts';
import type { Style } from './styles.ts';

interface List {
  readonly style: string | undefined;
  next: number | undefined;
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

export class OdtFlowReader implements XmlHandler {
  readonly #context: OdtContext;
  #out: (draft: Draft) => void;
  #paragraph: Paragraph | undefined;
  readonly #outer: { out: (draft: Draft) => void; paragraph: Paragraph | undefined; lists: List[] }[] = [];
  #lists: List[] = [];
  #itemOpen = false;
  readonly #spans: Style[] = [];
  readonly #links: (string | undefined)[] = [];
  readonly #grids = new Grids();
  readonly #frames: Frames;
  #contents = 0;
  #hiddenSections = 0;
  readonly #blocks: ParagraphBlocks;
  #annotation: Draft[] = [];
  #note: { label: string; readonly drafts: Draft[] } | undefined;
  #inCitation = false;
  #skip = 0;
  #paragraphs = 0;

  constructor(context: OdtContext, out: (draft: Draft) => void) {
    this.#context = context;
    this.#out = out;
    this.#blocks = new ParagraphBlocks(context);
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
        this.#grids.start(this.#place());
        break;
      case 'table:table-header-rows':
        this.#grids.header(true);
        break;
      case 'table:table-row':
        this.#grids.row();
        break;
      case 'table:covered-table-cell':
        this.#skip = 1;
        break;
      case 'table:table-cell':
        this.#enter(this.#grids.startCell(a));
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
        this.#grids.header(false);
        break;
      case 'table:table-cell':
        this.#leave();
        this.#grids.endCell();
        break;
      case 'table:table':
        for (const draft of this.#grids.end()) this.#out(draft);
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
      before: style.breakBefore && !this.#grids.inCell ? [draftBreak('page', this.#place())] : [],
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
    const made = this.#blocks.of(paragraph, this.#place(), this.#contents > 0);
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

  #text(text: string): void {
    const paragraph = this.#paragraph;
    if (paragraph === undefined || text === '') return;
    if (paragraph.style.hidden || this.#hiddenSections > 0) {
      paragraph.text.hidden += text;
      return;
    }
    if (paragraph.text.empty && text === ' ') return;
    const look = lookOf(paragraph.style, this.#spans, this.#links.at(-1), this.#context.styles.language);
    if (look === undefined) {
      paragraph.text.hidden += text;
      return;
    }
    paragraph.text.spoken.add(text, ofScript(look.language, text));
    paragraph.text.append(text, look.run, look.size, look.bold, look.caps, look.mono);
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

  #add(draft: Draft): void {
    if (this.#paragraph) (this.#paragraph.text.empty ? this.#paragraph.before : this.#paragraph.after).push(draft);
    else this.#out(draft);
  }
}
