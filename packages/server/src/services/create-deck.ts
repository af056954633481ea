/** Makes a deck of a file: reads it, keeps the original byte for byte, and its pictures by content. */
import { createHash, randomUUID } from 'node:crypto';
import type { DeckSummary } from '@alvex/contract';
import { READER_VERSION } from '@alvex/core';
import { getBlob, putBlob } from '../db/blobs.ts';
import { getDeck, insertDeck, summary } from '../db/decks.ts';
import { putDocument } from '../db/documents.ts';
import { TaskStopped } from '../jobs/pool.ts';
import { AppError } from './app-error.ts';
import type { Context } from './context.ts';

export interface NewFile {
  readonly bytes: Uint8Array;
  readonly fileName: string;
  readonly type: string | undefined;
}

/** One of several files of which a deck was made, as it is kept. */
export interface PartFile {
  readonly name: string;
  readonly type: string;
  readonly hash: string;
}
/** Type of a deck whose original is a list of files. */
export const PARTS = 'parts';

const MIMES: Readonly<Record<string, string>> = {
  docx: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
  odt: 'application/vnd.oasis.opendocument.text',
  rtf: 'application/rtf',
  pdf: 'application/pdf',
  opml: 'text/x-opml',
  markdown: 'text/markdown',
  html: 'text/html',
  text: 'text/plain',
  template: 'application/vnd.openxmlformats-officedocument.presentationml.presentation',
};

/** A document that was read and kept. */
export interface TakenIn {
  readonly hash: string;
  readonly type: string;
  /** Of the file, or of the list of files. */
  readonly fileName: string;
  readonly title: string | null;
  readonly words: number;
}

/**
 * Reads one file, or several that become parts of one document, and keeps the files, their pictures, and what was read.
 * @throws ReadError, AppError `reading-stopped` or `cancelled`.
 */
export async function takeIn(
  context: Context,
  files: readonly NewFile[],
  progress: ((done: number) => void) | undefined,
  cancel: AbortSignal,
): Promise<TakenIn> {
  const { db, pool, workspace } = context;
  const read = await pool
    .read({ files: files.map(({ bytes, type, fileName }) => ({ bytes, type, name: fileName })) }, progress, cancel)
    .catch((error: unknown) => {
      if (error instanceof TaskStopped)
        throw new AppError(error.cancelled ? 'cancelled' : 'reading-stopped', undefined, { cause: error });
      throw error;
    });
  const kept: PartFile[] = [];
  for (const [i, { bytes, fileName }] of files.entries())
    kept.push({ name: fileName, type: read.types[i]!, hash: await keepFile(context, bytes, read.types[i]!) });
  const [only] = kept;
  const original = kept.length === 1 ? only! : { ...(await keepParts(context, kept)), type: PARTS };
  for (const { id, mime, bytes } of read.pictures) await putBlob(db, workspace, { hash: id, mime, bytes });
  await putDocument(
    db,
    { workspace, original: original.hash, type: original.type, reader: READER_VERSION },
    read.packed,
  );
  const { hash, type, name } = original;
  return { hash, type, fileName: name.slice(0, 255), title: read.title, words: read.words };
}

/** Makes a deck of files. @throws as `takeIn`. */
export async function createDeck(
  context: Context,
  files: readonly NewFile[],
  progress: ((done: number) => void) | undefined,
  cancel: AbortSignal,
): Promise<DeckSummary> {
  const { db, workspace } = context;
  const { hash, type, fileName, title, words } = await takeIn(context, files, progress, cancel);
  const id = randomUUID();
  const name = (title ?? files[0]!.fileName.replace(/\.[^.]+$/, '')).trim().slice(0, 200) || 'Untitled';
  await insertDeck(
    db,
    { id, workspace_id: workspace, name, file_name: fileName, type, original: hash, words },
    context.now(),
  );
  return summary((await getDeck(db, workspace, id))!);
}

/** Keeps a file byte for byte. @returns The hash by which it is known. */
export async function keepFile({ db, workspace }: Context, bytes: Uint8Array, type?: string): Promise<string> {
  const hash = createHash('sha256').update(bytes).digest('hex');
  await putBlob(db, workspace, { hash, mime: MIMES[type ?? ''] ?? 'application/octet-stream', bytes });
  return hash;
}

/** Files that were kept before. @throws AppError `file-not-found`. */
export async function partsOf(
  { db, workspace }: Context,
  parts: readonly { readonly hash: string; readonly name: string }[],
): Promise<readonly NewFile[]> {
  return Promise.all(
    parts.map(async ({ hash, name }) => {
      const blob = await getBlob(db, workspace, hash);
      if (blob === undefined) throw new AppError('file-not-found');
      return { bytes: blob.bytes, fileName: name, type: undefined };
    }),
  );
}

/** The original of a deck of several files is the list of them. */
async function keepParts(context: Context, parts: readonly PartFile[]): Promise<{ hash: string; name: string }> {
  const hash = await keepFile(context, Buffer.from(JSON.stringify(parts)));
  return { hash, name: `${parts.length} files: ${parts.map(({ name }) => name).join(', ')}` };
}
