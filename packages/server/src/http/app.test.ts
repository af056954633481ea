import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { DeckCover, DeckSummary, ErrorBody, ListedDeck, OpenDeck, Stale } from '@alvex/contract';
import type { LogEntry, Picture } from '@alvex/core';
import { encode } from 'fast-png';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { createHash } from 'node:crypto';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { request, type IncomingMessage } from 'node:http';
import { migrate } from '../db/migrations.ts';
import { packedDocument } from '../services/originals.ts';
import { RealServer } from '../test/real.ts';

let real: RealServer;
beforeAll(async () => {
  real = await RealServer.start();
}, 60_000);
afterAll(() => real.stop());

const call = (path: string, init?: RequestInit): Promise<Response> => fetch(`${real.address}${path}`, init);
const post = (path: string, body: unknown): Promise<Response> =>
  call(path, { method: 'POST', body: JSON.stringify(body) });
const create = (body: string | Uint8Array<ArrayBuffer>, name: string, headers = {}): Promise<Response> =>
  call(`/api/decks?name=${encodeURIComponent(name)}`, { method: 'POST', body, headers });
async function newDeck(source = '# One\n\n- a\n'): Promise<DeckSummary> {
  const response = await create(source, 'deck.md');
  expect(response.status).toBe(201);
  return ((await response.json()) as { deck: DeckSummary }).deck;
}
const failure = async (response: Response): Promise<ErrorBody['error'] & { status: number }> => ({
  status: response.status,
  ...((await response.json()) as ErrorBody).error,
});
const cut = (block: string): LogEntry => ({ kind: 'cut', block: block as never });
const report = readFileSync('packages/demo/files/sallow-quay-feasibility-report.docx');

test('a deck is made, listed, and its original comes back byte for byte', async () => {
  const response = await create(new Uint8Array(report), 'Bericht – Mühle.docx');
  const { deck } = (await response.json()) as { deck: DeckSummary };
  expect(deck).toMatchObject({ name: 'Reopening the Sallow Quay tide mill', type: 'docx', version: 0 });
  const { decks } = (await (await call('/api/decks')).json()) as { decks: DeckSummary[] };
  expect(decks.map((one) => one.id)).toContain(deck.id);
  const original = await call(`/api/decks/${deck.id}/original`);
  expect(original.headers.get('content-disposition')).toContain(
    "filename*=UTF-8''Bericht%20%E2%80%93%20M%C3%BChle.docx",
  );
  const sum = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');
  expect(sum(new Uint8Array(await original.arrayBuffer()))).toBe(sum(report));
});

test('a creation that is watched tells of its progress, then gives the deck', async () => {
  const lines = (
    await (
      await create('# Title\n\n- a point\n\nwords\n\n'.repeat(5000), 'long.md', { Accept: 'application/x-ndjson' })
    ).text()
  )
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as object);
  expect(lines.at(-1)).toHaveProperty('deck');
  expect(lines.length).toBeGreaterThan(2);
  const progress = lines.slice(0, -1).map((line) => (line as { progress: number }).progress);
  expect(progress).toEqual([...progress].sort((a, b) => a - b));
  const failed = (await (await create('x', 'r.docx', { Accept: 'application/x-ndjson' })).text()).trim().split('\n');
  expect(JSON.parse(failed.at(-1)!)).toMatchObject({
    error: { code: 'not-a-zip', kept: expect.stringContaining('not touched') },
  });
});

test('a creation that its sender leaves makes no deck', async () => {
  const abort = new AbortController();
  const response = await call('/api/decks?name=left.md', {
    method: 'POST',
    body: '# Left alone\n\n- a point\n\nwords and more words\n\n'.repeat(60_000),
    headers: { Accept: 'application/x-ndjson' },
    signal: abort.signal,
  });
  // The answer has begun, so the reading has; the first line is far from the last.
  expect(response.status).toBe(200);
  abort.abort();
  // Reading threads are free again when the next document is done.
  await newDeck('# After\n');
  const { decks } = (await (await call('/api/decks')).json()) as { decks: DeckSummary[] };
  expect(decks.map((deck) => deck.fileName)).not.toContain('left.md');
});

