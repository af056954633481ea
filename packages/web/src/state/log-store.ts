/** The log of the open deck: what was done, what can be undone, and whether the server has it. */
import {
  currentEdition,
  foldLog,
  singleEdits,
  type Edit,
  type EditionEdit,
  type History,
  type LogEntry,
} from '@alvex/core';
import { create } from 'zustand';
import { Sync, type SyncState } from './sync.ts';
import type { Batch } from './unsent.ts';
import { withoutEntry } from './without-entry.ts';

interface LogState {
  readonly log: readonly LogEntry[];
  readonly history: History;
  /** The edition of the document that is in force; null while it is the first. */
  readonly edition: EditionEdit | null;
  readonly sync: SyncState;
}
const EMPTY: LogState = {
  log: [],
  history: { done: [], undone: [] },
  edition: null,
  sync: { state: 'kept', at: null, waiting: 0, merged: 0, refused: 0 },
};

export const useLog = create<LogState>(() => EMPTY);
const { setState: set, getState: get } = useLog;

/** The log of one deck, from its opening to its closing. */
export class DeckLog {
  readonly #sync: Sync;
  readonly #changed: (entries: readonly LogEntry[]) => void;

  /**
   * @param left What windows that are gone did not send any more.
   * @param changed Called after every change, with what this window added.
   */
  constructor(
    deck: string,
    kept: { readonly version: number; readonly log: readonly LogEntry[] },
    left: readonly Batch[],
    changed: (entries: readonly LogEntry[]) => void,
  ) {
    this.#changed = changed;
    this.#put([...kept.log, ...left.flatMap(({ entries }) => entries)]);
    this.#sync = new Sync(deck, kept.version, {
      tell: (sync) => set({ sync }),
      newer: (newer, unsent) => this.#replaceUnsent(unsent, (ours) => [...newer, ...ours]),
      refused: (unsent, rest) => {
        const { log } = get();
        const at = log.length - unsent;
        const isEdit = log[at]?.kind !== 'undo' && log[at]?.kind !== 'redo';
        const remaining = isEdit ? withoutEntry(foldLog(log.slice(0, at)).done.length, rest) : rest;
        this.#replaceUnsent(unsent, () => remaining);
        return remaining;
      },
    });
    this.#sync.adopt(left);
  }

  append(entries: readonly LogEntry[]): void {
    this.#put([...get().log, ...entries]);
    this.#sync.push(entries);
    this.#changed(entries);
  }

  close(): void {
    this.#sync.stop();
    set(EMPTY);
  }

  /** What was not sent yet stands last; others' entries come before it. */
  #replaceUnsent(unsent: number, by: (ours: readonly LogEntry[]) => readonly LogEntry[]): void {
    const { log } = get();
    const at = log.length - unsent;
    this.#put([...log.slice(0, at), ...by(log.slice(at))]);
    this.#changed([]);
  }

  #put(log: readonly LogEntry[]): void {
    const history = foldLog(log);
    set({ log, history, edition: currentEdition(singleEdits(history.done)) ?? null });
  }
}

let current: DeckLog | undefined;
export function setLog(log: DeckLog | undefined): void {
  current = log;
}

/** Adds an edit: shown at once, sent at once. */
export const edit = (...edits: readonly Edit[]): void => {
  if (edits.length > 0) current?.append(edits);
};

export function undo(): void {
  if (get().history.done.length > 0) current?.append([{ kind: 'undo' }]);
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
