/** Where long work is done: threads with limits on time and memory. */
import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { ReadError, type ReadErrorCode } from '@alvex/core';
import type { Queued } from './gate.ts';
import { TaskStopped } from './stopped.ts';
import type { Outcome, TaskName, Tasks } from './tasks.ts';

const MOST_SECONDS = 120;
const MOST_MEGABYTES = 1024;

export interface Watching extends Queued {
  /** Called with the fraction done. */
  readonly progress?: ((done: number) => void) | undefined;
}

/** Tasks that may take long: they have threads of their own, so that the others are never held up. */
const HEAVY: ReadonlySet<TaskName> = new Set([
  'read',
  'template',
  'write',
  'zip',
  'packDeck',
  'unpackDeck',
  'carryIds',
]);

/** Does tasks somewhere else. */
export interface Jobs {
  /** @throws ReadError, TaskStopped. */
  run<N extends TaskName>(name: N, input: Tasks[N]['input'], watching?: Watching): Promise<Tasks[N]['output']>;
  close(): Promise<void>;
}

/** What a thread is given. */
export interface Job<N extends TaskName> {
  readonly name: N;
  readonly input: Tasks[N]['input'];
  /** Gets the fraction done. */
  readonly port: MessagePort | undefined;
}

export class ThreadPool implements Jobs {
  readonly #heavy: Piscina;
  readonly #light: Piscina;

  /** @param worker The built worker, as a file URL. */
  constructor(worker: string) {
    const threads = (minThreads: number, maxThreads: number): Piscina =>
      new Piscina({
        filename: worker,
        minThreads,
        maxThreads,
        idleTimeout: 60_000,
        resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
      });
    this.#heavy = threads(0, 2);
    this.#light = threads(1, 1);
  }

  async run<N extends TaskName>(
    name: N,
    input: Tasks[N]['input'],
    { progress, cancel }: Watching = {},
  ): Promise<Tasks[N]['output']> {
    const timeout = AbortSignal.timeout(MOST_SECONDS * 1000);
    const signal = cancel === undefined ? timeout : AbortSignal.any([timeout, cancel]);
    const channel = progress === undefined ? undefined : new MessageChannel();
    channel?.port1.on('message', (done: number) => progress?.(done));
    const job: Job<N> = { name, input, port: channel?.port2 };
    let outcome: Outcome<Tasks[N]['output']>;
    try {
      const transferList = channel === undefined ? [] : [channel.port2];
      outcome = (await (HEAVY.has(name) ? this.#heavy : this.#light).run(job, {
        signal,
        transferList,
      })) as typeof outcome;
    } catch (error) {
      const outOfMemory = error instanceof Error && 'code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY';
      if (signal.aborted || outOfMemory) throw new TaskStopped(cancel?.aborted ?? false, { cause: error });
      throw error;
    } finally {
      channel?.port1.close();
    }
    if (outcome.ok) return outcome.value;
    throw new ReadError(outcome.failure.code as ReadErrorCode, outcome.failure.place);
  }

  async close(): Promise<void> {
    await Promise.all([this.#heavy.destroy(), this.#light.destroy()]);
  }
}
