/** Finds the deck that a request is about. */
import { getDeck, type DeckRow } from '../db/decks.ts';
import { AppError } from './app-error.ts';
import type { Context } from './context.ts';

/** @throws AppError `deck-not-found`. */
export async function existing({ db, workspace }: Context, id: string, deletedToo = false): Promise<DeckRow> {
  const row = await getDeck(db, workspace, id);
  if (row === undefined || (row.deleted_at !== null && !deletedToo)) throw new AppError('deck-not-found');
  return row;
}
