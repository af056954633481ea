/** New editions of a document, batches that are sent twice, and maps of one's own: on a real server and database. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Appended, Candidate, DeckSummary, ErrorBody, Newer, OwnMap } from '@alvex/contract';
import { DESTINATIONS, TEXT_KINDS, type DocumentModel, type LogEntry } from '@alvex/core';
import { unzipSync, strFromU8 } from 'fflate';
import { randomUUID } from 'node:crypto';
import { RealServer } from '../test/real.ts';

let real: RealServer;
beforeAll(async () => {
  real = await RealServer.start();
}, 60_000);
afterAll(() => real.stop());

const call = (path: string, init?: RequestInit): Promise<Response> => fetch(`${real.address}${path}`, init);
const send = (method: string, path: string, body: unknown): Promise<Response> =>
  call(path, { method, body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } });
const answer = async <T>(response: Promise<Response>, status = 200): Promise<T> => {
  const found = await response;
  expect(found.status).toBe(status);
  return (await found.json()) as T;
};
const newDeck = async (source: string): Promise<DeckSummary> =>
  (await answer<{ deck: DeckSummary }>(call('/api/decks?name=mill.md', { method: 'POST', body: source }), 201)).deck;
const slideTitles = (pptx: Uint8Array): readonly string[] =>
  Object.entries(unzipSync(pptx))
    .filter(([name]) => /slides\/slide\d+\.xml$/.test(name))
    .map(([, xml]) => /<a:t>([^<]*)/.exec(strFromU8(xml))?.[1] ?? '');

describe('a new edition', () => {
  test('is taken in, changes nothing by itself, and is exported once the log says so; undone, the first one is', async () => {
    const deck = await newDeck('# Tide\n\n- spring\n');
    const { candidate } = await answer<{ candidate: Candidate }>(
      call(`/api/decks/${deck.id}/editions?name=second.md`, {
        method: 'POST',
        body: '# The tide\n\n- spring\n- neap\n',
      }),
      201,
    );
    expect(candidate).toMatchObject({ type: 'markdown', fileName: 'second.md', words: 4 });
    const read = async (query = ''): Promise<DocumentModel> => answer(call(`/api/decks/${deck.id}/document${query}`));
    expect((await read()).blocks).toHaveLength(2);
    const second = await read(`?edition=${candidate.original}`);
    expect(second.blocks).toHaveLength(3);
    const exported = async (): Promise<readonly string[]> =>
      slideTitles(new Uint8Array(await (await call(`/api/decks/${deck.id}/deck.pptx`)).arrayBuffer()));
    expect(await exported()).toEqual(['Tide']);
    const { words, ...edition } = candidate;
    const entry: LogEntry = { kind: 'all', edits: [{ kind: 'edition', ...edition, ids: [] }] };
    await answer<Appended>(send('POST', `/api/decks/${deck.id}/entries`, { base: 0, entries: [entry] }));
    expect(await exported()).toEqual(['The tide']);
    await answer<Appended>(send('POST', `/api/decks/${deck.id}/entries`, { base: 1, entries: [{ kind: 'undo' }] }));
    expect(await exported()).toEqual(['Tide']);
    const original = await call(`/api/decks/${deck.id}/original?edition=${candidate.original}`);
    expect(await original.text()).toBe('# The tide\n\n- spring\n- neap\n');
    expect(words).toBe(4);
  });
  test('that is not kept here is refused with the reason, as are a template and a table that cannot be', async () => {
    const deck = await newDeck('# A\n\ntext\n');
    const hash = 'a'.repeat(64);
    const cell = { runs: [{ text: 'x' }], columns: 3, rows: 1 };
    const table = (columns: number, rows: number) => ({
      columns,
      rows: Array.from({ length: rows }, () => ({ header: false, cells: [cell] })),
    });
    const written = (one: unknown): unknown => ({
      kind: 'write',
      replaces: [],
      after: null,
      blocks: [{ kind: 'table', id: 't', table: one }],
    });
    for (const [edit, reason] of [
      [{ kind: 'edition', original: hash, type: 'markdown', fileName: 'gone.md', ids: [] }, /gone\.md/],
      [{ kind: 'template', template: { hash, fileName: 'gone.pptx', layouts: {}, keep: 'none' } }, /gone\.pptx/],
      [written(table(2, 1)), /Row 1 of a table is 3 columns wide/],
      [written(table(50_000, 10)), /more than 200,000 cells/],
    ] as const)
      for (const entry of [edit, { kind: 'all', edits: [{ kind: 'breaks', start: true }, edit] }]) {
        const { error } = await answer<ErrorBody>(
          send('POST', `/api/decks/${deck.id}/entries`, { base: 0, entries: [entry] }),
          422,
        );
        expect(error).toMatchObject({ code: 'impossible-edit', message: expect.stringMatching(reason) });
      }
    await answer<Appended>(send('POST', `/api/decks/${deck.id}/entries`, { base: 0, entries: [written(table(3, 2))] }));
  });
  test('that cannot be read is refused and named, and one of another deck is not given', async () => {
    const deck = await newDeck('# A\n');
    const other = await newDeck('# B\n');
    const broken = await call(`/api/decks/${deck.id}/editions?name=x.docx`, {
      method: 'POST',
      body: new Uint8Array([0x50, 0x4b, 3, 4, 0, 0, 0]),
      headers: { Accept: 'application/x-ndjson' },
    });
    expect((JSON.parse((await broken.text()).trim().split('\n').at(-1)!) as ErrorBody).error.message).not.toBe('');
    const { candidate } = await answer<{ candidate: Candidate }>(
      call(`/api/decks/${other.id}/editions?name=b.md`, { method: 'POST', body: '# C\n' }),
      201,
    );
    expect((await call(`/api/decks/${deck.id}/document?edition=${candidate.original}`)).status).toBe(404);
    expect(
      (await call(`/api/decks/${randomUUID()}/editions?name=b.md`, { method: 'POST', body: '# C\n' })).status,
    ).toBe(404);
  });
});

describe('entries', () => {
  test('that are sent twice, because the answer was lost, are kept once', async () => {
    const deck = await newDeck('# A\n');
    const batch = randomUUID();
    const body = {
      base: 0,
      batch,
      entries: [
        { kind: 'pace', rate: 120 },
        { kind: 'theme', theme: 'slipway' },
      ],
    };
    expect((await answer<Appended>(send('POST', `/api/decks/${deck.id}/entries`, body))).version).toBe(2);
    expect((await answer<Appended>(send('POST', `/api/decks/${deck.id}/entries`, body))).version).toBe(2);
    expect(await answer(call(`/api/decks/${deck.id}/batches/${batch}`))).toEqual({ kept: true });
    expect(await answer(call(`/api/decks/${deck.id}/batches/${randomUUID()}`))).toEqual({ kept: false });
    const { version, newer } = await answer<Newer>(call(`/api/decks/${deck.id}/entries?after=1`));
    expect([version, newer]).toEqual([2, [{ kind: 'theme', theme: 'slipway' }]]);
    expect((await call(`/api/decks/${deck.id}/entries?after=x`)).status).toBe(400);
  });
  test.each([
    { kind: 'order', slides: ['s1'], before: null },
    { kind: 'carry', parts: ['p1'], to: 's1', before: 'p2' },
    { kind: 'add', slide: 'A1', after: null, title: [{ text: 'Mine' }] },
    { kind: 'branch', block: 'h1', text: 'body', to: 'slide' },
    { kind: 'prose', prose: { as: 'short', density: 'half' } },
    { kind: 'matter', part: 'agenda', on: true },
    { kind: 'target', target: { unit: 'minutes', amount: 15 } },
    { kind: 'fullAt', slides: ['s1'], rule: 'notes' },
    { kind: 'take', take: 't1', settings: null },
  ])('of kind $kind are taken, and refused when they are wrong', async (entry) => {
    const deck = await newDeck('# A\n');
    const path = `/api/decks/${deck.id}/entries`;
    await answer<Appended>(send('POST', path, { base: 0, entries: [entry] }));
    const [first] = Object.keys(entry).filter((key) => key !== 'kind');
    for (const wrong of [
      { ...entry, more: 1 },
      { ...entry, [first!]: 5 },
    ])
      expect((await send('POST', path, { base: 1, entries: [wrong] })).status).toBe(400);
  });
});

test('maps of one’s own are kept, named, listed and dropped', async () => {
  const map = Object.fromEntries(TEXT_KINDS.map((kind, i) => [kind, DESTINATIONS[i % 3]]));
  const made = await answer<{ map: OwnMap }>(
    send('POST', '/api/maps', { name: ' Guild talk ', map, prose: { as: 'first' } }),
    201,
  );
  expect(made.map).toMatchObject({ name: 'Guild talk', map, prose: { as: 'first' } });
  const { id } = made.map;
  expect((await send('PATCH', `/api/maps/${id}`, { name: 'Guild evening' })).status).toBe(204);
  expect((await send('PATCH', `/api/maps/${id}`, { name: 'Guild evening' })).status).toBe(204);
  const listed = await answer<{ maps: OwnMap[] }>(call('/api/maps'));
  expect(listed.maps.map(({ name }) => name)).toEqual(['Guild evening']);
  expect(
    (await send('POST', '/api/maps', { name: 'x', map: { ...map, body: 'nowhere' }, prose: { as: 'first' } })).status,
  ).toBe(400);
  expect((await send('POST', '/api/maps', { name: ' ', map, prose: { as: 'whole' } })).status).toBe(400);
  expect((await call(`/api/maps/${id}`, { method: 'DELETE' })).status).toBe(204);
  expect((await call(`/api/maps/${id}`, { method: 'DELETE' })).status).toBe(404);
  expect((await send('PATCH', `/api/maps/${id}`, { name: 'gone' })).status).toBe(404);
});
