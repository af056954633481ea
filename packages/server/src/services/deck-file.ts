/** A whole deck as one file: its documents, pictures, edits and template, to be brought in again here or elsewhere. */
import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import type { DeckContents, DeckSummary } from '@alvex/contract';
import { editPictures, foldLog, ID_FORMAT, READER_VERSION } from '@alvex/core';
import { blobSize, getBlob, putBlob } from '../db/blobs.ts';
import { dropDeck, insertDeck, summary, updateDeck } from '../db/decks.ts';
import { putDocument } from '../db/documents.ts';
import { getEditions, getTemplates, putEdition, type EditionRow } from '../db/editions.ts';
import { insertLog } from '../db/entries.ts';
import type { Watching } from '../jobs/pool.ts';
import type { PackedFile } from '../jobs/tasks.ts';
import { AppError } from './app-error.ts';
import type { Context } from './context.ts';
import { existing } from './existing-deck.ts';
import { hashesOf, packedOf, stopped, type NewFile } from './files.ts';
import { refuseImpossible } from './impossible-edits.ts';
import { wholeLog } from './log.ts';

/** What a deck's file is called. */
export const DECK_ENDING = 'alvex';
/** Raised when files are made in another way. */
const DECK_FILE_FORMAT = 1;

/** @throws AppError `deck-not-found`. */
export async function deckFile(
  context: Context,
  id: string,
  watching: Watching,
): Promise<{ readonly bytes: Uint8Array; readonly name: string }> {
  const { db, gate, jobs, workspace } = context;
  const row = await existing(context, id);
  const { entries, by, beginning } = await wholeLog(context, id);
  // What was undone stays here: whoever brings the deck in is another writer, and takes back what is in force.
  const { done: log } = foldLog(entries, by);
  const sources = [row, ...(await getEditions(db, id))];
  const templates = await getTemplates(db, id);
  const hashes = new Set<string>(templates.map(({ original }) => original));
  for (const source of sources) for (const hash of await hashesOf(context, source)) hashes.add(hash);
  for (const { id: picture } of editPictures(log)) hashes.add(picture);
  let size = 0;
  for (const hash of hashes) size += (await blobSize(db, workspace, hash)) ?? 0;
  const pack = async (): Promise<Uint8Array> => {
    const files: PackedFile[] = [];
    for (const hash of [...hashes].sort()) {
      const blob = await getBlob(db, workspace, hash);
      if (blob !== undefined) files.push(blob);
    }
    const editions = [...sources.slice(1), ...templates].map(({ original, type, file_name: fileName }) => ({
      original,
      type,
      fileName,
    }));
    const readings = await Promise.all(
      sources.map(async (source) => ({
        original: source.original,
        type: source.type,
        reader: READER_VERSION,
        packed: await packedOf(context, source, true),
      })),
    );
    const contents: Omit<DeckContents, 'files' | 'readings'> = {
      format: DECK_FILE_FORMAT,
      ids: ID_FORMAT,
      name: row.name,
      fileName: row.file_name,
      type: row.type,
      original: row.original,
      words: row.words,
      editions,
      beginning,
      log,
    };
    return jobs.run('packDeck', { contents, files, readings }, watching);
  };
  // Documents that an older reader made are read now, outside: what is in does not ask to go in again.
  for (const source of sources) await packedOf(context, source);
  return { bytes: await gate.within(size, pack, watching).catch(stopped), name: row.name };
}

/** Whether a file begins as those of decks do: an archive whose first part is the list of what is in it. */
export async function isDeckFile({ load }: NewFile): Promise<boolean> {
  const given = await load();
  const bytes = typeof given === 'string' ? await readFile(given) : given;
  return Buffer.from(bytes.subarray(0, 64)).toString('latin1').startsWith('PK\x03\x04') && nameAtFront(bytes) === LIST;
}
/** The part that says what is in the file. */
const LIST = 'alvex.json';
const nameAtFront = (bytes: Uint8Array): string => Buffer.from(bytes.subarray(30, 30 + LIST.length)).toString('latin1');

/**
 * Brings in a deck that was taken out, as a new one.
 * @throws ReadError for a damaged file; AppError `deck-unusable`, `deck-newer`, `impossible-edit`.
 */
export async function bringDeckIn(context: Context, file: NewFile, watching: Watching): Promise<DeckSummary> {
  const { db, gate, jobs, workspace } = context;
  const id = randomUUID();
  const keep = async (): Promise<DeckContents> => {
    const given = await file.load();
    const { contents, files, readings } = await jobs.run('unpackDeck', { bytes: given }, watching);
    if (typeof contents === 'string') throw new AppError('deck-unusable', contents);
    if (contents.format > DECK_FILE_FORMAT || contents.ids > ID_FORMAT) throw new AppError('deck-newer');
    for (const one of files) await putBlob(db, workspace, one);
    for (const { original, type, reader, packed } of readings)
      // Of an older reader: with it the work is carried over. Today's reads for itself.
      if (reader < READER_VERSION) await putDocument(db, { workspace, original, type, reader }, packed);
    return contents;
  };
  const contents = await gate.within(file.size, keep, watching).catch(stopped);
  const { name, fileName, type, original, words, ids, editions, beginning = [], log } = contents;
  const sources: EditionRow[] = [{ original, type, file_name: fileName }, ...editions.map(asRow)];
  for (const source of sources) if (source.type !== 'template') await packedOf(context, source);
  const now = context.now();
  await insertDeck(
    db,
    {
      id,
      workspace_id: workspace,
      name,
      file_name: fileName,
      type,
      original,
      words,
      ids,
    },
    beginning,
    now,
    // Not seen before it is whole.
    now,
  );
  try {
    for (const edition of editions) await putEdition(db, id, asRow(edition), now);
    await refuseImpossible(context, await existing(context, id, true), [...beginning, ...log]);
    await insertLog(db, id, log, now);
    await updateDeck(db, workspace, id, { deleted_at: null });
  } catch (error) {
    await dropDeck(db, id);
    throw error;
  }
  return summary(await existing(context, id));
}

const asRow = ({ original, type, fileName }: DeckContents['editions'][number]): EditionRow => ({
  original,
  type,
  file_name: fileName,
});
