/**
 * Front and back matter: an agenda, key points, sources. Their slides are put into the deck empty, so that the author's edits find
 * them; what stands on them is made last, of the slides as they then are.
 */
import { getOrMake, remembered } from '../base/index.ts';
import { plain, runsText, type Run, type Runs } from '../content/index.ts';
import type { Content, Deck, MatterKind, Point, Slide } from '../deck/index.ts';
import { blockRuns, findTitle, type DocumentModel } from '../document/index.ts';
import { suggestTitle, vectorsOf, worths, type Language } from '../shorten/index.ts';
import { documentLanguage } from './document-language.ts';
import { madeWords } from './made-words.ts';
import { matterPart, matterSlide, type BlockId } from '../ids/index.ts';

/** What was asked for or sent away; a kind that is absent is as usual: a cover where the document has a title, nothing else. */
export type MatterWishes = ReadonlyMap<MatterKind, boolean>;

type Made = Exclude<MatterKind, 'cover'>;

/** Puts the slides that were asked for in their places. */
export function withMatter(deck: Deck, document: DocumentModel, wishes: MatterWishes): Deck {
  if (![...wishes.values()].includes(true) || deck.slides.length === 0) return deck;
  const titles = madeWords(document);
  const make = (matter: Made): readonly Slide[] =>
    wishes.get(matter) === true ? [madeSlide(document, matter, () => plain(titles[matter]))] : [];
  const covered = deck.slides[0]!.kind === 'cover';
  const cover =
    wishes.get('cover') === true && !covered ? [madeSlide(document, 'cover', () => coverTitle(document))] : [];
  const front = covered ? 1 : 0;
  return {
    ...deck,
    slides: [
      ...cover,
      ...deck.slides.slice(0, front),
      ...make('agenda'),
      ...deck.slides.slice(front),
      ...make('key-points'),
      ...make('sources'),
    ],
  };
}

// The same slide every time, down to its identity, so that what stands on it is not replayed anew.
const madeOf = remembered((_: DocumentModel) => new Map<MatterKind, Slide>());

const madeSlide = (document: DocumentModel, matter: MatterKind, title: () => Runs): Slide =>
  getOrMake(madeOf(document), matter, () => ({
    id: matterSlide(matter),
    kind: matter === 'cover' ? 'cover' : 'content',
    matter,
    title: { runs: title(), blocks: [] },
    content: [],
    notes: [],
    section: null,
    continues: false,
    passages: [],
  }));

/** The title of the file, else the first words of the document. */
function coverTitle(document: DocumentModel): Runs {
  const title = findTitle(document.blocks);
  const words = document.title ?? (title === undefined ? undefined : runsText(blockRuns(title)));
  if (words !== undefined) return plain(words);
  const first = document.blocks.find((block) => block.left === undefined && runsText(blockRuns(block)).trim() !== '');
  return plain(
    first === undefined
      ? madeWords(document).untitled
      : suggestTitle(runsText(blockRuns(first)), documentLanguage(document)),
  );
}

/** Fills the slides of front and back matter from the deck as it is. One that nothing can be said on is not made. */
export function fillMatter(deck: Deck, document: DocumentModel): Deck {
  if (!deck.slides.some(({ matter }) => matter !== undefined && matter !== 'cover')) return deck;
  const own = deck.slides.filter(({ matter, hidden }) => matter === undefined && hidden === undefined);
  return {
    ...deck,
    slides: deck.slides.flatMap((slide) => {
      const made = contentOf(slide.matter, own, document);
      if (made === undefined) return [slide];
      const content = [...made, ...slide.content];
      return content.length === 0 ? [] : [{ ...slide, content }];
    }),
  };
}

/** More sections are no list that is taken in at a glance. */
const MOST_SECTIONS = 8;

/** Openers say where one is among the sections, where these are few and none has content of its own. */
export function withPlaces(slides: readonly Slide[]): readonly Slide[] {
  const openers = slides.filter(({ kind, hidden, content }) => kind === 'section' && !hidden && content.length === 0);
  if (openers.length < FEWEST || openers.length > MOST_SECTIONS) return slides;
  const of = openers.map(({ title }) => runsText(title.runs).trim());
  return slides.map((slide) => {
    const at = openers.indexOf(slide);
    return at < 0 ? slide : { ...slide, opens: { at, of } };
  });
}

function contentOf(
  matter: MatterKind | undefined,
  slides: readonly Slide[],
  document: DocumentModel,
): readonly Content[] | undefined {
  switch (matter) {
    case undefined:
    case 'cover':
      return undefined;
    case 'agenda':
      return agenda(slides);
    case 'key-points':
      return keyPoints(slides, documentLanguage(document));
    case 'sources':
      return sources(document);
  }
}

const FEWEST = 2;

