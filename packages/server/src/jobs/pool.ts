/** The pool of worker threads, with limits on time and memory. */
import { MessageChannel, type TransferListItem } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { ReadError, type ReadErrorCode } from '@alvex/core';
import type { ExportTask, Outcome, ReadDone, ReadTask, TemplateDone, TemplateTask } from './tasks.ts';

const MOST_SECONDS = 120;
const MOST_MEGABYTES = 1024;

/** A task was ended for time or memory. */
export class TaskStopped extends Error {
  readonly cancelled: boolean;

  constructor(cancelled: boolean, options?: ErrorOptions) {
    super('The task was stopped', options);
    this.name = 'TaskStopped';
    this.cancelled = cancelled;
  }
}

export class Pool {
  readonly #piscina: Piscina;

  /** @param worker The built worker, as a file URL. */
  constructor(worker: string) {
    this.#piscina = new Piscina({
      filename: worker,
      minThreads: 1,
      maxThreads: 2,
      idleTimeout: 60_000,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
    });
  }

  /** @throws ReadError, TaskStopped. */
  async read(
    task: Omit<ReadTask, 'kind' | 'port'>,
    progress: ((done: number) => void) | undefined,
    cancel: AbortSignal,
  ): Promise<ReadDone> {
    const channel = progress === undefined ? undefined : new MessageChannel();
    channel?.port1.on('message', (done) => progress!(done as number));
    try {
      const port = channel?.port2;
      return await this.#run<ReadDone>(
        { kind: 'read', ...task, ...(port === undefined ? {} : { port }) },
        port === undefined ? [] : [port],
        cancel,
      );
    } finally {
      channel?.port1.close();
    }
  }

  /** @throws TaskStopped. */
  export(task: Omit<ExportTask, 'kind'>): Promise<Uint8Array> {
    return this.#run<Uint8Array>({ kind: 'export', ...task }, []);
  }

  /** @throws ReadError, TaskStopped. */
  template(bytes: Uint8Array): Promise<TemplateDone> {
    return this.#run<TemplateDone>({ kind: 'template', bytes }, []);
  }

  async #run<T>(
    task: ReadTask | ExportTask | TemplateTask,
    transferList: TransferListItem[],
    cancel?: AbortSignal,
  ): Promise<T> {
    const timeout = AbortSignal.timeout(MOST_SECONDS * 1000);
    const signal = cancel === undefined ? timeout : AbortSignal.any([timeout, cancel]);
    let outcome: Outcome<T>;
    try {
      outcome = (await this.#piscina.run(task, { signal, transferList: transferList as never })) as Outcome<T>;
    } catch (error) {
      const outOfMemory = error instanceof Error && 'code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY';
      if (signal.aborted || outOfMemory) throw new TaskStopped(cancel?.aborted ?? false, { cause: error });
      throw error;
    }
    if (outcome.ok) return outcome.value;
    throw new ReadError(outcome.failure.code as ReadErrorCode, outcome.failure.place);
  }

  async close(): Promise<void> {
    await this.#piscina.destroy();
  }
}
