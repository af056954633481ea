/** Starts the server and stops it cleanly. */
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { pino } from 'pino';
import { ConfigError, readConfig, type Config } from './config/config.ts';
import { connect } from './db/connect.ts';
import { migrate } from './db/migrations.ts';
import { makeApp } from './http/app.ts';
import { Gate } from './jobs/gate.ts';
import { ThreadPool } from './jobs/pool.ts';
import { contextFor, type Base } from './services/context.ts';
import { purgeDaily } from './services/purge.ts';
import { loadDemo } from './services/load-demo.ts';

/** The script does not try again (EX_CONFIG of sysexits.h). */
const SETTINGS_FAULT = 78;
/** Longer than senders keep a connection they do not use: what is sent while it closes would be lost (ms). */
const KEEP_ALIVE = 65_000;
let stopping = false;
let server = undefined as Server | undefined;
const config = settings();
const log = pino({ level: config.logLevel });
const db = connect(config.database);
const jobs = new ThreadPool(new URL('./worker.mjs', import.meta.url).href);
const base: Base = { db, jobs, gate: new Gate(), now: () => new Date() };

// Nobody may be listening to what is said any more.
for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined);
// When the script that started the server is gone, nothing shall be left that hinders the next one.
process.once('disconnect', () => {
  if (server === undefined) endDatabase();
  void stop().then(endDatabase);
});
// Listening to the script is no reason to stay.
process.channel?.unref();

await migrate(db);
await loadDemo(contextFor(base), config.demoRoot);
const endPurging = purgeDaily(contextFor(base), (error) => log.error({ err: error }, 'purging failed'));
server = makeApp(base, config, log).listen(config.port, config.host);
server.keepAliveTimeout = KEEP_ALIVE;
await once(server, 'listening').catch((error: NodeJS.ErrnoException) => {
  if (error.code !== 'EADDRINUSE') throw error;
  console.error(`Port ${config.port} is taken by another program. Choose another: ALVEX_PORT=4681 npm start`);
  process.exit(SETTINGS_FAULT);
});
log.info({ host: config.host, port: (server.address() as { port: number }).port }, 'serving');
process.send?.('serving');

async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  // It may be asked to stop before it serves.
  if (server === undefined) process.exit(0);
  server.close();
  server.closeIdleConnections();
  // Requests under way may finish; whatever hangs is ended.
  const late = setTimeout(() => server?.closeAllConnections(), 5000);
  await once(server, 'close');
  clearTimeout(late);
  endPurging();
  await jobs.close();
  await db.destroy();
}

/** Ends the database that the script had started for this server. */
function endDatabase(): void {
  const file = process.env['ALVEX_DB_PID_FILE'];
  try {
    if (file !== undefined) process.kill(Number(readFileSync(file, 'utf8')), 'SIGTERM');
  } catch {
    // It is gone already.
  }
}

process.on('SIGTERM', () => void stop());
process.on('SIGINT', () => void stop());

function settings(): Config {
  try {
    return readConfig(process.env);
  } catch (error) {
    if (!(error instanceof ConfigError)) throw error;
    console.error(`A setting cannot be used: ${error.message}`);
    process.exit(SETTINGS_FAULT);
  }
}
