/**
 * Makes a headed document of slides: sections and titles become headings, what stands on a slide becomes list items,
 * tables and pictures below its title, and what is said about it paragraphs.
 */
import { firstStrong, type Report } from '../../base/index.ts';
import { mergeRuns, plain, type Run, type Runs } from '../../content/index.ts';
import type { Level } from '../../document/index.ts';
import { asParagraph, draftText, fromFirst, type Draft } from '../read-result.ts';
import type { ReadSlide, ReadSlides, SlidePiece } from './read-slide.ts';
import { withCaptions } from './captions.ts';
import { PageEdges } from './page-edges.ts';
import { readingOrder } from './reading-order.ts';
import { pieceText, titleOf } from './slide-title.ts';

export interface SlideDrafts {
  readonly drafts: readonly Draft[];
  /** Level of the headings that are titles of slides. */
  readonly slidesAt: Level;
}

export function slideDrafts({ slides: read, sections, aspect }: ReadSlides, report: Report): SlideDrafts {
  const edges = new PageEdges(read, report);
  const slides = read.map((slide) => ({ ...slide, pieces: slide.pieces.filter((piece) => !edges.takes(piece)) }));
  const first = slides.findIndex(({ hidden }) => !hidden);
  const cover = first >= 0 && isCover(slides[first]!, slides.length) ? first : -1;
  // One section for all is none, and a cover alone needs none.
  const named = new Map(
    [...sections].filter(([at]) => !(at === cover && (sections.has(cover + 1) || sections.size < 2))),
  );
  const parted = named.size > 1 || slides.some(({ kind }, i) => kind === 'opener' && i !== cover);
  const slidesAt: Level = parted ? 2 : 1;
  const openers = new Set(
    slides.filter(({ kind }) => kind === 'opener').map((slide) => bare(pieceText(titleOf(slide) ?? NO_TITLE))),
  );
  const parts: SlidePart[] = [];
  let before = '';
  slides.forEach((slide, i) => {
    const made = new SlideReading(slide, edges.left(read[i]!), openers, aspect, report);
    const title = made.titleText;
    const whole = CONTINUED.exec(title)?.[1];
    // A cover is not gone on with: what repeats its title is a slide of its own.
    const last = i - 1 === cover ? undefined : parts.at(-1);
    if (last !== undefined && last.hidden === slide.hidden && whole !== undefined && sameWords(whole, before)) {
      // One heading for what only was too much for one slide.
      report.mark(title);
      goOn(last, made.asPart(slidesAt), report);
      return;
    }
    before = title;
    const section = parted ? named.get(i) : undefined;
    if (i === cover) parts.push(made.asCover());
    else {
      const opens = parted && (slide.kind === 'opener' || (section !== undefined && sameWords(section, title)));
      const part = made.asPart(opens ? 1 : slidesAt);
      if (section !== undefined && !opens)
        parts.push({ ...NOTHING, head: [{ kind: 'heading', level: 1, runs: plain(section), place: slide.place }] });
      else if (section !== undefined) report.mark(section);
      parts.push(part);
    }
  });
  for (const [at, name] of sections) if (!parted || !named.has(at)) report.mark(name);
  const drafts = parts.flatMap(({ head, shown, said, hidden }) =>
    [...head, ...fromFirst(shown), ...said].map((draft): Draft =>
      hidden ? { ...draft, left: draft.left ?? 'hidden' } : draft,
    ),
  );
  return { drafts, slidesAt };
}

/** What a slide becomes: its headings, what it shows, what is said to it. */
interface SlidePart {
  readonly head: Draft[];
  readonly shown: Draft[];
  readonly said: Draft[];
  readonly hidden: boolean;
}

const NOTHING: SlidePart = { head: [], shown: [], said: [], hidden: false };