/** The sections, or, where there are none, the slides by their titles. */
function agenda(slides: readonly Slide[]): readonly Point[] {
  const sections = slides.filter(({ kind }) => kind === 'section');
  const listed =
    sections.length >= FEWEST ? sections : slides.filter(({ kind, continues }) => kind === 'content' && !continues);
  return listed.map(({ id, title }) => ({
    kind: 'point',
    level: 1,
    id: matterPart('agenda', id),
    leads: id,
    runs: title.runs,
    blocks: [],
    repeats: title.blocks,
  }));
}

const MOST_KEY_POINTS = 7;
const PARTS_WITHOUT_SECTIONS = 5;

/** The point that says most of each section; where there are no sections, of each of a few stretches. */
function keyPoints(slides: readonly Slide[], language: Language): readonly Point[] {
  const said = new Set<string>();
  const best = groupsOf(slides).flatMap((group) => {
    // What was said of one part is not said of another.
    const found = bestPoints(group, language).find(({ runs }) => !said.has(runsText(runs)));
    if (found !== undefined) said.add(runsText(found.runs));
    return found ?? [];
  });
  return best.slice(0, MOST_KEY_POINTS).map((point) => ({
    kind: 'point',
    level: 1,
    id: matterPart('key-points', point.id),
    runs: point.runs,
    blocks: [],
    repeats: point.blocks,
  }));
}

function groupsOf(slides: readonly Slide[]): readonly (readonly Slide[])[] {
  const sections: Slide[][] = [];
  for (const slide of slides) {
    if (slide.kind === 'section' || sections.length === 0) sections.push([]);
    sections.at(-1)!.push(slide);
  }
  const filled = sections.filter((group) => group.some((slide) => candidates(slide).length > 0));
  if (filled.length > 1) return filled;
  const size = Math.max(1, Math.ceil(slides.length / PARTS_WITHOUT_SECTIONS));
  return Array.from({ length: Math.ceil(slides.length / size) }, (_, i) => slides.slice(i * size, (i + 1) * size));
}

const candidates = (slide: Slide): readonly Point[] =>
  slide.kind === 'content' ? slide.content.filter((part): part is Point => part.kind === 'point') : [];

/** Of a long group only so many are ranked, spread over all of it: every edit in it ranks it anew. */
const MOST_CANDIDATES = 60;

function spread(points: readonly Point[]): readonly Point[] {
  if (points.length <= MOST_CANDIDATES) return points;
  return Array.from({ length: MOST_CANDIDATES }, (_, i) => points[Math.floor((i * points.length) / MOST_CANDIDATES)]!);
}

// Most edits change no point that is ranked; then the choice stays.
const chosen = new WeakMap<Point, { readonly points: readonly Point[]; readonly best: readonly Point[] }>();

/** The points of a group, those that say most first. */
function bestPoints(group: readonly Slide[], language: Language): readonly Point[] {
  const points = spread(group.flatMap(candidates));
  const [first] = points;
  if (first === undefined) return [];
  const known = chosen.get(first);
  if (known !== undefined && known.points.length === points.length && known.points.every((one, i) => one === points[i]))
    return known.best;
  const texts = points.map(({ runs }) => runsText(runs));
  const vectors = vectorsOf(texts, language);
  const worth = worths(
    texts,
    points.map(({ level }) => level === 1),
    vectors,
    language,
  );
  const best = [...points.keys()].sort((a, b) => worth[b]! - worth[a]!).map((i) => points[i]!);
  chosen.set(first, { points, best });
  return best;
}

const SEPARATOR = ': ';

/** Footnotes, and the links of the text, each once. */
const sources = remembered((document: DocumentModel): readonly Point[] => {
  const points: Point[] = [];
  const seen = new Set<string>();
  const add = (block: BlockId, runs: Runs): void => {
    const text = runsText(runs);
    if (seen.has(text)) return;
    seen.add(text);
    points.push({
      kind: 'point',
      level: 1,
      id: matterPart('sources', points.length),
      runs,
      blocks: [],
      repeats: [block],
    });
  };
  for (const block of document.blocks) {
    if (block.left !== undefined) continue;
    if (block.kind === 'footnote') add(block.id, block.runs);
    else for (const { link, text } of linksOf(blockRuns(block))) add(block.id, linkRuns(text, link));
  }
  return points;
});

/** Links to other places, with the words they stand on. */
function linksOf(runs: Runs): readonly { readonly link: string; readonly text: string }[] {
  const links: { link: string; text: string }[] = [];
  let before: Run | undefined;
  for (const run of runs) {
    if (run.link !== undefined && !run.link.startsWith('#')) {
      if (before?.link === run.link) links.at(-1)!.text += run.text;
      else links.push({ link: run.link, text: run.text });
    }
    before = run;
  }
  return links;
}

function linkRuns(text: string, link: string): Runs {
  const address = link.replace(/^(?:https?:\/\/|mailto:)/, '').replace(/\/$/, '');
  const named = text.trim() !== '' && !link.includes(text.trim());
  return named ? [{ text: `${text.trim()}${SEPARATOR}` }, { text: address, link }] : [{ text: address, link }];
}
