/** Files by content: originals and pictures, each kept once in a workspace. */
import type { Db } from './connect.ts';

export interface Blob {
  readonly hash: string /* SHA-256, hexadecimal */;
  readonly mime: string;
  readonly bytes: Uint8Array;
}

export async function putBlob(db: Db, workspace: number, { hash, mime, bytes }: Blob): Promise<void> {
  const known = await db('blobs').where({ workspace_id: workspace, hash }).first('hash');
  if (known !== undefined) return;
  await db('blobs')
    .insert({
      workspace_id: workspace,
      hash,
      mime,
      size: bytes.length,
      bytes: Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength),
    })
    .onConflict()
    .ignore();
}

export async function getBlob(db: Db, workspace: number, hash: string): Promise<Blob | undefined> {
  const row = (await db('blobs').where({ workspace_id: workspace, hash }).first('hash', 'mime', 'bytes')) as
    { hash: string; mime: string; bytes: Buffer } | undefined;
  return row;
}
