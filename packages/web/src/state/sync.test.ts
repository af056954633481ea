import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { ID_FORMAT, type LogEntry } from '@alvex/core';
import { Sync, type SyncState } from './sync.ts';

const cut = (block: string): LogEntry => ({ kind: 'cut', block: block as never });
type Answer = { readonly status: number; readonly body: unknown } | 'away';
let answers: Answer[] = [];
let sent: { base: number; entries: LogEntry[]; batch: string }[] = [];
let states: SyncState[] = [];
let merged: (readonly [readonly LogEntry[], number])[] = [];
let left: (readonly [number, readonly LogEntry[]])[] = [];
let sync: Sync;

beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'nextTick', 'queueMicrotask'] });
  [answers, sent, states, merged, left] = [[], [], [], [], []];
  Object.assign(globalThis, {
    window: { addEventListener: () => undefined, removeEventListener: () => undefined },
    document: { visibilityState: 'visible' },
    fetch: (_path: string, init?: RequestInit) => {
      if (init?.body !== undefined) sent.push(JSON.parse(init.body as string) as (typeof sent)[number]);
      const answer = answers.shift() ?? 'away';
      if (answer === 'away') return Promise.reject(new TypeError('no network'));
      return Promise.resolve(new Response(JSON.stringify(answer.body), { status: answer.status }));
    },
  });
  sync = new Sync('deck', 3, {
    tell: (state) => void states.push(state),
    newer: (entries, _, unsent) => void merged.push([entries, unsent]),
    refused: (unsent, rest) => {
      left.push([unsent, rest]);
      return rest;
    },
  });
});
afterEach(() => {
  sync.stop();
  jest.useRealTimers();
});
const settle = async (): Promise<void> => {
  for (let i = 0; i < 20; i++) await new Promise((resolve) => setImmediate(resolve));
};

test('entries are sent in order against the version that is known, and then kept', async () => {
  answers = [
    { status: 200, body: { version: 4 } },
    { status: 200, body: { version: 5 } },
  ];
  sync.push([cut('a')]);
  sync.push([cut('b')]);
  await settle();
  expect(sent.map(({ base, entries }) => [base, entries])).toEqual([
    [3, [cut('a')]],
    [4, [cut('b')]],
  ]);
  expect(states.at(-1)).toMatchObject({ state: 'kept', waiting: 0 });
});

test('what others wrote comes first, then ours is sent again behind it', async () => {
  answers = [
    { status: 409, body: { version: 5, newer: [cut('x'), cut('y')], by: [null, null] } },
    { status: 200, body: { version: 6 } },
  ];
  sync.push([cut('a')]);
  await settle();
  expect(merged).toEqual([[[cut('x'), cut('y')], 1]]);
  expect(sent.map(({ base }) => base)).toEqual([3, 5]);
  expect(states.at(-1)).toMatchObject({ state: 'kept', merged: 2 });
});

test('while the server is away entries wait, and are sent under the same name when it is back', async () => {
  answers = ['away', { status: 200, body: { version: 4 } }, { status: 200, body: { version: 5 } }];
  sync.push([cut('a')]);
  await settle();
  sync.push([cut('b')]);
  sync.push([cut('c')]);
  await settle();
  jest.advanceTimersByTime(1100);
  await settle();
  const [first, again, rest] = sent;
  expect([again!.batch, again!.entries]).toEqual([first!.batch, [cut('a')]]);
  expect(rest).toMatchObject({ base: 4, entries: [cut('b'), cut('c')] });
  expect(rest!.batch).not.toBe(first!.batch);
  expect(states.at(-1)).toMatchObject({ state: 'kept', waiting: 0 });
});

test('what another window wrote is taken in while nothing of ours is on its way', async () => {
  answers = [{ status: 200, body: { version: 4, newer: [cut('x')], by: [null] } }];
  jest.advanceTimersByTime(16_000);
  await settle();
  expect(merged).toEqual([[[cut('x')], 0]]);
  answers = [{ status: 200, body: { version: 5 } }];
  sync.push([cut('a')]);
  await settle();
  expect(sent.at(-1)!.base).toBe(4);
});

const NO: Answer = { status: 400, body: { error: { code: 'bad-request', message: 'no' } } };
const yes = (version: number): Answer => ({ status: 200, body: { version } });

test('what the server refuses is not sent for ever, and what comes after it is sent', async () => {
  answers = [NO, yes(4)];
  sync.push([cut('bad')]);
  sync.push([cut('good'), cut('better')]);
  await settle();
  jest.advanceTimersByTime(60_000);
  await settle();
  expect(sent.map(({ entries }) => entries)).toEqual([[cut('bad')], [cut('good'), cut('better')]]);
  expect(left).toEqual([[3, [cut('good'), cut('better')]]]);
  expect(states.at(-1)).toMatchObject({ state: 'kept', waiting: 0, refused: 1, reason: 'no' });
});

