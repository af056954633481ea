/** The interface as it is described: every address, every answer against its schema; keys, and what is too much. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Validator } from '@seriousme/openapi-schema-validator';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { encode } from 'fast-png';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { openApi } from '@alvex/contract/api';
import type { CreationLine, DeckSummary, OpenDeck } from '@alvex/contract';
import { DESTINATIONS, TEXT_KINDS } from '@alvex/core';
import { RealServer } from '../test/real.ts';
import { apiRouters } from './app.ts';

interface Answer {
  readonly content?: Readonly<Record<string, { readonly schema: { readonly format?: string } }>>;
}
interface Described {
  readonly responses: Readonly<Record<string, Answer>>;
}
const api = openApi() as { readonly paths: Readonly<Record<string, Readonly<Record<string, Described>>>> };
const ajv = new Ajv2020({ discriminator: true, strict: false });
addFormats.default(ajv);
ajv.addSchema(api, 'api');
const pointer = (...steps: readonly string[]): string =>
  steps.map((step) => encodeURIComponent(step.replaceAll('~', '~0').replaceAll('/', '~1'))).join('/');

let real: RealServer;
beforeAll(async () => {
  real = await RealServer.start();
}, 60_000);
afterAll(() => real.stop());

const answered = new Set<string>();
/** Asks, and holds the answer against its description. @param path As it is described. */
async function ask(
  method: 'get' | 'post' | 'patch' | 'delete',
  path: string,
  { at = {}, query = '', body, headers = {} }: Readonly<Asking> = {},
): Promise<{ readonly status: number; readonly value: unknown; readonly bytes: Uint8Array }> {
  const address = path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(at[name]!));
  const response = await fetch(`${real.address}${address}${query}`, {
    method: method.toUpperCase(),
    headers,
    ...(body === undefined ? {} : { body }),
  });
  const bytes = new Uint8Array(await response.arrayBuffer());
  const { status } = response;
  const { responses } = api.paths[path]![method]!;
  const said = String(status in responses ? status : 'default');
  answered.add(`${method} ${path} ${said}`);
  const [type] = (response.headers.get('content-type') ?? '').split(';');
  const content = responses[said]!.content ?? {};
  const described = Object.keys(content).find(
    (one) => one === type || (one.endsWith('*') && type!.startsWith(one.replace(/\*.*/, ''))),
  );
  if (Object.keys(content).length > 0)
    expect([path, status, type, described]).toEqual([path, status, type, expect.any(String)]);
  if (described !== 'application/json') return { status, value: undefined, bytes };
  const value: unknown = JSON.parse(Buffer.from(bytes).toString('utf8'));
  const place = pointer('paths', path, method, 'responses', said, 'content', described, 'schema');
  const check = ajv.getSchema(`api#/${place}`)!;
  expect([path, status, check(value), check.errors]).toEqual([path, status, true, null]);
  return { status, value, bytes };
}
interface Asking {
  at?: Readonly<Record<string, string>>;
  query?: string;
  body?: string | Uint8Array<ArrayBuffer>;
  headers?: Readonly<Record<string, string>>;
}
const json = (value: unknown): Asking => ({
  body: JSON.stringify(value),
  headers: { 'Content-Type': 'application/json' },
});

test('is valid OpenAPI 3.1', async () => {
  const { valid, errors } = await new Validator().validate(structuredClone(api));
  expect([valid, errors]).toEqual([true, undefined]);
});

test('every address that is served is described, and no other', () => {
  const served = apiRouters('').flatMap(({ stack }) =>
    stack.flatMap(({ path, methods }) =>
      methods
        .filter((method) => method !== 'HEAD')
        .map(
          (method) =>
            `${method.toLowerCase()} ${String(path)
              .replace(/:(\w+)/g, '{$1}')
              .replace(/(.)\/$/, '$1')}`,
        ),
    ),
  );
  const described = Object.entries(api.paths).flatMap(([path, methods]) =>
    Object.keys(methods).map((method) => `${method} ${path}`),
  );
  expect(described.toSorted()).toEqual(served.toSorted());
});