describe('the log', () => {
  test('is appended with a version, and comes back in order', async () => {
    const { id } = await newDeck();
    expect(await (await post(`/api/decks/${id}/entries`, { base: 0, entries: [cut('a'), cut('b')] })).json()).toEqual({
      version: 2,
    });
    expect(await (await post(`/api/decks/${id}/entries`, { base: 2, entries: [{ kind: 'undo' }] })).json()).toEqual({
      version: 3,
    });
    const open = (await (await call(`/api/decks/${id}`)).json()) as OpenDeck;
    expect(open.log).toEqual([cut('a'), cut('b'), { kind: 'undo' }]);
    expect(open.deck.version).toBe(3);
  });

  test('refuses a stale write with what is newer', async () => {
    const { id } = await newDeck();
    await post(`/api/decks/${id}/entries`, { base: 0, entries: [cut('theirs')] });
    const response = await post(`/api/decks/${id}/entries`, { base: 0, entries: [cut('ours')] });
    expect(response.status).toBe(409);
    const stale = (await response.json()) as Stale;
    expect(stale).toMatchObject({ version: 1, newer: [cut('theirs')] });
    expect(stale.error.kept).toContain('Both changes are kept');
  });

  test('of many writers at once with one base, one is taken and none is lost by the others', async () => {
    const { id } = await newDeck();
    const responses = await Promise.all(
      Array.from({ length: 8 }, (_, i) => post(`/api/decks/${id}/entries`, { base: 0, entries: [cut(`w${i}`)] })),
    );
    expect(responses.map((response) => response.status).sort()).toEqual([200, ...Array<number>(7).fill(409)]);
    expect(((await (await call(`/api/decks/${id}`)).json()) as OpenDeck).log).toHaveLength(1);
  });

  test.each([
    ['an unknown kind', { base: 0, entries: [{ kind: 'explode' }] }],
    ['a destination that is none', { base: 0, entries: [{ kind: 'turn', block: 'x', to: 'moon' }] }],
    ['more than asked for', { base: 0, entries: [{ kind: 'cut', block: 'x', extra: 1 }] }],
    [
      'a harmful link',
      { base: 0, entries: [{ kind: 'reword', part: 'x', runs: [{ text: 'x', link: 'javascript:alert(1)' }] }] },
    ],
    ['nothing', { base: 0, entries: [] }],
    ['no base', { entries: [cut('x')] }],
  ])('refuses %s', async (_, body) => {
    const { id } = await newDeck();
    expect(await failure(await post(`/api/decks/${id}/entries`, body))).toMatchObject({
      status: 400,
      code: 'bad-request',
      kept: 'Nothing was changed.',
    });
  });

  test('refuses what is not JSON', async () => {
    const { id } = await newDeck();
    expect(await failure(await call(`/api/decks/${id}/entries`, { method: 'POST', body: '{' }))).toMatchObject({
      status: 400,
      message: expect.stringContaining('not JSON'),
    });
  });
});

