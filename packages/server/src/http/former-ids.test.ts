/** A database of version 0.4.0, with a deck that was worked on there: its ids are carried over, and all of the work is still in its place. */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { convert, foldLog, ID_FORMAT, runsText, type DocumentModel, type LogEntry } from '@alvex/core';
import { readFileSync } from 'node:fs';
import { migrate, STEPS } from '../db/migrations.ts';
import { RealServer } from '../test/real.ts';

interface Old {
  readonly deck: string;
  readonly slides: readonly {
    readonly title: string;
    readonly content: readonly string[];
    readonly notes: readonly string[];
  }[];
  readonly tables: Readonly<Record<string, readonly Readonly<Record<string, unknown>>[]>>;
}
const old = JSON.parse(readFileSync('packages/server/src/test/database-0.4.0.json', 'utf8')) as Old;

const stored = (value: unknown): unknown =>
  typeof value === 'object' && value !== null && 'base64' in value
    ? Buffer.from(String(value.base64), 'base64')
    : typeof value === 'string' && /^\d{4}-\d\d-\d\dT/.test(value)
      ? new Date(value)
      : value;

let real: RealServer;
beforeAll(async () => {
  real = await RealServer.start(async (db) => {
    await migrate(db, STEPS.slice(0, 2));
    for (const table of ['blobs', 'decks', 'entries', 'documents', 'editions'])
      for (const row of old.tables[table] ?? [])
        await db(table).insert(Object.fromEntries(Object.entries(row).map(([key, value]) => [key, stored(value)])));
  });
}, 60_000);
afterAll(() => real.stop());

const json = async <T>(path: string, init?: RequestInit): Promise<T> => {
  const response = await fetch(`${real.address}/api/decks/${old.deck}${path}`, init);
  expect(response.status).toBe(200);
  return (await response.json()) as T;
};
async function slides(): Promise<Old['slides']> {
  const { log } = await json<{ log: readonly LogEntry[] }>('');
  const { done } = foldLog(log);
  const edition = done.find((edit) => edit.kind === 'edition');
  const document = await json<DocumentModel>(`/document?edition=${edition?.original ?? ''}`);
  const { deck, unplaced } = convert(document, done);
  expect(unplaced).toEqual([]);
  return deck.slides.map((slide) => ({
    title: runsText(slide.title.runs),
    content: slide.content.map((part) =>
      'runs' in part ? `${'level' in part ? `${part.level} ` : ''}${runsText(part.runs)}` : part.kind,
    ),
    notes: slide.notes.map((note) => runsText(note.runs)),
  }));
}

test('the deck is as it was, its log is written anew once, and new work stands beside the old', async () => {
  const before = await real.context.db('entries').orderBy('version').select('entry');
  expect(await slides()).toEqual(old.slides);
  const after = await real.context.db('entries').orderBy('version').select('entry');
  expect(after).not.toEqual(before);
  expect(after).toHaveLength(before.length);
  expect(await real.context.db('decks').first('ids')).toEqual({ ids: ID_FORMAT });
  expect(await slides()).toEqual(old.slides);
  expect(await real.context.db('entries').orderBy('version').select('entry')).toEqual(after);
});

test('what an older window sends late is carried over too; a newer one is taken as it is', async () => {
  const { log } = await json<{ log: readonly LogEntry[] }>('');
  const turn = JSON.parse(String(old.tables['entries']?.[0]?.['entry'])) as LogEntry & { kind: 'turn' };
  const body = (base: number, more: object): RequestInit => ({
    method: 'POST',
    body: JSON.stringify({ base, entries: [{ ...turn, to: 'out' }], ...more }),
  });
  await json('/entries', body(log.length, {}));
  await json('/entries', body(log.length + 1, { ids: ID_FORMAT }));
  const { log: all } = await json<{ log: readonly (LogEntry & { block: string })[] }>('');
  expect(all.at(-2)?.block).toBe((log[0] as LogEntry & { kind: 'turn' }).block);
  expect(all.at(-1)?.block).toBe(turn.block);
});

test('a kind of edit that only a newer Alvex knows is laid aside and shown', async () => {
  const { version } = (await real.context.db('decks').first('version')) as { version: number };
  const entry = JSON.stringify({ kind: 'sing', song: 'tide' });
  await real.context.db('entries').insert({ deck_id: old.deck, version: version + 1, entry, at: new Date() });
  await real.context.db('decks').update({ version: version + 1 });
  const { log } = await json<{ log: readonly LogEntry[] }>('');
  expect(log.at(-1)).toEqual({ kind: 'unknown', entry: { kind: 'sing', song: 'tide' } });
  expect(
    await real.context
      .db('entries')
      .where({ version: version + 1 })
      .first('entry'),
  ).toEqual({ entry });
});
