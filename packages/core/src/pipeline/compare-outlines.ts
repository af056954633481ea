/** The document's outline and the deck's beside each other, and what is different; and two decks of one document. */
import { increasingRun } from '../base/index.ts';
import { runsText, runsWords } from '../content/index.ts';
import type { Content, Deck, MatterKind, Slide } from '../deck/index.ts';
import { blockIndex, blockText, type DocumentModel } from '../document/index.ts';
import type { Converted } from './convert.ts';
import type { BlockId, PageKey, SlideId } from '../ids/index.ts';

export interface DocumentLine {
  readonly block: BlockId;
  readonly level: number;
  readonly text: string;
  /** Of the heading and what stands under it, up to the next. */
  readonly words: number;
  /** Number of the slide that it stands on; null for none. */
  readonly slide: number | null;
  readonly state: 'shown' | 'spoken' | 'left-out';
}

export interface DeckLine {
  readonly slide: SlideId;
  /** Of its first page. */
  readonly key: PageKey;
  readonly number: number;
  readonly kind: Slide['kind'];
  readonly title: string;
  /** Points of the highest level. */
  readonly points: readonly string[];
  /** The block that gives it its title; null where it has none of its own. */
  readonly block: BlockId | null;
  readonly differences: readonly Difference[];
}
/** `repeated`: it goes on with the title before it. `own`: the author added it. */
export type Difference = 'moved' | 'retitled' | 'repeated' | 'own' | 'hidden' | 'made';

export interface Outlines {
  readonly document: readonly DocumentLine[];
  readonly deck: readonly DeckLine[];
  readonly removed: readonly { readonly slide: SlideId; readonly title: string }[];
}

export function compareOutlines({ document, deck, pages }: Converted): Outlines {
  const { places, words } = blockIndex(document);
  const first = new Map<SlideId, number>();
  pages.forEach(({ slide, index }, i) => {
    if (index === 0) first.set(slide.id, i);
  });
  const titlePlaces = deck.slides.map(({ title }) => places.get(title.blocks[0] ?? '') ?? -1);
  const inOrder = increasingRun(titlePlaces);
  const lines = deck.slides.map((slide, i): DeckLine => {
    const page = first.get(slide.id)!;
    return {
      slide: slide.id,
      key: pages[page]!.key,
      number: page + 1,
      kind: slide.kind,
      title: runsText(slide.title.runs),
      points: slide.content.flatMap((part) => (part.kind === 'point' && part.level === 1 ? [runsText(part.runs)] : [])),
      block: slide.title.blocks[0] ?? null,
      differences: [
        ...(titlePlaces[i]! >= 0 && !inOrder.has(i) ? (['moved'] as const) : []),
        ...(isRetitled(slide, document, titlePlaces[i]!) ? (['retitled'] as const) : []),
        ...(slide.continues ? (['repeated'] as const) : []),
        ...(slide.matter !== undefined ? (['made'] as const) : isOwn(slide) ? (['own'] as const) : []),
        ...(slide.hidden === true ? (['hidden'] as const) : []),
      ],
    };
  });
  const shown = new Map<string, number>();
  const spoken = new Map<string, number>();
  deck.slides.forEach((slide, i) => {
    for (const part of [slide.title, ...slide.content])
      for (const block of part.blocks) if (!shown.has(block)) shown.set(block, lines[i]!.number);
    for (const note of slide.notes)
      for (const block of note.blocks) if (!spoken.has(block)) spoken.set(block, lines[i]!.number);
  });
  const headings: DocumentLine[] = [];
  document.blocks.forEach((block, i) => {
    const heading = block.kind === 'heading' || (block.kind === 'paragraph' && block.role === 'title');
    if (block.left !== undefined) return;
    const last = headings.at(-1);
    if (!heading) {
      if (last !== undefined) headings[headings.length - 1] = { ...last, words: last.words + words[i]! };
      return;
    }
    headings.push({
      block: block.id,
      level: block.kind === 'heading' ? block.level : 0,
      text: blockText(block),
      words: words[i]!,
      slide: shown.get(block.id) ?? spoken.get(block.id) ?? null,
      state: shown.has(block.id) ? 'shown' : spoken.has(block.id) ? 'spoken' : 'left-out',
    });
  });
  return {
    document: headings,
    deck: lines,
    removed: deck.removed.map(({ slide }) => ({ slide: slide.id, title: runsText(slide.title.runs) })),
  };
}

