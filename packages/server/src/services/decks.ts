/** Finding, opening, naming, deleting decks, and adding to their logs. */
import type { AppendEntries, Candidate, DeckSummary, Newer, OpenDeck } from '@alvex/contract';
import {
  carryOver,
  currentEdition,
  decide,
  editPictures,
  foldLog,
  READER_VERSION,
  singleEdits,
  takePicture,
  type DocumentModel,
  type LogEntry,
  type Picture,
} from '@alvex/core';
import { zipSync } from 'fflate';
import { gunzipSync } from 'node:zlib';
import { getBlob, putBlob, type Blob } from '../db/blobs.ts';
import {
  appendEntries,
  batchVersion,
  entriesAfter,
  listDecks,
  summary,
  updateDeck,
  type DeckRow,
} from '../db/decks.ts';
import { getDocument, putDocument } from '../db/documents.ts';
import { getEditions, putEdition, type EditionRow } from '../db/editions.ts';
import { AppError } from './app-error.ts';
import { existing } from './existing-deck.ts';
import type { Context } from './context.ts';
import { templateBytes, templatePictures } from './templates.ts';
import { PARTS, takeIn, type NewFile, type PartFile } from './create-deck.ts';

export const recentDecks = async ({ db, workspace }: Context): Promise<readonly DeckSummary[]> =>
  (await listDecks(db, workspace)).map(summary);

