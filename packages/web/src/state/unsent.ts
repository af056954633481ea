/**
 * Keeps what was not sent yet in the browser's own store, so that a window that is closed or a computer that fails loses nothing:
 * the next window that opens the deck sends it. A lock tells which windows are still open.
 */
import type { LogEntry } from '@alvex/core';
import { uuid } from '../worker/uuid.ts';

/** Entries that are sent together, under a name by which the server knows them again. */
export interface Batch {
  readonly id: string;
  readonly entries: readonly LogEntry[];
  /** How the ids in it were made; absent for the first way. */
  readonly ids?: number;
}

const PREFIX = 'alvex.unsent.';
const REFUSED = 'alvex.refused.';

/** Absent where a browser forbids it, and in tests. */
const store = (): Storage | undefined => (globalThis as { localStorage?: Storage }).localStorage;
const locks = (): LockManager | undefined => (globalThis.navigator as Partial<Navigator> | undefined)?.locks;

export class Unsent {
  readonly #deck: string;
  readonly #key: string;
  #release: (() => void) | undefined;

  constructor(deck: string) {
    this.#deck = deck;
    this.#key = `${PREFIX}${deck}.${uuid()}`;
    void locks()?.request(this.#key, () => new Promise<void>((resolve) => (this.#release = resolve)));
  }

  /** @returns Whether they would be there after this window is gone. */
  keep(batches: readonly Batch[]): boolean {
    try {
      if (batches.length === 0) store()?.removeItem(this.#key);
      else store()?.setItem(this.#key, JSON.stringify(batches));
      return store() !== undefined;
    } catch {
      return false;
    }
  }

  /**
   * Takes over what windows left that are gone: it stands under this window's name before it goes from under theirs, so
   * that it is nowhere missing, whenever the page is closed.
   */
  async takeOver(): Promise<readonly Batch[]> {
    const box = store();
    const manager = locks();
    if (box === undefined || manager === undefined) return [];
    const keys = Array.from({ length: box.length }, (_, i) => box.key(i)!).filter(
      (key) => key.startsWith(`${PREFIX}${this.#deck}.`) && key !== this.#key,
    );
    const found: Batch[] = [];
    for (const key of keys)
      await manager.request(key, { ifAvailable: true }, (lock) => {
        const batches = lock === null ? undefined : batchesIn(box.getItem(key));
        // What cannot be understood stays where it is.
        if (batches === undefined) return;
        found.push(...batches);
        if (this.keep(found)) box.removeItem(key);
      });
    return found;
  }

  /** This window is done with the deck. What it still holds is left to the next one. */
  end(): void {
    this.#release?.();
  }
}

function batchesIn(text: string | null): readonly Batch[] | undefined {
  try {
    return JSON.parse(text ?? '[]') as readonly Batch[];
  } catch {
    return undefined;
  }
}

/** Keeps aside what the server refuses, so that it is not lost. @returns Whether the browser keeps it. */
export function keepRefused(deck: string, entries: readonly LogEntry[]): boolean {
  try {
    const box = store();
    box?.setItem(REFUSED + deck, JSON.stringify([...refusedOf(deck), ...entries]));
    return box !== undefined;
  } catch {
    // The store is full or forbidden; the page has told of it all the same.
    return false;
  }
}

/** What the server refused of a deck's edits, oldest first. */
export function refusedOf(deck: string): readonly LogEntry[] {
  try {
    return JSON.parse(store()?.getItem(REFUSED + deck) ?? '[]') as readonly LogEntry[];
  } catch {
    return [];
  }
}

/** Its author has dealt with it. */
export function forgetRefused(deck: string): void {
  store()?.removeItem(REFUSED + deck);
}
