/** Files by content: originals and pictures, each kept once in a workspace. */
import { executed, type Db } from './connect.ts';

export interface Blob {
  readonly hash: string /* SHA-256, hexadecimal */;
  readonly mime: string;
  readonly bytes: Uint8Array;
}

/**
 * Keeps a file, unless it is kept already. The bytes go to the database as they are, not spelled out in a statement, which would
 * be twice as long and would hold up every other request.
 */
export async function putBlob(db: Db, workspace: number, { hash, mime, bytes }: Blob): Promise<void> {
  // That it was brought in again keeps it from being purged while a deck is made of it.
  const known = await db('blobs')
    .where({ workspace_id: workspace, hash })
    .update({ touched_at: db.raw('CURRENT_TIMESTAMP(3)') });
  if (known > 0) return;
  await executed(db, 'INSERT IGNORE INTO blobs (workspace_id, hash, mime, size, bytes) VALUES (?, ?, ?, ?, ?)', [
    workspace,
    hash,
    mime,
    bytes.length,
    Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength),
  ]);
}

export async function getBlob(db: Db, workspace: number, hash: string): Promise<Blob | undefined> {
  const row = (await db('blobs').where({ workspace_id: workspace, hash }).first('hash', 'mime', 'bytes')) as
    { hash: string; mime: string; bytes: Buffer } | undefined;
  return row;
}

/** Bytes of a file; undefined where it is not kept. */
export async function blobSize(db: Db, workspace: number, hash: string): Promise<number | undefined> {
  const row = (await db('blobs').where({ workspace_id: workspace, hash }).first('size')) as
    { size: number } | undefined;
  return row?.size;
}

/** Bytes of files together. */
export async function blobsSize(db: Db, workspace: number, hashes: readonly string[]): Promise<number> {
  const row = (await db('blobs')
    .where({ workspace_id: workspace })
    .whereIn('hash', hashes)
    .sum('size as size')
    .first()) as { size: number | string | null } | undefined;
  return Number(row?.size ?? 0);
}

/** Ends files that were not brought in since. @returns How many. */
export const dropBlobs = async (db: Db, workspace: number, hashes: readonly string[], since: Date): Promise<number> =>
  db('blobs').where({ workspace_id: workspace }).whereIn('hash', hashes).where('touched_at', '<', since).delete();
