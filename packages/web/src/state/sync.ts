/** Sends log entries in order, one request at a time; what cannot be sent waits, is kept in the browser, and is tried again. */
import { ID_FORMAT, type LogEntry } from '@alvex/core';
import { ApiError, appendEntries, entriesSince } from '../api/client.ts';
import { keepRefused, Unsent, type Batch } from './unsent.ts';
import { uuid } from './uuid.ts';

export interface SyncState {
  /** `gone`: the deck is not on the server any more. */
  readonly state: 'kept' | 'sending' | 'waiting' | 'gone';
  /** When everything was last kept. */
  readonly at: Date | null;
  readonly waiting: number /* entries not kept yet */;
  /** Entries of other windows that came in between. */
  readonly merged: number;
  /** Entries that the server does not understand: they are kept aside in the browser, and the deck is without them. */
  readonly refused: number;
}

export interface SyncHandlers {
  readonly tell: (state: SyncState) => void;
  /** What others wrote, and how many of our entries come after it. */
  readonly newer: (entries: readonly LogEntry[], unsent: number) => void;
  /** The first of so many entries of ours goes. @returns What remains of the `rest`. */
  readonly refused: (unsent: number, rest: readonly LogEntry[]) => readonly LogEntry[];
}

const RETRY_MS = 2000;
const LOOK_MS = 15_000;
const MOST = 200; // entries of a batch

interface Queued extends Batch {
  entries: LogEntry[];
  /** It was sent, and may have arrived: nothing is added to it. */
  tried: boolean;
}

/** What the server will not understand later either. */
const REFUSALS: ReadonlySet<string> = new Set(['bad-request', 'too-large']);

const alone = (entry: LogEntry, ids: number): Queued => ({ id: uuid(), entries: [entry], tried: false, ids });

export class Sync {
  readonly #deck: string;
  readonly #handlers: SyncHandlers;
  readonly #unsent: Unsent;
  #version: number;
  #queue: Queued[] = [];
  #sending = false;
  #stopped = false;
  #merged = 0;
  #refused = 0;
  #safe = true;
  #timer: ReturnType<typeof setTimeout> | undefined;
  readonly #look: ReturnType<typeof setInterval>;

  constructor(deck: string, version: number, handlers: SyncHandlers) {
    this.#deck = deck;
    this.#version = version;
    this.#handlers = handlers;
    this.#unsent = new Unsent(deck);
    window.addEventListener('beforeunload', this.#warn);
    window.addEventListener('online', this.#retry);
    window.addEventListener('focus', this.#lookNow);
    this.#look = setInterval(this.#lookNow, LOOK_MS);
  }

  push(entries: readonly LogEntry[]): void {
    this.#enqueue(entries);
    this.#keep();
    void this.#send();
  }

  /** What another window left behind; it may have been sent. */
  adopt(batches: readonly Batch[]): void {
    this.#queue.push(...batches.map((batch) => ({ ...batch, entries: [...batch.entries], tried: true })));
    this.#keep();
    void this.#send();
  }

  stop(): void {
    this.#stopped = true;
    clearTimeout(this.#timer);
    clearInterval(this.#look);
    this.#unsent.end();
    window.removeEventListener('beforeunload', this.#warn);
    window.removeEventListener('online', this.#retry);
    window.removeEventListener('focus', this.#lookNow);
  }

  readonly #warn = (event: BeforeUnloadEvent): void => {
    if (this.#waiting > 0 && !this.#safe) event.preventDefault();
  };
  readonly #retry = (): void => void this.#send();
  readonly #lookNow = (): void => void this.#lookForNewer();

  get #waiting(): number {
    return this.#queue.reduce((sum, { entries }) => sum + entries.length, 0);
  }

  /** Entries whose ids were made in different ways are never in one batch. */
  #enqueue(entries: readonly LogEntry[], ids = ID_FORMAT): void {
    for (const entry of entries) {
      const last = this.#queue.at(-1);
      if (last?.tried === false && last.ids === ids && last.entries.length < MOST) last.entries.push(entry);
      else this.#queue.push(alone(entry, ids));
    }
  }

  #keep(): void {
    this.#safe = this.#unsent.keep(this.#queue.map(({ tried: _, ...batch }) => batch));
  }

  async #send(): Promise<void> {
    const batch = this.#queue[0];
    if (this.#sending || this.#stopped || batch === undefined) return;
    this.#sending = true;
    clearTimeout(this.#timer);
    batch.tried = true;
    this.#say('sending');
    try {
      const result = await appendEntries(this.#deck, this.#version, batch);
      this.#version = result.version;
      if (result.ok) {
        this.#queue.shift();
        this.#keep();
      } else if (!this.#stopped) this.#take(result.newer);
      this.#sending = false;
      if (this.#queue.length > 0) void this.#send();
      else this.#say('kept', new Date());
    } catch (error) {
      this.#sending = false;
      if (this.#stopped) return; // it is kept in the browser, and is told again when the deck is opened
      if (error instanceof ApiError && REFUSALS.has(error.code)) this.#setAside(batch);
      else if (error instanceof ApiError && error.code === 'deck-not-found') this.#say('gone');
      else {
        this.#say('waiting');
        this.#timer = setTimeout(this.#retry, RETRY_MS);
      }
    }
  }

  /** A batch that is refused is sent entry by entry; one entry that is refused is kept aside, and what comes after it is sent. */
  #setAside({ entries, ids = 1 }: Queued): void {
    const later = this.#queue.slice(1);
    const unsent = this.#waiting;
    const [entry, ...others] = entries;
    if (others.length > 0) this.#queue.splice(0, 1, ...entries.map((one) => alone(one, ids)));
    else {
      if (entry !== undefined) keepRefused(this.#deck, [entry]);
      this.#refused++;
      const made = new Map(later.flatMap((batch) => batch.entries.map((one) => [one, batch.ids ?? 1])));
      const remaining = this.#handlers.refused(
        unsent,
        later.flatMap((batch) => batch.entries),
      );
      this.#queue = [];
      for (const one of remaining) this.#enqueue([one], made.get(one));
    }
    this.#keep();
    this.#say('sending');
    if (this.#queue.length > 0) void this.#send();
    else this.#say('kept', new Date());
  }

  /** Takes in what others wrote while nothing of ours is on its way. */
  async #lookForNewer(): Promise<void> {
    if (this.#sending || this.#stopped || this.#queue.length > 0 || document.visibilityState === 'hidden') return;
    const version = this.#version;
    const found = await entriesSince(this.#deck, version).catch(() => undefined);
    if (found === undefined || found.newer.length === 0) return;
    if (this.#stopped || this.#sending || version !== this.#version) return;
    this.#version = found.version;
    this.#take(found.newer);
    this.#say('kept', new Date());
  }

  #take(newer: readonly LogEntry[]): void {
    this.#merged += newer.length;
    this.#handlers.newer(newer, this.#waiting);
  }

  #at: Date | null = null;
  #say(state: SyncState['state'], at?: Date): void {
    if (at !== undefined) this.#at = at;
    if (!this.#stopped)
      this.#handlers.tell({
        state,
        at: this.#at,
        waiting: this.#waiting,
        merged: this.#merged,
        refused: this.#refused,
      });
  }
}
