/** The core in a web worker: holds the document, converts it at every edit, sends what changed. */
import {
  convert,
  dress,
  findings,
  layOutAhead,
  layOutSlide,
  lookAlikes,
  madeHeadings,
  measureAhead,
  optionsOf,
  PRESET_NAMES,
  presetRecipe,
  secondsOf,
  stepCount,
  singleEdits,
  timeOf,
  titleFits,
  type Block,
  type Converted,
  type DeckLook,
  type Destination,
  type DocumentModel,
  type Edit,
  type TemplateModel,
  type PageKey,
  type BlockId,
  lookFor,
  goalsOf,
} from '@alvex/core';
import { answer } from './answers.ts';
import { drawPage } from './draw.ts';
import type { FromWorker, ToWorker } from './protocol.ts';
import type { ChangedDocument, Presets, SeenPages, View } from './shown.ts';
import { countPages, knowPages, makeRow, matterInForce, type Known } from './rows.ts';
import { wordsOf } from './words.ts';

declare const self: DedicatedWorkerGlobalScope;

/** As it was read; the author's changes are laid over it at every conversion. */
let document: DocumentModel | undefined;
let edits: readonly Edit[] = [];
/** The blocks that the page has. */
let sent: ReadonlyMap<string, Block> = new Map();
let sentDocument: DocumentModel | undefined;
let converted: Converted | undefined;
/** The pages of the last view, by key. */
let known = new Map<PageKey, Known>();
let destinations: ReadonlyMap<string, Destination> = new Map();
/** Keys of the pages that were asked for last. */
let recent: readonly PageKey[] = [];
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
    case 'dress':
      return dressed(message.look, message.keys);
    case 'ask':
      return reply(message);
  }
}

const documents = new Map<string, Promise<DocumentModel>>();

/** A document by its address; fetched once, so that going back to an earlier edition is quick. */
function load(url: string): Promise<DocumentModel> {
  let model = documents.get(url);
  if (model === undefined) {
    model = fetchDocument(url);
    documents.set(url, model);
    model.catch(() => documents.delete(url));
  }
  return model;
}

async function fetchDocument(url: string): Promise<DocumentModel> {
  const response = await fetch(url);
  if (!response.ok) throw new Error(((await response.json()) as { error: { message: string } }).error.message);
  return (await response.json()) as DocumentModel;
}

async function reply(message: ToWorker & { kind: 'ask' }): Promise<void> {
  const { ask, question } = message;
  if (document === undefined || converted === undefined) {
    say({ kind: 'unanswered', ask, failure: 'The document is still being opened.' });
    return;
  }
  const asked = converted;
  const held = {
    document,
    edits,
    converted,
    templates,
    load,
    pause: async () => {
      await new Promise((resolve) => setTimeout(resolve, 0));
      return converted === asked;
    },
  };
  try {
    say({ kind: 'answer', ask, what: question.what, answer: await answer(question, held) });
  } catch (error) {
    say({ kind: 'unanswered', ask, failure: error instanceof Error ? error.message : String(error) });
  }
}

let opening = '';

async function open(url: string): Promise<void> {
  opening = url;
  const model = await load(url);
  // Another edition was asked for in the meantime.
  if (opening !== url) return;
  document = model;
  converted = undefined;
  known = new Map();
  destinations = new Map();
  sentDocument = model;
  sent = new Map(model.blocks.map((block) => [block.id, block]));
  say({
    kind: 'document',
    title: model.title,
    language: model.language,
    blocks: model.blocks,
    pictures: model.pictures,
    diagnostics: model.diagnostics,
    presets: presetsOf(model),
  });
}

const templates = new Map<string, TemplateModel>();
let newest = 0;

async function update(message: ToWorker & { kind: 'edits' }): Promise<void> {
  newest = message.seq;
  const use = templateOf(message.edits);
  if (use !== undefined && !templates.has(use)) {
    const response = await fetch(`${message.templates}/${use}`).catch(() => undefined);
    // Without its file the deck wears its theme; the page is told by the view that the template is in force.
    if (response?.ok) templates.set(use, (await response.json()) as TemplateModel);
    if (message.seq !== newest) return;
  }
  convertNow(message);
}

/** Hash of the template that is in force. */
function templateOf(made: readonly Edit[]): string | undefined {
  return singleEdits(made).findLast((edit) => edit.kind === 'template')?.template?.hash;
}

