/** Decks. */
import type { DeckSummary } from '@alvex/contract';
import type { Edit } from '@alvex/core';
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
  /** How the ids in its log were made. */
  readonly ids: number;
  readonly updated_at: Date;
  readonly deleted_at: Date | null;
}

/** What a deck began with is long, and wanted only with its whole log. */
const COLUMNS: readonly (keyof DeckRow)[] = [
  'id',
  'workspace_id',
  'name',
  'file_name',
  'type',
  'original',
  'words',
  'version',
  'ids',
  'updated_at',
  'deleted_at',
];

/** Edits before a deck's log; none where nothing was decided when it was made. */
export async function getBeginning(db: Db, id: string): Promise<readonly Edit[]> {
  const row = (await db('decks').where({ id }).first('beginning')) as { readonly beginning: string | null } | undefined;
  return row === undefined || row.beginning === null ? [] : (JSON.parse(row.beginning) as readonly Edit[]);
}

export const summary = (row: DeckRow): DeckSummary => ({
  id: row.id,
  name: row.name,
  fileName: row.file_name,
  type: row.type,
  words: row.words,
  version: row.version,
  updatedAt: new Date(row.updated_at).toISOString(),
  ...(row.deleted_at === null ? {} : { deletedAt: new Date(row.deleted_at).toISOString() }),
});

/** Longer entries are not sent with a list. */
const LONGEST_LISTED = 4000; // bytes

/** With the last entry of each log; null where there is none, or a long one. */
export async function listDecks(
  db: Db,
  workspace: number,
): Promise<readonly (DeckRow & { readonly last: string | null })[]> {
  return (await db('decks')
    .leftJoin('entries', function () {
      this.on('entries.deck_id', 'decks.id').andOn('entries.version', 'decks.version');
    })
    .select(COLUMNS.map((column) => `decks.${column}`))
    .select(db.raw('IF(LENGTH(entries.entry) > ?, NULL, entries.entry) AS last', [LONGEST_LISTED]))
    .where({ workspace_id: workspace, deleted_at: null })
    .orderBy([{ column: 'updated_at', order: 'desc' }, { column: 'decks.id' }])) as (DeckRow & {
    readonly last: string | null;
  })[];
}

/** A second deck of the same document, with all that was done; `id` and `name` are its own. */
export async function copyDeck(db: Db, from: string, id: string, name: string, now: Date): Promise<void> {
  await db.transaction(async (trx) => {
    await trx.raw(
      `INSERT INTO decks (id, workspace_id, name, file_name, type, original, words, version, ids, beginning, created_at, updated_at)
       SELECT ?, workspace_id, ?, file_name, type, original, words, version, ids, beginning, ?, ? FROM decks WHERE id = ?`,
      [id, name, now, now, from],
    );
    await trx.raw(
      'INSERT INTO entries (deck_id, version, entry, at, writer) SELECT ?, version, entry, at, writer FROM entries WHERE deck_id = ?',
      [id, from],
    );
    await trx.raw(
      'INSERT INTO editions (deck_id, original, type, file_name, at) SELECT ?, original, type, file_name, at FROM editions WHERE deck_id = ?',
      [id, from],
    );
  });
}

/** Those of the workspace that can be restored, the last deleted first. */
export const deletedDecks = async (db: Db, workspace: number): Promise<readonly DeckRow[]> =>
  (await db('decks')
    .select(COLUMNS)
    .where({ workspace_id: workspace })
    .whereNotNull('deleted_at')
    .orderBy([{ column: 'deleted_at', order: 'desc' }, { column: 'id' }])) as DeckRow[];

/** All of the workspace, deleted ones too. */
export const allDecks = async (db: Db, workspace: number): Promise<readonly DeckRow[]> =>
  (await db('decks').select(COLUMNS).where({ workspace_id: workspace })) as DeckRow[];

/** Ends a deck with its log. */
export async function dropDeck(db: Db, id: string): Promise<void> {
  await db.transaction(async (trx) => {
    await trx('entries').where({ deck_id: id }).delete();
    await trx('editions').where({ deck_id: id }).delete();
    await trx('decks').where({ id }).delete();
  });
}

export async function getDeck(db: Db, workspace: number, id: string): Promise<DeckRow | undefined> {
  return (await db('decks').select(COLUMNS).where({ workspace_id: workspace, id }).first()) as DeckRow | undefined;
}

export async function insertDeck(
  db: Db,
  row: Omit<DeckRow, 'version' | 'updated_at' | 'deleted_at'>,
  beginning: readonly Edit[],
  now: Date,
  deleted: Date | null = null,
): Promise<void> {
  await db('decks').insert({
    ...row,
    beginning: JSON.stringify(beginning),
    version: 0,
    created_at: now,
    updated_at: now,
    deleted_at: deleted,
  });
}

export async function updateDeck(
  db: Db,
  workspace: number,
  id: string,
  change: Partial<Pick<DeckRow, 'name' | 'updated_at' | 'deleted_at'>>,
): Promise<void> {
  await db('decks').where({ workspace_id: workspace, id }).update(change);
}
