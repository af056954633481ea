/** Finding, opening, naming and deleting decks. */
import { randomUUID } from 'node:crypto';
import type { DeckSummary, ListedDeck, OpenDeck } from '@alvex/contract';
import { readEntry } from '@alvex/core';
import { copyDeck, deletedDecks, listDecks, summary, updateDeck } from '../db/decks.ts';
import type { Context } from './context.ts';
import { existing } from './existing-deck.ts';
import { wholeLog } from './log.ts';

export const recentDecks = async ({ db, workspace }: Context): Promise<readonly ListedDeck[]> =>
  (await listDecks(db, workspace)).map(({ last, ...row }) => ({
    ...summary(row),
    ...(last === null ? {} : { last: readEntry(JSON.parse(last) as { readonly kind: string }) }),
  }));

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

/** A second deck with all that was done to the first; from here on each goes its own way. */
export async function duplicateDeck(context: Context, id: string): Promise<DeckSummary> {
  const row = await existing(context, id);
  const copy = randomUUID();
  await copyDeck(context.db, id, copy, copyName(row.name), context.now());
  return summary(await existing(context, copy));
}

const LONGEST_NAME = 200;

function copyName(name: string): string {
  const [, stem = name, number] = /^(.*?) \((\d+)\)$/.exec(name) ?? [];
  const ending = ` (${Number(number ?? 1) + 1})`;
  return stem.slice(0, LONGEST_NAME - ending.length) + ending;
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
