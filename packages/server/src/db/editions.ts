/** Files of a deck: those that may become, or were, editions of its document, and templates that it may be built on. */
import type { Db } from './connect.ts';

/** Type of a template. */
export const TEMPLATE = 'template';

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
  (await db('editions')
    .where({ deck_id: deck })
    .whereNot({ type: TEMPLATE })
    .orderBy('at')
    .select('original', 'type', 'file_name')) as EditionRow[];

export const getTemplates = async (db: Db, deck: string): Promise<readonly EditionRow[]> =>
  (await db('editions')
    .where({ deck_id: deck, type: TEMPLATE })
    .select('original', 'type', 'file_name')) as EditionRow[];

export const getTemplate = async (db: Db, deck: string, hash: string): Promise<EditionRow | undefined> =>
  (await getTemplates(db, deck)).find(({ original }) => original === hash);
