/** The log of the open deck: what was done, what can be undone, and whether the server has it. */
import {
  currentEdition,
  foldLog,
  singleEdits,
  undoable,
  type Edit,
  type EditionEdit,
  type History,
  type LogEntry,
  type Writer,
} from '@alvex/core';
import { create } from 'zustand';
import { fetchDeck } from '../api/client.ts';
import { me } from './me.ts';
import { Sync, type SyncHandlers, type SyncState } from './sync.ts';
import { refusedOf, type Batch, type Unsent } from './unsent.ts';
import { withoutEntry } from './without-entry.ts';

interface LogState {
  readonly log: readonly LogEntry[];
  /** Who wrote each entry. */
  readonly by: readonly Writer[];
  readonly history: History;
  /** The edition of the document that is in force; null while it is the first. */
  readonly edition: EditionEdit | null;
  readonly sync: SyncState;
}
const EMPTY: LogState = {
  log: [],
  by: [],
  history: { done: [], writers: [], undone: [] },
  edition: null,
  sync: { state: 'kept', at: null, waiting: 0, merged: 0, refused: 0, reason: null },
};

export const useLog = create<LogState>(() => EMPTY);
const { setState: set, getState: get } = useLog;

interface WrittenEntries {
  readonly entries: readonly LogEntry[];
  readonly by: readonly Writer[];
}

/** The log of one deck, from its opening to its closing. */
export class DeckLog {
  readonly #deck: string;
  readonly #sync: Sync;
  readonly #changed: (entries: readonly LogEntry[]) => void;

  /**
   * @param left What windows that are gone did not send any more.
   * @param changed Called after every change, with what this window added.
   */
  constructor(
    deck: string,
    kept: { readonly version: number; readonly log: readonly LogEntry[]; readonly by: readonly Writer[] },
    left: readonly Batch[],
    changed: (entries: readonly LogEntry[]) => void,
    store: Unsent,
  ) {
    this.#deck = deck;
    this.#changed = changed;
    const ours = left.flatMap(({ entries }) => entries);
    this.#put([...kept.log, ...ours], [...kept.by, ...ours.map(me)]);
    const handlers: SyncHandlers = {
      tell: (sync) => set({ sync }),
      newer: (newer, by, unsent) => this.#replaceUnsent(unsent, (rest) => rest, { entries: newer, by }),
      refused: (unsent, rest) => {
        const { log } = get();
        const at = log.length - unsent;
        const isEdit = log[at]?.kind !== 'undo' && log[at]?.kind !== 'redo';
        const before = foldLog(log.slice(0, at), get().by, me());
        const remaining = isEdit ? withoutEntry(undoable(before, me()), rest) : rest;
        this.#replaceUnsent(unsent, () => remaining);
        return remaining;
      },
    };
    this.#sync = new Sync(deck, kept.version, handlers, store);
    this.#sync.adopt(left);
  }

  /**
   * Lays what this window knows on a server that has an older state: entries that it lost, and those that wait.
   * @throws ApiError
   */
  async layOnServer(): Promise<void> {
    const { deck, log: theirs, by } = await fetchDeck(this.#deck);
    const { log } = get();
    const known = log.slice(0, log.length - this.#sync.unsent.length);
    const same = known.findIndex(
      (entry, i) => i >= theirs.length || JSON.stringify(entry) !== JSON.stringify(theirs[i]),
    );
    // Where the two went apart, what the server has stays, and what this window wrote comes behind it.
    const lost = same < 0 ? [] : known.slice(same);
    const again = [...lost, ...this.#sync.unsent];
    this.#put([...theirs, ...again], [...by, ...again.map(me)]);
    this.#changed([]);
    this.#sync.resume(deck.version, again);
  }

  /** Tries once more what the server refused, behind all else. */
  retryRefused(): void {
    const entries = refusedOf(this.#deck);
    // It waits under its own name before it goes from where it was kept aside.
    if (entries.length > 0) this.append(entries);
    this.#sync.forgetRefused();
  }

  send(): void {
    this.#sync.send();
  }

  forgetRefused(): void {
    this.#sync.forgetRefused();
  }

  append(entries: readonly LogEntry[]): void {
    this.#put([...get().log, ...entries], [...get().by, ...entries.map(me)]);
    this.#sync.push(entries);
    this.#changed(entries);
  }

  close(): void {
    this.#sync.stop();
    set(EMPTY);
  }

  /** What was not sent yet stands last; others' entries come before it. */
  #replaceUnsent(
    unsent: number,
    change: (ours: readonly LogEntry[]) => readonly LogEntry[],
    others: WrittenEntries = { entries: [], by: [] },
  ): void {
    const { log, by } = get();
    const at = log.length - unsent;
    const ours = change(log.slice(at));
    this.#put([...log.slice(0, at), ...others.entries, ...ours], [...by.slice(0, at), ...others.by, ...ours.map(me)]);
    this.#changed([]);
  }

  #put(log: readonly LogEntry[], by: readonly Writer[]): void {
    const history = foldLog(log, by, me());
    set({ log, by, history, edition: currentEdition(singleEdits(history.done)) ?? null });
  }
}

let current: DeckLog | undefined;
export function setLog(log: DeckLog | undefined): void {
  current = log;
}

/** How many edits in force are one's own to take back. */
export const canTakeBack = ({ history }: Pick<LogState, 'history'>): number => undoable(history, me());

/** Lays this window's work on a server that has an older state of the deck. @throws ApiError */
export const layOnServer = async (): Promise<void> => current?.layOnServer();
/** Tries at once what waits, as after the deck was restored. */
export const sendWaiting = (): void => current?.send();
export const retryRefused = (): void => current?.retryRefused();
export const dropRefused = (): void => current?.forgetRefused();

/** Adds an edit: shown at once, sent at once. */
export const edit = (...edits: readonly Edit[]): void => {
  if (edits.length > 0) current?.append(edits);
};

export function undo(): void {
  if (canTakeBack(get()) > 0) current?.append([{ kind: 'undo' }]);
}

export function redo(): void {
  if (get().history.undone.length > 0) current?.append([{ kind: 'redo' }]);
}

/** Undoes several edits at once. */
export const goBack = (edits: number): void => {
  if (edits > 0) current?.append(Array.from({ length: edits }, () => ({ kind: 'undo' })));
};

export const goForward = (edits: number): void => {
  if (edits > 0) current?.append(Array.from({ length: edits }, () => ({ kind: 'redo' })));
};
