/** Joins the stages: document and edits to deck, pages and ledger. */
import equal from 'fast-deep-equal';
import { getOrMake, remembered } from '../base/index.ts';
import {
  arrangedAs,
  carryOver,
  decide,
  replay,
  singleEdits,
  type Decisions,
  type Edit,
  type Unplaced,
} from '../edits/index.ts';
import {
  longer,
  NO_TIME,
  talkTime,
  type Deck,
  type Destination,
  type FullRule,
  type LevelMap,
  type Slide,
  type TalkTime,
} from '../deck/index.ts';
import type { Picture, PictureId } from '../content/index.ts';
import { blockIndex, isRightToLeft, type DocumentModel } from '../document/index.ts';
import type { BlockId } from '../ids/index.ts';
import {
  branchOf,
  isStructureChange,
  privateHeadings,
  Restructuring,
  type Restructured,
  type StructureChange,
} from '../structure/index.ts';
import { layOutSlide, type Page } from '../layout/index.ts';
import {
  documentLanguage,
  fillMatter,
  makeLedger,
  mapDocument,
  presetMap,
  PRESET_NAMES,
  withMatter,
  withPlaces,
  withSpeech,
  type Ledger,
  type Overrides,
  type PresetName,
} from '../mapping/index.ts';
import { templateTheme, type TemplateModel } from '../template/index.ts';
import { relieve, type ReliefOptions } from './relieve.ts';
import { speakLess, type SpokenLess } from './speak-less.ts';
import { dress, type DeckLook, type Theme } from '../theme/index.ts';

export interface Converted {
  /** The document as the author's changes of structure and text left it. */
  readonly document: DocumentModel;
  readonly deck: Deck;
  /** The slides as map and edits made them, before the rule for full slides. */
  readonly unrelieved: readonly Slide[];
  /** Slides in the order in which the map made them. */
  readonly mapped: readonly Slide[];
  readonly pages: readonly Page[];
  readonly ledger: Ledger;
  readonly unplaced: readonly Unplaced[];
  readonly theme: Theme;
  /** Name of a ready-made map; null for the author's own. */
  readonly mapName: string | null;
  readonly map: LevelMap;
  readonly decisions: Decisions;
}

/** Of decks that were made without a beginning. */
const DEFAULT_MAP: PresetName = 'talk';

/**
 * Converts a document.
 * @param original As it was read; where a new edition came in, that edition.
 * @param previous What the same document gave before; slides that come out the same keep their identity, so that
 *   nothing is laid out or sent twice.
 * @param templates Files of organisations by hash; where the deck's is not among them, it wears its theme.
 */
export function convert(
  original: DocumentModel,
  log: readonly Edit[],
  previous?: Converted,
  templates: Templates = NO_TEMPLATES,
): Converted {
  const edits = carryOver(singleEdits(log));
  const { document, unplaced: unplacedChanges } = structured(original, edits.filter(isStructureChange));
  const decisions = decide(edits);
  const map = chosenMap(document, decisions);
  const told = mapDocument(document, map, overridesOf(document, decisions));
  const fresh = withMatter({ ...told, slides: withSpeech(told.slides, document) }, document, decisions.matter);
  // A slide that is not what it was, be it in identity alone, has all edits laid anew.
  const mapped = previous === undefined ? fresh : { ...fresh, slides: keepIdentity(previous.mapped, fresh.slides) };
  const { deck: replayed, unplaced } = replay(mapped, edits, blockIds(document));
  const theme = themeOf(document, decisions, templates);
  const options = optionsOf(document, theme, decisions.full);
  const kept = previous === undefined ? replayed.slides : keepIdentity(previous.unrelieved, replayed.slides);
  const spoken = inShort({ ...replayed, slides: kept.map((slide) => relieve(slide, options)) }, decisions, document);
  const filled = fillMatter(spoken, document);
  const relieved = decisions.prose.as === 'told' ? { ...filled, slides: withPlaces(filled.slides) } : filled;
  const deck =
    previous === undefined ? relieved : { ...relieved, slides: keepIdentity(previous.deck.slides, relieved.slides) };
  const pages = deck.slides.flatMap((slide) => pagesOf(slide, options));
  return {
    document,
    deck: { ...deck, destinations: destinationsIn(deck, mapped, document) },
    unrelieved: kept,
    mapped: mapped.slides,
    pages,
    ledger: makeLedger(document, deck),
    unplaced: [...unplacedChanges.map((edit): Unplaced => ({ edit, reason: 'block-gone' })), ...unplaced],
    theme,
    mapName: decisions.map === undefined ? DEFAULT_MAP : decisions.map.name,
    map,
    decisions,
  };
}

