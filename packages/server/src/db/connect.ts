/** Connects to MariaDB. */
import knexPackage, { type Knex } from 'knex';
import type { Config } from '../config/config.ts';

export type Db = Knex;

export function connect(config: Config['database']): Db {
  return knexPackage({
    client: 'mysql2',
    // No charset here: it would give tables another collation than the server's.
    connection: { ...config, timezone: 'Z', supportBigNumbers: true },
    pool: { min: 0, max: 8 },
  });
}
