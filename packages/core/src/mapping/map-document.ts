/**
 * Makes slides of a document by a level map. Blocks are taken in order; each goes to one destination, and text that is
 * spoken stays with the content it explains.
 */
import { cellText, plain, runsText, type Runs } from '../content/index.ts';
import {
  pointLevel,
  type Content,
  type Deck,
  type Destination,
  type LeftOut,
  type LevelMap,
  type Note,
  type Slide,
  type SlideId,
  type SlideTitle,
} from '../deck/index.ts';
import { blockIndex, blockRuns, blockText, findTitle, type Block, type DocumentModel } from '../document/index.ts';
import { Nesting } from './nesting.ts';
import { cutAt, destinationAt, joinedAt, makePlan, NO_OVERRIDES, turnedAt, type Overrides, type Plan } from './plan.ts';

/** Ranks below which list items and body text stand: every heading outranks them. */
const BELOW_HEADINGS = 100;

export function mapDocument(document: DocumentModel, map: LevelMap, overrides: Overrides = NO_OVERRIDES): Deck {
  return new Mapper(document, map, overrides).run();
}

type Open = { -readonly [K in keyof Slide]: Slide[K] } & { content: Content[]; notes: Note[]; passages: string[] };

/** What one stretch of the document, from a title up to the next, gave; and all that this depended on. */
interface Stretch {
  readonly blocks: readonly Block[];
  readonly codes: Uint8Array;
  readonly title: Block | undefined;
  readonly sectionBefore: string | null;
  readonly sectionAfter: string | null;
  readonly slides: readonly Slide[];
  readonly leftOut: readonly LeftOut[];
  readonly destinations: readonly Destination[];
}

// An edit changes one stretch; the others give the same slides again, down to their identity. Who turns a plug to and
// fro, or undoes, comes back to a plan that was there before: the last few are remembered.
const stretches = new WeakMap<Block, readonly Stretch[]>();
const REMEMBERED = 3;

class Mapper {
  readonly #document: DocumentModel;
  readonly #plan: Plan;
  readonly #blank: readonly boolean[];
  readonly #title: Block | undefined;
  readonly #slides: Slide[] = [];
  readonly #leftOut: LeftOut[] = [];
  readonly #nesting = new Nesting();
  readonly #destinations: Destination[] = [];
  #slide: Open | undefined;
  #section: string | null = null;
  /** Passages and notes that came before the slide they belong to. */
  #waiting: { passages: string[]; notes: Note[] } = { passages: [], notes: [] };
  /** A cut was made and waits for content to start a slide with. */
  #cut = false;

  constructor(document: DocumentModel, map: LevelMap, overrides: Overrides) {
    this.#document = document;
    this.#plan = makePlan(document, map, overrides);
    this.#blank = blockIndex(document).blank;
    this.#title = findTitle(document.blocks);
  }