/** With as much of the notes as is to be spoken; blocks of which nothing is are left out. */
function inShort(deck: Deck, { speech, turned }: Decisions, document: DocumentModel): Deck {
  if (speech === null) return deck;
  const less = spokenLess(deck.slides, speech, turned, document);
  const dropped = new Set(less.flatMap((one) => one.dropped));
  const leftOut = [...dropped].map((block) => ({ block, reason: 'shortened' as const }));
  return { ...deck, slides: less.map(({ slide }) => slide), leftOut: [...deck.leftOut, ...leftOut] };
}

function spokenLess(
  slides: readonly Slide[],
  share: number,
  turned: Decisions['turned'],
  document: DocumentModel,
): readonly SpokenLess[] {
  const language = documentLanguage(document);
  const byHand = spokenAnyway(document, turned);
  return slides.map((slide) => speakLess(slide, share, byHand, language));
}

/** What presenting a deck that speaks all of its notes would take if so much of them were spoken; quick, since nothing is laid out. */
export const timeSpeaking = ({ deck, decisions, document }: Converted, share: number): TalkTime =>
  spokenLess(deck.slides, share, decisions.turned, document).reduce(
    (sum, { slide }) => (slide.hidden === true ? sum : longer(sum, talkTime(slide))),
    NO_TIME,
  );

/** What its author turned by hand, and what is for the speaker alone. */
function spokenAnyway(document: DocumentModel, turned: Decisions['turned']): ReadonlySet<BlockId> {
  const own = new Set(turned.keys());
  for (const heading of privateHeadings(document))
    for (const { id } of branchOf(document.blocks, heading.id)) own.add(id);
  return own;
}

/**
 * Lays out what another map would make, a slide at each step, so that turning to it later is quick.
 * @param map Instead of the map in force.
 */
export function* layOutAhead(
  { document, decisions, theme, unrelieved }: Converted,
  map: LevelMap,
): Generator<void, void> {
  const options = optionsOf(document, theme, decisions.full);
  const chosen = new Map(unrelieved.map(({ id, arranged }) => [id, arranged]));
  for (const slide of mapDocument(document, map, overridesOf(document, decisions)).slides) {
    pagesOf(relieve(arrangedAs(slide, chosen.get(slide.id)), options), options);
    yield;
  }
}

// Most edits leave the structure alone; then the document is the same, down to its identity.
const structures = new WeakMap<DocumentModel, Restructuring>();
function structured(original: DocumentModel, changes: readonly StructureChange[]): Restructured {
  let known = structures.get(original);
  if (known === undefined || !known.isBefore(changes)) structures.set(original, (known = new Restructuring(original)));
  return known.lay(changes);
}

export type Templates = ReadonlyMap<string, TemplateModel>;
const NO_TEMPLATES: Templates = new Map();

/** A look as a document wears it: mirrored, where most of it is written from right to left. */
export const lookFor = (document: DocumentModel, look: DeckLook): DeckLook =>
  isRightToLeft(document) ? { ...look, mirrored: true } : look;

export function themeOf(document: DocumentModel, { look, template }: Decisions, templates: Templates): Theme {
  const model = template === null ? undefined : templates.get(template.hash);
  return template === null || model === undefined
    ? dress(lookFor(document, look))
    : templateTheme(model, template, look);
}

