/** What services work with, for one request: whose data, which database, which threads. */
import type { Db } from '../db/connect.ts';
import type { Pool } from '../jobs/pool.ts';

export interface Context {
  readonly db: Db;
  readonly pool: Pool;
  /** Every stored thing belongs to one. */
  readonly workspace: number;
  readonly now: () => Date;
}

/** The workspace of whoever sits at this computer; accounts will choose it by who signed in. */
export const LOCAL_WORKSPACE = 1;