  run(): Deck {
    const { blocks } = this.#document;
    for (let from = 0; from < blocks.length;) {
      let to = from + 1;
      while (to < blocks.length && !this.#startsSlide(to)) to++;
      this.#stretch(from, to);
      from = to;
    }
    this.#release();
    if (this.#slide === undefined && this.#waiting.notes.length > 0) {
      const first = this.#waiting.notes[0]!;
      this.#start(`i${first.id}`, 'content', { runs: this.#suggestedTitle(first.runs), blocks: [] });
    }
    this.#close();
    const last = this.#slides.at(-1);
    // What trails after the last slide, left out, is seen with it.
    if (last !== undefined && this.#waiting.passages.length > 0)
      this.#slides[this.#slides.length - 1] = { ...last, passages: [...last.passages, ...this.#waiting.passages] };
    return {
      title: this.#document.title,
      slides: this.#slides,
      leftOut: this.#leftOut,
      destinations: this.#destinations,
    };
  }

  #startsSlide(i: number): boolean {
    const destination = destinationAt(this.#plan, i);
    return (destination === 'title' || destination === 'section') && !joinedAt(this.#plan, i) && !this.#blank[i];
  }

  #stretch(from: number, to: number): void {
    const first = this.#document.blocks[from]!;
    const codes = this.#plan.codes.subarray(from, to);
    const fresh = this.#waiting.passages.length === 0 && this.#startsSlide(from);
    this.#release();
    if (fresh) this.#close();
    const remembered = stretches.get(first) ?? [];
    const known = fresh
      ? remembered.find(
          (one) =>
            one.title === this.#title &&
            one.sectionBefore === this.#section &&
            sameCodes(one.codes, codes) &&
            sameBlocks(one.blocks, this.#document.blocks, from),
        )
      : undefined;
    if (known !== undefined) {
      this.#slides.push(...known.slides);
      this.#leftOut.push(...known.leftOut);
      this.#destinations.push(...known.destinations);
      this.#section = known.sectionAfter;
      // Closed already: the next stretch starts a slide of its own.
      return;
    }
    const [slides, leftOut, destinations] = [this.#slides.length, this.#leftOut.length, this.#destinations.length];
    const sectionBefore = this.#section;
    for (let i = from; i < to; i++) this.#block(i);
    if (!fresh) return;
    this.#release();
    this.#close();
    const made: Stretch = {
      blocks: this.#document.blocks.slice(from, to),
      codes,
      title: this.#title,
      sectionBefore,
      sectionAfter: this.#section,
      slides: this.#slides.slice(slides),
      leftOut: this.#leftOut.slice(leftOut),
      destinations: this.#destinations.slice(destinations),
    };
    stretches.set(first, [made, ...remembered.slice(0, REMEMBERED - 1)]);
  }

  #block(i: number): void {
    const block = this.#document.blocks[i]!;
    const destination = destinationAt(this.#plan, i);
    const turned = turnedAt(this.#plan, i);
    if (cutAt(this.#plan, i) && this.#slide !== undefined && this.#slide.content.length > 0) this.#cut = true;
    this.#destinations.push(destination);
    if (block.kind === 'picture' && block.picture === undefined && destination !== 'notes')
      return this.#leaveOut(block, 'no-picture');
    if (this.#blank[i] && block.kind !== 'picture') return this.#leaveOut(block, 'no-words');
    if (block.kind === 'picture' && destination === 'notes' && block.alt === null)
      return this.#leaveOut(block, 'by-map');
    if (destination === 'out') return this.#leaveOut(block, turned ? 'by-mark' : ownReason(block));
    if (destination === 'notes') return this.#addNotes(block);
    const onCover = this.#slide?.kind === 'cover' && block.kind === 'paragraph' && block.role === 'subtitle' && !turned;
    if (onCover)
      return this.#addContent(block, {
        kind: 'text',
        style: 'body',
        id: block.id,
        runs: block.runs,
        blocks: [block.id],
      });
    const joined = destination === 'title' && joinedAt(this.#plan, i) && this.#slide?.kind === 'content';
    if (!joined && (destination === 'section' || destination === 'title'))
      return this.#startTitled(block, destination, turned);
    if (!joined) this.#contentSlide(block);
    const content: Content = joined
      ? { kind: 'point', level: this.#nesting.placeAt(1, 0), id: block.id, runs: blockRuns(block), blocks: [block.id] }
      : this.#content(block, destination, turned);
    if (content.kind === 'point') this.#destinations[i] = `point${content.level}`;
    this.#addContent(block, content);
  }

  #startTitled(block: Block, destination: 'section' | 'title', turned: boolean): void {
    this.#release();
    this.#close();
    const cover = block === this.#title && !turned;
    const runs = blockRuns(block);
    if (destination === 'section') this.#section = runsText(runs);
    this.#start(`s${block.id}`, cover ? 'cover' : destination === 'section' ? 'section' : 'content', {
      runs,
      blocks: [block.id],
    });
    this.#slide!.passages.push(block.id);
  }

  /** Makes sure that there is a slide which may hold points. */
  #contentSlide(block: Block): void {
    const before = this.#slide;
    if (before?.kind === 'content' && !this.#cut) return;
    const title =
      before === undefined
        ? this.#suggestedTitle(block.kind === 'picture' ? plain(block.alt ?? '') : blockRuns(block))
        : before.title.runs;
    this.#close();
    this.#start(`${this.#cut ? 'c' : 'i'}${block.id}`, 'content', { runs: title, blocks: [] }, this.#cut);
    this.#cut = false;
  }

  #content(block: Block, destination: Destination, turned: boolean): Content {
    const common = { id: block.id, blocks: [block.id] };
    if (block.kind === 'table') return { kind: 'table', table: block.table, ...common };
    if (block.kind === 'picture') return { kind: 'picture', picture: block.picture!, alt: block.alt, ...common };
    const level = pointLevel(destination);
    const runs = blockRuns(block);
    if (level === undefined) {
      const style = block.kind === 'quote' || block.kind === 'code' ? block.kind : 'body';
      return { kind: 'text', style, runs, ...common };
    }
    const rank = block.kind === 'heading' ? level : BELOW_HEADINGS + level;
    return {
      kind: 'point',
      level: turned ? this.#nesting.placeAt(level, rank) : this.#nesting.place(rank),
      runs,
      ...common,
    };
  }

  #addContent(block: Block, content: Content): void {
    this.#slide!.content.push(content);
    this.#slide!.passages.push(block.id);
  }

  #addNotes(block: Block): void {
    const anchor = this.#slide?.content.at(-1)?.id ?? null;
    const item = block.kind === 'listItem';
    const rows: readonly Runs[] =
      block.kind === 'table'
        ? block.table.rows.map((row) => plain(row.cells.map(cellText).join(' | ')))
        : block.kind === 'picture'
          ? [plain(block.alt ?? '')]
          : [blockRuns(block)];
    const notes = rows.map((runs, i): Note => ({
      kind: item ? 'item' : 'paragraph',
      depth: item ? block.depth : 0,
      ordered: item && block.ordered,
      id: i === 0 ? block.id : `${block.id}.${i}`,
      runs,
      blocks: [block.id],
      anchor: this.#cut ? null : anchor,
    }));
    const target = this.#slide === undefined || this.#cut ? this.#waiting : this.#slide;
    target.notes.push(...notes);
    target.passages.push(block.id);
  }

  #leaveOut(block: Block, reason: LeftOut['reason']): void {
    this.#leftOut.push({ block: block.id, reason });
    (this.#slide === undefined || this.#cut ? this.#waiting : this.#slide).passages.push(block.id);
  }

  #start(id: string, kind: Slide['kind'], title: SlideTitle, continues = false): void {
    this.#slide = {
      id: id as SlideId,
      kind,
      title,
      content: [],
      section: this.#section,
      continues,
      notes: this.#waiting.notes,
      passages: this.#waiting.passages,
    };
    this.#waiting = { passages: [], notes: [] };
    this.#nesting.reset();
  }

