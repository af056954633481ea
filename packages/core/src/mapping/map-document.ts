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
  type Prose,
  type Note,
  type Slide,
  type SlideTitle,
} from '../deck/index.ts';
import { blockIndex, blockRuns, blockText, findTitle, type Block, type DocumentModel } from '../document/index.ts';
import { shorten, suggestTitle, type Kept, type Language } from '../shorten/index.ts';
import { documentLanguage } from './document-language.ts';
import { BELOW_HEADINGS, levelsForHeadings, Nesting } from './nesting.ts';
import { asOneText, showProse, trimItem } from './prose.ts';
import { captioned, isCoverLine, isCoverPicture, isSourceOf } from './stands-with.ts';
import { recall, remember } from './stretch-memory.ts';
import { marked } from './item-mark.ts';
import { madeWords } from './made-words.ts';
import { coverFirst, tell, toldItem } from './tell.ts';
import { toldApart } from './told-apart.ts';
import {
  cutAt,
  destinationAt,
  joinedAt,
  makePlan,
  proseAt,
  NO_OVERRIDES,
  topicAt,
  turnedAt,
  type Overrides,
  type Plan,
} from './plan.ts';
import { noteOf, partOf, partWithin, slideAt, type BlockId, type SlideId } from '../ids/index.ts';

/** @param remember Whether this plan may be come back to: what it gives is kept. Plans that are only tried are not. */
export function mapDocument(
  document: DocumentModel,
  map: LevelMap,
  overrides: Overrides = NO_OVERRIDES,
  remember = true,
): Deck {
  return new Mapper(document, map, overrides, remember).run();
}

type Open = { -readonly [K in keyof Slide]: Slide[K] } & { content: Content[]; notes: Note[]; passages: BlockId[] };

class Mapper {
  readonly #document: DocumentModel;
  readonly #plan: Plan;
  readonly #blank: readonly boolean[];
  readonly #title: Block | undefined;
  readonly #slides: Slide[] = [];
  readonly #leftOut: LeftOut[] = [];
  readonly #nesting = new Nesting();
  readonly #destinations: Destination[] = [];
  /** How the running text of this stretch is taken. */
  #prose: Prose;
  /** Chosen sentences of the paragraphs of this stretch, by their place. */
  #chosen: ReadonlyMap<number, readonly Kept[]> = new Map();
  #slide: Open | undefined;
  /** Whether it is told, which is decided where it begins. */
  #slideTells = false;
  #section: string | null = null;
  /** Levels that headings may take in this stretch. */
  #headings = 5;
  /** Passages and notes that came before the slide they belong to. */
  #waiting: { passages: BlockId[]; notes: Note[] } = { passages: [], notes: [] };
  /** A cut was made and waits for content to start a slide with. */
  #cut = false;

  readonly #remember: boolean;

  constructor(document: DocumentModel, map: LevelMap, overrides: Overrides, remember: boolean) {
    this.#remember = remember;
    this.#document = document;
    this.#plan = makePlan(document, map, overrides);
    this.#blank = blockIndex(document).blank;
    this.#title = findTitle(document.blocks);
    this.#prose = this.#plan.prose;
  }