const MAP = Object.fromEntries(TEXT_KINDS.map((kind, i) => [kind, DESTINATIONS[i % 3]]));

test('every address answers as is described', async () => {
  const demo = (await ask('post', '/api/demo')).value as { deck: DeckSummary };
  const at = { id: demo.deck.id };
  const one = '/api/decks/{id}';
  await ask('get', '/api/health');
  await ask('get', '/api/openapi.json');
  const made = await ask('post', '/api/decks', {
    query: '?name=a.md',
    body: '# A\n\n- one\n\n| a | b |\n|---|---|\n| 1 | 2 |\n',
  });
  const other = { id: (made.value as { deck: DeckSummary }).deck.id };
  const { hash } = (await ask('post', '/api/files', { query: '?name=b.md', body: '# B' })).value as { hash: string };
  await ask('post', '/api/decks', json({ parts: [{ hash, name: 'b.md' }] }));
  const open = (await ask('get', one, { at })).value as OpenDeck;
  const block = 'x';
  await ask('post', `${one}/entries`, { at, ...json({ base: open.deck.version, entries: [{ kind: 'cut', block }] }) });
  await ask('post', `${one}/entries`, {
    at,
    ...json({ base: 0, entries: [{ kind: 'cut', block }], batch: randomUUID() }),
  });
  await ask('get', `${one}/entries`, { at, query: '?after=0' });
  await ask('get', `${one}/batches/{batch}`, { at: { ...at, batch: randomUUID() } });
  await ask('patch', one, { at, ...json({ name: 'Renamed' }) });
  await ask('get', `${one}/cover`, { at });
  await ask('get', `${one}/document`, { at });
  await ask('get', `${one}/original`, { at });
  await ask('post', `${one}/duplicate`, { at });
  const png = new Uint8Array(encode({ width: 4, height: 3, data: new Uint8Array(36).fill(9), channels: 3 }));
  const picture = (await ask('post', `${one}/pictures`, { at, query: '?name=a.png', body: png })).value as {
    id: string;
  };
  await ask('get', `${one}/pictures/{hash}`, { at: { ...at, hash: picture.id } });
  const file = new Uint8Array(readFileSync('packages/demo/files/sallow-quay-trust-template.pptx'));
  const template = (await ask('post', `${one}/templates`, { at, query: '?name=t.pptx', body: file })).value as {
    hash: string;
  };
  await ask('get', `${one}/templates/{hash}`, { at: { ...at, hash: template.hash } });
  await ask('post', `${one}/editions`, { at, query: '?name=b.md', body: '# B\n' });
  for (const path of Object.keys(api.paths).filter((name) => name.includes('/deck.')))
    expect([path, (await ask('get', path, { at: other })).status]).toEqual([path, 200]);
  await ask('get', '/api/decks');
  await ask('delete', one, { at });
  await ask('post', `${one}/restore`, { at });
  const kept = await ask('post', '/api/maps', json({ name: 'Mine', map: MAP, prose: { as: 'first' } }));
  const mine = { id: (kept.value as { map: { id: string } }).map.id };
  await ask('get', '/api/maps');
  await ask('patch', '/api/maps/{id}', { at: mine, ...json({ name: 'Ours' }) });
  await ask('delete', '/api/maps/{id}', { at: mine });
  await ask('get', '/api/fonts/{family}.zip', { at: { family: 'Source Sans 3' } });
  const expected = Object.entries(api.paths).flatMap(([path, methods]) =>
    Object.keys(methods).map((method) => `${method} ${path}`),
  );
  const asked = new Set([...answered].map((name) => name.split(' ').slice(0, 2).join(' ')));
  expect(expected.filter((name) => !asked.has(name))).toEqual([]);
}, 120_000);

