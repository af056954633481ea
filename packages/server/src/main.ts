/** Starts the server and stops it cleanly. */
import { once } from 'node:events';
import { pino } from 'pino';
import { readConfig } from './config/config.ts';
import { connect } from './db/connect.ts';
import { migrate } from './db/migrations.ts';
import { makeApp } from './http/app.ts';
import { Pool } from './jobs/pool.ts';
import { LOCAL_WORKSPACE, type Context } from './services/context.ts';
import { loadDemo } from './services/load-demo.ts';

const config = readConfig(process.env);
const log = pino({ level: config.logLevel });
const db = connect(config.database);
const pool = new Pool(new URL('./worker.mjs', import.meta.url).href);
const context: Context = { db, pool, workspace: LOCAL_WORKSPACE, now: () => new Date() };

await migrate(db);
await loadDemo(context, config.demoRoot);
const server = makeApp(context, config, log).listen(config.port, config.host);
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
  await pool.close();
  await db.destroy();
}
process.on('SIGTERM', () => void stop());
process.on('SIGINT', () => void stop());
