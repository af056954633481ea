/**
 * Makes slides of a document by a level map. Blocks are taken in order; each goes to one destination, and text that is
 * spoken stays with the content it explains.
 */
import { plain, runsText, type Runs } from '../content/index.ts';
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
import { captioned, isOnCover, isPictureOnCover, isSourceOf } from './stands-with.ts';
import { recall, remember } from './stretch-memory.ts';
import { marked } from './item-mark.ts';
import { OpenSlides } from './open-slides.ts';
import { contentOf, ownReason, pointOf, rankOf, suggestedTitle, textOf } from './parts-of-block.ts';
import { coverFirst, tell, toldItem } from './tell.ts';
import { toldApart } from './told-apart.ts';
import {
  cutAt,
  destinationAt,
  joinedAt,
  makePlan,
  proseAt,
  isProseAt,
  startsSlideAt,
  NO_OVERRIDES,
  topicAt,
  turnedAt,
  type Overrides,
  type Plan,
} from './plan.ts';
import { partWithin, slideAt, type SlideId } from '../ids/index.ts';

/** @param remember Whether this plan may be come back to: what it gives is kept. Plans that are only tried are not. */
export function mapDocument(
  document: DocumentModel,
  map: LevelMap,
  overrides: Overrides = NO_OVERRIDES,
  remember = true,
): Deck {
  return new Mapper(document, map, overrides, remember).run();
}

class Mapper {
  readonly #document: DocumentModel;
  readonly #plan: Plan;
  readonly #blank: readonly boolean[];
  readonly #title: Block | undefined;
  readonly #leftOut: LeftOut[] = [];
  readonly #nesting = new Nesting();
  readonly #destinations: Destination[] = [];
  /** How the running text of this stretch is taken. */
  #prose: Prose;
  /** Chosen sentences of the paragraphs of this stretch, by their place. */
  #chosen: ReadonlyMap<number, readonly Kept[]> = new Map();
  readonly #slides = new OpenSlides();
  /** Levels that headings may take in this stretch. */
  #headings = 5;
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
    this.#slides.release();
    const [note] = this.#slides.waiting.notes;
    if (this.#slides.open === undefined && note !== undefined)
      this.#start(slideAt('i', note.blocks[0]!), 'content', { runs: this.#suggestedTitle(note.runs), blocks: [] });
    this.#slides.end();
    const slides = this.#slides.done;
    return {
      title: this.#document.title,
      slides: this.#plan.prose.as === 'told' ? toldApart(coverFirst(slides), this.#document) : slides,
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

  #isProse(i: number): boolean {
    return !this.#blank[i] && isProseAt(this.#plan, this.#document.blocks[i]!, i);
  }

  #startsSlide(i: number): boolean {
    return !this.#blank[i] && startsSlideAt(this.#plan, i);
  }