describe('documents and pictures', () => {
  test('a picture is served to the deck that has it, and to no other', async () => {
    const { deck } = (await (await create(new Uint8Array(report), 'r.docx')).json()) as { deck: DeckSummary };
    const document = (await (await call(`/api/decks/${deck.id}/document`)).json()) as { pictures: { id: string }[] };
    const path = `/pictures/${document.pictures[0]!.id}`;
    const picture = await call(`/api/decks/${deck.id}${path}`);
    expect(picture.headers.get('content-type')).toBe('image/png');
    expect(
      createHash('sha256')
        .update(Buffer.from(await picture.arrayBuffer()))
        .digest('hex'),
    ).toBe(document.pictures[0]!.id);
    expect((await call(`/api/decks/${(await newDeck()).id}${path}`)).status).toBe(404);
  });

  test('a document is sent plain to whoever cannot unpack', async () => {
    const { id } = await newDeck('# Plain\n');
    const response = await call(`/api/decks/${id}/document`, { headers: { 'Accept-Encoding': 'identity' } });
    expect(response.headers.get('content-encoding')).toBeNull();
    expect(await response.text()).toContain('Plain');
  });

  test('a document is read again when the cache is empty', async () => {
    const { id } = await newDeck('# Again\n');
    await real.context.db('documents').delete();
    expect((await packedDocument(real.context, id)).length).toBeGreaterThan(20);
    expect(await (await call(`/api/decks/${id}/document`)).text()).toContain('Again');
  });

  test('the same original is stored once', async () => {
    await newDeck('# Twice\n');
    const count = async () => Number(((await real.context.db('blobs').count({ n: '*' })) as { n: number }[])[0]!.n);
    const before = await count();
    await newDeck('# Twice\n');
    expect(await count()).toBe(before);
  });
});

test('a deleted deck is gone until it is restored', async () => {
  const { id } = await newDeck();
  expect((await call(`/api/decks/${id}`, { method: 'DELETE' })).status).toBe(204);
  expect(await failure(await call(`/api/decks/${id}`))).toMatchObject({ status: 404, code: 'deck-not-found' });
  expect((await call(`/api/decks/${id}/restore`, { method: 'POST' })).status).toBe(200);
  expect((await call(`/api/decks/${id}`)).status).toBe(200);
});

describe('the list of decks', () => {
  const listed = async (id: string) =>
    ((await (await call('/api/decks')).json()) as { decks: ListedDeck[] }).decks.find((deck) => deck.id === id);
  const cover = async (id: string, init?: RequestInit) => call(`/api/decks/${id}/cover`, init);

  test('says what was done last, unless that is long', async () => {
    const { id } = await newDeck();
    expect(await listed(id)).not.toHaveProperty('last');
    await post(`/api/decks/${id}/entries`, { base: 0, entries: [cut('a'), cut('b')] });
    expect((await listed(id))!.last).toEqual(cut('b'));
    const long = { kind: 'reword', part: 'x', runs: [{ text: 'long '.repeat(1000) }] };
    await post(`/api/decks/${id}/entries`, { base: 2, entries: [long] });
    expect(await listed(id)).not.toHaveProperty('last');
  });

  test('has the cover of each as it is now, drawn once', async () => {
    const { id } = await newDeck('# The weir\n\n## Part\n\n- point\n\n## Other\n\n- point\n');
    const first = await cover(id);
    const { drawing, slides, seconds } = (await first.json()) as DeckCover;
    expect([drawing!.texts.flatMap(({ pieces }) => pieces.map(({ text }) => text)).join(' '), slides]).toEqual([
      'The weir',
      3,
    ]);
    expect(seconds).toBeGreaterThan(0);
    const tag = { headers: { 'If-None-Match': first.headers.get('etag')! } };
    expect((await cover(id, tag)).status).toBe(304);
    await post(`/api/decks/${id}/entries`, { base: 0, entries: [{ kind: 'theme', theme: 'lamplight' }] });
    const then = await cover(id, tag);
    expect(then.status).toBe(200);
    expect(((await then.json()) as DeckCover).drawing!.ground).not.toBe(drawing!.ground);
    expect((await cover('00000000-0000-4000-8000-000000000000')).status).toBe(404);
  });

  test('a copy has all that was done, and goes its own way from then on', async () => {
    const { id } = await newDeck('# Twin\n\n- a\n');
    await post(`/api/decks/${id}/entries`, { base: 0, entries: [cut('a'), { kind: 'theme', theme: 'slipway' }] });
    const response = await call(`/api/decks/${id}/duplicate`, { method: 'POST' });
    expect(response.status).toBe(201);
    const { deck } = (await response.json()) as { deck: DeckSummary };
    const [own, copy] = await Promise.all(
      [id, deck.id].map(async (one) => (await (await call(`/api/decks/${one}`)).json()) as OpenDeck),
    );
    expect([copy!.log, copy!.by, copy!.beginning]).toEqual([own!.log, own!.by, own!.beginning]);
    expect([deck.name, deck.version]).toEqual([`${own!.deck.name} (2)`, 2]);
    const again = (await (await call(`/api/decks/${deck.id}/duplicate`, { method: 'POST' })).json()) as {
      deck: DeckSummary;
    };
    expect(again.deck.name).toBe(`${own!.deck.name} (3)`);
    await post(`/api/decks/${deck.id}/entries`, { base: 2, entries: [{ kind: 'undo' }] });
    expect(((await (await call(`/api/decks/${id}`)).json()) as OpenDeck).log).toHaveLength(2);
    await call(`/api/decks/${id}`, { method: 'DELETE' });
    expect((await call(`/api/decks/${deck.id}/document`)).status).toBe(200);
    expect(await failure(await call(`/api/decks/${id}/duplicate`, { method: 'POST' }))).toMatchObject({
      code: 'deck-not-found',
    });
  });

  test('a sample is there for whoever has none', async () => {
    const response = await call('/api/demo', { method: 'POST' });
    expect(response.status).toBe(201);
    expect(((await response.json()) as { deck: DeckSummary }).deck.name).toBe('Reopening the Sallow Quay tide mill');
  });

  test('a deck is named after its title, or its only heading, else after its file', async () => {
    expect((await newDeck('# Top\n\n## A\n\na\n\n## B\n\nb\n')).name).toBe('Top');
    expect((await newDeck('Before.\n\n# Only one\n\nafter\n')).name).toBe('Only one');
    expect((await newDeck('Nothing but text.\n')).name).not.toBe('Nothing but text.');
  });
});

