/** Lets in so much heavy work at once that memory stays under a limit, whatever comes; the rest waits in its order. */
import { TaskStopped } from './stopped.ts';

const MOST = 2; // as many as there are threads for it
const MOST_BYTES = 48 * 1024 * 1024; // of the files of those that are in; a larger one goes in alone

interface Waiting {
  readonly bytes: number;
  readonly start: () => void;
  readonly told: ((place: number) => void) | undefined;
}
export interface Queued {
  /** Called with how many are to go in before, 0 where it is next. */
  readonly waiting?: ((before: number) => void) | undefined;
  readonly cancel?: AbortSignal;
}

export class Gate {
  readonly #most: number;
  readonly #mostBytes: number;
  #inside = 0;
  #bytes = 0;
  #queue: Waiting[] = [];

  constructor(most = MOST, mostBytes = MOST_BYTES) {
    this.#most = most;
    this.#mostBytes = mostBytes;
  }

  /**
   * Does work once it is its turn. What is in must not ask to go in again.
   * @throws TaskStopped when nobody waits for it any more.
   */
  async within<T>(bytes: number, work: () => Promise<T>, queued: Queued = {}): Promise<T> {
    await this.#enter(bytes, queued);
    try {
      return await work();
    } finally {
      this.#inside--;
      this.#bytes -= bytes;
      this.#next();
    }
  }

  #enter(bytes: number, { waiting, cancel }: Queued): Promise<void> {
    return new Promise((resolve, reject) => {
      const leave = (): void => {
        this.#queue = this.#queue.filter((other) => other !== one);
        this.#tell();
        reject(new TaskStopped(true));
      };
      const one: Waiting = {
        bytes,
        told: waiting,
        start: () => {
          cancel?.removeEventListener('abort', leave);
          this.#inside++;
          this.#bytes += bytes;
          resolve();
        },
      };
      if (cancel?.aborted === true) return reject(new TaskStopped(true));
      cancel?.addEventListener('abort', leave, { once: true });
      this.#queue.push(one);
      this.#next();
    });
  }

  #next(): void {
    for (let first = this.#queue[0]; first !== undefined && this.#fits(first.bytes); first = this.#queue[0]) {
      this.#queue.shift();
      first.start();
    }
    this.#tell();
  }

  /** In turn: what is small does not go past what is large, which would never be let in. */
  #fits(bytes: number): boolean {
    return this.#inside === 0 || (this.#inside < this.#most && this.#bytes + bytes <= this.#mostBytes);
  }

  #tell(): void {
    this.#queue.forEach(({ told }, before) => told?.(before));
  }
}