export async function openDeck(context: Context, id: string): Promise<OpenDeck> {
  const row = await existing(context, id);
  return { deck: summary(row), log: await entriesAfter(context.db, id, 0) };
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

export type AppendOutcome =
  | { readonly ok: true; readonly version: number }
  | { readonly ok: false; readonly version: number; readonly newer: readonly LogEntry[] };

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

/** Takes in a file that may become the document's new edition. Nothing is changed by it. @throws as `takeIn`. */
export async function addCandidate(
  context: Context,
  id: string,
  files: readonly NewFile[],
  progress: ((done: number) => void) | undefined,
  cancel: AbortSignal,
): Promise<Candidate> {
  await existing(context, id);
  const { hash: original, type, fileName, words } = await takeIn(context, files, progress, cancel);
  await putEdition(context.db, id, { original, type, file_name: fileName }, context.now());
  return { original, type, fileName, words };
}

/** The deck's first document, or the edition of that hash. @throws AppError `edition-not-found`. */
async function sourceOf(context: Context, row: DeckRow, edition: string | undefined): Promise<EditionRow> {
  if (edition === undefined || edition === row.original) return row;
  const found = (await getEditions(context.db, row.id)).find(({ original }) => original === edition);
  if (found === undefined) throw new AppError('edition-not-found');
  return found;
}

const editionInForce = (log: readonly LogEntry[]): string | undefined =>
  currentEdition(singleEdits(foldLog(log).done))?.original;

/** The original of a deck, byte for byte; of several files a ZIP archive that holds them as they were. */
export async function originalOf(
  context: Context,
  id: string,
  edition?: string,
): Promise<{ readonly blob: Omit<Blob, 'hash'>; readonly fileName: string }> {
  const row = await existing(context, id);
  const source = await sourceOf(context, row, edition);
  const files = await filesOf(context, source);
  if (source.type !== PARTS) {
    const [{ bytes, mime, name }] = files as [OriginalFile];
    return { blob: { bytes, mime }, fileName: name };
  }
  const names = new Map<string, Uint8Array>();
  for (const { name, bytes } of files) {
    let unique = name;
    for (let i = 2; names.has(unique); i++) unique = `${i} ${name}`;
    names.set(unique, bytes);
  }
  const zip = zipSync(Object.fromEntries(names), { level: 0, mtime: new Date('1980-01-01T00:00:00') });
  return { blob: { bytes: zip, mime: 'application/zip' }, fileName: `${row.name}.zip` };
}

interface OriginalFile {
  readonly name: string;
  readonly type: string;
  readonly mime: string;
  readonly bytes: Uint8Array;
}

/** The files that a document was made of, in their order. */
async function filesOf({ db, workspace }: Context, row: EditionRow): Promise<readonly OriginalFile[]> {
  const fetch = async (hash: string): Promise<Blob> => {
    const blob = await getBlob(db, workspace, hash);
    if (blob === undefined) throw new AppError('not-found');
    return blob;
  };
  const original = await fetch(row.original);
  if (row.type !== PARTS) return [{ ...original, name: row.file_name, type: row.type }];
  const parts = JSON.parse(Buffer.from(original.bytes).toString('utf8')) as readonly PartFile[];
  return Promise.all(parts.map(async ({ name, type, hash }) => ({ ...(await fetch(hash)), name, type })));
}

/** The document of a deck, gzip; read again from the original where the cache has none of today's reader. */
export async function packedDocument(context: Context, id: string, edition?: string): Promise<Uint8Array> {
  const row = await sourceOf(context, await existing(context, id), edition);
  return packed(context, row);
}

async function packed(context: Context, row: EditionRow): Promise<Uint8Array> {
  const { db, pool, workspace } = context;
  const key = { workspace, original: row.original, type: row.type, reader: READER_VERSION };
  const cached = await getDocument(db, key);
  if (cached !== undefined) return cached;
  const read = await pool.read({ files: await filesOf(context, row) }, undefined, new AbortController().signal);
  for (const { id: hash, mime, bytes } of read.pictures) await putBlob(db, workspace, { hash, mime, bytes });
  await putDocument(db, key, read.packed);
  return read.packed;
}

/** Pictures of documents that were asked for of late, by the hash of the original: a page asks for all of its pictures at once. */
const remembered = new Map<string, DocumentModel['pictures']>();
const MOST_REMEMBERED = 50;

/** Of the deck's document in all of its editions. */
async function documentPictures(context: Context, id: string): Promise<DocumentModel['pictures']> {
  const row = await existing(context, id);
  const all = [];
  for (const source of [row, ...(await getEditions(context.db, id))]) all.push(...(await picturesIn(context, source)));
  return all;
}

async function picturesIn(context: Context, source: EditionRow): Promise<DocumentModel['pictures']> {
  const key = `${context.workspace} ${source.original} ${source.type} ${READER_VERSION}`;
  let pictures = remembered.get(key);
  if (pictures === undefined) {
    const bytes = await packed(context, source);
    pictures = (JSON.parse(gunzipSync(bytes).toString('utf8')) as DocumentModel).pictures;
    remembered.set(key, pictures);
    if (remembered.size > MOST_REMEMBERED) remembered.delete(remembered.keys().next().value!);
  }
  return pictures;
}

/** Pictures that the author put in, by the log; an edit that was undone can be made again. */
const loggedPictures = (log: readonly LogEntry[]): DocumentModel['pictures'] =>
  editPictures(log.filter((entry) => entry.kind !== 'undo' && entry.kind !== 'redo'));

/** Keeps a picture that is to be put into the document. @throws AppError `picture-unusable`. */
export async function addPicture(context: Context, id: string, bytes: Uint8Array, name: string): Promise<Picture> {
  await existing(context, id);
  const taken = takePicture(bytes, name);
  if (typeof taken === 'string') throw new AppError('picture-unusable', taken);
  const { id: hash, mime, width, height } = taken;
  await putBlob(context.db, context.workspace, { hash, mime, bytes });
  return { id: hash, mime, width, height };
}

/** @throws AppError `picture-not-found` when the deck has no such picture, whatever else the workspace holds. */
export async function pictureOf(context: Context, id: string, hash: string): Promise<Blob> {
  const has = (pictures: DocumentModel['pictures']): boolean => pictures.some((picture) => picture.id === hash);
  const own =
    has(await documentPictures(context, id)) ||
    has(loggedPictures(await entriesAfter(context.db, id, 0))) ||
    has(await templatePictures(context, id));
  const blob = own ? await getBlob(context.db, context.workspace, hash) : undefined;
  if (blob === undefined) throw new AppError('picture-not-found');
  return blob;
}

export async function exportDeck(
  context: Context,
  id: string,
): Promise<{ readonly bytes: Uint8Array; readonly name: string }> {
  const { deck, log } = await openDeck(context, id);
  const document = await packedDocument(context, id, editionInForce(log));
  const pictures: { id: string; bytes: Uint8Array }[] = [];
  const all = [...(await documentPictures(context, id)), ...loggedPictures(log)];
  for (const hash of new Set(all.map((picture) => picture.id))) {
    const blob = await getBlob(context.db, context.workspace, hash);
    if (blob !== undefined) pictures.push({ id: hash, bytes: blob.bytes });
  }
  const use = decide(carryOver(singleEdits(foldLog(log).done))).template;
  const template = use === null ? null : { hash: use.hash, bytes: await templateBytes(context, id, use.hash) };
  return { bytes: await context.pool.export({ packed: document, pictures, log, template }), name: deck.name };
}