test('a name must be one', async () => {
  const { id } = await newDeck();
  const rename = (name: unknown) => call(`/api/decks/${id}`, { method: 'PATCH', body: JSON.stringify({ name }) });
  expect((await rename('   ')).status).toBe(400);
  expect((await rename(7)).status).toBe(400);
  expect(((await (await rename(' New ')).json()) as { deck: DeckSummary }).deck.name).toBe('New');
});

test('other workspaces’ decks are not there', async () => {
  const { db } = real.context;
  const { id } = await newDeck();
  await db('workspaces').insert({ id: 2, name: 'Another' }).onConflict().ignore();
  await db('blobs').insert(db('blobs').select(db.raw('2'), 'hash', 'mime', 'size', 'bytes', 'touched_at').limit(1));
  await db('decks').where({ id }).update({ workspace_id: 2 });
  expect((await call(`/api/decks/${id}`)).status).toBe(404);
  expect((await post(`/api/decks/${id}/entries`, { base: 0, entries: [cut('x')] })).status).toBe(404);
});

describe('bad input is refused soon, and the server goes on serving', () => {
  const ns = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"';
  const types =
    '<Types><Override PartName="/word/document.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/></Types>';
  const rels =
    '<Relationships><Relationship Id="a" Type="x/officeDocument" Target="word/document.xml"/></Relationships>';
  const bomb = (xml: Uint8Array): Uint8Array<ArrayBuffer> =>
    new Uint8Array(
      zipSync({
        '[Content_Types].xml': strToU8(types),
        '_rels/.rels': strToU8(rels),
        'word/document.xml': [xml, { level: 9 }],
      }),
    );
  test.each<[string, () => Uint8Array<ArrayBuffer>, string, number]>([
    ['nothing', () => new Uint8Array(), 'empty', 422],
    ['a zip bomb', () => bomb(new Uint8Array(30_000_000).fill(32)), 'bomb', 422],
    ['nesting without end', () => bomb(strToU8(`<w:document ${ns}>${'<w:sdt>'.repeat(200_000)}`)), 'bomb', 422],
    [
      'a document type',
      () =>
        bomb(
          strToU8(
            `<!DOCTYPE x [${Array.from({ length: 30 }, (_, i) => `<!ENTITY e${i + 1} "&e${i};&e${i};">`).join('')}]><x>&e30;</x>`,
          ),
        ),
      'doctype',
      422,
    ],
    ['half a file', () => new Uint8Array(report.subarray(0, report.length / 2)), 'truncated', 422],
    ['more than the limit', () => new Uint8Array(65 * 1024 * 1024), 'too-large', 413],
    ['a picture', () => Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 0]), 'unknown-type', 422],
  ])('%s', async (_, make, code, status) => {
    const bytes = make();
    const start = performance.now();
    const response = await create(bytes, 'input.docx'.replace('docx', code === 'unknown-type' ? 'png' : 'docx'));
    expect(await failure(response)).toMatchObject({ status, code, kept: expect.stringContaining('no deck was made') });
    // Not a measure: far above what it takes, far below what a bomb would.
    expect(performance.now() - start).toBeLessThan(10_000);
    expect((await call('/api/health')).status).toBe(200);
  });
});

