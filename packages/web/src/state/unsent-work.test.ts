/** Work that the server does not have yet: behind that of others, refused, or left by a window that is gone. */
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { FakeWorker, log, openFake, sent } from '../test/fake-deck.ts';
import { useDeck } from './deck-store.ts';
import { edit, undo, useLog } from './log-store.ts';
import { closeDeck, openDeck } from './session.ts';

beforeEach(openFake);
afterEach(() => closeDeck());

test('what a window left behind is taken over, unless the server has it already', async () => {
  closeDeck();
  const box = new Map([
    [
      'alvex.unsent.d.old',
      JSON.stringify([
        { id: 'lost', entries: [{ kind: 'pace', rate: 80 }] },
        { id: 'kept', entries: [{ kind: 'pace', rate: 70 }] },
      ]),
    ],
  ]);
  const localStorage = {
    get length() {
      return box.size;
    },
    key: (i: number) => [...box.keys()][i] ?? null,
    getItem: (key: string) => box.get(key) ?? null,
    setItem: (key: string, value: string) => void box.set(key, value),
    removeItem: (key: string) => void box.delete(key),
  };
  const locks = {
    request: (_: string, ...rest: unknown[]) => Promise.resolve((rest.at(-1) as (lock: object) => unknown)({})),
  };
  const before = Object.getOwnPropertyDescriptor(globalThis, 'navigator');
  Object.defineProperty(globalThis, 'navigator', { value: { locks }, configurable: true });
  Object.assign(globalThis, { localStorage });
  const plain = globalThis.fetch;
  const answering = (ok: boolean) => (path: string, init?: RequestInit) =>
    /batches/.test(path)
      ? ok
        ? Promise.resolve(new Response(JSON.stringify({ kept: path.endsWith('/kept') })))
        : Promise.reject(new TypeError('away'))
      : plain(path, init);
  try {
    // While the server is away nothing is lost: it stands there for the next attempt.
    Object.assign(globalThis, { fetch: answering(false) });
    await openDeck('d');
    expect(useDeck.getState().phase).toBe('failed');
    expect([...box.values()].join()).toContain('lost');
    Object.assign(globalThis, { fetch: answering(true) });
    await openDeck('d');
    expect(useLog.getState().log).toEqual([...log, { kind: 'pace', rate: 80 }]);
    await new Promise((resolve) => setTimeout(resolve));
    expect(sent.at(-1)!.body).toMatchObject({ batch: 'lost', entries: [{ kind: 'pace', rate: 80 }] });
  } finally {
    closeDeck();
    Object.assign(globalThis, { fetch: plain, localStorage: undefined });
    if (before !== undefined) Object.defineProperty(globalThis, 'navigator', before);
  }
});

test('an edit that the server refuses goes with its undoing, others stay and are sent', async () => {
  const plain = globalThis.fetch;
  let first = true;
  Object.assign(globalThis, {
    fetch: (path: string, init?: RequestInit) => {
      const refuse = first && path.endsWith('/entries');
      if (refuse) first = false;
      const body = JSON.stringify({ error: { code: 'bad-request', message: 'no' } });
      return refuse ? Promise.resolve(new Response(body, { status: 400 })) : plain(path, init);
    },
  });
  edit({ kind: 'pace', rate: 1 });
  undo();
  edit({ kind: 'pace', rate: 100 });
  for (let i = 0; i < 5; i++) await new Promise((resolve) => setTimeout(resolve));
  expect(useLog.getState().history.done).toEqual([...log, { kind: 'pace', rate: 100 }]);
  expect(sent.at(-1)!.body).toMatchObject({ entries: [{ kind: 'pace', rate: 100 }] });
  expect(useLog.getState().sync).toMatchObject({ state: 'kept', refused: 1, waiting: 0 });
  expect(FakeWorker.last.asked('edits').edits).toEqual(useLog.getState().history.done);
});

test('what others wrote comes before ours that the server does not have yet', async () => {
  const plain = globalThis.fetch;
  let stale = true;
  Object.assign(globalThis, {
    fetch: (path: string, init?: RequestInit) => {
      if (!stale || !path.endsWith('/entries')) return plain(path, init);
      stale = false;
      const error = { code: 'stale', message: 'newer' };
      const body = { error, version: 2, newer: [{ kind: 'pace', rate: 70 }], by: [null] };
      return Promise.resolve(new Response(JSON.stringify(body), { status: 409 }));
    },
  });
  edit({ kind: 'pace', rate: 100 });
  for (let i = 0; i < 5; i++) await new Promise((resolve) => setTimeout(resolve));
  expect(useLog.getState().log).toEqual([...log, { kind: 'pace', rate: 70 }, { kind: 'pace', rate: 100 }]);
  expect(FakeWorker.last.asked('edits').edits.at(-1)).toEqual({ kind: 'pace', rate: 100 });
  expect(sent.at(-1)!.body).toMatchObject({ base: 2, entries: [{ kind: 'pace', rate: 100 }] });
});

test('undo goes back through one’s own edits to what nobody in particular wrote', () => {
  edit({ kind: 'pace', rate: 80 });
  const { history } = useLog.getState();
  expect(history.writers).toEqual([null, expect.any(String)]);
  edit({ kind: 'pace', rate: 90 });
  undo();
  undo();
  // What was written before writers were known is anybody's.
  undo();
  undo();
  expect(useLog.getState().history.done).toEqual([]);
});