/** Adds what a continued slide shows and says; points under which it goes on are there already, and code is one piece. */
function goOn(part: SlidePart, next: SlidePart, report: Report): void {
  const path: string[] = [];
  for (const draft of part.shown) {
    if (draft.kind !== 'listItem') path.length = 0;
    else path.splice(draft.depth - 1, Infinity, draftText(draft));
  }
  const shown = [...next.shown];
  for (const above of path.slice(0, -1)) {
    const [first] = shown;
    if (first?.kind !== 'listItem' || draftText(first) !== above || shown.length < 2) break;
    report.mark(above);
    shown.shift();
  }
  const [last, first] = [part.shown.at(-1), shown[0]];
  if (last?.kind === 'code' && first?.kind === 'code') {
    part.shown.splice(-1, 1, { ...last, text: `${last.text}\n${first.text}` });
    shown.shift();
  }
  const [head] = part.head;
  const names = next.head.flatMap((draft) => draft.names ?? []);
  if (head !== undefined && names.length > 0) part.head[0] = { ...head, names: [...(head.names ?? []), ...names] };
  const remark = next.head.find((draft) => draft.remark !== undefined)?.remark;
  if (remark !== undefined) report.add('comments-left', next.head[0]!.place, { text: remark });
  part.shown.push(...shown);
  part.said.push(...next.said);
}

/** How a slide says that it goes on with the one before it: `Costs (2)`, `Costs · 2/3`, `Costs (continued)`. */
const CONTINUED =
  /^(.+?)\s*(?:[·|–—-]\s*\d+\s*\/\s*\d+|\((?:\d{1,2}(?:\s*(?:\/|of)\s*\d{1,2})?|cont(?:\.|inued|’d|'d)?|Forts(?:\.|etzung)?|suite|continuación|vervolg)\))$/iu;

const NO_TITLE: SlidePiece = { role: 'title', box: undefined, size: 0, drafts: [] };
const bare = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
const sameWords = (a: string, b: string): boolean => bare(a) === bare(b) && bare(a) !== '';

/** Lines of a cover; with more, a first slide is one like the others. */
const MOST_COVER_LINES = 5;

function isCover(slide: ReadSlide, slides: number): boolean {
  if (slide.kind === 'cover') return true;
  if (slide.kind === 'opener' || slides < 2 || slide.pieces.some(({ role }) => role === 'body')) return false;
  const drafts = slide.pieces.flatMap((one) => one.drafts);
  const texts = drafts.filter((draft) => draftText(draft).trim() !== '');
  return (
    titleOf(slide) !== undefined &&
    texts.length <= MOST_COVER_LINES &&
    drafts.every((draft) => draft.kind !== 'table' && draft.kind !== 'code') &&
    texts.every((draft) => draft.kind !== 'listItem' || (draft.depth === 1 && !draft.ordered))
  );
}

class SlideReading {
  readonly #slide: ReadSlide;
  readonly #title: SlidePiece | undefined;
  /** Behind the title, as one reads them. */
  readonly #rest: readonly Draft[];

  /**
   * @param left What belongs to the page.
   * @param openers Titles of the slides that open sections.
   */
  constructor(slide: ReadSlide, left: readonly Draft[], openers: ReadonlySet<string>, aspect: number, report: Report) {
    this.#slide = slide;
    this.#title = titleOf(slide);
    const pieces = withCaptions(slide.pieces.filter((piece) => piece !== this.#title));
    // Where places for content are filled, their order in the file is the reading order.
    const ordered = pieces.some(({ role }) => role === 'body')
      ? pieces
      : readingOrder(pieces, ({ box }) => box, aspect, isFromRight(pieces));
    const others = this.#title?.drafts.filter((draft) => !isLine(draft)) ?? [];
    const drafts = withTypedNumbers([...others, ...ordered.flatMap((piece) => piece.drafts)], report);
    this.#rest = [...left, ...(slide.kind === 'opener' ? withoutWay(drafts, openers, report) : drafts)];
  }

  get titleText(): string {
    return this.#title === undefined ? '' : pieceText(this.#title);
  }

  asCover(): SlidePart {
    const title: Draft = { kind: 'paragraph', role: 'title', runs: this.#titleRuns, ...this.#about() };
    const lines = this.#rest.map((draft): Draft =>
      draft.kind === 'listItem' ? { ...asParagraph(draft), role: 'subtitle' } : draft,
    );
    return this.#part(this.#title === undefined ? [] : [title], lines);
  }

  asPart(level: Level): SlidePart {
    return this.#part([{ kind: 'heading', level, runs: this.#titleRuns, ...this.#about() }], this.#rest);
  }

  #part(head: Draft[], shown: readonly Draft[]): SlidePart {
    const { notes, hidden } = this.#slide;
    return { head, shown: [...shown], said: notes.map(spoken), hidden };
  }

  get #titleRuns(): Runs {
    return this.#title === undefined ? [] : titleRuns(this.#title);
  }

  /** Place and name of the slide, language and direction of its title, and what comments say. */
  #about(): Pick<Draft, 'place' | 'names' | 'lang' | 'direction' | 'remark'> {
    const { lang, direction } = this.#title?.drafts.find((draft) => draftText(draft) !== '') ?? {};
    const { place, name, remark } = this.#slide;
    return {
      place,
      ...(name === undefined ? {} : { names: [name] }),
      ...(lang === undefined ? {} : { lang }),
      ...(direction === undefined ? {} : { direction }),
      ...(remark === undefined ? {} : { remark }),
    };
  }
}

/** Numbers that stand by themselves before what they number, as the steps of a figure have them. */
function withTypedNumbers(drafts: readonly Draft[], report: Report): readonly Draft[] {
  const numbers = drafts.flatMap((draft, i) => {
    const number = draft.kind === 'listItem' ? /^(\d{1,2})[.)]?$/.exec(draftText(draft))?.[1] : undefined;
    return number === undefined ? [] : [{ i, number: Number(number) }];
  });
  const numbered = (at: number): boolean =>
    drafts[at + 1]?.kind === 'listItem' && !numbers.some(({ i }) => i === at + 1);
  if (numbers.length < 2 || !numbers.every(({ i, number }, n) => number === n + 1 && numbered(i))) return drafts;
  const of = new Map(numbers.map(({ i, number }) => [i + 1, number]));
  for (const { i } of numbers) report.mark(draftText(drafts[i]!));
  return drafts.flatMap((draft, i): readonly Draft[] => {
    if (of.has(i + 1)) return [];
    const number = of.get(i);
    return number === undefined || draft.kind !== 'listItem' ? [draft] : [{ ...draft, ordered: true, number }];
  });
}

/** An opener without its number, and without the list of all sections that shows where one is. */
function withoutWay(drafts: readonly Draft[], openers: ReadonlySet<string>, report: Report): readonly Draft[] {
  const isNumber = (draft: Draft): boolean => /^\d{1,2}[.)]?$/.test(draftText(draft));
  const isStation = (draft: Draft): boolean => openers.has(bare(draftText(draft).replace(/^\s*\d{1,2}[.)]?\s+/, '')));
  return drafts.filter((draft) => {
    const way = draft.kind === 'listItem' && (isNumber(draft) || isStation(draft));
    if (way) report.mark(draftText(draft));
    return !way;
  });
}

