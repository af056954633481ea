/** The text of an RTF file as it comes: paragraphs, tables, and notes and boxes within them. */
import type { Report, SourcePlace } from '../../base/index.ts';
import type { Run } from '../../content/index.ts';
import { cellRuns } from '../cell-runs.ts';
import { GatheredText } from '../gathered-text.ts';
import { hiddenBlock } from '../hidden-text.ts';
import type { Draft } from '../read-result.ts';
import { ofScript } from '../spoken.ts';
import type { Definitions } from './definitions.ts';
import { ListCounters, paragraphBlock } from './paragraph-block.ts';
import { freshParagraph, type ParagraphState, type State } from './state.ts';
import { TableRows } from './table-rows.ts';

/** A paragraph that is being gathered, with what stands before and after it. */
interface Gathering {
  text: GatheredText;
  paragraph: ParagraphState;
  before: Draft[];
  after: Draft[];
}
const gathering = (): Gathering => ({ text: new GatheredText(), paragraph: freshParagraph(), before: [], after: [] });

export class TextFlow {
  paragraphs = 0;
  readonly table = new TableRows();
  readonly #definitions: Definitions;
  readonly #report: Report;
  readonly #out: (draft: Draft) => void;
  readonly #counters = new ListCounters();
  #now = gathering();
  /** Notes and text boxes that are open: text of their own within a paragraph. */
  readonly #asides: {
    readonly kind: 'note' | 'box';
    readonly depth: number;
    readonly host: Gathering;
    readonly drafts: Draft[];
  }[] = [];
  #noteNumber = 0;

  constructor(definitions: Definitions, report: Report, out: (draft: Draft) => void) {
    this.#definitions = definitions;
    this.#report = report;
    this.#out = out;
  }

  get place(): SourcePlace {
    return { paragraph: Math.max(1, this.paragraphs) };
  }

  get paragraph(): ParagraphState {
    return this.#now.paragraph;
  }

  /** What `\pard` does. */
  resetParagraph(): void {
    const { listText } = this.#now.paragraph;
    this.#now.paragraph = { ...freshParagraph(), listText };
  }

  append(text: string, state: State, link: string | undefined): void {
    const { bold, italic, strike, hidden, deleted, caps, position, size, font, language, asian } = state;
    if (deleted) return;
    const now = this.#now;
    if (hidden) {
      now.text.hidden += text;
      return;
    }
    const style = this.#definitions.style(now.paragraph.style);
    const look: Omit<Run, 'text'> = {
      ...(bold && !style?.bold ? { bold: true } : {}),
      ...(italic ? { italic: true } : {}),
      ...(strike ? { strike: true } : {}),
      ...(position === undefined ? {} : { position }),
      ...(link === undefined ? {} : { link }),
    };
    now.text.spoken.add(text, ofScript({ latin: language, asian }, text));
    now.text.append(text, look, size, bold, caps, this.#definitions.isMono(font));
  }

  /** Before the paragraph, or after it where it has begun. */
  beside(draft: Draft): void {
    const { text, before, after } = this.#now;
    (text.empty ? before : after).push(draft);
  }

  endParagraph(): void {
    this.paragraphs++;
    const { text, paragraph, before, after } = this.#now;
    const { place } = this;
    text.spoken.direction = paragraph.direction;
    const spoken = text.spoken.take();
    const made = paragraphBlock({ paragraph, text, place }, this.#definitions, this.#counters, this.#report);
    const block = made === undefined ? undefined : { ...made, ...spoken };
    const hidden = hiddenBlock(text.hidden, !text.empty, place, this.#report);
    const drafts = [...before, hidden, block, ...after].filter((draft) => draft !== undefined);
    paragraph.listText = '';
    this.#now = { ...gathering(), paragraph };
    const aside = this.#asides.at(-1);
    if (aside !== undefined) aside.drafts.push(...drafts);
    else if (paragraph.inTable) this.table.add(drafts);
    else {
      this.#endTable();
      for (const draft of drafts) this.#out(draft);
    }
  }

  endCell(): void {
    if (this.#asides.length > 0) return;
    this.#now.paragraph.inTable = true;
    if (this.#hasText) this.endParagraph();
    this.table.endCell();
  }

  /** @param depth Of its group. */
  startAside(kind: 'note' | 'box', depth: number): void {
    this.#asides.push({ kind, depth, host: this.#now, drafts: [] });
    this.#now = gathering();
  }

  /** The group of such a depth ends, and what began with it. */
  endGroup(depth: number): void {
    if (this.#asides.at(-1)?.depth === depth) this.#endAside();
  }

  finish(): void {
    while (this.#asides.length > 0) this.#endAside();
    if (this.#hasText) this.endParagraph();
    this.#endTable();
  }

  get #hasText(): boolean {
    const { text, before, after } = this.#now;
    return !text.empty || text.hidden !== '' || before.length > 0 || after.length > 0;
  }

  #endTable(): void {
    for (const draft of this.table.take(this.place, this.#report)) this.#out(draft);
  }

  #endAside(): void {
    if (this.#hasText) this.endParagraph();
    const { kind, host, drafts } = this.#asides.pop()!;
    this.#now = host;
    if (kind === 'box') {
      host.after.push(...drafts);
      return;
    }
    const runs = cellRuns(drafts, []);
    if (runs.length > 0) host.after.push({ kind: 'footnote', label: `${++this.#noteNumber}`, runs, place: this.place });
  }
}
