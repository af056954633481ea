/** Files as they came: kept byte for byte by their hash, and read into documents. */
import { readFile } from 'node:fs/promises';
import { READER_VERSION, TEMPLATE_VERSION, type Edit } from '@alvex/core';
import { blobSize, getBlob, putBlob, type Blob } from '../db/blobs.ts';
import { getDocument, getFormerDocument, putDocument } from '../db/documents.ts';
import { TEMPLATE, type EditionRow } from '../db/editions.ts';
import type { Watching } from '../jobs/pool.ts';
import { TaskStopped } from '../jobs/stopped.ts';
import type { Packed } from '../jobs/tasks.ts';
import { AppError } from './app-error.ts';
import type { Context } from './context.ts';

export interface NewFile {
  /** Gives the file, or where it is on the disk, when it is its turn. */
  readonly load: () => Promise<Uint8Array | string>;
  readonly size: number;
  readonly fileName: string;
  readonly type: string | undefined;
}

/** One of several files of which a deck was made, as it is kept. */
interface PartFile {
  readonly name: string;
  readonly type: string;
  readonly hash: string;
}
/** Type of a deck whose original is a list of files. */
export const PARTS = 'parts';

const UNKNOWN = 'application/octet-stream';
const MIMES: Readonly<Record<string, string>> = {
  docx: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
  odt: 'application/vnd.oasis.opendocument.text',
  rtf: 'application/rtf',
  pdf: 'application/pdf',
  opml: 'text/x-opml',
  markdown: 'text/markdown',
  html: 'text/html',
  text: 'text/plain',
  pptx: 'application/vnd.openxmlformats-officedocument.presentationml.presentation',
  odp: 'application/vnd.oasis.opendocument.presentation',
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
  /** What is decided for a deck that is made of it. */
  readonly beginning: readonly Edit[];
}

/** A task's stop, as people are told of it. */
export function stopped(error: unknown): never {
  if (error instanceof TaskStopped)
    throw new AppError(error.cancelled ? 'cancelled' : 'reading-stopped', undefined, { cause: error });
  throw error;
}

/**
 * Reads one file, or several that become parts of one document, and keeps the files, their pictures, and what was read.
 * @param begin Whether a deck is made of them.
 * @throws ReadError, AppError `reading-stopped` or `cancelled`.
 */
export async function takeIn(
  context: Context,
  files: readonly NewFile[],
  watching: Watching,
  begin = false,
): Promise<TakenIn> {
  const size = files.reduce((sum, file) => sum + file.size, 0);
  return context.gate.within(size, () => takeInNow(context, files, watching, begin), watching).catch(stopped);
}

async function takeInNow(
  context: Context,
  files: readonly NewFile[],
  watching: Watching,
  begin: boolean,
): Promise<TakenIn> {
  const { db, jobs, workspace } = context;
  const toRead = await Promise.all(
    files.map(async ({ load, type, fileName }) => ({ bytes: await load(), type, name: fileName })),
  );
  const read = await jobs.run('read', { files: toRead, begin }, watching).catch(stopped);
  const kept: PartFile[] = [];
  for (const [i, { bytes, name }] of toRead.entries()) {
    const part = { name, type: read.types[i] ?? '', hash: read.hashes[i] ?? '' };
    await putBlob(db, workspace, { hash: part.hash, mime: mimeOf(part.type), bytes: await inMemory(bytes) });
    kept.push(part);
  }
  const [only] = kept;
  const original = only !== undefined && kept.length === 1 ? only : await keepParts(context, kept);
  await keepRead(context, original, read);
  const { hash, type, name } = original;
  const { title, words, beginning } = read;
  return { hash, type, fileName: name.slice(0, 255), title, words, beginning };
}

const inMemory = async (bytes: Uint8Array | string): Promise<Uint8Array> =>
  typeof bytes === 'string' ? readFile(bytes) : bytes;

/** The bytes of a file, wherever it is. */
export const loaded = async (file: NewFile): Promise<Uint8Array> => inMemory(await file.load());

