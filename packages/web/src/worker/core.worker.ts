/** The core in a web worker: holds the document, converts it at every edit, sends what changed. */
import {
  convert,
  countWords,
  findings,
  layOutSlide,
  ledgerEntries,
  lookAlikes,
  measureAhead,
  presetMap,
  PRESET_NAMES,
  runsWords,
  tableText,
  themeNamed,
  titleFits,
  type Block,
  type Converted,
  type Destination,
  type DocumentModel,
  type Edit,
  type LevelMap,
  type Page,
} from '@alvex/core';
import { drawPage } from './draw.ts';
import type { ChangedDocument, Counts, FromWorker, PlacedEntry, Row, SeenPages, ToWorker } from './protocol.ts';

declare const self: DedicatedWorkerGlobalScope;

interface Known {
  readonly page: Page;
  readonly joinBlock: string | null;
  readonly rev: number;
}

/** As it was read; the author's changes are laid over it at every conversion. */
let document: DocumentModel | undefined;
let edits: readonly Edit[] = [];
/** The blocks that the page has. */
let sent: ReadonlyMap<string, Block> = new Map();
let sentDocument: DocumentModel | undefined;
let converted: Converted | undefined;
/** The pages of the last view, by key. */
let known = new Map<string, Known>();
let destinations: ReadonlyMap<string, Destination> = new Map();
let revision = 0;
/** Keys of the pages that were asked for last. */
let recent: readonly string[] = [];
const MOST_RECENT = 24;

const say = (message: FromWorker): void => self.postMessage(message);

self.addEventListener('message', ({ data }: MessageEvent<ToWorker>) => {
  void handle(data).catch((error: unknown) =>
    say({ kind: 'failed', message: error instanceof Error ? error.message : String(error) }),
  );
});

async function handle(message: ToWorker): Promise<void> {
  switch (message.kind) {
    case 'open':
      return open(message.url);
    case 'edits':
      return update(message);
    case 'pages':
      return sendPages(message.keys);
    case 'find':
      return say({ kind: 'found', block: message.block, key: pageOf(message.block)?.key ?? null });
    case 'dress':
      return dress(message.theme, message.keys);
    case 'try':
      return tryEdits(message);
    case 'ledger':
      return say({ kind: 'ledger', entries: placedEntries() });
  }
}

async function open(url: string): Promise<void> {
  const response = await fetch(url);
  if (!response.ok) throw new Error(((await response.json()) as { error: { message: string } }).error.message);
  const model = (await response.json()) as DocumentModel;
  document = model;
  converted = undefined;
  known = new Map();
  destinations = new Map();
  sentDocument = model;
  sent = new Map(model.blocks.map((block) => [block.id, block]));
  say({
    kind: 'document',
    title: model.title,
    blocks: model.blocks,
    diagnostics: model.diagnostics,
    presets: presetsOf(model),
  });
}

