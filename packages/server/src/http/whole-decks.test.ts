/** Whole decks as files, deleted decks, and what goes for good: on real servers and databases. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Candidate, DeckSummary, ErrorBody, KeptTemplate, OpenDeck } from '@alvex/contract';
import type { LogEntry, Picture } from '@alvex/core';
import { encode } from 'fast-png';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import { usualTemplate } from '../../../demo/src/templates.ts';
import { purge } from '../services/purge.ts';
import { RealServer } from '../test/real.ts';

let here: RealServer;
let elsewhere: RealServer;
beforeAll(async () => {
  [here, elsewhere] = await Promise.all([RealServer.start(), RealServer.start()]);
}, 60_000);
afterAll(() => Promise.all([here.stop(), elsewhere.stop()]));

const call = async (server: RealServer, path: string, init?: RequestInit): Promise<Response> =>
  fetch(`${server.address}${path}`, init);
const post = (server: RealServer, path: string, body: unknown): Promise<Response> =>
  call(server, path, {
    method: 'POST',
    body: body instanceof Uint8Array || typeof body === 'string' ? (body as BodyInit) : JSON.stringify(body),
    headers: { 'Content-Type': typeof body === 'object' && !(body instanceof Uint8Array) ? 'application/json' : '' },
  });
const json = async <T>(response: Promise<Response>, status = 200): Promise<T> => {
  const found = await response;
  const text = await found.text();
  expect({ status: found.status, text }).toMatchObject({ status });
  return JSON.parse(text) as T;
};
const bytesOf = async (response: Promise<Response>): Promise<Uint8Array> => {
  const found = await response;
  expect(found.status).toBe(200);
  return new Uint8Array(await found.arrayBuffer());
};
const newDeck = async (server: RealServer, body: Uint8Array | string, name: string): Promise<DeckSummary> =>
  (await json<{ deck: DeckSummary }>(post(server, `/api/decks?name=${name}`, body), 201)).deck;
const append = async (deck: DeckSummary, base: number, entries: readonly LogEntry[]): Promise<void> => {
  await json(post(here, `/api/decks/${deck.id}/entries`, { base, entries }));
};
const report = new Uint8Array(readFileSync('packages/demo/files/sallow-quay-feasibility-report.docx'));
const picture = encode({ width: 40, height: 40, data: new Uint8Array(4800).fill(90), channels: 3 });

/** A deck with all that a deck can have: a second edition, a template, a picture of the author's, edits undone. */
async function worked(): Promise<DeckSummary> {
  const deck = await newDeck(here, report, 'report.docx');
  const { candidate } = await json<{ candidate: Candidate }>(
    post(here, `/api/decks/${deck.id}/editions?name=second.docx`, report),
    201,
  );
  const { words, ...edition } = candidate;
  expect(words).toBeGreaterThan(100);
  const {
    removed,
    made: _,
    ...use
  } = await json<KeptTemplate>(post(here, `/api/decks/${deck.id}/templates?name=trust.pptx`, usualTemplate()), 201);
  expect(removed.macros).toBe(false);
  const put = await json<Picture>(post(here, `/api/decks/${deck.id}/pictures?name=p.png`, picture), 201);
  await append(deck, 0, [
    { kind: 'all', edits: [{ kind: 'edition', ...edition, ids: [] }] },
    { kind: 'template', template: { ...use, layouts: {}, keep: 'none' } },
    {
      kind: 'write',
      replaces: [],
      after: null,
      blocks: [{ kind: 'picture', id: 'mine' as never, picture: put.id, alt: 'Mine' }],
      pictures: [put],
    },
    { kind: 'prose', prose: { as: 'first' } },
    { kind: 'undo' },
  ]);
  return deck;
}