/** Keeps what was read of a file, with its pictures. */
export async function keepRead(
  { db, workspace }: Context,
  { hash: original, type }: { readonly hash: string; readonly type: string },
  { packed, pictures }: Packed,
): Promise<void> {
  for (const { id: hash, mime, bytes } of pictures) await putBlob(db, workspace, { hash, mime, bytes });
  const reader = type === TEMPLATE ? TEMPLATE_VERSION : READER_VERSION;
  await putDocument(db, { workspace, original, type, reader }, packed);
}

export const mimeOf = (type: string | undefined): string => MIMES[type ?? ''] ?? UNKNOWN;

/** Keeps a file byte for byte. @returns The hash by which it is known. */
export async function keepFile(context: Context, file: NewFile): Promise<string> {
  const keep = async (): Promise<string> => keepBytes(context, await loaded(file));
  return context.gate.within(file.size, keep);
}

async function keepBytes({ db, jobs, workspace }: Context, bytes: Uint8Array): Promise<string> {
  const hash = await jobs.run('hash', { bytes });
  await putBlob(db, workspace, { hash, mime: UNKNOWN, bytes });
  return hash;
}

/** The original of a deck of several files is the list of them. */
async function keepParts(context: Context, parts: readonly PartFile[]): Promise<PartFile> {
  const hash = await keepBytes(context, Buffer.from(JSON.stringify(parts)));
  return { hash, type: PARTS, name: `${parts.length} files: ${parts.map(({ name }) => name).join(', ')}` };
}

/** Files that were kept before. @throws AppError `file-not-found`. */
export const partsOf = async (
  { db, workspace }: Context,
  parts: readonly { readonly hash: string; readonly name: string }[],
): Promise<readonly NewFile[]> =>
  Promise.all(
    parts.map(async ({ hash, name }): Promise<NewFile> => {
      const size = await blobSize(db, workspace, hash);
      if (size === undefined) throw new AppError('file-not-found');
      const load = async (): Promise<Uint8Array> => (await getBlob(db, workspace, hash))?.bytes ?? new Uint8Array();
      return { load, size, fileName: name, type: undefined };
    }),
  );

export interface OriginalFile {
  readonly name: string;
  readonly type: string;
  readonly mime: string;
  readonly bytes: Uint8Array;
}

/** The files that a document was made of, in their order. @throws AppError `not-found`. */
export async function filesOf({ db, workspace }: Context, row: EditionRow): Promise<readonly OriginalFile[]> {
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

/** Hashes of the files that a document is made of, and of their list where there are several. */
export async function hashesOf({ db, workspace }: Context, row: EditionRow): Promise<readonly string[]> {
  if (row.type !== PARTS) return [row.original];
  const list = await getBlob(db, workspace, row.original);
  if (list === undefined) return [row.original];
  const parts = JSON.parse(Buffer.from(list.bytes).toString('utf8')) as readonly PartFile[];
  return [row.original, ...parts.map(({ hash }) => hash)];
}

/** The document of a file as an older reader made it, gzip; undefined where none is kept. */
export const formerlyPackedOf = ({ db, workspace }: Context, row: EditionRow): Promise<Uint8Array | undefined> =>
  getFormerDocument(db, { workspace, original: row.original, type: row.type, reader: READER_VERSION });

/** The document of a file, gzip; read again where the cache has none of today's reader. @param inside The gate already. */
export async function packedOf(context: Context, row: EditionRow, inside = false): Promise<Uint8Array> {
  const { db, gate, jobs, workspace } = context;
  const key = { workspace, original: row.original, type: row.type, reader: READER_VERSION };
  const cached = await getDocument(db, key);
  if (cached !== undefined) return cached;
  const files = await filesOf(context, row);
  const size = files.reduce((sum, { bytes }) => sum + bytes.length, 0);
  const read = async (): Promise<Uint8Array> => {
    const made = await jobs.run('read', { files, begin: false });
    await keepRead(context, { hash: row.original, type: row.type }, made);
    return made.packed;
  };
  return (inside ? read() : gate.within(size, read)).catch(stopped);
}