  #stretch(from: number, to: number): void {
    const codes = this.#plan.codes.subarray(from, to);
    const slides = this.#slides;
    const fresh = slides.waiting.passages.length === 0 && this.#startsSlide(from);
    if (fresh) slides.endSlide();
    else slides.release();
    this.#prose = proseAt(this.#plan, from);
    const key = { codes, prose: this.#prose, title: this.#title, sectionBefore: slides.section };
    const known = fresh ? recall(key, this.#document.blocks, from) : undefined;
    if (known !== undefined) {
      slides.take(known.slides);
      this.#leftOut.push(...known.leftOut);
      this.#destinations.push(...known.destinations);
      slides.enterSection(known.sectionAfter);
      // Closed already: the next stretch starts a slide of its own.
      return;
    }
    const [done, leftOut, destinations] = [slides.done.length, this.#leftOut.length, this.#destinations.length];
    this.#chosen = this.#choose(from, to);
    this.#headings = levelsForHeadings(this.#ranks(from, to));
    for (let i = from; i < to; i++) this.#block(i);
    if (!fresh) return;
    this.#slides.endSlide();
    if (!this.#remember) return;
    remember({
      ...key,
      blocks: this.#document.blocks.slice(from, to),
      sectionAfter: slides.section,
      slides: slides.done.slice(done),
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
    if (cutAt(this.#plan, i)) this.#slides.cut();
    this.#destinations.push(destination);
    if (block.kind === 'picture' && block.picture === undefined && destination !== 'notes')
      return this.#leaveOut(block, 'no-picture');
    if (this.#blank[i] && block.kind !== 'picture') {
      this.#leaveOut(block, 'no-words');
      if (this.#opensUntitled(block, destination)) this.#slides.endSlide();
      return;
    }
    if (block.kind === 'picture' && destination === 'notes' && block.alt === null)
      return this.#leaveOut(block, 'by-map');
    if (destination === 'out') return this.#leaveOut(block, turned ? 'by-mark' : ownReason(block));
    const { as } = this.#prose;
    if ((as === 'first' || as === 'short') && this.#isProse(i) && this.#addProse(block, i)) return;
    const cover = turned ? undefined : this.#slides.open;
    if (isOnCover(cover, block, destination, this.#tells)) {
      this.#destinations[i] = 'slide';
      return this.#slides.addContent(block, textOf(block));
    }
    if (this.#tells && isPictureOnCover(cover, block, destination, this.#document))
      return this.#slides.addContent(block, this.#content(block, destination, false));
    if (topicAt(this.#plan, i) && !joinedAt(this.#plan, i)) this.#startTopic(block);
    if (destination === 'notes' && this.#addToLast(block, i)) return;
    if (destination === 'notes') return this.#slides.addNotes(block);
    const joined = destination === 'title' && joinedAt(this.#plan, i) && this.#slides.open?.kind === 'content';
    if (!joined && (destination === 'section' || destination === 'title'))
      return this.#startTitled(block, destination, turned);
    if (!joined) this.#contentSlide(block);
    if (!joined && !turned && block.kind === 'listItem' && this.#addTrimmed(block, i)) return;
    const content = joined ? pointOf(block, this.#nesting.placeAt(1, 0)) : this.#content(block, destination, turned);
    if (content.kind === 'point') this.#destinations[i] = `point${content.level}`;
    this.#slides.addContent(block, content);
  }

  /** Where the file says which headings make slides, one without words makes a slide too: its title is found in its words. */
  #opensUntitled(block: Block, destination: Destination): boolean {
    return block.kind === 'heading' && block.level === this.#document.slidesAt && destination === 'title';
  }

  #startTitled(block: Block, destination: 'section' | 'title', turned: boolean): void {
    this.#slides.endSlide();
    const cover = block === this.#title && !turned;
    const runs = blockRuns(block);
    if (destination === 'section') this.#slides.enterSection(runsText(runs));
    this.#start(slideAt('s', block.id), cover ? 'cover' : destination === 'section' ? 'section' : 'content', {
      runs,
      blocks: [block.id],
    });
    this.#slides.addPassage(block);
  }

  /** A caption stands with its picture, and who said it with a quotation, where no slide is left bare. @returns false where it is neither. */
  #addToLast(block: Block, i: number): boolean {
    const content = this.#slides.open?.content;
    if (!this.#tells || content === undefined || turnedAt(this.#plan, i) || this.#slides.isCut) return false;
    const [last, before] = [content.at(-1), this.#document.blocks[i - 1]];
    const picture = captioned(last, block, before);
    if (picture !== undefined)
      this.#slides.replaceLast(block, {
        ...picture,
        caption: blockRuns(block),
        blocks: [...picture.blocks, block.id],
      });
    else if (isSourceOf(last, block, before)) this.#slides.addContent(block, textOf(block));
    else return false;
    this.#destinations[i] = 'slide';
    return true;
  }

  /** A slide whose title is found in its words. */
  #startTopic(block: Block): void {
    this.#slides.endSlide();
    const title = plain(suggestTitle(blockText(block), this.#language));
    this.#start(slideAt('i', block.id), 'content', { runs: title, blocks: [] });
  }

  /** Makes sure that there is a slide which may hold points. */
  #contentSlide(block: Block): void {
    const before = this.#slides.open;
    const cut = this.#slides.isCut;
    if (before?.kind === 'content' && !cut) return;
    const title =
      before === undefined
        ? this.#suggestedTitle(block.kind === 'picture' ? plain(block.alt ?? '') : blockRuns(block))
        : before.title.runs;
    this.#slides.close();
    this.#start(slideAt(cut ? 'c' : 'i', block.id), 'content', { runs: title, blocks: [] }, cut);
  }

  #content(block: Block, destination: Destination, turned: boolean): Content {
    return contentOf(block, destination, (level, rank) =>
      turned ? this.#nesting.placeAt(level, rank) : this.#nesting.place(rank),
    );
  }

  #suggestedTitle(first: Runs): Runs {
    return suggestedTitle(this.#document, first, this.#slides.done.length === 0);
  }

  /** Running text that is not taken whole. @returns false where nothing of it is to be shown. */
  #addProse(block: Block, i: number): boolean {
    const runs = blockRuns(block);
    const destination = destinationAt(this.#plan, i);
    const { shown, spoken } = showProse(runs, this.#prose, this.#chosen.get(i) ?? [], this.#language);
    if (shown.length === 0) {
      if (destination === 'notes') return false;
      this.#slides.addNotes(block);
      this.#destinations[i] = 'notes';
      return true;
    }
    this.#contentSlide(block);
    const blocks = [block.id];
    if (destination === 'slide') {
      const text = asOneText(shown, runsText(runs));
      this.#slides.addContent(block, { kind: 'text', style: 'body', id: partWithin(block.id, 0), blocks, ...text });
    } else {
      const points = shown.map((sentence, k): Content => {
        const level = this.#nesting.place(BELOW_HEADINGS + (pointLevel(destination) ?? 1));
        if (k === 0) this.#destinations[i] = `point${level}`;
        return { kind: 'point', level, id: partWithin(block.id, k), blocks, ...sentence };
      });
      this.#slides.addContent(block, ...points);
    }
    if (spoken !== null) this.#slides.speak(block, spoken);
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
    this.#slides.addContent(block, { ...pointOf(block, placed), ...trimmed, ...marked(block) });
    this.#slides.speak(block, blockRuns(block));
    return true;
  }

  #leaveOut(block: Block, reason: LeftOut['reason']): void {
    this.#leftOut.push({ block: block.id, reason });
    this.#slides.addPassage(block);
  }

  #start(id: SlideId, kind: Slide['kind'], title: SlideTitle, continues = false): void {
    // Whether it is told is decided where it begins.
    const finish = this.#tells ? (slide: Slide) => this.#told(slide) : (slide: Slide) => slide;
    this.#slides.start({ id, kind, title, continues, finish });
    this.#nesting.reset(this.#headings);
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
}
