/** Sends log entries in order, one request at a time; what cannot be sent waits and is tried again. */
import type { LogEntry } from '@alvex/core';
import { ApiError, appendEntries } from '../api/client.ts';

export interface SyncState {
  readonly state: 'kept' | 'sending' | 'waiting' | 'refused';
  /** When everything was last kept. */
  readonly at: Date | null;
  readonly waiting: number /* entries not kept yet */;
  /** Entries of other windows that came in between. */
  readonly merged: number;
}

const RETRY_MS = 2000;
const BATCH = 200;

export class Sync {
  readonly #deck: string;
  readonly #tell: (state: SyncState) => void;
  readonly #newer: (entries: readonly LogEntry[], unsent: number) => void;
  #version: number;
  #queue: LogEntry[] = [];
  #sending = false;
  #stopped = false;
  #merged = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;

  /** @param newer Called with what others wrote, and how many of our entries come after it. */
  constructor(
    deck: string,
    version: number,
    tell: (state: SyncState) => void,
    newer: (entries: readonly LogEntry[], unsent: number) => void,
  ) {
    this.#deck = deck;
    this.#version = version;
    this.#tell = tell;
    this.#newer = newer;
    window.addEventListener('beforeunload', this.#warn);
    window.addEventListener('online', this.#retry);
  }

  push(entries: readonly LogEntry[]): void {
    this.#queue.push(...entries);
    void this.#send();
  }

  stop(): void {
    this.#stopped = true;
    clearTimeout(this.#timer);
    window.removeEventListener('beforeunload', this.#warn);
    window.removeEventListener('online', this.#retry);
  }

  readonly #warn = (event: BeforeUnloadEvent): void => {
    if (this.#queue.length > 0) event.preventDefault();
  };

  readonly #retry = (): void => void this.#send();

  async #send(): Promise<void> {
    if (this.#sending || this.#stopped || this.#queue.length === 0) return;
    this.#sending = true;
    clearTimeout(this.#timer);
    const batch = this.#queue.slice(0, BATCH);
    this.#say('sending');
    try {
      const result = await appendEntries(this.#deck, this.#version, batch);
      this.#version = result.version;
      if (result.ok) this.#queue.splice(0, batch.length);
      else {
        this.#merged += result.newer.length;
        this.#newer(result.newer, this.#queue.length);
      }
      this.#sending = false;
      if (this.#queue.length > 0) void this.#send();
      else this.#say('kept', new Date());
    } catch (error) {
      this.#sending = false;
      // An unreachable server may come back; a request that it understands and refuses will not do better later.
      const refused = error instanceof ApiError && error.code !== 'unreachable' && error.code !== 'internal';
      this.#say(refused ? 'refused' : 'waiting');
      if (!refused && !this.#stopped) this.#timer = setTimeout(this.#retry, RETRY_MS);
    }
  }

  #at: Date | null = null;

  #say(state: SyncState['state'], at?: Date): void {
    if (at !== undefined) this.#at = at;
    if (!this.#stopped) this.#tell({ state, at: this.#at, waiting: this.#queue.length, merged: this.#merged });
  }
}
