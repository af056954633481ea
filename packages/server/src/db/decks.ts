/** Decks and their logs. */
import type { LogEntry } from '@alvex/core';
import type { DeckSummary } from '@alvex/contract';
import type { Db } from './connect.ts';

export interface DeckRow {
  readonly id: string;
  readonly workspace_id: number;
  readonly name: string;
  readonly file_name: string;
  readonly type: string;
  readonly original: string;
  readonly words: number;
  readonly version: number;
  readonly updated_at: Date;
  readonly deleted_at: Date | null;
}

export const summary = (row: DeckRow): DeckSummary => ({
  id: row.id,
  name: row.name,
  fileName: row.file_name,
  type: row.type,
  words: row.words,
  version: row.version,
  updatedAt: new Date(row.updated_at).toISOString(),
});

export async function listDecks(db: Db, workspace: number): Promise<readonly DeckRow[]> {
  return (await db('decks')
    .where({ workspace_id: workspace, deleted_at: null })
    .orderBy([{ column: 'updated_at', order: 'desc' }, { column: 'id' }])) as DeckRow[];
}

export async function getDeck(db: Db, workspace: number, id: string): Promise<DeckRow | undefined> {
  return (await db('decks').where({ workspace_id: workspace, id }).first()) as DeckRow | undefined;
}

export async function insertDeck(
  db: Db,
  row: Omit<DeckRow, 'version' | 'updated_at' | 'deleted_at'>,
  now: Date,
): Promise<void> {
  await db('decks').insert({ ...row, version: 0, created_at: now, updated_at: now });
}

export async function updateDeck(
  db: Db,
  workspace: number,
  id: string,
  change: Partial<Pick<DeckRow, 'name' | 'updated_at' | 'deleted_at'>>,
): Promise<void> {
  await db('decks').where({ workspace_id: workspace, id }).update(change);
}

export async function entriesAfter(db: Db, deck: string, version: number): Promise<readonly LogEntry[]> {
  const rows = (await db('entries')
    .where({ deck_id: deck })
    .andWhere('version', '>', version)
    .orderBy('version')
    .select('entry')) as { entry: string }[];
  return rows.map((row) => JSON.parse(row.entry) as LogEntry);
}

/**
 * Appends to a log if nobody wrote since `base`.
 * @param batch Names these entries; sent a second time they are there already, and their version comes back.
 * @returns The new version, or undefined when `base` is not the newest.
 */
export async function appendEntries(
  db: Db,
  deck: string,
  base: number,
  entries: readonly LogEntry[],
  now: Date,
  batch?: string,
): Promise<number | undefined> {
  return db.transaction(async (trx) => {
    // The row is locked until the end, so of two writers with one base the second finds a newer version.
    const row = (await trx('decks').where({ id: deck }).forUpdate().first('version')) as
      { version: number } | undefined;
    if (row === undefined) return undefined;
    const known = batch === undefined ? null : await batchVersion(trx, deck, batch);
    if (known !== null) return known;
    if (row.version !== base) return undefined;
    await trx('entries').insert(
      entries.map((entry, i) => ({
        deck_id: deck,
        version: base + i + 1,
        entry: JSON.stringify(entry),
        at: now,
        batch: batch ?? null,
      })),
    );
    await trx('decks')
      .where({ id: deck })
      .update({ version: base + entries.length, updated_at: now });
    return base + entries.length;
  });
}

/** The version that a batch of entries led to; null where it is not kept. */
export async function batchVersion(db: Db, deck: string, batch: string): Promise<number | null> {
  const row = (await db('entries').where({ deck_id: deck, batch }).max('version as version').first()) as
    { version: number | null } | undefined;
  return row?.version ?? null;
}
