/** Makes a deck of files. */
import { randomUUID } from 'node:crypto';
import type { DeckSummary } from '@alvex/contract';
import { ID_FORMAT } from '@alvex/core';
import { insertDeck, summary } from '../db/decks.ts';
import type { Watching } from '../jobs/pool.ts';
import type { Context } from './context.ts';
import { existing } from './existing-deck.ts';
import { takeIn, type NewFile } from './files.ts';

/** @throws as `takeIn`. */
export async function createDeck(
  context: Context,
  files: readonly NewFile[],
  watching: Watching = {},
): Promise<DeckSummary> {
  const { hash, type, fileName, title, words, beginning } = await takeIn(context, files, watching, true);
  const id = randomUUID();
  const name = (title ?? (files[0]?.fileName ?? '').replace(/\.[^.]+$/, '')).trim().slice(0, 200) || 'Untitled';
  await insertDeck(
    context.db,
    {
      id,
      workspace_id: context.workspace,
      name,
      file_name: fileName,
      type,
      original: hash,
      words,
      ids: ID_FORMAT,
    },
    beginning,
    context.now(),
  );
  return summary(await existing(context, id));
}
