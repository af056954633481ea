/** Finding, opening, naming and deleting decks. */
import type { DeckSummary, OpenDeck } from '@alvex/contract';
import { deletedDecks, listDecks, summary, updateDeck } from '../db/decks.ts';
import type { Context } from './context.ts';
import { existing } from './existing-deck.ts';
import { wholeLog } from './log.ts';

export const recentDecks = async ({ db, workspace }: Context): Promise<readonly DeckSummary[]> =>
  (await listDecks(db, workspace)).map(summary);

/** Decks that can be restored. */
export const restorableDecks = async ({ db, workspace }: Context): Promise<readonly DeckSummary[]> =>
  (await deletedDecks(db, workspace)).map(summary);

export async function openDeck(context: Context, id: string): Promise<OpenDeck> {
  const row = await existing(context, id);
  const { entries: log, by, beginning } = await wholeLog(context, id);
  // The version that the log has, whatever was written between the two questions.
  return { deck: summary({ ...row, version: log.length }), beginning, log, by };
}

export async function renameDeck(context: Context, id: string, name: string): Promise<DeckSummary> {
  const row = await existing(context, id);
  await updateDeck(context.db, context.workspace, id, { name: name.trim(), updated_at: context.now() });
  return summary({ ...row, name: name.trim() });
}

export async function deleteDeck(context: Context, id: string): Promise<void> {
  await existing(context, id);
  await updateDeck(context.db, context.workspace, id, { deleted_at: context.now() });
}

export async function restoreDeck(context: Context, id: string): Promise<DeckSummary> {
  const row = await existing(context, id, true);
  await updateDeck(context.db, context.workspace, id, { deleted_at: null });
  return summary(row);
}
