/** Starts the server and stops it cleanly. */
import { once } from 'node:events';
import { pino } from 'pino';
import { ConfigError, readConfig, type Config } from './config/config.ts';
import { connect } from './db/connect.ts';
import { migrate } from './db/migrations.ts';
import { makeApp } from './http/app.ts';
import { ThreadPool } from './jobs/pool.ts';
import { contextFor, type Base } from './services/context.ts';
import { loadDemo } from './services/load-demo.ts';

const config = settings();
const log = pino({ level: config.logLevel });
const db = connect(config.database);
const jobs = new ThreadPool(new URL('./worker.mjs', import.meta.url).href);
const base: Base = { db, jobs, now: () => new Date() };

await migrate(db);
await loadDemo(contextFor(base), config.demoRoot);
const server = makeApp(base, config, log).listen(config.port, config.host);
await once(server, 'listening').catch((error: NodeJS.ErrnoException) => {
  if (error.code !== 'EADDRINUSE') throw error;
  console.error(`Port ${config.port} is taken by another program. Choose another: ALVEX_PORT=4681 npm start`);
  process.exit(1);
});
log.info({ host: config.host, port: (server.address() as { port: number }).port }, 'serving');
process.send?.('serving');

let stopping = false;
async function stop(): Promise<void> {
  if (stopping) return;
  stopping = true;
  server.close();
  server.closeIdleConnections();
  // Requests under way may finish; whatever hangs is ended.
  const late = setTimeout(() => server.closeAllConnections(), 5000);
  await once(server, 'close');
  clearTimeout(late);
  await jobs.close();
  await db.destroy();
}
process.on('SIGTERM', () => void stop());
process.on('SIGINT', () => void stop());

function settings(): Config {
  try {
    return readConfig(process.env);
  } catch (error) {
    if (!(error instanceof ConfigError)) throw error;
    console.error(`A setting cannot be used: ${error.message}`);
    process.exit(1);
  }
}
