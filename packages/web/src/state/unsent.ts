/**
 * Keeps what was not sent yet in the browser's own store, so that a window that is closed or a computer that fails loses nothing:
 * the next window that opens the deck sends it. A lock tells which windows are still open.
 */
import type { LogEntry } from '@alvex/core';
import { uuid } from './uuid.ts';

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
  readonly #key: string;
  #release: (() => void) | undefined;

  constructor(deck: string) {
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

  /** This window is done with the deck. What it still holds is left to the next one. */
  end(): void {
    this.#release?.();
  }
}

/** Takes over what windows left that are gone. */
export async function leftBehind(deck: string): Promise<readonly Batch[]> {
  const box = store();
  const manager = locks();
  if (box === undefined || manager === undefined) return [];
  const keys = Array.from({ length: box.length }, (_, i) => box.key(i)!).filter((key) =>
    key.startsWith(`${PREFIX}${deck}.`),
  );
  const found: Batch[] = [];
  for (const key of keys)
    await manager.request(key, { ifAvailable: true }, (lock) => {
      if (lock === null) return;
      found.push(...(JSON.parse(box.getItem(key) ?? '[]') as Batch[]));
      box.removeItem(key);
    });
  return found;
}

/** Puts back what was taken over and not sent, for the next window. */
export function leaveBehind(deck: string, batches: readonly Batch[]): void {
  if (batches.length === 0) return;
  const unsent = new Unsent(deck);
  unsent.keep(batches);
  unsent.end();
}

/** Keeps aside what the server refuses, so that it is not lost. */
export function keepRefused(deck: string, entries: readonly LogEntry[]): void {
  try {
    const box = store();
    const before = JSON.parse(box?.getItem(REFUSED + deck) ?? '[]') as readonly LogEntry[];
    box?.setItem(REFUSED + deck, JSON.stringify([...before, ...entries]));
  } catch {
    // The store is full or forbidden; the page has told of it all the same.
  }
}
