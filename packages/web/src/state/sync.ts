/** Sends log entries in order, one request at a time; what cannot be sent waits, is kept in the browser, and is tried again. */
import { ID_FORMAT, type LogEntry, type Writer } from '@alvex/core';
import type { Newer } from '@alvex/contract';
import { ApiError, appendEntries, entriesSince } from '../api/client.ts';
import { Backoff } from './backoff.ts';
import { me } from './me.ts';
import { forgetRefused, keepRefused, refusedOf, Unsent, type Batch } from './unsent.ts';
import { uuid } from '../worker/uuid.ts';

export interface SyncState {
  /** `gone`: the deck was deleted. `behind`: the server has an older state of it than this window. */
  readonly state: 'kept' | 'sending' | 'waiting' | 'gone' | 'behind';
  /** When everything was last kept. */
  readonly at: Date | null;
  readonly waiting: number /* entries not kept yet */;
  /** Entries of other windows that came in between. */
  readonly merged: number;
  /** Entries that the server does not understand: they are kept aside in the browser, and the deck is without them. */
  readonly refused: number;
  /** Why, of the last one; null while this window has heard none. */
  readonly reason: string | null;
}

export interface SyncHandlers {
  readonly tell: (state: SyncState) => void;
  /** What others wrote, and how many of our entries come after it. */
  readonly newer: (entries: readonly LogEntry[], by: readonly Writer[], unsent: number) => void;
  /** The first of so many entries of ours goes. @returns What remains of the `rest`. */
  readonly refused: (unsent: number, rest: readonly LogEntry[]) => readonly LogEntry[];
}

const LOOK_MS = 15_000;
const MOST = 200; // entries of a batch
const MOST_BYTES = 256 * 1024; // of a batch, about

interface Queued extends Batch {
  entries: LogEntry[];
  /** It was sent, and may have arrived: nothing is added to it. */
  tried: boolean;
  size: number /* characters, about */;
}

/** What the server will not understand later either. */
const REFUSALS: ReadonlySet<string> = new Set(['bad-request', 'too-large', 'impossible-edit']);

const sizeOf = (entry: LogEntry): number => JSON.stringify(entry).length;
const alone = (entry: LogEntry, ids: number, size = sizeOf(entry)): Queued => ({
  id: uuid(),
  entries: [entry],
  tried: false,
  ids,
  size,
});

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
  #reason: string | null = null;
  #safe = true;
  /** Nothing is sent until the author has decided what the server shall have. */
  #held = false;
  readonly #backoff = new Backoff();
  #timer: ReturnType<typeof setTimeout> | undefined;
  readonly #look: ReturnType<typeof setInterval>;

  /** @param unsent Where this window keeps what is not sent. */
  constructor(deck: string, version: number, handlers: SyncHandlers, unsent = new Unsent(deck)) {
    this.#deck = deck;
    this.#version = version;
    this.#handlers = handlers;
    this.#unsent = unsent;
    this.#refused = refusedOf(deck).length;
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
    this.#queue.push(
      ...batches.map((batch) => ({ ...batch, entries: [...batch.entries], tried: true, size: MOST_BYTES })),
    );
    this.#keep();
    void this.#send();
  }

  /** Sends all of this anew, on top of a version that the server has. */
  resume(version: number, entries: readonly LogEntry[]): void {
    this.#version = version;
    this.#queue = [];
    this.#held = false;
    this.#enqueue(entries);
    this.#keep();
    this.#say(this.#queue.length > 0 ? 'sending' : 'kept');
    void this.#send();
  }

  /** Tries at once what waits; with nothing waiting, says that all is kept. */
  send(): void {
    if (this.#queue.length === 0) this.#say('kept');
    void this.#send();
  }

  /** Entries that wait, in their order. */
  get unsent(): readonly LogEntry[] {
    return this.#queue.flatMap(({ entries }) => entries);
  }

  /** Its author has dealt with what was refused. */
  forgetRefused(): void {
    forgetRefused(this.#deck);
    this.#refused = 0;
    this.#say(this.#queue.length > 0 ? 'sending' : 'kept');
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
      const size = sizeOf(entry);
      const fits = last?.tried === false && last.ids === ids && last.entries.length < MOST;
      if (fits && last.size + size <= MOST_BYTES) {
        last.entries.push(entry);
        last.size += size;
      } else this.#queue.push(alone(entry, ids, size));
    }
  }

  #keep(): void {
    this.#safe = this.#unsent.keep(
      this.#queue.map(({ id, entries, ids }) => ({ id, entries, ...(ids === undefined ? {} : { ids }) })),
    );
  }

  async #send(): Promise<void> {
    const batch = this.#queue[0];
    if (this.#sending || this.#stopped || this.#held || batch === undefined) return;
    this.#sending = true;
    clearTimeout(this.#timer);
    batch.tried = true;
    this.#say('sending');
    try {
      const result = await appendEntries(this.#deck, this.#version, batch, me());
      const moved = result.version !== this.#version;
      this.#version = result.version;
      if (result.ok) {
        this.#queue.shift();
        this.#keep();
      } else if (!this.#stopped) this.#take(result);
      this.#sending = false;
      // A server that refuses without a reason is not asked again at once.
      if (!result.ok && !moved) {
        this.#later();
        return;
      }
      this.#backoff.reset();
      if (this.#queue.length > 0) void this.#send();
      else this.#say('kept', new Date());
    } catch (error) {
      this.#sending = false;
      if (this.#stopped) return; // it is kept in the browser, and is told again when the deck is opened
      if (error instanceof ApiError && REFUSALS.has(error.code)) this.#setAside(batch, error.message);
      else if (error instanceof ApiError && error.code === 'deck-not-found') this.#say('gone');
      else if (error instanceof ApiError && error.code === 'version-unknown') this.#hold();
      else this.#later();
    }
  }

  #later(): void {
    this.#say('waiting');
    this.#timer = setTimeout(this.#retry, this.#backoff.wait());
  }

  #hold(): void {
    this.#held = true;
    this.#say('behind');
  }

  /** A batch that is refused is sent entry by entry; one entry that is refused is kept aside, and what comes after it is sent. */
  #setAside({ entries, ids = 1 }: Queued, reason: string): void {
    const later = this.#queue.slice(1);
    const unsent = this.#waiting;
    const [entry, ...others] = entries;
    if (others.length > 0) this.#queue.splice(0, 1, ...entries.map((one) => alone(one, ids)));
    else {
      if (entry !== undefined) keepRefused(this.#deck, [entry]);
      this.#refused++;
      this.#reason = reason;
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
    if (this.#sending || this.#stopped || this.#held || this.#queue.length > 0 || document.visibilityState === 'hidden')
      return;
    const version = this.#version;
    const found = await entriesSince(this.#deck, version).catch((error: unknown) => {
      if (error instanceof ApiError && error.code === 'version-unknown' && !this.#stopped) this.#hold();
      if (error instanceof ApiError && error.code === 'deck-not-found' && !this.#stopped) this.#say('gone');
      return undefined;
    });
    if (found === undefined || found.newer.length === 0) return;
    if (this.#stopped || this.#sending || version !== this.#version) return;
    this.#version = found.version;
    this.#take(found);
    this.#say('kept', new Date());
  }

  #take({ newer, by }: Newer): void {
    this.#merged += newer.length;
    this.#handlers.newer(newer, by, this.#waiting);
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
        reason: this.#reason,
      });
  }
}
