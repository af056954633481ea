/** The open deck: its log, what the worker made of it, and what is drawn. */
import type { DeckSummary } from '@alvex/contract';
import {
  currentEdition,
  foldLog,
  isStructureChange,
  restructureBlocks,
  singleEdits,
  type Block,
  type DeckLook,
  type Destination,
  type Diagnostic,
  type Edit,
  type Finding,
  type History,
  type LogEntry,
  type LookAlikes,
} from '@alvex/core';
import { create } from 'zustand';
import { ApiError, documentUrl, fetchDeck, hasBatch, templatesUrl } from '../api/client.ts';
import type {
  Answers,
  ChangedDocument,
  Drawing,
  FromWorker,
  Presets,
  Question,
  Row,
  SeenPages,
  ToWorker,
  View,
} from '../worker/protocol.ts';
import { Sync, type SyncState } from './sync.ts';
import { leftBehind, type Batch } from './unsent.ts';

export interface DeckState {
  readonly phase: 'none' | 'opening' | 'open' | 'failed';
  readonly failure: string | null;
  readonly deck: DeckSummary | null;
  readonly log: readonly LogEntry[];
  readonly history: History;
  readonly sync: SyncState;
  readonly blocks: readonly Block[];
  readonly blockById: ReadonlyMap<string, Block>;
  readonly diagnostics: readonly Diagnostic[];
  /** What the worker found in the document's structure; null until it has looked. */
  readonly structure: { readonly groups: readonly LookAlikes[]; readonly findings: readonly Finding[] } | null;
  readonly presets: Presets;
  readonly view: Omit<View, 'destinations' | 'seen' | 'document'> | null;
  /** Newest revision of every page, by key. */
  readonly revs: ReadonlyMap<string, number>;
  /** Pages that were seen; one whose revision is not the newest is asked for again when it is seen again. */
  readonly rows: ReadonlyMap<string, Row>;
  readonly destinations: ReadonlyMap<string, Destination>;
  readonly drawings: ReadonlyMap<string, Drawing>;
  /** Drawings in looks that are looked at: the look as JSON, then key. */
  readonly dressed: ReadonlyMap<string, ReadonlyMap<string, Drawing>>;
  readonly selectedBlock: string | null;
  readonly selectedRow: string | null;
}

const EMPTY: DeckState = {
  phase: 'none',
  failure: null,
  deck: null,
  log: [],
  history: { done: [], undone: [] },
  sync: { state: 'kept', at: null, waiting: 0, merged: 0 },
  blocks: [],
  blockById: new Map(),
  diagnostics: [],
  structure: null,
  presets: {},
  view: null,
  revs: new Map(),
  rows: new Map(),
  destinations: new Map(),
  drawings: new Map(),
  dressed: new Map(),
  selectedBlock: null,
  selectedRow: null,
};

const MOST_DRESSED = 40;

export const useDeck = create<DeckState>(() => EMPTY);
const { setState: set, getState: get } = useDeck;

let worker: Worker | undefined;
let sync: Sync | undefined;
let seq = 0;
/** Pages that were asked for, with the revision that was the newest then. */
const asked = new Map<string, number>();
let asking: string[] = [];
interface Waiting {
  readonly resolve: (answer: never) => void;
  readonly reject: (error: Error) => void;
}
const waiting = new Map<number, Waiting>();
let asks = 0;
/** Address of the document that the worker holds or is fetching. */
let opened = '';
/** The worker has that document. */
let ready = false;

const tell = (message: ToWorker): void => worker?.postMessage(message);

