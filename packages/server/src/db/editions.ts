/** Files that may become, or were, editions of a deck's document. */
import type { Db } from './connect.ts';

export interface EditionRow {
  readonly original: string;
  readonly type: string;
  readonly file_name: string;
}

export async function putEdition(db: Db, deck: string, row: EditionRow, now: Date): Promise<void> {
  await db('editions')
    .insert({ deck_id: deck, ...row, at: now })
    .onConflict()
    .merge(['type', 'file_name']);
}

export const getEditions = async (db: Db, deck: string): Promise<readonly EditionRow[]> =>
  (await db('editions').where({ deck_id: deck }).orderBy('at').select('original', 'type', 'file_name')) as EditionRow[];