function convertNow({ edits: made, seq }: ToWorker & { kind: 'edits' }): void {
  if (document === undefined) return;
  const start = performance.now();
  const before = converted;
  edits = made;
  converted = convert(document, edits, converted, templates);
  if (before?.document !== converted.document) planReview();
  if (before?.theme.layouts !== converted.theme.layouts) setTimeout(prepare, 0, converted.document);
  const { pages, deck } = converted;
  const next = knowPages(converted, known);
  const former = known;
  known = next;
  const { blocks } = converted.document;
  const moved: [BlockId, Destination][] = [];
  deck.destinations.forEach((destination, i) => {
    const { id } = blocks[i]!;
    if (destinations.get(id) !== destination) moved.push([id, destination]);
  });
  if (moved.length > 0) destinations = new Map(deck.destinations.map((destination, i) => [blocks[i]!.id, destination]));
  const changed = changedDocument(converted.document);
  const words = pages.map(wordsOf);
  const motions = pages.map(({ slide }) => slide.motion ?? converted!.decisions.motion);
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
        seconds: pages.map((page) => secondsOf(timeOf([page]), converted!.decisions.pace)),
        spills: pages.map((page) => page.fit.state === 'spills'),
        layouts: pages.map((page) => page.layout),
        passages: pages.map((page) => page.passages.length),
        slides: pages.map((page) => page.slide.id),
        hidden: pages.map((page) => page.slide.hidden === true),
        transitions: motions.map(({ transition }) => transition),
        steps: motions.map(({ points }, i) => (points ? stepCount(pages[i]!.boxes) : 0)),
      },
      counts: countPages(pages),
      destinations: moved,
      ...turnedSince(before, converted),
      arranged: deck.slides.some((slide) => slide.arranged !== undefined),
      sums: converted.ledger,
      unplaced: converted.unplaced,
      map: converted.map,
      mapName: converted.mapName,
      look: converted.decisions.look,
      template: converted.decisions.template,
      full: converted.decisions.full,
      motion: converted.decisions.motion,
      prose: converted.decisions.prose,
      speech: converted.decisions.speech,
      branches: converted.decisions.branches,
      mapBranches: converted.decisions.map?.branches ?? [],
      matter: matterInForce(converted),
      target: converted.decisions.target,
      pace: converted.decisions.pace,
      takes: [...converted.decisions.takes],
      mixes: [...converted.decisions.mixes].map(([block, mix]) => ({ block, ...mix })),
      breaks: converted.decisions.breaks,
    },
  });
}

/** Blocks turned by hand, where they are others than before. */
function turnedSince(before: Converted | undefined, { decisions }: Converted): Pick<View, 'turned'> {
  const [old, now] = [before?.decisions.turned ?? new Map<BlockId, Destination>(), decisions.turned];
  const same = old.size === now.size && [...now.keys()].every((block) => old.has(block));
  return same ? {} : { turned: [...now.keys()] };
}

const presetsOf = (model: DocumentModel): Presets =>
  Object.fromEntries(PRESET_NAMES.map((name) => [name, presetRecipe(name, model)]));

function changedDocument(model: DocumentModel): ChangedDocument | undefined {
  if (model === sentDocument) return undefined;
  const blocks = model.blocks.filter((block) => sent.get(block.id) !== block);
  sentDocument = model;
  sent = new Map(model.blocks.map((block) => [block.id, block]));
  const { title, pictures } = model;
  return { title, presets: presetsOf(model), order: model.blocks.map(({ id }) => id), blocks, pictures };
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
      made: document === undefined ? [] : madeHeadings(document, model),
      findings: findings(model, {
        titleFits: (runs) => titleFits(runs, theme),
        settled: (id) => decisions.turned.has(id),
      }),
    });
  }, REVIEW_MS);
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

/** Turns the plug of the body text once, unseen and in slices: code that has run is fast, and it is the plug that people turn first. */
function rehearse(model: DocumentModel): void {
  if (converted?.document !== model) return;
  const { map } = converted;
  const steps = layOutAhead(converted, { ...map, body: map.body === 'notes' ? 'slide' : 'notes' });
  const slice = (): void => {
    if (converted?.document !== model) return;
    const end = performance.now() + SLICE_MS;
    while (performance.now() < end) if (steps.next().done) return;
    setTimeout(slice, 0);
  };
  slice();
}

function sendPages(keys: readonly PageKey[]): void {
  recent = [...new Set([...keys, ...recent])].slice(0, MOST_RECENT);
  say({ kind: 'pages', ...seenPages(keys) });
}

function seenPages(keys: readonly PageKey[]): SeenPages {
  const held = converted;
  if (held === undefined) return { rows: [], drawings: [] };
  const { theme } = held;
  const goals = goalsOf(held);
  const found = keys.flatMap((key) => known.get(key) ?? []);
  return {
    rows: found.map((one) => makeRow(one, held)),
    drawings: found.map(({ page, rev }) => drawPage(page, rev, theme, goals)),
  };
}

function dressed(look: DeckLook, keys: readonly PageKey[]): void {
  if (converted === undefined) return;
  const { document: model, decisions } = converted;
  const theme = dress(lookFor(model, look));
  const options = optionsOf(model, theme, decisions.full);
  const drawings = keys.flatMap((key) => {
    const found = known.get(key);
    if (found === undefined) return [];
    const pages = layOutSlide(found.page.slide, options);
    const page = pages[Math.min(found.page.index, pages.length - 1)]!;
    return [{ ...drawPage(page, found.rev, theme), key }];
  });
  say({ kind: 'dressed', look, drawings });
}