test('choices of a file are checked, and a part that is not there is told', async () => {
  const { deck } = (await ask('post', '/api/decks', { query: '?name=a.md', body: '# A\n' })).value as {
    deck: DeckSummary;
  };
  const at = { id: deck.id };
  const fails = async (path: string, query: string): Promise<readonly [number, string]> => {
    const { status, value } = await ask('get', `/api/decks/{id}/${path}`, { at, query });
    return [status, (value as { error: { message: string } }).error.message];
  };
  expect(await fails('deck.pdf', '?pages=seven')).toEqual([
    400,
    expect.stringContaining('/pages must be equal to one of the allowed values: slides, '),
  ]);
  expect(await fails('deck.png', '?width=12')).toEqual([400, expect.stringContaining('/width must be >= 160')]);
  expect(await fails('deck.png', '?only=x')).toEqual([400, expect.stringContaining('/only must be integer')]);
  expect(await fails('deck.md', '?sauce=1')).toEqual([400, expect.stringContaining('sauce')]);
  expect(await fails('deck.svg', '?only=2')).toEqual([
    404,
    'The deck has no such part. There is no slide 2; the last is 1.',
  ]);
  expect(await fails('deck.csv', '')).toEqual([404, expect.stringContaining('There is no table 1; there is none.')]);
});

test('a file that is watched comes behind what is told of it', async () => {
  const { deck } = (await ask('post', '/api/decks', { query: '?name=a.md', body: '# A\n\n- b\n' })).value as {
    deck: DeckSummary;
  };
  const plain = new Uint8Array(await (await fetch(`${real.address}/api/decks/${deck.id}/deck.pdf`)).arrayBuffer());
  const watched = (query = '') =>
    fetch(`${real.address}/api/decks/${deck.id}/deck.pdf${query}`, {
      headers: { Accept: 'application/x-alvex-watched-file' },
    });
  const bytes = Buffer.from(await (await watched()).arrayBuffer());
  const end = bytes.length - plain.length;
  expect(bytes.subarray(end).equals(plain)).toBe(true);
  const lines = bytes
    .subarray(0, end)
    .toString('utf8')
    .trimEnd()
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, unknown>);
  expect(lines.at(-1)).toEqual({ file: { bytes: plain.length } });
  const shares = lines.flatMap(({ progress }) => (typeof progress === 'number' ? [progress] : []));
  expect(shares.length).toBeGreaterThan(1);
  expect(shares).toEqual(shares.toSorted((a, b) => a - b));
  // What is wrong with the question is known before anything is done.
  expect((await watched('?paper=a5')).status).toBe(400);
});

