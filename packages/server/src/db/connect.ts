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

/** What mysql2 gives of a connection that is of use here. */
interface Connection {
  execute(statement: string, values: readonly unknown[], done: (error: Error | null) => void): void;
}

/** Runs a statement that the database prepares, so that values go to it as bytes. */
export async function executed(db: Db, statement: string, values: readonly unknown[]): Promise<void> {
  const connection = (await db.client.acquireConnection()) as Connection;
  try {
    await new Promise<void>((resolve, reject) =>
      connection.execute(statement, values, (error) => (error === null ? resolve() : reject(error))),
    );
  } finally {
    await db.client.releaseConnection(connection);
  }
}
