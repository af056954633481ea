/** An author who goes on writing while things break: sends batches by their names until each is acknowledged. */
import type { Stale } from '@alvex/contract';
import { ID_FORMAT, type LogEntry } from '@alvex/core';
import { randomUUID } from 'node:crypto';

/** So that a few texts are more than the smallest packet. */
const FILLING = 'x'.repeat(300);
const PATIENCE = 3000; // ms for one answer
const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

export interface WriterOptions {
  readonly deck: string;
  /** Where the next request goes: of several servers any. */
  readonly address: () => string;
  readonly next: () => number;
  /** Share of requests that are cut off before their answer is heard. */
  readonly cut?: number;
}

export class Writer {
  /** Texts that the server said it has. */
  readonly acknowledged: string[] = [];
  /** What it said instead, by code, and how often. */
  readonly refusals = new Map<string, number>();
  readonly #name = randomUUID();
  readonly #options: WriterOptions;
  #base = 0;
  #written = 0;
  #going = true;

  constructor(options: WriterOptions) {
    this.#options = options;
  }

  /** Ends with the batch that is under way. */
  stop(): void {
    this.#going = false;
  }

  async run(): Promise<void> {
    while (this.#going) await this.#batch();
  }

  async #batch(): Promise<void> {
    const batch = randomUUID();
    const texts = Array.from(
      { length: 1 + Math.floor(this.#options.next() * 4) },
      () => `${this.#name} ${this.#written++} ${FILLING}`,
    );
    const entries = texts.map((text): LogEntry => ({ kind: 'retitle', slide: 's:any' as never, runs: [{ text }] }));
    while (!(await this.#send(batch, entries))) await pause(20 + this.#options.next() * 60);
    this.acknowledged.push(...texts);
  }

  /** @returns Whether the server said that it has them. */
  async #send(batch: string, entries: readonly LogEntry[]): Promise<boolean> {
    const { deck, address, next, cut = 0 } = this.#options;
    const cutting = next() < cut;
    const patience = cutting ? Math.floor(next() * 12) : PATIENCE;
    const signal = AbortSignal.timeout(patience);
    const ask = async (): Promise<{
      readonly status: number;
      readonly answer: Stale & { readonly version: number };
    }> => {
      const response = await fetch(`${address()}/api/decks/${deck}/entries`, {
        method: 'POST',
        body: JSON.stringify({ base: this.#base, entries, batch, by: this.#name, ids: ID_FORMAT }),
        headers: { 'Content-Type': 'application/json' },
        signal,
      });
      return { status: response.status, answer: (await response.json()) as Stale & { readonly version: number } };
    };
    // A body that is cut off just as it begins never settles in Node's fetch; the signal does.
    const over = new Promise<never>((_, reject) => {
      signal.addEventListener('abort', () => reject(signal.reason as Error));
    });
    try {
      const { status, answer } = await Promise.race([ask(), over]);
      if (status === 200 || status === 409) this.#base = answer.version;
      if (status === 200) return true;
      this.#refused(answer.error.code);
    } catch {
      this.#refused(cutting ? 'cut' : 'away');
    }
    return false;
  }

  #refused(code: string): void {
    this.refusals.set(code, (this.refusals.get(code) ?? 0) + 1);
  }
}