/** How slides of a document are laid out. */
export const optionsOf = (document: DocumentModel, theme: Theme, full: FullRule): ReliefOptions => ({
  theme,
  full,
  pictures: pictureMap(document),
  language: documentLanguage(document),
});

/** What the author decided for single blocks and for the map as a whole. */
export function overridesOf(document: DocumentModel, decisions: Decisions): Overrides {
  const { map, turned, cuts, joins, prose, matter, breaks } = decisions;
  const own = map?.branches ?? [];
  const branches = own.length === 0 ? decisions.branches : [...own, ...decisions.branches];
  const separators = breaks ? document.blocks.filter(({ kind }) => kind === 'break').map(({ id }) => id) : [];
  return {
    turned,
    cuts: separators.length === 0 ? cuts : new Set([...cuts, ...separators]),
    joins,
    branches,
    prose,
    mixes: [...decisions.mixes].map(([from, { until, settings }]) => ({
      from,
      until,
      map: chosenMap(document, { map: { branches: [], ...settings } }),
      branches: settings.branches ?? [],
      prose: settings.prose,
    })),
    cover: matter.get('cover') ?? true,
  };
}

/** The author's own map; a ready-made one is laid on the levels that the document has now. */
export function chosenMap(document: DocumentModel, { map }: Pick<Decisions, 'map'>): LevelMap {
  // What was fitted stays as it was: its rules name single headings.
  const name =
    map === undefined ? DEFAULT_MAP : PRESET_NAMES.find((preset) => preset === map.name && preset !== 'fitted');
  return name === undefined ? map!.map : readyMade(name, document);
}

const readyMaps = remembered((_: DocumentModel) => new Map<PresetName, LevelMap>());
const readyMade = (name: PresetName, document: DocumentModel): LevelMap =>
  getOrMake(readyMaps(document), name, () => presetMap(name, document));

const blockIds = remembered(({ blocks }: DocumentModel): ReadonlySet<string> => new Set(blocks.map(({ id }) => id)));

const pictureMap = remembered(
  ({ pictures }: DocumentModel): ReadonlyMap<PictureId, Picture> =>
    new Map(pictures.map((picture) => [picture.id, picture])),
);

/** What every block became: as the map says, but for what stands on slides that edits or the rule for full slides changed. */
function destinationsIn(deck: Deck, mapped: Deck, document: DocumentModel): Deck['destinations'] {
  const untouched = new Set(mapped.slides);
  const changed = deck.slides.filter((slide) => slide.matter === undefined && !untouched.has(slide));
  if (changed.length === 0 && deck.leftOut.length === mapped.leftOut.length) return mapped.destinations;
  const { places } = blockIndex(document);
  const destinations = [...mapped.destinations];
  const set = (blocks: readonly string[], to: Destination): void => {
    for (const block of blocks) {
      const place = places.get(block);
      if (place !== undefined) destinations[place] = to;
    }
  };
  for (const { block, reason } of deck.leftOut) if (reason === 'removed' || reason === 'shortened') set([block], 'out');
  for (const slide of changed) {
    for (const note of slide.notes) set(note.blocks, 'notes');
    for (const part of slide.content) set(part.blocks, part.kind === 'point' ? `point${part.level}` : 'slide');
  }
  return destinations;
}

// Pages do not depend on colours: themes that share their layouts share them.
const laidOut = remembered((_: Theme['layouts']) => new Map<FullRule, WeakMap<Slide, readonly Page[]>>());

function pagesOf(slide: Slide, options: ReliefOptions): readonly Page[] {
  const slides = getOrMake(laidOut(options.theme.layouts), options.full, () => new WeakMap<Slide, readonly Page[]>());
  return getOrMake(slides, slide, () => layOutSlide(slide, options));
}

function keepIdentity(before: readonly Slide[], after: readonly Slide[]): readonly Slide[] {
  const known = new Map(before.map((slide) => [slide.id, slide]));
  return after.map((slide) => {
    const old = known.get(slide.id);
    return old !== undefined && equal(old, slide) ? old : slide;
  });
}