function update({ edits: made, seq }: ToWorker & { kind: 'edits' }): void {
  if (document === undefined) return;
  const start = performance.now();
  const before = converted;
  edits = made;
  converted = convert(document, edits, converted);
  if (before?.document !== converted.document) planReview();
  if (before?.theme !== converted.theme) setTimeout(prepare, 0, converted.document);
  const { pages, theme, deck } = converted;
  const next = new Map<string, Known>();
  pages.forEach((page, i) => {
    const old = known.get(page.key);
    const joinBlock = joinBlockOf(pages, i);
    const same = old?.page === page && old.joinBlock === joinBlock;
    next.set(page.key, same ? old : { page, joinBlock, rev: ++revision });
  });
  const former = known;
  known = next;
  const { blocks } = converted.document;
  const turned: [string, Destination][] = [];
  deck.destinations.forEach((destination, i) => {
    const { id } = blocks[i]!;
    if (destinations.get(id) !== destination) turned.push([id, destination]);
  });
  if (turned.length > 0)
    destinations = new Map(deck.destinations.map((destination, i) => [blocks[i]!.id, destination]));
  const changed = changedDocument(converted.document);
  const words = pages.map(wordsOf);
  say({
    kind: 'view',
    seq,
    ms: performance.now() - start,
    view: {
      ...(changed === undefined ? {} : { document: changed }),
      seen: seenPages(recent.filter((key) => former.get(key)?.rev !== known.get(key)?.rev)),
      pages: {
        order: pages.map((page) => page.key),
        revs: [...next.values()].map(({ rev }) => rev),
        words: words.map(({ shown }) => shown),
        spoken: words.map(({ spoken }) => spoken),
        spills: pages.map((page) => page.fit.state === 'spills'),
        layouts: pages.map((page) => page.layout),
        passages: pages.map((page) => page.passages.length),
      },
      counts: countPages(pages),
      destinations: turned,
      sums: converted.ledger,
      unplaced: converted.unplaced,
      map: converted.map,
      mapName: converted.mapName,
      theme: theme.name,
      full: converted.decisions.full,
      breaks: converted.decisions.breaks,
    },
  });
}

const presetsOf = (model: DocumentModel): Readonly<Record<string, LevelMap>> =>
  Object.fromEntries(PRESET_NAMES.map((name) => [name, presetMap(name, model)]));

function changedDocument(model: DocumentModel): ChangedDocument | undefined {
  if (model === sentDocument) return undefined;
  const blocks = model.blocks.filter((block) => sent.get(block.id) !== block);
  sentDocument = model;
  sent = new Map(model.blocks.map((block) => [block.id, block]));
  return { title: model.title, presets: presetsOf(model), order: model.blocks.map(({ id }) => id), blocks };
}

const REVIEW_MS = 60;
let review: ReturnType<typeof setTimeout> | undefined;

/** Looks the structure through once no edit comes for a moment. */
function planReview(): void {
  clearTimeout(review);
  review = setTimeout(() => {
    if (converted === undefined) return;
    const { document: model, theme, decisions } = converted;
    say({
      kind: 'structure',
      groups: lookAlikes(model),
      findings: findings(model, {
        titleFits: (runs) => titleFits(runs, theme),
        settled: (id) => decisions.turned.has(id),
      }),
    });
  }, REVIEW_MS);
}

function tryEdits({ edits: more, ask }: ToWorker & { kind: 'try' }): void {
  if (document === undefined || converted === undefined) return;
  say({ kind: 'tried', ask, slides: convert(document, [...edits, ...more], converted).pages.length });
}

const SLICE_MS = 6;

/** Measures the document's text in short slices, between which edits are answered. */
function prepare(model: DocumentModel, from = 0): void {
  if (converted?.document !== model) return;
  const end = performance.now() + SLICE_MS;
  let i = from;
  for (; i < model.blocks.length && performance.now() < end; i++) {
    const block = model.blocks[i]!;
    if ('runs' in block) measureAhead(block.runs, converted.theme);
  }
  if (i < model.blocks.length) setTimeout(() => prepare(model, i));
  else setTimeout(() => rehearse(model), REHEARSE_MS);
}

const REHEARSE_MS = 400;

/** Turns the plug of the body text once, unseen: code that has run is fast, and it is the plug that people turn first. */
function rehearse(model: DocumentModel): void {
  if (document === undefined || converted?.document !== model) return;
  const { map } = converted;
  convert(document, [
    ...edits,
    { kind: 'map', name: null, map: { ...map, body: map.body === 'notes' ? 'slide' : 'notes' } },
  ]);
}

function countPages(pages: readonly Page[]): Counts {
  const has = (page: Page, kind: 'table' | 'picture'): boolean => page.boxes.some((box) => box.kind === kind);
  const count = (test: (page: Page) => boolean): number => pages.reduce((sum, page) => (test(page) ? sum + 1 : sum), 0);
  return {
    sections: count((page) => page.slide.kind === 'section'),
    notes: count((page) => page.notes.length > 0),
    tables: count((page) => has(page, 'table')),
    pictures: count((page) => has(page, 'picture')),
  };
}

