/** The log of a deck: read, appended to, told to other windows. */
import type { AppendEntries, Newer } from '@alvex/contract';
import type { LogEntry } from '@alvex/core';
import { appendEntries, batchVersion, entriesAfter } from '../db/entries.ts';
import type { Context } from './context.ts';
import { existing } from './existing-deck.ts';

export type AppendOutcome = { readonly ok: true; readonly version: number } | ({ readonly ok: false } & Newer);

/** Appends entries; a write against an old version is refused with what is newer. */
export async function append(
  context: Context,
  id: string,
  { base, entries, batch }: AppendEntries,
): Promise<AppendOutcome> {
  await existing(context, id);
  const version = await appendEntries(context.db, id, base, entries, context.now(), batch);
  if (version !== undefined) return { ok: true, version };
  return { ok: false, ...(await newerThan(context, id, base)) };
}

/** Whether a batch of entries has arrived, for a window that did not hear the answer. */
export async function hasBatch(context: Context, id: string, batch: string): Promise<boolean> {
  await existing(context, id);
  return (await batchVersion(context.db, id, batch)) !== null;
}

/** What was written since a version. */
export async function newerThan(context: Context, id: string, version: number): Promise<Newer> {
  await existing(context, id);
  const newer = await entriesAfter(context.db, id, version);
  return { version: version + newer.length, newer };
}

/** All of a deck's log. */
export const wholeLog = ({ db }: Context, id: string): Promise<readonly LogEntry[]> => entriesAfter(db, id, 0);