describe('a whole deck as one file', () => {
  test('brought in elsewhere it is the same deck, to the byte of its presentation', async () => {
    const deck = await worked();
    const file = await bytesOf(call(here, `/api/decks/${deck.id}/deck.alvex`));
    const there = await newDeck(elsewhere, file, 'deck.alvex');
    expect(there).toMatchObject({ name: deck.name, fileName: 'report.docx', type: 'docx', words: deck.words });
    const presentation = (server: RealServer, { id }: DeckSummary): Promise<Uint8Array> =>
      bytesOf(call(server, `/api/decks/${id}/deck.pptx`));
    expect(await presentation(elsewhere, there)).toEqual(await presentation(here, deck));
    expect(await bytesOf(call(elsewhere, `/api/decks/${there.id}/original`))).toEqual(report);
    const { log } = await json<OpenDeck>(call(elsewhere, `/api/decks/${there.id}`));
    expect(log.map(({ kind }) => kind)).toEqual(['all', 'template', 'write']);
    // Taken out again it is the same file.
    expect(await bytesOf(call(elsewhere, `/api/decks/${there.id}/deck.alvex`))).toEqual(file);
  });

  test('of several files', async () => {
    const part = async (text: string): Promise<string> =>
      (await json<{ hash: string }>(post(here, '/api/files', text), 201)).hash;
    const parts = [
      { hash: await part('# One\n\ntext\n'), name: 'one.md' },
      { hash: await part('# Two\n'), name: 'two.md' },
    ];
    const { deck } = await json<{ deck: DeckSummary }>(post(here, '/api/decks', { parts }), 201);
    const file = await bytesOf(call(here, `/api/decks/${deck.id}/deck.alvex`));
    const there = await newDeck(elsewhere, file, 'x.alvex');
    const document = (server: RealServer, { id }: DeckSummary): Promise<unknown> =>
      json(call(server, `/api/decks/${id}/document`));
    expect(await document(elsewhere, there)).toEqual(await document(here, deck));
  });

  test('that is damaged, made by a newer Alvex, or names what is not in it is refused, and nothing is made', async () => {
    const deck = await newDeck(here, '# A\n', 'a.md');
    const parts = unzipSync(await bytesOf(call(here, `/api/decks/${deck.id}/deck.alvex`)));
    const list = JSON.parse(strFromU8(parts['alvex.json']!)) as Record<string, unknown> & { original: string };
    const decksBefore = await json(call(elsewhere, '/api/decks'));
    const refused = async (
      change: Record<string, unknown>,
      files: Record<string, Uint8Array> = {},
    ): Promise<string> => {
      const { 'alvex.json': _, ...rest } = parts;
      const changed = { 'alvex.json': strToU8(JSON.stringify({ ...list, ...change })), ...rest, ...files };
      const { error } = await json<ErrorBody>(post(elsewhere, '/api/decks?name=x.alvex', zipSync(changed)), 422);
      return error.code;
    };
    expect(await refused({ format: 2 })).toBe('deck-newer');
    expect(await refused({ ids: 200 })).toBe('deck-newer');
    expect(await refused({ name: 7 })).toBe('deck-unusable');
    expect(await refused({ original: 'b'.repeat(64) })).toBe('deck-unusable');
    expect(await refused({}, { [`files/${list.original}`]: strToU8('another file') })).toBe('deck-unusable');
    expect(await refused({ log: [{ kind: 'nothing' }] })).toBe('deck-unusable');
    const gone = { hash: 'c'.repeat(64), fileName: 'gone.pptx', layouts: {}, keep: 'none' };
    expect(await refused({ log: [{ kind: 'template', template: gone }] })).toBe('impossible-edit');
    expect(await json(call(elsewhere, '/api/decks'))).toEqual(decksBefore);
    expect(await elsewhere.context.db('decks').whereNotNull('deleted_at')).toEqual([]);
  });
});

describe('deleted decks', () => {
  const lists = (): Promise<{ decks: DeckSummary[]; deleted: DeckSummary[] }> => json(call(here, '/api/decks'));
  const remove = async ({ id }: DeckSummary, daysAgo: number): Promise<void> => {
    expect((await call(here, `/api/decks/${id}`, { method: 'DELETE' })).status).toBe(204);
    await here.context
      .db('decks')
      .where({ id })
      .update({ deleted_at: new Date(Date.now() - daysAgo * 86_400_000) });
  };

  test('are listed and can be restored', async () => {
    const deck = await newDeck(here, '# Restored\n', 'r.md');
    await remove(deck, 3);
    expect((await lists()).deleted.map(({ id }) => id)).toContain(deck.id);
    expect((await lists()).deleted[0]!.deletedAt).toMatch(/^\d{4}-/);
    await json(call(here, `/api/decks/${deck.id}/restore`, { method: 'POST' }));
    expect((await lists()).decks.map(({ id }) => id)).toContain(deck.id);
  });

  test('go for good after thirty days, with files that no other deck needs', async () => {
    const { db } = here.context;
    const old = await newDeck(here, '# Old\n\nAlone in this deck.\n', 'old.md');
    const young = await newDeck(here, '# Young\n', 'young.md');
    // The same document, with its pictures, in a deck that goes and in one that stays.
    const twin = await newDeck(here, report, 'twin.docx');
    await append(old, 0, [{ kind: 'breaks', start: true }]);
    for (const deck of [old, twin]) await remove(deck, 31);
    await remove(young, 29);
    const files = async (): Promise<ReadonlySet<string>> =>
      new Set(((await db('blobs').select('hash')) as { hash: string }[]).map(({ hash }) => hash));
    // Brought in just now, they might be of a deck that is being made.
    await here.context.db('blobs').update({ touched_at: new Date(Date.now() - 2 * 3_600_000) });
    const original = ((await db('decks').where({ id: old.id }).first('original')) as { original: string }).original;
    const before = await files();
    expect(await purge(here.context)).toEqual({ decks: 2, files: 1 });
    const after = await files();
    expect([...before].filter((hash) => !after.has(hash))).toEqual([original]);
    expect(await db('entries').where({ deck_id: old.id })).toEqual([]);
    expect((await lists()).deleted.map(({ id }) => id)).toEqual([young.id]);
    expect((await call(here, `/api/decks/${old.id}/restore`, { method: 'POST' })).status).toBe(404);
    expect(await purge(here.context)).toEqual({ decks: 0, files: 0 });
  });

  test('leave a file that was brought in again a moment ago', async () => {
    const deck = await newDeck(here, '# Again\n', 'again.md');
    await remove(deck, 40);
    await here.context.db('blobs').update({ touched_at: new Date(Date.now() - 2 * 3_600_000) });
    await json(post(here, '/api/files', '# Again\n'), 201);
    expect(await purge(here.context)).toEqual({ decks: 1, files: 0 });
  });
});
