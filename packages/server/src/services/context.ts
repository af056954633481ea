/** What services work with, for one request: whose data, which database, which threads. */
import type { Db } from '../db/connect.ts';
import type { Gate } from '../jobs/gate.ts';
import type { Jobs } from '../jobs/pool.ts';

/** What all requests share. */
export interface Base {
  readonly db: Db;
  readonly jobs: Jobs;
  /** Heavy work goes through it. */
  readonly gate: Gate;
  readonly now: () => Date;
}
export interface Context extends Base {
  /** Every stored thing belongs to one. */
  readonly workspace: number;
}

/** The workspace of whoever sits at this computer; accounts will choose it by who signed in. */
const LOCAL_WORKSPACE = 1;

/** The context of whoever asks. */
export const contextFor = (base: Base): Context => ({ ...base, workspace: LOCAL_WORKSPACE });