const statusOf = async (headers: Record<string, string>, method = 'POST'): Promise<number | undefined> => {
  const sent = request({
    host: '127.0.0.1',
    port: Number(new URL(real.address).port),
    method,
    path: '/api/decks?name=x.md',
    headers,
  });
  sent.end(method === 'POST' ? '# x' : undefined);
  const [response] = (await once(sent, 'response')) as [IncomingMessage];
  response.resume();
  return response.statusCode;
};

test('a page of another site may not write, nor anybody by another name read', async () => {
  expect(await statusOf({ Origin: 'https://elsewhere.example' })).toBe(400);
  expect(await statusOf({ Origin: 'null' })).toBe(400);
  expect(await statusOf({ 'Sec-Fetch-Site': 'cross-site' })).toBe(400);
  expect(await statusOf({ Origin: real.address, 'Sec-Fetch-Site': 'same-origin' })).toBe(201);
  expect(await statusOf({ Host: 'elsewhere.example' }, 'GET')).toBe(400);
  expect(await statusOf({}, 'GET')).toBe(200);
});

test('pages get a strict policy', async () => {
  const policy = (await call('/api/health')).headers.get('content-security-policy')!;
  expect(policy).toContain("default-src 'none'");
  expect(policy).not.toContain('unsafe');
});

test('unknown addresses get the one kind of error', async () => {
  expect(await failure(await call('/api/nothing'))).toMatchObject({ status: 404, code: 'not-found' });
});

test('migrating twice changes nothing', async () => {
  await migrate(real.context.db);
  expect((await call('/api/decks')).status).toBe(200);
});

