/** The logs of decks. */
import { readEntry, type LogEntry, type Writer } from '@alvex/core';
import type { Db } from './connect.ts';

/** Entries in their order, and who wrote each. */
export interface WrittenEntries {
  readonly entries: readonly LogEntry[];
  readonly by: readonly Writer[];
}

export async function entriesAfter(db: Db, deck: string, version: number): Promise<WrittenEntries> {
  const rows = (await db('entries')
    .where({ deck_id: deck })
    .andWhere('version', '>', version)
    .orderBy('version')
    .select('entry', 'writer')) as { entry: string; writer: Writer }[];
  return {
    entries: rows.map((row) => readEntry(JSON.parse(row.entry) as { readonly kind: string })),
    by: rows.map(({ writer }) => writer),
  };
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
  { batch, by }: { readonly batch?: string | undefined; readonly by?: string | undefined } = {},
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
        writer: by ?? null,
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

/** Writes the entries of a deck anew, in their order, unless another did so in the meantime. */
export async function rewriteEntries(
  db: Db,
  deck: string,
  entries: readonly LogEntry[],
  ids: number,
  beginning: readonly LogEntry[],
): Promise<void> {
  await db.transaction(async (trx) => {
    const row = (await trx('decks').where({ id: deck }).forUpdate().first('ids', 'version')) as
      { ids: number; version: number } | undefined;
    if (row === undefined || row.ids === ids || row.version !== entries.length) return;
    for (const [i, entry] of entries.entries())
      await trx('entries')
        .where({ deck_id: deck, version: i + 1 })
        .update({ entry: JSON.stringify(entry) });
    await trx('decks')
      .where({ id: deck })
      .update({ ids, beginning: JSON.stringify(beginning) });
  });
}

const CHUNK = 500; // entries of a statement

/** The whole log of a deck that has none yet. */
export async function insertLog(db: Db, deck: string, entries: readonly LogEntry[], now: Date): Promise<void> {
  await db.transaction(async (trx) => {
    for (let from = 0; from < entries.length; from += CHUNK)
      await trx('entries').insert(
        entries.slice(from, from + CHUNK).map((entry, i) => ({
          deck_id: deck,
          version: from + i + 1,
          entry: JSON.stringify(entry),
          at: now,
        })),
      );
    await trx('decks').where({ id: deck }).update({ version: entries.length });
  });
}