test('of a batch that is refused only the entry that is at fault is left out', async () => {
  answers = ['away', NO, yes(4), NO, yes(5)];
  sync.push([cut('first')]);
  await settle();
  sync.stop();
  sync = new Sync('deck', 3, {
    tell: (state) => void states.push(state),
    newer: () => undefined,
    refused: (unsent, rest) => {
      left.push([unsent, rest]);
      return rest;
    },
  });
  sync.adopt([{ id: 'batch', entries: [cut('a'), cut('bad'), cut('c')] }]);
  await settle();
  expect(sent.slice(1).map(({ entries }) => entries)).toEqual([
    [cut('a'), cut('bad'), cut('c')],
    [cut('a')],
    [cut('bad')],
    [cut('c')],
  ]);
  expect(new Set(sent.map(({ batch }) => batch)).size).toBe(5);
  expect(left).toEqual([[2, [cut('c')]]]);
  expect(states.at(-1)).toMatchObject({ state: 'kept', waiting: 0, refused: 1 });
});

test('a deck that is gone keeps what was not sent in the browser', async () => {
  answers = [{ status: 404, body: { error: { code: 'deck-not-found', message: 'gone' } } }];
  sync.push([cut('a')]);
  await settle();
  jest.advanceTimersByTime(60_000);
  await settle();
  expect(sent).toHaveLength(1);
  expect(states.at(-1)).toMatchObject({ state: 'gone', waiting: 1, refused: 0 });
});

test('an answer that comes after the deck was closed changes nothing any more, be it newer work or a refusal', async () => {
  for (const answer of [
    { status: 409, body: { version: 5, newer: [cut('x')], by: [null] } },
    { status: 400, body: { error: { code: 'bad-request', message: 'no' } } },
  ]) {
    answers = [answer];
    const closing = new Sync('deck', 3, {
      tell: () => undefined,
      newer: (entries, _, unsent) => void merged.push([entries, unsent]),
      refused: (unsent, rest) => {
        left.push([unsent, rest]);
        return rest;
      },
    });
    closing.push([cut('a')]);
    closing.stop();
    await settle();
  }
  answers = [{ status: 200, body: { version: 5, newer: [cut('y')], by: [null] } }];
  jest.advanceTimersByTime(16_000);
  sync.stop();
  await settle();
  expect(sent).toHaveLength(2);
  expect([merged, left]).toEqual([[], []]);
});

test('entries with former ids are told apart from today’s, also when one of them is refused', async () => {
  const refusal = { status: 400, body: { error: { code: 'bad-request', message: 'no' } } };
  answers = [refusal, refusal, ...[4, 5].map((version) => ({ status: 200, body: { version } }))];
  sync.adopt([{ id: 'old', entries: [cut('bad'), cut('former')] }]);
  sync.push([cut('new')]);
  await settle();
  expect(sent.slice(-2)).toMatchObject([
    { entries: [cut('former')], ids: 1 },
    { entries: [cut('new')], ids: ID_FORMAT },
  ]);
  expect(states.at(-1)).toMatchObject({ state: 'kept', refused: 1 });
});

test('a server that has an older state is told once, nothing is sent until it is decided, and then all is sent anew', async () => {
  answers = [{ status: 412, body: { error: { code: 'version-unknown', message: 'older' } } }];
  sync.push([cut('a')]);
  await settle();
  expect(states.at(-1)).toMatchObject({ state: 'behind', waiting: 1 });
  sync.push([cut('b')]);
  jest.advanceTimersByTime(120_000);
  await settle();
  expect(sent).toHaveLength(1);
  answers = [{ status: 200, body: { version: 5 } }];
  sync.resume(1, [cut('lost'), ...sync.unsent]);
  await settle();
  expect(sent.at(-1)).toMatchObject({ base: 1, entries: [cut('lost'), cut('a'), cut('b')] });
  expect(states.at(-1)).toMatchObject({ state: 'kept', waiting: 0 });
});

test('a refusal without anything newer is not answered at once; waiting grows', async () => {
  answers = [{ status: 409, body: { version: 3, newer: [], by: [] } }];
  sync.push([cut('a')]);
  await settle();
  expect(sent).toHaveLength(1);
  for (let at = 0; at < 20; at++) {
    jest.advanceTimersByTime(1000);
    await settle();
  }
  // 1, 2, 4, 8 seconds and more, by half at most sooner.
  expect(sent.length).toBeGreaterThanOrEqual(4);
  expect(sent.length).toBeLessThanOrEqual(7);
});

test('batches stay below a size, whatever is written', async () => {
  answers = Array.from({ length: 10 }, (_, i) => ({ status: 200, body: { version: 4 + i } }));
  const long = (name: string): LogEntry => cut(name.repeat(100_000));
  sync.push([cut('first')]);
  sync.push(['a', 'b', 'c', 'd', 'e'].map(long));
  await settle();
  expect(sent.map(({ entries }) => entries.length)).toEqual([1, 2, 2, 1]);
});