describe('several files', () => {
  const keep = async (content: string): Promise<string> =>
    ((await (await call('/api/files', { method: 'POST', body: content })).json()) as { hash: string }).hash;
  const join = (parts: readonly object[]): Promise<Response> =>
    call('/api/decks', {
      method: 'POST',
      body: JSON.stringify({ parts }),
      headers: { 'Content-Type': 'application/json' },
    });

  test('become parts of one document, and come back as they were', async () => {
    const parts = [
      { name: 'a.md', hash: await keep('# One\n\na\n') },
      { name: 'b.txt', hash: await keep('Two\n===\n\nb\n') },
      { name: 'a.md', hash: await keep('# Three\n') },
    ];
    const { deck } = (await (await join(parts)).json()) as { deck: DeckSummary };
    expect(deck).toMatchObject({ type: 'parts', fileName: '3 files: a.md, b.txt, a.md', words: 5 });
    const zip = unzipSync(new Uint8Array(await (await call(`/api/decks/${deck.id}/original`)).arrayBuffer()));
    expect(Object.entries(zip).map(([name, bytes]) => [name, Buffer.from(bytes).toString()])).toEqual([
      ['a.md', '# One\n\na\n'],
      ['b.txt', 'Two\n===\n\nb\n'],
      ['2 a.md', '# Three\n'],
    ]);
    // Without the cache they are read again, to the same document.
    const packed = await packedDocument(real.context, deck.id);
    await real.context.db('documents').delete();
    expect(Buffer.compare(Buffer.from(await packedDocument(real.context, deck.id)), Buffer.from(packed))).toBe(0);
  });

  test('of which one cannot be read or is not there make no deck', async () => {
    const good = { name: 'a.md', hash: await keep('# One\n') };
    const bad = { name: 'b.docx', hash: await keep('no package') };
    expect(await failure(await join([good, bad]))).toMatchObject({ status: 422, code: 'not-a-zip', place: 'b.docx' });
    expect(await failure(await join([good, { name: 'c.md', hash: '0'.repeat(64) }]))).toMatchObject({
      status: 404,
      code: 'file-not-found',
    });
    expect(await failure(await join([]))).toMatchObject({ status: 400 });
  });
});

test('changes of structure and text, and groups of edits, are kept and given back', async () => {
  const deck = await newDeck('# One\n\ntext\n');
  const entries: readonly LogEntry[] = [
    { kind: 'shape', shapes: [{ block: 'x' as never, as: { kind: 'heading', level: 2 } }] },
    {
      kind: 'all',
      edits: [
        { kind: 'leave', blocks: ['x' as never], as: 'advert' },
        { kind: 'keep', blocks: ['x' as never] },
        { kind: 'describe', block: 'x' as never, alt: 'The gate' },
      ],
    },
    {
      kind: 'write',
      replaces: ['x' as never],
      after: null,
      blocks: [
        { kind: 'paragraph', id: 'x' as never, runs: [{ text: 'a', link: 'https://a.example/' }] },
        {
          kind: 'table',
          id: 'y' as never,
          table: { columns: 1, rows: [{ header: true, cells: [{ runs: [], columns: 1, rows: 1 }] }] },
        },
      ],
    },
    { kind: 'breaks', start: true },
  ];
  expect((await post(`/api/decks/${deck.id}/entries`, { base: 0, entries })).status).toBe(200);
  expect(((await (await call(`/api/decks/${deck.id}`)).json()) as OpenDeck).log).toEqual(entries);
  for (const entry of [
    { kind: 'shape', shapes: [{ block: 'x', as: { kind: 'heading', level: 7 } }] },
    { kind: 'leave', blocks: ['x'], as: 'because' },
    { kind: 'all', edits: [{ kind: 'undo' }] },
    {
      kind: 'write',
      replaces: [],
      after: null,
      blocks: [{ kind: 'paragraph', id: 'x', runs: [{ text: 'a', link: 'javascript:x' }] }],
    },
  ])
    expect((await post(`/api/decks/${deck.id}/entries`, { base: 4, entries: [entry] })).status).toBe(400);
});

