/** The list of decks, and bringing documents in: what is told of a failure, of progress, and of being cancelled. */
import { beforeEach, expect, test } from '@jest/globals';
import type { DeckSummary } from '@alvex/contract';
import { bringBack, bringIn, dismiss, refreshDecks, remove, rename, useDecks } from './decks-store.ts';

const deck = (id: string): DeckSummary => ({
  id,
  name: `Deck ${id}`,
  fileName: `${id}.md`,
  type: 'markdown',
  words: 2,
  version: 0,
  updatedAt: '2026-01-01T00:00:00.000Z',
});
type Answer = { readonly status?: number; readonly body?: unknown; readonly lines?: readonly unknown[] } | 'away';
let answers: Record<string, Answer> = {};
let called: string[] = [];

beforeEach(() => {
  answers = { 'GET /api/decks': { body: { decks: [deck('a')], deleted: [deck('old')] } } };
  called = [];
  useDecks.setState({ decks: null, failure: null, reading: null, deleted: [] });
  Object.assign(globalThis, {
    fetch: (path: string, init: RequestInit = {}) => {
      const name = `${init.method ?? 'GET'} ${path.split('?')[0]!}`;
      called.push(name);
      const answer = answers[name] ?? { status: 404, body: { error: { code: 'not-found', message: 'Nothing here.' } } };
      if (init.signal?.aborted) return Promise.reject(new DOMException('', 'AbortError'));
      if (answer === 'away') return Promise.reject(new TypeError('no network'));
      const { status = 200, body, lines } = answer;
      const text =
        lines === undefined ? JSON.stringify(body) : lines.map((line) => `${JSON.stringify(line)}\n`).join('');
      return Promise.resolve(new Response(status === 204 ? null : text, { status }));
    },
  });
});

test('decks are listed; when the server is away that is told', async () => {
  await refreshDecks();
  expect(useDecks.getState()).toMatchObject({ decks: [deck('a')], restorable: [deck('old')] });
  answers['GET /api/decks'] = 'away';
  await refreshDecks();
  expect(useDecks.getState().failure?.message).toBe('The server cannot be reached.');
  dismiss();
  expect(useDecks.getState().failure).toBeNull();
});

test('a document is brought in line by line, and its deck comes back', async () => {
  const seen: number[] = [];
  const stop = useDecks.subscribe(({ reading }) => reading !== null && seen.push(reading.done));
  answers['POST /api/decks'] = { lines: [{ progress: 0.25 }, { progress: 0.5 }, { deck: deck('b') }] };
  expect(await bringIn({ body: new Blob(['# A']), name: 'a.md' })).toEqual(deck('b'));
  stop();
  expect(seen).toEqual([0, 0.25, 0.5]);
  expect(useDecks.getState().reading).toBeNull();
});

test('while others are taken in first, the place in the queue is told', async () => {
  const seen: number[] = [];
  const stop = useDecks.subscribe(({ reading }) => reading !== null && seen.push(reading.waiting));
  answers['POST /api/decks'] = { lines: [{ waiting: 1 }, { waiting: 0 }, { progress: 0.5 }, { deck: deck('b') }] };
  await bringIn({ body: new Blob(['# A']), name: 'a.md' });
  stop();
  expect(seen).toEqual([0, 2, 1, 0]);
});

test('several files are sent first, then made one deck', async () => {
  answers['POST /api/files'] = { body: { hash: 'f'.repeat(64) } };
  answers['POST /api/decks'] = { lines: [{ progress: 1 }, { deck: deck('c') }] };
  const file = (name: string) => ({ body: new Blob(['# A']), name });
  expect(await bringIn(file('a.md'), file('b.md'))).toEqual(deck('c'));
  expect(called).toEqual(['POST /api/files', 'POST /api/files', 'POST /api/decks']);
  expect(await bringIn()).toBeUndefined();
});

test('a document that cannot be read is told with its place and its name, and what was kept', async () => {
  answers['POST /api/decks'] = {
    lines: [
      {
        error: {
          code: 'not-a-zip',
          message: 'It is damaged.',
          place: 'word/document.xml',
          kept: 'Nothing was changed.',
        },
      },
    ],
  };
  expect(await bringIn({ body: new Blob(['PK']), name: 'a.docx' })).toBeUndefined();
  expect(useDecks.getState().failure).toEqual({
    message: 'It is damaged. (word/document.xml)',
    file: 'a.docx',
    kept: 'Nothing was changed.',
  });
  answers['POST /api/decks'] = { lines: [{ progress: 0.1 }] };
  await bringIn({ body: new Blob(['PK']), name: 'a.docx' });
  expect(useDecks.getState().failure?.message).toBe('The server cannot be reached.');
});

test('reading that is cancelled is no failure', async () => {
  const stop = useDecks.subscribe(({ reading }) => reading?.cancel());
  expect(await bringIn({ body: new Blob(['# A']), name: 'a.md' })).toBeUndefined();
  stop();
  expect(useDecks.getState().failure).toBeNull();
});

test('decks are named, deleted and brought back; a refusal is told', async () => {
  answers['PATCH /api/decks/a'] = { body: { deck: deck('a') } };
  answers['DELETE /api/decks/a'] = { status: 204 };
  answers['POST /api/decks/a/restore'] = { body: { deck: deck('a') } };
  await rename('a', 'New');
  await remove(deck('a'));
  expect(useDecks.getState().deleted).toEqual([deck('a')]);
  await bringBack(deck('a'));
  expect(useDecks.getState()).toMatchObject({ deleted: [], failure: null });
  await rename('gone', 'New');
  expect(useDecks.getState().failure?.message).toBe('Nothing here.');
});
