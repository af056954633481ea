/** Answers to requests that carry a key, so that what is asked for again is not done again. */
import type { Db } from './connect.ts';

/** A key of somebody's; both are SHA-256. */
export interface Asked {
  readonly workspace: number;
  readonly key: string;
  /** Of what is asked for. */
  readonly request: string;
}
export interface KeptAnswer {
  readonly request: string;
  /** JSON; null while it is being done. */
  readonly body: string | null;
}

const where = ({ workspace, key }: Asked) => ({ workspace_id: workspace, key_hash: key });

/** @returns Whether nobody had the key: it is taken now. */
export async function takeKey(db: Db, asked: Asked, now: Date): Promise<boolean> {
  const { workspace, key, request } = asked;
  const [{ affectedRows }] = (await db.raw(
    'INSERT IGNORE INTO answers (workspace_id, key_hash, request, created_at) VALUES (?, ?, ?, ?)',
    [workspace, key, request, now],
  )) as [{ affectedRows: number }];
  return affectedRows > 0;
}

export const keptAnswer = (db: Db, asked: Asked): Promise<KeptAnswer | undefined> =>
  db('answers').where(where(asked)).first('request', 'body') as unknown as Promise<KeptAnswer | undefined>;

export async function keepAnswer(db: Db, asked: Asked, body: string): Promise<void> {
  await db('answers').where(where(asked)).update({ body });
}

/** What was not done can be asked for again. */
export async function dropKey(db: Db, asked: Asked): Promise<void> {
  await db('answers').where(where(asked)).delete();
}

/** @param before Answers of then go. @param stopped So do keys of then without an answer: their server died. */
export async function dropOldAnswers(db: Db, before: Date, stopped: Date): Promise<void> {
  await db('answers').where('created_at', '<', before).delete();
  await db('answers').whereNull('body').where('created_at', '<', stopped).delete();
}
