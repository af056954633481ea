/** A database of version 0.4.0, with a deck that was worked on there: its ids are carried over, and all of the work is still in its place. */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import {
  BlockIds,
  convert,
  foldLog,
  ID_FORMAT,
  identityText,
  READER_VERSION,
  runsText,
  type DocumentModel,
  type LogEntry,
} from '@alvex/core';
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { migrate, STEPS } from '../db/migrations.ts';
import { insertTables, type Tables } from '../test/insert-tables.ts';
import { RealServer } from '../test/real.ts';

interface Old {
  readonly deck: string;
  readonly slides: readonly {
    readonly title: string;
    readonly content: readonly string[];
    readonly notes: readonly string[];
  }[];
  readonly tables: Tables;
}
const old = JSON.parse(readFileSync('packages/server/src/test/database-0.4.0.json', 'utf8')) as Old;

let real: RealServer;
beforeAll(async () => {
  real = await RealServer.start(async (db) => {
    await migrate(db, STEPS.slice(0, 2));
    await insertTables(db, old.tables);
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

test('work on a deck whose file an older reader read otherwise stays with the same lines', async () => {
  const { db } = real.context;
  const source = '12 boats came in on the tide of the morning.\n\nThey left again.\n';
  const made = await fetch(`${real.address}/api/decks?name=boats.txt`, { method: 'POST', body: source });
  const lines = (await made.text()).trim().split('\n');
  const { id } = (JSON.parse(lines.at(-1)!) as { deck: { id: string } }).deck;
  const row = (await db('decks').where({ id }).first()) as { original: string; type: string; workspace_id: number };
  const today = (await (await fetch(`${real.address}/api/decks/${id}/document`)).json()) as DocumentModel;
  // As 0.5 read it: the number was taken for that of an item.
  const ids = new BlockIds();
  const former = {
    ...today,
    blocks: today.blocks.map((block, i) =>
      i > 0
        ? { ...block, id: ids.next(block.kind, identityText(block)) }
        : {
            kind: 'listItem',
            depth: 1,
            ordered: true,
            number: 12,
            runs: [{ text: 'boats came in on the tide of the morning.' }],
            place: block.place,
            id: ids.next('listItem', 'boats came in on the tide of the morning.'),
          },
    ),
  };
  await db('documents').insert({
    workspace_id: row.workspace_id,
    original: row.original,
    type: row.type,
    reader: READER_VERSION - 1,
    packed: gzipSync(JSON.stringify(former)),
  });
  const edits = former.blocks.map(({ id: block }) => ({ kind: 'turn', block, to: 'out' }));
  await db('decks').where({ id }).update({ ids: 2, version: edits.length });
  for (const [i, edit] of edits.entries())
    await db('entries').insert({ deck_id: id, version: i + 1, entry: JSON.stringify(edit), at: new Date() });
  const { log } = (await (await fetch(`${real.address}/api/decks/${id}`)).json()) as { log: LogEntry[] };
  expect(log.map((entry) => entry.kind === 'turn' && entry.block)).toEqual(today.blocks.map((block) => block.id));
  expect(convert(today, foldLog(log).done).unplaced).toEqual([]);
});
