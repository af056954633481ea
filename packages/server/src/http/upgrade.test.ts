/**
 * A database of every version that was released, each made by that version's own server from one document and the same
 * work: brought up to date, the work is in its place.
 */
import { describe, expect, test } from '@jest/globals';
import { convert, foldLog, ID_FORMAT, runsText, type DocumentModel, type LogEntry } from '@alvex/core';
import { readdirSync, readFileSync } from 'node:fs';
import { migrate, STEPS } from '../db/migrations.ts';
import { insertTables, type Tables } from '../test/insert-tables.ts';
import { RealServer } from '../test/real.ts';

interface Old {
  readonly deck: string;
  /** Names of the steps that its schema had taken. */
  readonly steps: readonly string[];
  readonly tables: Tables;
}
const FOLDER = 'packages/server/src/test';
const VERSIONS = readdirSync(FOLDER)
  .flatMap((name) => /^upgrade-(.*)\.json$/.exec(name)?.[1] ?? [])
  .sort();

test('there is one of each', () => expect(VERSIONS).toEqual(['0.1.0', '0.2.0', '0.3.0', '0.5.0', '0.6.0']));

describe.each(VERSIONS)('%s', (version) => {
  test('the work is in its place, and more can be done', async () => {
    const old = JSON.parse(readFileSync(`${FOLDER}/upgrade-${version}.json`, 'utf8')) as Old;
    const real = await RealServer.start(async (db) => {
      const known = STEPS.filter(({ name }) => old.steps.includes(name));
      expect(known.map(({ name }) => name)).toEqual(old.steps);
      await migrate(db, known);
      await insertTables(db, old.tables);
    });
    try {
      const json = async <T>(path: string, init?: RequestInit): Promise<T> => {
        const response = await fetch(`${real.address}/api/decks/${old.deck}${path}`, init);
        expect(response.status).toBe(200);
        return (await response.json()) as T;
      };
      const { log } = await json<{ log: readonly LogEntry[] }>('');
      expect(log).toHaveLength(9);
      const { deck, unplaced } = convert(await json<DocumentModel>('/document'), foldLog(log).done);
      expect(unplaced).toEqual([]);
      expect(
        deck.slides.map(({ title, content, notes }) => [
          runsText(title.runs),
          ...content.map((part) => ('runs' in part ? runsText(part.runs) : part.kind)),
          ...notes.map(({ runs }) => `(${runsText(runs)})`),
        ]),
      ).toEqual([
        ['The mill'],
        ['Gates', 'The gates are old. They are mended in spring.', 'Oak', 'Iron', 'Oak, the second'],
        ['The pond', 'Silt', '(Reeds grow.)'],
        ['Pond', 'Eels'],
        ['Guests', 'table', '(Gulls)', '(Sparrows.)'],
      ]);
      const entry: LogEntry = { kind: 'retitle', slide: deck.slides[4]!.id, runs: [{ text: 'Visitors' }] };
      await json('/entries', {
        method: 'POST',
        body: JSON.stringify({ base: 9, entries: [entry], ids: ID_FORMAT }),
        headers: { 'Content-Type': 'application/json' },
      });
      expect((await fetch(`${real.address}/api/decks/${old.deck}/deck.pptx`)).status).toBe(200);
    } finally {
      await real.stop();
    }
  });
});
