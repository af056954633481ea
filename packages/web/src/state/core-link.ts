/** The link to the worker that holds the core: messages, questions and their answers. */
import type { Answered, FromWorker, Told, ToWorker } from '../worker/protocol.ts';
import type { Answers, Asking, What } from '../worker/questions.ts';
import { raw, t } from '../words/words.ts';

interface Waiting {
  readonly take: (answer: Answered<What>) => void;
  readonly reject: (error: Error) => void;
}

const isAnswerTo = <W extends What>(what: W, answer: Answered<What>): answer is Answered<W> => answer.what === what;

export class CoreLink {
  readonly #worker: Worker;
  readonly #waiting = new Map<number, Waiting>();
  readonly #failed: (message: string) => void;
  #asks = 0;
  /** Why nothing can be asked any more. */
  #end: string | undefined;

  /**
   * @param receive Gets what the worker says of itself.
   * @param failed Called once when the worker can do no more.
   */
  constructor(receive: (message: Told) => void, failed: (message: string) => void) {
    this.#failed = failed;
    this.#worker = new Worker(new URL('../worker/core.worker.ts', import.meta.url), { type: 'module' });
    this.#worker.addEventListener('message', ({ data }: MessageEvent<FromWorker>) => {
      if (this.#end === undefined) this.#receive(data, receive);
    });
    this.#worker.addEventListener('error', ({ message }: ErrorEvent) => this.#fail(message));
    this.#worker.addEventListener('messageerror', () => this.#fail(t('A message could not be read.')));
  }

  tell(message: Exclude<ToWorker, { readonly kind: 'ask' }>): void {
    if (this.#end === undefined) this.#worker.postMessage(message);
  }

  /** @throws Error with a sentence for the author, also when the link ends before the answer is there. */
  ask<W extends What>(question: Asking<W>): Promise<Answers[W]> {
    if (this.#end !== undefined) return Promise.reject(new Error(this.#end));
    return new Promise((resolve, reject) => {
      const take = (answer: Answered<What>): void => {
        if (isAnswerTo(question.what, answer)) resolve(answer.answer);
        else reject(new Error(`The answer is to ${answer.what}.`));
      };
      this.#waiting.set(++this.#asks, { take, reject });
      this.#worker.postMessage({ kind: 'ask', ask: this.#asks, question } satisfies ToWorker);
    });
  }

  close(): void {
    this.#finish(t('The deck was closed.'));
  }

  #receive(message: FromWorker, receive: (message: Told) => void): void {
    switch (message.kind) {
      case 'answer':
        this.#take(message.ask)?.take(message);
        return;
      case 'unanswered':
        this.#take(message.ask)?.reject(new Error(raw(message.failure)));
        return;
      case 'failed':
        this.#fail(raw(message.message));
        return;
      case 'document':
      case 'view':
      case 'pages':
      case 'dressed':
      case 'structure':
        receive(message);
    }
  }

  #take(ask: number): Waiting | undefined {
    const found = this.#waiting.get(ask);
    this.#waiting.delete(ask);
    return found;
  }

  #fail(message: string): void {
    if (this.#end !== undefined) return;
    this.#finish(message);
    this.#failed(message);
  }

  #finish(reason: string): void {
    if (this.#end !== undefined) return;
    this.#end = reason;
    this.#worker.terminate();
    for (const { reject } of this.#waiting.values()) reject(new Error(reason));
    this.#waiting.clear();
  }
}

let current: CoreLink | undefined;

/** The link of the deck that is open. */
export const currentLink = (): CoreLink | undefined => current;
export function setLink(link: CoreLink | undefined): void {
  current = link;
}

/** Asks the worker of the open deck. @throws Error with a sentence for the author. */
export const ask = <W extends What>(question: Asking<W>): Promise<Answers[W]> =>
  current?.ask(question) ?? Promise.reject(new Error(t('No deck is open.')));
