/** The open deck: its log, what the worker made of it, and what is drawn. */
import type { DeckSummary } from '@alvex/contract';
import {
  foldLog,
  type Block,
  type Destination,
  type Diagnostic,
  type Edit,
  type History,
  type LedgerEntry,
  type LevelMap,
  type LogEntry,
} from '@alvex/core';
import { create } from 'zustand';
import { ApiError, documentUrl, fetchDeck } from '../api/client.ts';
import type { Drawing, FromWorker, Row, ToWorker, View } from '../worker/protocol.ts';
import { Sync, type SyncState } from './sync.ts';

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
  readonly presets: Readonly<Record<string, LevelMap>>;
  readonly view: Omit<View, 'changed' | 'destinations'> | null;
  readonly rows: ReadonlyMap<string, Row>;
  readonly destinations: ReadonlyMap<string, Destination>;
  /** Slides that show a block, in order. */
  readonly rowsOfBlock: ReadonlyMap<string, readonly string[]>;
  readonly drawings: ReadonlyMap<string, Drawing>;
  /** Drawings in themes that are looked at: theme, then key. */
  readonly dressed: ReadonlyMap<string, ReadonlyMap<string, Drawing>>;
  readonly ledger: readonly LedgerEntry[] | null;
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
  presets: {},
  view: null,
  rows: new Map(),
  destinations: new Map(),
  rowsOfBlock: new Map(),
  drawings: new Map(),
  dressed: new Map(),
  ledger: null,
  selectedBlock: null,
  selectedRow: null,
};

export const useDeck = create<DeckState>(() => EMPTY);
const { setState: set, getState: get } = useDeck;

let worker: Worker | undefined;
let sync: Sync | undefined;
let seq = 0;
const wanted = new Set<string>();

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
    set({ deck, log, history: foldLog(log) });
    tell({ kind: 'open', url: documentUrl(id) });
  } catch (error) {
    set({ phase: 'failed', failure: error instanceof ApiError ? error.message : String(error) });
  }
}

export function closeDeck(): void {
  worker?.terminate();
  worker = undefined;
  sync?.stop();
  sync = undefined;
  wanted.clear();
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
      });
      convertNow();
      return;
    case 'view':
      takeView(message.view);
      return;
    case 'drawings': {
      const drawings = new Map(get().drawings);
      for (const drawing of message.drawings) {
        drawings.set(drawing.key, drawing);
        wanted.delete(`${drawing.key} ${drawing.rev}`);
      }
      set({ drawings });
      return;
    }
    case 'dressed': {
      const dressed = new Map(get().dressed);
      dressed.set(
        message.theme,
        new Map([
          ...(dressed.get(message.theme) ?? []),
          ...message.drawings.map((drawing) => [drawing.key, drawing] as const),
        ]),
      );
      set({ dressed });
      return;
    }
    case 'ledger':
      set({ ledger: message.entries });
      return;
    case 'failed':
      set({ phase: 'failed', failure: message.message });
  }
}

function takeView({ changed, destinations: turned, ...view }: View): void {
  const state = get();
  const rows = new Map<string, Row>();
  const fresh = new Map(changed.map((row) => [row.key, row]));
  for (const key of view.order) {
    const row = fresh.get(key) ?? state.rows.get(key);
    if (row !== undefined) rows.set(key, row);
  }
  const destinations = turned.length === 0 ? state.destinations : new Map([...state.destinations, ...turned]);
  const rowsOfBlock =
    changed.length === 0 && state.view?.order.length === view.order.length
      ? state.rowsOfBlock
      : indexRows(view.order, rows);
  set({ rows, destinations, view, rowsOfBlock, ledger: null, phase: 'open' });
}

function indexRows(order: readonly string[], rows: ReadonlyMap<string, Row>): ReadonlyMap<string, readonly string[]> {
  const index = new Map<string, string[]>();
  for (const key of order)
    for (const block of rows.get(key)?.passages ?? []) {
      const known = index.get(block);
      if (known === undefined) index.set(block, [key]);
      else known.push(key);
    }
  return index;
}

function convertNow(): void {
  tell({ kind: 'edits', edits: get().history.done, seq: ++seq });
}

function append(entries: readonly LogEntry[]): void {
  const log = [...get().log, ...entries];
  set({ log, history: foldLog(log) });
  sync?.push(entries);
  convertNow();
}

/** Adds an edit: shown at once, sent at once. */
export const edit = (...edits: readonly Edit[]): void => append(edits);

export function undo(): void {
  if (get().history.done.length > 0) append([{ kind: 'undo' }]);
}

export function redo(): void {
  if (get().history.undone.length > 0) append([{ kind: 'redo' }]);
}

/** Puts what others wrote before what was not sent yet. */
function takeNewer(newer: readonly LogEntry[], unsent: number): void {
  const { log } = get();
  const at = log.length - unsent;
  const merged = [...log.slice(0, at), ...newer, ...log.slice(at)];
  set({ log: merged, history: foldLog(merged) });
  convertNow();
}

/** Asks for drawings of the slides that are seen and have none of today. */
export function wantDrawings(keys: readonly string[]): void {
  const { rows, drawings } = get();
  const missing = keys.filter((key) => {
    const row = rows.get(key);
    return row !== undefined && drawings.get(key)?.rev !== row.rev && !wanted.has(`${key} ${row.rev}`);
  });
  if (missing.length === 0) return;
  for (const key of missing) wanted.add(`${key} ${rows.get(key)!.rev}`);
  tell({ kind: 'draw', keys: missing });
}

export const wantDressed = (theme: string, keys: readonly string[]): void => tell({ kind: 'dress', theme, keys });
export const wantLedger = (): void => tell({ kind: 'ledger' });

export function select(block: string | null, row: string | null): void {
  set({ selectedBlock: block, selectedRow: row });
}

export const renamed = (deck: DeckSummary): void => set({ deck });