test('a picture that is put in is kept, shown, and exported; what is none is refused', async () => {
  const deck = await newDeck('# One\n\ntext\n');
  const png = new Uint8Array(encode({ width: 4, height: 3, data: new Uint8Array(36).fill(9), channels: 3 }));
  const response = await call(`/api/decks/${deck.id}/pictures?name=gate.png`, { method: 'POST', body: png });
  const picture = (await response.json()) as Picture;
  expect([response.status, picture]).toMatchObject([201, { mime: 'image/png', width: 4, height: 3 }]);
  const shown = () => call(`/api/decks/${deck.id}/pictures/${picture.id}`);
  // A page shows it while the edit that puts it in is still on its way; another deck has no such picture.
  expect((await shown()).status).toBe(200);
  const other = await newDeck('# Other\n\ntext\n');
  expect((await call(`/api/decks/${other.id}/pictures/${picture.id}`)).status).toBe(404);
  const entry: LogEntry = {
    kind: 'write',
    replaces: [],
    after: null,
    blocks: [{ kind: 'picture', id: 'new' as never, picture: picture.id, alt: 'The gate' }],
    pictures: [picture],
  };
  expect((await post(`/api/decks/${deck.id}/entries`, { base: 0, entries: [entry] })).status).toBe(200);
  expect(Buffer.from(await (await shown()).arrayBuffer()).equals(Buffer.from(png))).toBe(true);
  const pptx = unzipSync(new Uint8Array(await (await call(`/api/decks/${deck.id}/deck.pptx`)).arrayBuffer()));
  expect(Object.keys(pptx).filter((name) => name.startsWith('ppt/media/'))).toHaveLength(1);
  const refused = await call(`/api/decks/${deck.id}/pictures?name=x.png`, { method: 'POST', body: 'no picture' });
  expect(await failure(refused)).toMatchObject({ status: 422, code: 'picture-unusable' });
});

test.each([
  ['/api/decks/%F0%9F%98%80', 404],
  ['/api/decks/M%C3%BChle/document', 404],
  ['/api/decks/%E0%A4%A', 400],
  [`/api/decks/${'x'.repeat(3000)}`, 404],
  ['/api/decks/x%00y', 404],
])('the address %s gives the usual error', async (path, status) => {
  expect((await failure(await call(path))).status).toBe(status);
});

test('odd names of batches, pictures, templates and editions give the usual error', async () => {
  const { id } = await newDeck();
  const paths = [
    'batches/%C3%A4',
    'batches/none',
    'pictures/%C3%A4',
    'pictures/..%2F..',
    'templates/%C3%A4',
    'document?edition=%C3%A4',
  ];
  for (const path of paths) {
    const { status, code } = await failure(await call(`/api/decks/${id}/${path}`));
    expect([path, status < 500, code]).toEqual([path, true, expect.any(String)]);
  }
});

test('a version that the server does not know is said to be one, on reading and on writing; entries have their writer', async () => {
  const { id } = await newDeck();
  const by = '7f8c3a52-9a4e-4a43-8a8e-0c7a4a6d2b11';
  await post(`/api/decks/${id}/entries`, { base: 0, entries: [cut('a')], by });
  await post(`/api/decks/${id}/entries`, { base: 1, entries: [{ kind: 'undo' }] });
  const { log, by: writers } = (await (await call(`/api/decks/${id}`)).json()) as OpenDeck;
  expect([log.length, writers]).toEqual([2, [by, null]]);
  expect(await failure(await call(`/api/decks/${id}/entries?after=9`))).toMatchObject({
    status: 412,
    code: 'version-unknown',
  });
  const refused = await post(`/api/decks/${id}/entries`, { base: 9, entries: [cut('b')] });
  expect(await failure(refused)).toMatchObject({ status: 412, code: 'version-unknown' });
});

test('what stops a database is said as what it is', async () => {
  const { failureOf } = await import('../services/app-error.ts');
  const fault = (code: string) => failureOf(Object.assign(new Error('x'), { code })).body.error.code;
  expect(['ER_DISK_FULL', 'ER_RECORD_FILE_FULL', 'ENOSPC'].map(fault)).toEqual(Array(3).fill('database-full'));
  expect(['ER_OPTION_PREVENTS_STATEMENT'].map(fault)).toEqual(['database-read-only']);
  expect(['ECONNREFUSED', 'PROTOCOL_CONNECTION_LOST', 'ER_SERVER_SHUTDOWN'].map(fault)).toEqual(
    Array(3).fill('database-away'),
  );
  expect(['ER_NET_PACKET_TOO_LARGE', 'ER_DUP_ENTRY'].map(fault)).toEqual(['too-large', 'internal']);
});
