/** An open deck without a browser: a worker and a server that say what the test makes them say. */
import { plainLook, type LogEntry } from '@alvex/core';
import { doc, h, p } from '../../../core/src/test/build.ts';
import { openDeck } from '../state/session.ts';
import type { FromWorker, ToWorker } from '../worker/protocol.ts';
import type { View } from '../worker/shown.ts';

/** Stands in for the worker: remembers what it is told, and says what the test makes it say. */
export class FakeWorker {
  static last: FakeWorker;
  readonly told: ToWorker[] = [];
  ended = false;
  readonly #listen = new Map<string, (event: object) => void>();
  constructor() {
    FakeWorker.last = this;
  }
  addEventListener(type: string, listen: (event: object) => void): void {
    this.#listen.set(type, listen);
  }
  postMessage(message: ToWorker): void {
    this.told.push(message);
  }
  terminate(): void {
    this.ended = true;
  }
  say(message: FromWorker): void {
    this.#listen.get('message')!({ data: message });
  }
  break(message: string): void {
    this.#listen.get('error')!({ message });
  }
  /** What was asked for last of one kind. */
  asked<K extends ToWorker['kind']>(kind: K): ToWorker & { kind: K } {
    return this.told.findLast((message) => message.kind === kind) as ToWorker & { kind: K };
  }
}

export const document = doc(h(1, 'One'), p('text'));
export const summary = {
  id: 'd',
  name: 'D',
  fileName: 'd.md',
  type: 'markdown',
  words: 2,
  version: 1,
  updatedAt: '2026-01-01T00:00:00.000Z',
};
export const log: readonly LogEntry[] = [{ kind: 'theme', theme: 'slipway' }];
export const view = (change: Partial<View> = {}): View => ({
  pages: {
    order: ['a:0' as never, 'b:0' as never],
    revs: [1, 2],
    words: [1, 2],
    seconds: [0, 0],
    spills: [false, false],
    layouts: ['points', 'points'],
    passages: [1, 1],
    slides: [],
    hidden: [false, false],
    transitions: ['none', 'none'],
    steps: [0, 0],
  },
  seen: { rows: [], drawings: [] },
  counts: { sections: 0, notes: 0, tables: 0, pictures: 0 },
  destinations: [],
  sums: { document: 2, slides: 2, notes: 0, leftOut: 0, lost: 0 },
  unplaced: [],
  map: {} as View['map'],
  mapName: 'talk',
  look: plainLook('millrace'),
  template: null,
  full: 'continue',
  motion: { transition: 'none', points: false },
  prose: { as: 'whole' },
  speech: null,
  branches: [],
  mapBranches: [],
  matter: [],
  target: null,
  pace: 130,
  takes: [],
  mixes: [],
  breaks: false,
  arranged: false,
  ...change,
});
/** What was sent to the server. */
export const sent: { path: string; body: unknown }[] = [];
/** Answers that are held back, by deck. */
export const held = new Map<string, Promise<void>>();

/** Opens the deck `d`, with one edit in its log. */
export async function openFake(): Promise<void> {
  sent.length = 0;
  held.clear();
  Object.assign(globalThis, {
    window: { addEventListener: () => undefined, removeEventListener: () => undefined },
    Worker: FakeWorker,
    fetch: async (path: string, init?: RequestInit) => {
      const id = path.split('/')[3]!;
      sent.push({ path, body: init?.body === undefined ? undefined : JSON.parse(init.body as string) });
      const answer = path.endsWith('/entries')
        ? { version: 2 }
        : { deck: { ...summary, id }, beginning: [], log, by: log.map(() => null) };
      await held.get(id);
      return new Response(JSON.stringify(answer));
    },
  });
  await openDeck('d');
  FakeWorker.last.say({
    kind: 'document',
    title: null,
    language: null,
    blocks: document.blocks,
    diagnostics: [],
    pictures: [],
    presets: {},
  });
  FakeWorker.last.say({ kind: 'view', seq: 1, ms: 1, view: view() });
}
