/** Makes a deck of a file: reads it, keeps the original byte for byte, and its pictures by content. */
import { createHash, randomUUID } from 'node:crypto';
import type { DeckSummary } from '@alvex/contract';
import { READER_VERSION } from '@alvex/core';
import { putBlob } from '../db/blobs.ts';
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

const MIMES: Readonly<Record<string, string>> = {
  docx: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
  odt: 'application/vnd.oasis.opendocument.text',
  rtf: 'application/rtf',
  pdf: 'application/pdf',
  opml: 'text/x-opml',
  markdown: 'text/markdown',
  html: 'text/html',
  text: 'text/plain',
};

/** @throws ReadError, AppError `reading-stopped` or `cancelled`. */
export async function createDeck(
  context: Context,
  file: NewFile,
  progress: ((done: number) => void) | undefined,
  cancel: AbortSignal,
): Promise<DeckSummary> {
  const { db, pool, workspace } = context;
  const read = await pool
    .read({ bytes: file.bytes, type: file.type, name: file.fileName }, progress, cancel)
    .catch((error: unknown) => {
      if (error instanceof TaskStopped)
        throw new AppError(error.cancelled ? 'cancelled' : 'reading-stopped', undefined, { cause: error });
      throw error;
    });
  const original = createHash('sha256').update(file.bytes).digest('hex');
  await putBlob(db, workspace, {
    hash: original,
    mime: MIMES[read.type] ?? 'application/octet-stream',
    bytes: file.bytes,
  });
  for (const { id, mime, bytes } of read.pictures) await putBlob(db, workspace, { hash: id, mime, bytes });
  await putDocument(db, { workspace, original, type: read.type, reader: READER_VERSION }, read.packed);
  const id = randomUUID();
  const name = (read.title ?? file.fileName.replace(/\.[^.]+$/, '')).trim().slice(0, 200) || 'Untitled';
  await insertDeck(
    db,
    {
      id,
      workspace_id: workspace,
      name,
      file_name: file.fileName.slice(0, 255),
      type: read.type,
      original,
      words: read.words,
    },
    context.now(),
  );
  return summary((await getDeck(db, workspace, id))!);
}