describe('a key', () => {
  const create = (key: string, body: string, headers = {}) =>
    fetch(`${real.address}/api/decks?name=k.md`, {
      method: 'POST',
      body,
      headers: { 'Idempotency-Key': key, ...headers },
    });
  const decks = async (): Promise<number> =>
    ((await (await fetch(`${real.address}/api/decks`)).json()) as { decks: unknown[] }).decks.length;

  test('the same request is done once, however often it is sent, watched or not', async () => {
    const key = randomUUID();
    const first = await create(key, '# Once\n');
    const { deck } = (await first.json()) as { deck: DeckSummary };
    const count = await decks();
    const again = await create(key, '# Once\n');
    expect([again.status, await again.json()]).toEqual([201, { deck }]);
    const line = await (await create(key, '# Once\n', { Accept: 'application/x-ndjson' })).text();
    expect(JSON.parse(line)).toEqual({ deck });
    expect(await decks()).toBe(count);
  });

  test('what it was answered with is answered again, its status too', async () => {
    const { deck } = (await (await create(randomUUID(), '# A\n')).json()) as { deck: DeckSummary };
    const append = (base: number) => {
      const body = JSON.stringify({ base, entries: [{ kind: 'cut', block: 'x' }] });
      const init = { method: 'POST', body, headers: { 'Idempotency-Key': 'append' } };
      return fetch(`${real.address}/api/decks/${deck.id}/entries`, init);
    };
    // What was refused is done when it is asked for rightly.
    expect((await append(7)).status).toBe(412);
    for (let i = 0; i < 2; i++) {
      const response = await append(0);
      expect([response.status, await response.json()]).toEqual([200, { version: 1 }]);
    }
  });

  test('what is watched is kept under it too', async () => {
    const key = randomUUID();
    const watched = async (): Promise<CreationLine> => {
      const text = await (await create(key, '# Watched\n', { Accept: 'application/x-ndjson' })).text();
      return JSON.parse(text.trimEnd().split('\n').at(-1)!) as CreationLine;
    };
    const first = await watched();
    expect(first).toHaveProperty('deck');
    expect(await watched()).toEqual(first);
  });

  test('of another request is refused; what was not done can be asked for again', async () => {
    const key = randomUUID();
    expect((await create(key, 'PK\u0003\u0004 no more')).status).toBe(422);
    expect((await create(key, '# Now\n')).status).toBe(201);
    const other = await create(key, '# Something longer\n');
    expect([other.status, await other.json()]).toMatchObject([422, { error: { code: 'key-of-another' } }]);
    expect((await create('with a blank', '# A\n')).status).toBe(400);
  });

  test('two at once are one', async () => {
    const key = randomUUID();
    const count = await decks();
    const body = `# Both\n${'\nwords of it\n'.repeat(2000)}`;
    const both = await Promise.all([create(key, body), create(key, body)]);
    const statuses = both.map(({ status }) => status).toSorted();
    expect([
      [201, 201],
      [201, 409],
    ]).toContainEqual(statuses);
    expect(await decks()).toBe(count + 1);
  });

  test('is kept for a day; one whose server died, for an hour', async () => {
    const key = randomUUID();
    await create(key, '# A\n');
    const count = await decks();
    const { db } = real.context;
    await db('answers').update({ created_at: new Date(Date.now() - 25 * 3600_000) });
    expect((await create(key, '# A\n')).status).toBe(201);
    expect(await decks()).toBe(count + 1);
    await db('answers').update({ body: null });
    expect((await create(key, '# A\n')).status).toBe(409);
    await db('answers').update({ created_at: new Date(Date.now() - 2 * 3600_000) });
    expect((await create(key, '# A\n')).status).toBe(201);
  });
});

test('too much in a minute is refused, and says when to come again; looking and editing are not counted', async () => {
  const own = await RealServer.start(undefined, 3);
  try {
    const create = () => fetch(`${own.address}/api/decks?name=a.md`, { method: 'POST', body: '# A\n' });
    for (const left of [2, 1, 0]) {
      const response = await create();
      expect([response.status, response.headers.get('RateLimit-Remaining')]).toEqual([201, String(left)]);
    }
    const refused = await create();
    const seconds = Number(refused.headers.get('Retry-After'));
    expect(seconds).toBeGreaterThan(0);
    expect(seconds).toBeLessThanOrEqual(60);
    expect([refused.status, await refused.json()]).toMatchObject([
      429,
      { error: { code: 'too-much', message: expect.stringContaining('Try again in'), kept: 'Nothing was changed.' } },
    ]);
    const { decks } = (await (await fetch(`${own.address}/api/decks`)).json()) as { decks: DeckSummary[] };
    expect(decks).toHaveLength(3);
    const entries = JSON.stringify({ base: 0, entries: [{ kind: 'cut', block: 'x' }] });
    expect(
      (await fetch(`${own.address}/api/decks/${decks[0]!.id}/entries`, { method: 'POST', body: entries })).status,
    ).toBe(200);
    expect((await fetch(`${own.address}/api/decks/${decks[0]!.id}/deck.txt`)).status).toBe(429);
  } finally {
    await own.stop();
  }
});
