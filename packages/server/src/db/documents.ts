/** The cache of documents as readers made them, packed as they are sent. */
import { executed, type Db } from './connect.ts';

export interface DocumentKey {
  readonly workspace: number;
  readonly original: string;
  readonly type: string;
  readonly reader: number;
}

const where = ({ workspace, ...rest }: DocumentKey) => ({ workspace_id: workspace, ...rest });

export async function getDocument(db: Db, key: DocumentKey): Promise<Buffer | undefined> {
  const row = (await db('documents').where(where(key)).first('packed')) as { packed: Buffer } | undefined;
  return row?.packed;
}

/** The newest reading by a reader older than the key's. */
export async function getFormerDocument(db: Db, { reader, ...key }: DocumentKey): Promise<Buffer | undefined> {
  const { workspace, ...rest } = key;
  const row = (await db('documents')
    .where({ workspace_id: workspace, ...rest })
    .where('reader', '<', reader)
    .orderBy('reader', 'desc')
    .first('packed')) as { packed: Buffer } | undefined;
  return row?.packed;
}

export async function putDocument(db: Db, key: DocumentKey, packed: Uint8Array): Promise<void> {
  const { workspace, original, type, reader } = key;
  await executed(db, 'REPLACE INTO documents (workspace_id, original, type, reader, packed) VALUES (?, ?, ?, ?, ?)', [
    workspace,
    original,
    type,
    reader,
    Buffer.from(packed.buffer, packed.byteOffset, packed.byteLength),
  ]);
}

/** Forgets what was read of files that are gone. */
export async function dropDocuments(db: Db, workspace: number, originals: readonly string[]): Promise<void> {
  await db('documents').where({ workspace_id: workspace }).whereIn('original', originals).delete();
}