/** Opens a deck; an open one is left as it is. */
export async function openDeck(id: string): Promise<void> {
  if (get().deck?.id === id && get().phase !== 'failed') return;
  closeDeck();
  set({ ...EMPTY, phase: 'opening' });
  worker = new Worker(new URL('../worker/core.worker.ts', import.meta.url), { type: 'module' });
  worker.addEventListener('message', ({ data }: MessageEvent<FromWorker>) => receive(data));
  try {
    const { deck, log } = await fetchDeck(id);
    sync = new Sync(id, deck.version, (state) => set({ sync: state }), takeNewer);
    const left = await unsentOf(id);
    const all = [...log, ...left.flatMap(({ entries }) => entries)];
    set({ deck, log: all, history: foldLog(all) });
    sync.adopt(left);
    convertNow();
  } catch (error) {
    set({ phase: 'failed', failure: error instanceof ApiError ? error.message : String(error) });
  }
}

/** What a window left that was closed before the server had it. */
async function unsentOf(id: string): Promise<readonly Batch[]> {
  const left: Batch[] = [];
  for (const batch of await leftBehind(id)) if (!(await hasBatch(id, batch.id))) left.push(batch);
  return left;
}

export function closeDeck(): void {
  worker?.terminate();
  worker = undefined;
  sync?.stop();
  sync = undefined;
  asked.clear();
  asking = [];
  waiting.clear();
  opened = '';
  ready = false;
  set(EMPTY);
}

function receive(message: FromWorker): void {
  switch (message.kind) {
    case 'document':
      set({
        blocks: message.blocks,
        blockById: new Map(message.blocks.map((block) => [block.id, block])),
        diagnostics: message.diagnostics,
        presets: message.presets,
        structure: null,
      });
      ready = true;
      convertNow();
      return;
    case 'view':
      takeView(message.view);
      return;
    case 'pages':
      set(withPages(get(), message));
      return;
    case 'dressed': {
      const dressed = new Map(get().dressed);
      dressed.set(
        JSON.stringify(message.look),
        new Map([
          ...(dressed.get(JSON.stringify(message.look)) ?? []),
          ...message.drawings.map((drawing) => [drawing.key, drawing] as const),
        ]),
      );
      // Looks that were looked at long ago are drawn again when they are seen again.
      for (const look of [...dressed.keys()].slice(0, -MOST_DRESSED)) dressed.delete(look);
      set({ dressed });
      return;
    }
    case 'structure':
      set({ structure: { groups: message.groups, findings: message.findings } });
      return;
    case 'answer': {
      const asked = waiting.get(message.ask);
      waiting.delete(message.ask);
      if (message.failure === undefined) asked?.resolve(message.answer as never);
      else asked?.reject(new Error(message.failure));
      return;
    }
    case 'failed':
      set({ phase: 'failed', failure: message.message });
  }
}

function withPages(state: Pick<DeckState, 'rows' | 'drawings'>, seen: SeenPages): Pick<DeckState, 'rows' | 'drawings'> {
  for (const row of seen.rows) asked.delete(row.key);
  return {
    rows: new Map([...state.rows, ...seen.rows.map((row) => [row.key, row] as const)]),
    drawings: new Map([...state.drawings, ...seen.drawings.map((drawing) => [drawing.key, drawing] as const)]),
  };
}

function takeView({ destinations: turned, seen, document, ...view }: View): void {
  const state = get();
  if (document !== undefined) set(withDocument(state.blockById, document));
  const { order, revs } = view.pages;
  const newest = new Map(order.map((key, i) => [key, revs[i]!]));
  const still = <T>(map: ReadonlyMap<string, T>): ReadonlyMap<string, T> =>
    [...map.keys()].every((key) => newest.has(key)) ? map : new Map([...map].filter(([key]) => newest.has(key)));
  const pages = withPages({ rows: still(state.rows), drawings: still(state.drawings) }, seen);
  const destinations = turned.length === 0 ? state.destinations : new Map([...state.destinations, ...turned]);
  set({ ...pages, revs: newest, destinations, view, phase: 'open' });
}

