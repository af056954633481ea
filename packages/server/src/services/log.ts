/** The log of a deck: read, appended to, told to other windows. */
import type { AppendEntries, Newer } from '@alvex/contract';
import { ID_FORMAT, type Edit, type LogEntry } from '@alvex/core';
import { getBeginning, type DeckRow } from '../db/decks.ts';
import { appendEntries, batchVersion, entriesAfter, rewriteEntries, type WrittenEntries } from '../db/entries.ts';
import { AppError } from './app-error.ts';
import type { Context } from './context.ts';
import { existing } from './existing-deck.ts';
import { refuseImpossible } from './impossible-edits.ts';
import { formerlyPackedOf, packedOf } from './files.ts';
import { sourcesOf } from './originals.ts';

export type AppendOutcome = { readonly ok: true; readonly version: number } | ({ readonly ok: false } & Newer);

/** Appends entries; a write against an old version is refused with what is newer. */
export async function append(
  context: Context,
  id: string,
  { base, entries, batch, by, ids }: AppendEntries,
): Promise<AppendOutcome> {
  const row = await existing(context, id);
  await carryIds(context, row);
  const today = ids === ID_FORMAT ? entries : await withTodaysIds(context, row, entries, ids ?? FIRST_FORMAT);
  await refuseImpossible(context, row, today);
  const version = await appendEntries(context.db, id, base, today, context.now(), { batch, by });
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
  const row = await existing(context, id);
  // As after a backup was put back: what this window knows is not here any more.
  if (version > row.version) throw new AppError('version-unknown');
  await carryIds(context, row);
  const { entries: newer, by } = await entriesAfter(context.db, id, version);
  return { version: version + newer.length, newer, by };
}

/** All of a deck's log, and what was decided before it. */
export async function wholeLog(
  context: Context,
  id: string,
): Promise<WrittenEntries & { readonly beginning: readonly Edit[] }> {
  await carryIds(context, await existing(context, id));
  return { ...(await entriesAfter(context.db, id, 0)), beginning: await getBeginning(context.db, id) };
}

/** The edits of a deck of an older Alvex get the ids of today, once. */
async function carryIds(context: Context, row: DeckRow): Promise<void> {
  if (row.ids === ID_FORMAT) return;
  const { entries } = await entriesAfter(context.db, row.id, 0);
  const begun = await getBeginning(context.db, row.id);
  const carried = await withTodaysIds(context, row, [...begun, ...entries], row.ids);
  const beginning = carried.slice(0, begun.length);
  await rewriteEntries(context.db, row.id, carried.slice(begun.length), ID_FORMAT, beginning);
}

async function withTodaysIds(
  context: Context,
  row: DeckRow,
  entries: readonly LogEntry[],
  format: number,
): Promise<readonly LogEntry[]> {
  if (entries.length === 0) return entries;
  const readings = await Promise.all(
    (await sourcesOf(context, row)).map(async (source) => ({
      former: await formerlyPackedOf(context, source),
      today: await packedOf(context, source),
    })),
  );
  return context.jobs.run('carryIds', { entries, readings, format });
}

/** Windows that say nothing of their ids are of before 0.5. */
const FIRST_FORMAT = 1;