  /** A cut that no content followed has no effect: what waited for it stays where it was. */
  #release(): void {
    if (!this.#cut || this.#slide === undefined) return;
    this.#slide.notes.push(
      ...this.#waiting.notes.map((note) => ({ ...note, anchor: this.#slide!.content.at(-1)?.id ?? null })),
    );
    this.#slide.passages.push(...this.#waiting.passages);
    this.#waiting = { passages: [], notes: [] };
    this.#cut = false;
  }

  #close(): void {
    if (this.#slide !== undefined) this.#slides.push(this.#slide);
    this.#slide = undefined;
  }

  /** The document's title, else the first words of what stands on the slide, else the first words of all. */
  #suggestedTitle(first: Runs): Runs {
    const { title, blocks } = this.#document;
    const words = [runsText(first), ...blocks.map(blockText)].find((text) => text.trim() !== '');
    return plain(title ?? (words === undefined ? 'Untitled' : suggestTitle(words)));
  }
}

function ownReason(block: Block): LeftOut['reason'] {
  if (block.left !== undefined) return block.left === 'deleted' ? 'deleted' : 'furniture';
  return block.kind === 'paragraph' && block.role === 'contents' ? 'contents' : 'by-map';
}

function sameBlocks(known: readonly Block[], blocks: readonly Block[], from: number): boolean {
  for (let i = 0; i < known.length; i++) if (known[i] !== blocks[from + i]) return false;
  return true;
}

function sameCodes(a: Uint8Array, b: Uint8Array): boolean {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
}

const TITLE_WORDS = 8;

/** The first words of a text, for a slide that the document gives no title. */
export function suggestTitle(text: string): string {
  const words = text.trim().split(/\s+/);
  const sentence = /^.*?[.!?](?=\s|$)/.exec(text.trim())?.[0];
  if (sentence !== undefined && sentence.split(/\s+/).length <= TITLE_WORDS) return sentence.replace(/[.]$/, '');
  return words.length <= TITLE_WORDS ? words.join(' ') : `${words.slice(0, TITLE_WORDS).join(' ')} …`;
}