  run(): Deck {
    const { blocks } = this.#document;
    for (let from = 0; from < blocks.length;) {
      let to = from + 1;
      const prose = proseAt(this.#plan, from);
      while (to < blocks.length && !this.#startsSlide(to) && proseAt(this.#plan, to) === prose) to++;
      this.#stretch(from, to);
      from = to;
    }
    this.#release();
    if (this.#slide === undefined && this.#waiting.notes.length > 0) {
      const first = this.#waiting.notes[0]!;
      this.#start(slideAt('i', first.blocks[0]!), 'content', { runs: this.#suggestedTitle(first.runs), blocks: [] });
    }
    this.#close();
    const last = this.#slides.at(-1);
    // What trails after the last slide, left out, is seen with it.
    if (last !== undefined && this.#waiting.passages.length > 0)
      this.#slides[this.#slides.length - 1] = { ...last, passages: [...last.passages, ...this.#waiting.passages] };
    return {
      title: this.#document.title,
      slides: this.#plan.prose.as === 'told' ? toldApart(coverFirst(this.#slides), this.#document) : this.#slides,
      removed: [],
      leftOut: this.#leftOut,
      destinations: this.#destinations,
    };
  }

  /** Shortens the running text of a stretch, all of it together. */
  #choose(from: number, to: number): ReadonlyMap<number, readonly Kept[]> {
    const prose = this.#prose;
    if (prose.as !== 'short') return new Map();
    const places = Array.from({ length: to - from }, (_, i) => from + i).filter((i) => this.#isProse(i));
    const texts = places.map((i) => blockText(this.#document.blocks[i]!));
    const kept = shorten(texts, prose.density, this.#language);
    return new Map(places.map((place, i) => [place, kept[i]!]));
  }

  get #language(): Language {
    return this.#prose.as === 'whole' ? 'und' : documentLanguage(this.#document);
  }

  /** No slide is left with a title alone. */
  get #tells(): boolean {
    return this.#prose.as === 'told';
  }

  get #showsProse(): boolean {
    const { as } = this.#prose;
    return as === 'first' || as === 'short';
  }

  /** Running text that no hand has turned and that the map wants somewhere. */
  #isProse(i: number): boolean {
    const block = this.#document.blocks[i]!;
    const destination = destinationAt(this.#plan, i);
    return (
      block.kind === 'paragraph' &&
      block.role === undefined &&
      !this.#blank[i] &&
      !turnedAt(this.#plan, i) &&
      destination !== 'out' &&
      destination !== 'title' &&
      destination !== 'section'
    );
  }

  #startsSlide(i: number): boolean {
    const destination = destinationAt(this.#plan, i);
    const titled = destination === 'title' || destination === 'section';
    return (titled || topicAt(this.#plan, i)) && !joinedAt(this.#plan, i) && !this.#blank[i];
  }

  #stretch(from: number, to: number): void {
    const codes = this.#plan.codes.subarray(from, to);
    const fresh = this.#waiting.passages.length === 0 && this.#startsSlide(from);
    this.#release();
    if (fresh) this.#close();
    this.#prose = proseAt(this.#plan, from);
    const key = { codes, prose: this.#prose, title: this.#title, sectionBefore: this.#section };
    const known = fresh ? recall(key, this.#document.blocks, from) : undefined;
    if (known !== undefined) {
      this.#slides.push(...known.slides);
      this.#leftOut.push(...known.leftOut);
      this.#destinations.push(...known.destinations);
      this.#section = known.sectionAfter;
      // Closed already: the next stretch starts a slide of its own.
      return;
    }
    const [slides, leftOut, destinations] = [this.#slides.length, this.#leftOut.length, this.#destinations.length];
    this.#chosen = this.#choose(from, to);
    this.#headings = levelsForHeadings(this.#ranks(from, to));
    for (let i = from; i < to; i++) this.#block(i);
    if (!fresh) return;
    this.#release();
    this.#close();
    if (!this.#remember) return;
    remember({
      ...key,
      blocks: this.#document.blocks.slice(from, to),
      sectionAfter: this.#section,
      slides: this.#slides.slice(slides),
      leftOut: this.#leftOut.slice(leftOut),
      destinations: this.#destinations.slice(destinations),
    });
  }

  /** Of its points, whatever hands have made of them. */
  #ranks(from: number, to: number): readonly number[] {
    const ranks: number[] = [];
    for (let i = from; i < to; i++) {
      const level = pointLevel(destinationAt(this.#plan, i));
      if (level !== undefined && !this.#blank[i]) ranks.push(rankOf(this.#document.blocks[i]!, level));
    }
    return ranks;
  }

  #block(i: number): void {
    const block = this.#document.blocks[i]!;
    const destination = destinationAt(this.#plan, i);
    const turned = turnedAt(this.#plan, i);
    if (cutAt(this.#plan, i) && this.#slide !== undefined && this.#slide.content.length > 0) this.#cut = true;
    this.#destinations.push(destination);
    if (block.kind === 'picture' && block.picture === undefined && destination !== 'notes')
      return this.#leaveOut(block, 'no-picture');
    if (this.#blank[i] && block.kind !== 'picture') {
      this.#leaveOut(block, 'no-words');
      if (this.#opensUntitled(block, destination)) this.#endSlide();
      return;
    }
    if (block.kind === 'picture' && destination === 'notes' && block.alt === null)
      return this.#leaveOut(block, 'by-map');
    if (destination === 'out') return this.#leaveOut(block, turned ? 'by-mark' : ownReason(block));
    if (this.#showsProse && this.#isProse(i) && this.#addProse(block, i)) return;
    if (this.#isOnCover(block, destination, turned)) {
      this.#destinations[i] = 'slide';
      return this.#addContent(block, textOf(block));
    }
    if (this.#isCoverPicture(block, destination, turned))
      return this.#addContent(block, this.#content(block, destination, false));
    if (topicAt(this.#plan, i) && !joinedAt(this.#plan, i)) this.#startTopic(block);
    if (destination === 'notes' && this.#addToLast(block, i)) return;
    if (destination === 'notes') return this.#addNotes(block);
    const joined = destination === 'title' && joinedAt(this.#plan, i) && this.#slide?.kind === 'content';
    if (!joined && (destination === 'section' || destination === 'title'))
      return this.#startTitled(block, destination, turned);
    if (!joined) this.#contentSlide(block);
    if (!joined && !turned && block.kind === 'listItem' && this.#addTrimmed(block, i)) return;
    const content: Content = joined
      ? {
          kind: 'point',
          level: this.#nesting.placeAt(1, 0),
          id: partOf(block.id),
          runs: blockRuns(block),
          blocks: [block.id],
        }
      : this.#content(block, destination, turned);
    if (content.kind === 'point') this.#destinations[i] = `point${content.level}`;
    this.#addContent(block, content);
  }

  /** Where the file says which headings make slides, one without words makes a slide too: its title is found in its words. */
  #opensUntitled(block: Block, destination: Destination): boolean {
    return block.kind === 'heading' && block.level === this.#document.slidesAt && destination === 'title';
  }

  #endSlide(): void {
    this.#release();
    this.#close();
  }

  /** A subtitle, and where no slide is left bare, what says whose the document is. */
  #isOnCover(block: Block, destination: Destination, turned: boolean): boolean {
    const slide = this.#slide;
    if (slide?.kind !== 'cover' || block.kind !== 'paragraph' || turned) return false;
    return block.role === 'subtitle' || (this.#tells && destination === 'notes' && isCoverLine(slide, block));
  }

  #isCoverPicture(block: Block, destination: Destination, turned: boolean): boolean {
    const slide = this.#slide;
    if (!this.#tells || slide?.kind !== 'cover' || block.kind !== 'picture' || destination !== 'slide') return false;
    const picture = this.#document.pictures.find(({ id }) => id === block.picture);
    return !turned && isCoverPicture(slide, picture);
  }

  #startTitled(block: Block, destination: 'section' | 'title', turned: boolean): void {
    this.#endSlide();
    const cover = block === this.#title && !turned;
    const runs = blockRuns(block);
    if (destination === 'section') this.#section = runsText(runs);
    this.#start(slideAt('s', block.id), cover ? 'cover' : destination === 'section' ? 'section' : 'content', {
      runs,
      blocks: [block.id],
    });
    this.#slide!.passages.push(block.id);
  }

  /** A caption stands with its picture, and who said it with a quotation, where no slide is left bare. @returns false where it is neither. */
  #addToLast(block: Block, i: number): boolean {
    const content = this.#slide?.content;
    if (!this.#tells || content === undefined || turnedAt(this.#plan, i) || this.#cut) return false;
    const [last, before] = [content.at(-1), this.#document.blocks[i - 1]];
    const picture = captioned(last, block, before);
    if (picture !== undefined) {
      content[content.length - 1] = { ...picture, caption: blockRuns(block), blocks: [...picture.blocks, block.id] };
      this.#slide!.passages.push(block.id);
    } else if (isSourceOf(last, block, before)) this.#addContent(block, textOf(block));
    else return false;
    this.#destinations[i] = 'slide';
    return true;
  }

  /** A slide whose title is found in its words. */
  #startTopic(block: Block): void {
    this.#endSlide();
    const title = plain(suggestTitle(blockText(block), this.#language));
    this.#start(slideAt('i', block.id), 'content', { runs: title, blocks: [] });
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
    this.#start(slideAt(this.#cut ? 'c' : 'i', block.id), 'content', { runs: title, blocks: [] }, this.#cut);
    this.#cut = false;
  }

  #content(block: Block, destination: Destination, turned: boolean): Content {
    const common = { id: partOf(block.id), blocks: [block.id] };
    if (block.kind === 'table') return { kind: 'table', table: block.table, ...common };
    if (block.kind === 'picture') return { kind: 'picture', picture: block.picture!, alt: block.alt, ...common };
    const level = pointLevel(destination);
    const runs = blockRuns(block);
    if (level === undefined) {
      const style = block.kind === 'quote' || block.kind === 'code' ? block.kind : 'body';
      return { kind: 'text', style, runs, ...common };
    }
    const rank = rankOf(block, level);
    return {
      kind: 'point',
      level: turned ? this.#nesting.placeAt(level, rank) : this.#nesting.place(rank),
      runs,
      ...marked(block),
      ...common,
    };
  }

  /** Running text that is not taken whole. @returns false where nothing of it is to be shown. */
  #addProse(block: Block, i: number): boolean {
    const runs = blockRuns(block);
    const destination = destinationAt(this.#plan, i);
    const { shown, spoken } = showProse(runs, this.#prose, this.#chosen.get(i) ?? [], this.#language);
    if (shown.length === 0) {
      if (destination === 'notes') return false;
      this.#addNotes(block);
      this.#destinations[i] = 'notes';
      return true;
    }
    this.#contentSlide(block);
    const { content } = this.#slide!;
    const blocks = [block.id];
    if (destination === 'slide')
      content.push({
        kind: 'text',
        style: 'body',
        id: partWithin(block.id, 0),
        blocks,
        ...asOneText(shown, runsText(runs)),
      });
    else
      shown.forEach((sentence, k) => {
        const level = this.#nesting.place(BELOW_HEADINGS + (pointLevel(destination) ?? 1));
        if (k === 0) this.#destinations[i] = `point${level}`;
        content.push({ kind: 'point', level, id: partWithin(block.id, k), blocks, ...sentence });
      });
    if (spoken !== null) this.#speak(block, spoken);
    this.#slide!.passages.push(block.id);
    return true;
  }

  /** A list item that is trimmed; the whole is spoken. @returns false where nothing can be. */
  #addTrimmed(block: Block, i: number): boolean {
    const level = pointLevel(destinationAt(this.#plan, i));
    const trimmed =
      level === undefined
        ? null
        : this.#tells
          ? toldItem(blockRuns(block), this.#language)
          : trimItem(blockRuns(block), this.#prose, this.#language);
    if (level === undefined || trimmed === null) return false;
    const placed = this.#nesting.place(BELOW_HEADINGS + level);
    this.#destinations[i] = `point${placed}`;
    this.#addContent(block, {
      kind: 'point',
      level: placed,
      id: partOf(block.id),
      blocks: [block.id],
      ...trimmed,
      ...marked(block),
    });
    this.#speak(block, blockRuns(block));
    return true;
  }

  /** Speaks words of a block that stands on the slide already. */
  #speak(block: Block, runs: Runs): void {
    this.#slide!.notes.push({
      kind: 'paragraph',
      depth: 0,
      ordered: false,
      id: noteOf(block.id),
      runs,
      blocks: [block.id],
      anchor: this.#slide!.content.at(-1)!.id,
    });
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
      ...marked(block),
      id: noteOf(block.id, i),
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

  #start(id: SlideId, kind: Slide['kind'], title: SlideTitle, continues = false): void {
    this.#slide = {
      id,
      kind,
      title,
      content: [],
      section: this.#section,
      continues,
      notes: this.#waiting.notes,
      passages: this.#waiting.passages,
    };
    this.#slideTells = this.#tells;
    this.#waiting = { passages: [], notes: [] };
    this.#nesting.reset(this.#headings);
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
    const slide = this.#slide;
    if (slide !== undefined) this.#slides.push(this.#slideTells ? this.#told(slide) : slide);
    this.#slide = undefined;
  }

  #told(slide: Slide): Slide {
    const { places } = blockIndex(this.#document);
    const placeOf = ({ blocks: [block] }: Note): number | undefined =>
      block === undefined ? undefined : places.get(block);
    const onlySpoken = (note: Note): boolean => {
      const place = placeOf(note);
      return place !== undefined && turnedAt(this.#plan, place);
    };
    const aside = (note: Note): boolean => this.#document.blocks[placeOf(note) ?? -1]?.kind === 'footnote';
    return tell(slide, documentLanguage(this.#document), onlySpoken, aside);
  }

  /** The document's title, else the first words of what stands on the slide, else the first words of all. */
  #suggestedTitle(first: Runs): Runs {
    const { title, blocks } = this.#document;
    const words = [runsText(first), ...blocks.map(blockText)].find((text) => text.trim() !== '');
    // A slide amid others is about its own words.
    const whole = this.#slides.length === 0 ? title : null;
    return plain(
      whole ??
        (words === undefined
          ? madeWords(this.#document).untitled
          : suggestTitle(words, documentLanguage(this.#document))),
    );
  }
}

const textOf = (block: Block): Content => ({
  kind: 'text',
  style: 'body',
  id: partOf(block.id),
  runs: blockRuns(block),
  blocks: [block.id],
});

const rankOf = (block: Block, level: number): number => (block.kind === 'heading' ? level : BELOW_HEADINGS + level);

function ownReason(block: Block): LeftOut['reason'] {
  if (block.left !== undefined) return block.left === 'deleted' ? 'deleted' : 'furniture';
  return block.kind === 'paragraph' && block.role === 'contents' ? 'contents' : 'by-map';
}
