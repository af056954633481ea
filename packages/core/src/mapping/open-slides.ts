/** Slides as they are made: those that are done, the one that is open, and what waits for the next. */
import { cellText, plain, type Runs } from '../content/index.ts';
import type { Content, Note, Slide, SlideTitle } from '../deck/index.ts';
import { blockRuns, type Block } from '../document/index.ts';
import { noteOf, type BlockId, type SlideId } from '../ids/index.ts';
import { marked } from './item-mark.ts';

type Open = { -readonly [K in keyof Slide]: Slide[K] } & { content: Content[]; notes: Note[]; passages: BlockId[] };

interface Beginning {
  readonly id: SlideId;
  readonly kind: Slide['kind'];
  readonly title: SlideTitle;
  /** It goes on with the title of the slide before it. */
  readonly continues?: boolean;
  /** What is made of it when it is done. */
  readonly finish: (slide: Slide) => Slide;
}

export class OpenSlides {
  readonly #done: Slide[] = [];
  #section: string | null = null;
  #open: Open | undefined;
  #finish: Beginning['finish'] = (slide) => slide;
  /** Passages and notes that came before the slide they belong to. */
  #waiting: { passages: BlockId[]; notes: Note[] } = { passages: [], notes: [] };
  /** A cut was made and waits for content to start a slide with. */
  #cut = false;

  get done(): readonly Slide[] {
    return this.#done;
  }

  get open(): Readonly<Open> | undefined {
    return this.#open;
  }

  get waiting(): { readonly passages: readonly BlockId[]; readonly notes: readonly Note[] } {
    return this.#waiting;
  }

  get isCut(): boolean {
    return this.#cut;
  }

  get section(): string | null {
    return this.#section;
  }

  /** Slides that were made before, as they were. */
  take(slides: readonly Slide[]): void {
    this.#done.push(...slides);
  }

  enterSection(title: string | null): void {
    this.#section = title;
  }

  /** The next content begins a slide. */
  cut(): void {
    if (this.#open !== undefined && this.#open.content.length > 0) this.#cut = true;
  }

  start({ id, kind, title, continues = false, finish }: Beginning): void {
    this.#open = {
      id,
      kind,
      title,
      content: [],
      section: this.#section,
      continues,
      notes: this.#waiting.notes,
      passages: this.#waiting.passages,
    };
    this.#finish = finish;
    this.#waiting = { passages: [], notes: [] };
    this.#cut = false;
  }

  /** A cut that no content followed has no effect: what waited for it stays where it was. */
  release(): void {
    if (!this.#cut || this.#open === undefined) return;
    const anchor = this.#open.content.at(-1)?.id ?? null;
    this.#open.notes.push(...this.#waiting.notes.map((note) => ({ ...note, anchor })));
    this.#open.passages.push(...this.#waiting.passages);
    this.#waiting = { passages: [], notes: [] };
    this.#cut = false;
  }

  close(): void {
    if (this.#open !== undefined) this.#done.push(this.#finish(this.#open));
    this.#open = undefined;
  }

  endSlide(): void {
    this.release();
    this.close();
  }

  /** No slide comes after; what trails after the last, left out, is seen with it. */
  end(): void {
    this.endSlide();
    const last = this.#done.at(-1);
    if (last !== undefined && this.#waiting.passages.length > 0)
      this.#done[this.#done.length - 1] = { ...last, passages: [...last.passages, ...this.#waiting.passages] };
  }

  addContent(block: Block, ...content: readonly Content[]): void {
    this.#open!.content.push(...content);
    this.#open!.passages.push(block.id);
  }

  /** Puts another in the place of the last content. */
  replaceLast(block: Block, content: Content): void {
    this.#open!.content.splice(-1, 1, content);
    this.#open!.passages.push(block.id);
  }

  /** A block that is no content of its own: a title, or one that is left out. */
  addPassage(block: Block): void {
    this.#target.passages.push(block.id);
  }

  addNotes(block: Block): void {
    const anchor = this.#cut ? null : (this.#open?.content.at(-1)?.id ?? null);
    const item = block.kind === 'listItem';
    const notes = spokenRows(block).map((runs, i): Note => ({
      kind: item ? 'item' : 'paragraph',
      depth: item ? block.depth : 0,
      ordered: item && block.ordered,
      ...marked(block),
      id: noteOf(block.id, i),
      runs,
      blocks: [block.id],
      anchor,
    }));
    this.#target.notes.push(...notes);
    this.#target.passages.push(block.id);
  }

  /** Speaks words of a block that stands on the slide already. */
  speak(block: Block, runs: Runs): void {
    this.#open!.notes.push({
      kind: 'paragraph',
      depth: 0,
      ordered: false,
      id: noteOf(block.id),
      runs,
      blocks: [block.id],
      anchor: this.#open!.content.at(-1)!.id,
    });
  }

  get #target(): { passages: BlockId[]; notes: Note[] } {
    return this.#open === undefined || this.#cut ? this.#waiting : this.#open;
  }
}

/** What is said of a block, a paragraph each. */
function spokenRows(block: Block): readonly Runs[] {
  if (block.kind === 'table') return block.table.rows.map((row) => plain(row.cells.map(cellText).join(' | ')));
  return [block.kind === 'picture' ? plain(block.alt ?? '') : blockRuns(block)];
}
