/** Fills a database with rows that were taken out of another as JSON. */
import type { Db } from '../db/connect.ts';

export type Tables = Readonly<Record<string, readonly Readonly<Record<string, unknown>>[]>>;

const TABLES = ['blobs', 'decks', 'entries', 'documents', 'editions', 'own_maps'];

const stored = (value: unknown): unknown =>
  typeof value === 'object' && value !== null && 'base64' in value
    ? Buffer.from(String(value.base64), 'base64')
    : typeof value === 'string' && /^\d{4}-\d\d-\d\dT/.test(value)
      ? new Date(value)
      : value;

export async function insertTables(db: Db, tables: Tables): Promise<void> {
  for (const table of TABLES)
    for (const row of tables[table] ?? [])
      await db(table).insert(Object.fromEntries(Object.entries(row).map(([key, value]) => [key, stored(value)])));
}