function isFromRight(pieces: readonly SlidePiece[]): boolean {
  const sides = pieces.flatMap(({ drafts }) => drafts.map((draft) => draft.direction ?? firstStrong(draftText(draft))));
  return sides.filter((side) => side === 'rtl').length > sides.filter((side) => side === 'ltr').length;
}

/** What is said is text, not points; a number that an author set stays before it. */
function spoken(draft: Draft): Draft {
  if (draft.kind !== 'listItem') return draft;
  if (!draft.ordered) return asParagraph(draft);
  const label = draft.label ?? `${draft.number ?? 1}.`;
  return { ...asParagraph(draft), runs: mergeRuns([{ text: `${label} ` }, ...draft.runs]) };
}

/** What can be a part of a heading; anything else in a title's place stands below it. */
const isLine = (draft: Draft): draft is Draft & { readonly kind: 'listItem' } => draft.kind === 'listItem';

/** The lines of a title are one heading. */
function titleRuns({ drafts }: SlidePiece): Runs {
  const runs: Run[] = [];
  for (const draft of drafts) {
    if (!isLine(draft) || draft.runs.length === 0) continue;
    if (runs.length > 0) runs.push({ text: ' ' });
    runs.push(...draft.runs.map((run) => ({ ...run, text: run.text.replace(/\s*[\n\t]+\s*/g, ' ') })));
  }
  return mergeRuns(runs);
}