const counted = new WeakMap<Page, { readonly shown: number; readonly spoken: number }>();

function wordsOf(page: Page): { readonly shown: number; readonly spoken: number } {
  let words = counted.get(page);
  if (words === undefined) {
    const shown = contentOf(page).reduce((sum, part) => {
      if (part.kind === 'picture') return sum;
      return sum + (part.kind === 'table' ? countWords(tableText(part.table)) : runsWords(part.runs));
    }, runsWords(page.slide.title.runs));
    const spoken = page.notes.reduce((sum, note) => sum + runsWords(note.runs), 0);
    counted.set(page, (words = { shown, spoken }));
  }
  return words;
}

function contentOf({ slide, boxes, count }: Page) {
  if (count === 1) return slide.content;
  const shown = new Set(boxes.flatMap((box) => (box.kind === 'text' ? box.paras.map(({ part }) => part) : [box.part])));
  return slide.content.filter((part) => shown.has(part.id));
}

function makeRow({ page, joinBlock, rev }: Known): Row {
  const { slide, key, layout, notes, passages, fit } = page;
  const { shown, spoken } = wordsOf(page);
  const { id, kind, title } = slide;
  const continues = slide.continues || page.index > 0;
  return {
    key,
    rev,
    slide: id,
    kind,
    layout,
    title,
    content: contentOf(page),
    notes,
    passages,
    fit,
    words: shown,
    spoken,
    continues,
    joinBlock,
  };
}

/** A slide made by a cut can be joined by its first content, one of the document's own by its title; never to a cover or opener. */
function joinBlockOf(pages: readonly Page[], i: number): string | null {
  const page = pages[i]!;
  const before = pages[i - 1];
  const { slide } = page;
  if (page.index > 0 || slide.kind !== 'content' || before === undefined || before.slide.kind !== 'content')
    return null;
  return slide.continues ? (slide.content[0]?.blocks[0] ?? null) : (slide.title.blocks[0] ?? null);
}

function sendPages(keys: readonly string[]): void {
  recent = [...new Set([...keys, ...recent])].slice(0, MOST_RECENT);
  say({ kind: 'pages', ...seenPages(keys) });
}

function seenPages(keys: readonly string[]): SeenPages {
  if (converted === undefined) return { rows: [], drawings: [] };
  const { theme } = converted;
  const found = keys.flatMap((key) => known.get(key) ?? []);
  return { rows: found.map(makeRow), drawings: found.map(({ page, rev }) => drawPage(page, rev, theme)) };
}

const pageOf = (block: string): Page | undefined => converted?.pages.find((page) => page.passages.includes(block));

function placedEntries(): readonly PlacedEntry[] {
  if (converted === undefined) return [];
  const numbers = new Map<string, number>();
  converted.pages.forEach((page, i) => {
    for (const block of page.passages) if (!numbers.has(block)) numbers.set(block, i + 1);
  });
  return ledgerEntries(converted.document, converted.deck).map((entry) => ({
    ...entry,
    slide: numbers.get(entry.block) ?? null,
  }));
}

function dress(name: string, keys: readonly string[]): void {
  const theme = themeNamed(name);
  if (theme === undefined || document === undefined || converted === undefined) return;
  const pictures = new Map(document.pictures.map((picture) => [picture.id, picture]));
  const { full } = converted.decisions;
  const drawings = keys.flatMap((key) => {
    const found = known.get(key);
    if (found === undefined) return [];
    const pages = layOutSlide(found.page.slide, { theme, full, pictures });
    const page = pages[Math.min(found.page.index, pages.length - 1)]!;
    return [{ ...drawPage(page, found.rev, theme), key }];
  });
  say({ kind: 'dressed', theme: name, drawings });
}