function withDocument(
  before: DeckState['blockById'],
  { order, blocks: changed, presets }: ChangedDocument,
): Pick<DeckState, 'blocks' | 'blockById' | 'presets'> {
  const fresh = new Map(changed.map((block) => [block.id as string, block]));
  const blocks = order.map((id) => fresh.get(id) ?? before.get(id)!);
  return { blocks, blockById: new Map(blocks.map((block) => [block.id, block])), presets };
}

/** Changes of structure are seen at once; what the worker makes of them follows. */
function structured(
  blocks: readonly Block[],
  entries: readonly LogEntry[],
): Pick<DeckState, 'blocks' | 'blockById'> | undefined {
  const changes = singleEdits(entries.filter((entry): entry is Edit => entry.kind !== 'undo' && entry.kind !== 'redo'));
  // Of another edition, whose blocks come with the worker's answer.
  if (changes.some(({ kind }) => kind === 'edition')) return undefined;
  const changed = restructureBlocks(blocks, changes.filter(isStructureChange)).blocks;
  if (changed === blocks) return undefined;
  return { blocks: changed, blockById: new Map(changed.map((block) => [block.id, block])) };
}

function convertNow(): void {
  const { history, deck } = get();
  if (deck === null) return;
  const url = documentUrl(deck.id, currentEdition(singleEdits(history.done))?.original);
  if (url !== opened) {
    opened = url;
    ready = false;
    tell({ kind: 'open', url });
  } else if (ready) tell({ kind: 'edits', edits: history.done, seq: ++seq, templates: templatesUrl(deck.id) });
}

function append(entries: readonly LogEntry[]): void {
  const log = [...get().log, ...entries];
  set({ log, history: foldLog(log), ...structured(get().blocks, entries) });
  sync?.push(entries);
  convertNow();
}

/** Adds an edit: shown at once, sent at once. */
export const edit = (...edits: readonly Edit[]): void => {
  if (edits.length > 0) append(edits);
};

export function undo(): void {
  if (get().history.done.length > 0) append([{ kind: 'undo' }]);
}

export function redo(): void {
  if (get().history.undone.length > 0) append([{ kind: 'redo' }]);
}

/** Undoes several edits at once. */
export const goBack = (edits: number): void => {
  if (edits > 0) append(Array.from({ length: edits }, () => ({ kind: 'undo' })));
};

export const goForward = (edits: number): void => {
  if (edits > 0) append(Array.from({ length: edits }, () => ({ kind: 'redo' })));
};

/** Puts what others wrote before what was not sent yet. */
function takeNewer(newer: readonly LogEntry[], unsent: number): void {
  const { log } = get();
  const at = log.length - unsent;
  const merged = [...log.slice(0, at), ...newer, ...log.slice(at)];
  set({ log: merged, history: foldLog(merged) });
  convertNow();
}

/** Asks for the row and drawing of a page that is seen, unless the newest is here or on its way. */
export function wantPage(key: string): void {
  const { revs, rows } = get();
  const rev = revs.get(key);
  if (rev === undefined || rows.get(key)?.rev === rev || asked.get(key) === rev) return;
  asked.set(key, rev);
  // All that become visible together are asked for together.
  if (asking.push(key) > 1) return;
  queueMicrotask(() => {
    tell({ kind: 'pages', keys: asking });
    asking = [];
  });
}

export type Asking<W extends Question['what']> = Extract<Question, { readonly what: W }>;

/** Asks the worker. @throws Error with a sentence for the author. */
export function ask<W extends Question['what']>(question: Asking<W>): Promise<Answers[W]> {
  return new Promise((resolve, reject) => {
    waiting.set(++asks, { resolve: resolve as Waiting['resolve'], reject });
    tell({ kind: 'ask', ask: asks, ...question });
  });
}

export const wantDressed = (look: DeckLook, keys: readonly string[]): void => tell({ kind: 'dress', look, keys });

export function select(block: string | null, row: string | null): void {
  set({ selectedBlock: block, selectedRow: row });
}

export const renamed = (deck: DeckSummary): void => set({ deck });
