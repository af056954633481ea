/** A real server on a real database of its own, for tests. */
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { pino } from 'pino';
import { connect, type Db } from '../db/connect.ts';
import { migrate } from '../db/migrations.ts';
import { makeApp } from '../http/app.ts';
import { Gate } from '../jobs/gate.ts';
import { ThreadPool } from '../jobs/pool.ts';
import { contextFor, type Base, type Context } from '../services/context.ts';

const DEMO_ROOT = join(process.cwd(), 'packages/demo/files');

interface Database {
  readonly host: string;
  readonly port: number;
  readonly user: string;
  readonly password: string;
  readonly database: string;
  stop(): Promise<void>;
}

export class RealServer {
  readonly context: Context;
  readonly address: string;
  readonly #server: Server;
  readonly #database: Database;
  readonly #folder: string;

  private constructor(context: Context, server: Server, database: Database, folder: string) {
    this.context = context;
    this.#server = server;
    this.#database = database;
    this.#folder = folder;
    this.address = `http://127.0.0.1:${(server.address() as { port: number }).port}`;
  }

  /** Needs the built worker. @param fill Called with the empty database. @param mostAMinute See `Config`. */
  static async start(
    fill: (db: Db) => Promise<void> = () => Promise.resolve(),
    mostAMinute = 100_000,
  ): Promise<RealServer> {
    const folder = mkdtempSync(join(tmpdir(), 'alvex-server-'));
    const script = pathToFileURL(join(process.cwd(), 'scripts/database.mjs')).href;
    const { startDatabase } = (await import(script)) as { startDatabase: (folder: string) => Promise<Database> };
    const database = await startDatabase(folder);
    const { host, port, user, password, database: name } = database;
    const db: Db = connect({ host, port, user, password, database: name });
    try {
      await fill(db);
      await migrate(db);
    } catch (error) {
      await db.destroy();
      await database.stop();
      rmSync(folder, { recursive: true, force: true });
      throw error;
    }
    const jobs = new ThreadPool(pathToFileURL(join(process.cwd(), 'packages/server/dist/worker.mjs')).href);
    const base: Base = { db, jobs, gate: new Gate(), now: () => new Date() };
    const server = makeApp(
      base,
      { host: '127.0.0.1', webRoot: '', demoRoot: DEMO_ROOT, mostAMinute },
      pino({ level: 'silent' }),
    ).listen(0, '127.0.0.1');
    // Not closed between two requests, however slow the machine is.
    server.keepAliveTimeout = 0;
    await once(server, 'listening');
    return new RealServer(contextFor(base), server, database, folder);
  }

  async stop(): Promise<void> {
    this.#server.closeAllConnections();
    this.#server.close();
    await this.context.jobs.close();
    await this.context.db.destroy();
    await this.#database.stop();
    rmSync(this.#folder, { recursive: true, force: true });
  }
}