function isRetitled(slide: Slide, document: DocumentModel, place: number): boolean {
  return place >= 0 && runsText(slide.title.runs).trim() !== blockText(document.blocks[place]!).trim();
}

const isOwn = (slide: Slide): boolean =>
  !slide.continues &&
  slide.title.blocks.length === 0 &&
  slide.content.every(({ blocks }) => blocks.length === 0) &&
  slide.passages.length === 0;

/** One slide of a take, as it is compared with another take. */
export interface TakeLine {
  readonly slide: SlideId;
  /** The same for slides of every take that stand for the same passage. */
  readonly source: string;
  readonly key: PageKey;
  readonly title: string;
  readonly points: number;
  readonly words: number;
  readonly spoken: number /* words */;
  readonly matter: MatterKind | null;
  /** Its passages: the first, and the first of the next slide, as the take made them; null for one that no map made. */
  readonly passages: { readonly block: BlockId; readonly until: BlockId | null } | null;
  /** Against the other: not there, with other content, or the same. */
  readonly against: 'only-here' | 'other' | 'same';
}

/** Slides of a conversion, each against the slide of the same source in another. */
export function compareTakes({ deck, pages, mapped }: Converted, other: Deck): readonly TakeLine[] {
  const others = new Map(other.slides.map((slide) => [sourceOf(slide), contentText(slide)]));
  const passages = passagesBySlide(mapped);
  const key = new Map(pages.toReversed().map((page) => [page.slide.id, page.key]));
  return deck.slides.map((slide): TakeLine => {
    const there = others.get(sourceOf(slide));
    return {
      slide: slide.id,
      source: sourceOf(slide),
      key: key.get(slide.id)!,
      title: runsText(slide.title.runs),
      points: slide.content.filter(({ kind }) => kind === 'point').length,
      words: [slide.title, ...slide.content].reduce(
        (sum, part) => sum + ('runs' in part ? runsWords(part.runs) : 0),
        0,
      ),
      spoken: slide.notes.reduce((sum, { runs }) => sum + runsWords(runs), 0),
      matter: slide.matter ?? null,
      passages: passages.get(slide.id) ?? null,
      against: there === undefined ? 'only-here' : there === contentText(slide) ? 'same' : 'other',
    };
  });
}

/** The passages of each slide that a map made. */
function passagesBySlide(mapped: readonly Slide[]): ReadonlyMap<SlideId, NonNullable<TakeLine['passages']>> {
  const found = new Map<SlideId, NonNullable<TakeLine['passages']>>();
  let until: BlockId | null = null;
  for (const slide of mapped.toReversed()) {
    const block = beginOf(slide);
    if (block === undefined) continue;
    found.set(slide.id, { block, until });
    until = block;
  }
  return found;
}

/** The block that makes the slide. */
const beginOf = ({ title, content, notes }: Slide): BlockId | undefined =>
  title.blocks[0] ?? content.find(({ blocks }) => blocks.length > 0)?.blocks[0] ?? notes[0]?.blocks[0];

/** Slides of several takes in rows: a row for each passage that any of them begins a slide with, in the order of the takes. */
export function facingTakes(takes: readonly (readonly TakeLine[])[]): readonly (readonly (TakeLine | null)[])[] {
  const order: string[] = [];
  for (const lines of takes) {
    let at = -1;
    for (const { source } of lines) {
      const known = order.indexOf(source);
      if (known < 0) order.splice(++at, 0, source);
      else at = Math.max(at, known);
    }
  }
  const bySource = takes.map((lines) => new Map(lines.map((line) => [line.source, line])));
  return order.map((source) => bySource.map((lines) => lines.get(source) ?? null));
}

/** The first block that a slide stands for: the same in every take. */
const sourceOf = (slide: Slide): string => slide.title.blocks[0] ?? slide.content[0]?.blocks[0] ?? slide.id;

const contentText = (slide: Slide): string => JSON.stringify([runsText(slide.title.runs), slide.content.map(partText)]);
const partText = (part: Content): string =>
  'runs' in part ? `${part.kind === 'point' ? part.level : part.style} ${runsText(part.runs)}` : part.id;
