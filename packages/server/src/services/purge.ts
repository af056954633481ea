/** Ends what was deleted long ago: decks with their logs, and files that no deck needs any more. */
import { editPictures, type Edit } from '@alvex/core';
import { dropBlobs } from '../db/blobs.ts';
import { allDecks, dropDeck, type DeckRow } from '../db/decks.ts';
import { dropDocuments } from '../db/documents.ts';
import { getEditions, getTemplates } from '../db/editions.ts';
import { entriesAfter } from '../db/entries.ts';
import type { Context } from './context.ts';
import { hashesOf, packedOf } from './files.ts';
import { packedTemplate } from './templates.ts';

/** For so long a deleted deck can be restored. */
export const KEPT_DAYS = 30;
const DAY = 86_400_000; // ms

/** What a deck needs: its files, and the pictures in them and in its edits. */
async function neededBy(context: Context, row: DeckRow): Promise<ReadonlySet<string>> {
  const { db, jobs } = context;
  const needed = new Set<string>();
  for (const source of [row, ...(await getEditions(db, row.id))]) {
    for (const hash of await hashesOf(context, source)) needed.add(hash);
    const packed = await packedOf(context, source);
    for (const { id } of await jobs.run('pictures', { packed })) needed.add(id);
  }
  for (const { original } of await getTemplates(db, row.id)) {
    needed.add(original);
    const packed = await packedTemplate(context, row.id, original, true);
    for (const { id } of await jobs.run('pictures', { packed })) needed.add(id);
  }
  const { entries } = await entriesAfter(db, row.id, 0);
  const edits = entries.filter((entry): entry is Edit => entry.kind !== 'undo' && entry.kind !== 'redo');
  for (const { id } of editPictures(edits)) needed.add(id);
  return needed;
}

/**
 * Where it is not known what another deck needs, as when its file cannot be read, all files stay.
 * @returns How many decks and files went.
 */
export async function purge(context: Context): Promise<{ readonly decks: number; readonly files: number }> {
  const { db, workspace } = context;
  const before = new Date(context.now().getTime() - KEPT_DAYS * DAY);
  const decks = await allDecks(db, workspace);
  const old = decks.filter(({ deleted_at: at }) => at !== null && new Date(at) < before);
  if (old.length === 0) return { decks: 0, files: 0 };
  const gone = new Set<string>();
  for (const row of old) for (const hash of await neededBy(context, row).catch(() => [row.original])) gone.add(hash);
  for (const { id } of old) await dropDeck(db, id);
  for (const row of decks) if (!old.includes(row)) for (const hash of await neededBy(context, row)) gone.delete(hash);
  // A file that was brought in within the last hour may be of a deck that is being made.
  const files = await dropBlobs(db, workspace, [...gone], new Date(context.now().getTime() - DAY / 24));
  await dropDocuments(db, workspace, [...gone]);
  return { decks: old.length, files };
}

/** Purges now and every day. @returns Ends it. */
export function purgeDaily(context: Context, failed: (error: unknown) => void): () => void {
  const run = (): void => void purge(context).catch(failed);
  const first = setTimeout(run, 60_000);
  const daily = setInterval(run, DAY);
  first.unref();
  daily.unref();
  return () => {
    clearTimeout(first);
    clearInterval(daily);
  };
}
