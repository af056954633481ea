/** `npm start`: installs what is missing, builds what is old, starts the database and the server, prints the address. With `--build` it only builds. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { startDatabase } from './database.mjs';
import { installMissing } from './install.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const data = process.env.ALVEX_DATA ?? join(root, 'data');
const port = Number(process.env.ALVEX_PORT ?? 4680);
const host = process.env.ALVEX_HOST ?? '127.0.0.1';

// Nobody may be listening to what is said any more.
for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined);

installMissing(root);
if (isOld()) {
  console.log('Building');
  if (spawnSync('node', [join(root, 'scripts/build.mjs')], { stdio: 'inherit' }).status !== 0) process.exit(1);
}
if (process.argv.includes('--build')) process.exit(0);
mkdirSync(data, { recursive: true });
const folder = join(data, 'database');
// What was being sent when the server last ended is of no use any more.
const spool = join(data, 'spool');
rmSync(spool, { recursive: true, force: true });
mkdirSync(spool, { recursive: true });
let database = await startDatabase(folder);
let server;
let stopping = false;
let code = 0;
/** Ends the pauses between attempts when the script is to stop. */
const stopped = new AbortController();

const tell = (line) => console.error(`${new Date().toISOString()} ${line}`);
const pause = (ms) =>
  new Promise((resolve) => {
    const timer = setTimeout(resolve, ms);
    stopped.signal.addEventListener('abort', () => (clearTimeout(timer), resolve()));
  });

const FIRST_PAUSE = 500; // ms
const LONGEST_PAUSE = 30_000;
/** What ran this long had begun well: its next end is a new trouble. */
const WELL = 60_000;
/** A server that ends so often before it ever served will not serve. */
const MOST_FAILED_STARTS = 5;

/** Runs what may end by itself, again and again with growing pauses, until the script is to stop. */
async function keepUp(name, run) {
  let wait = FIRST_PAUSE;
  while (!stopping) {
    const began = Date.now();
    try {
      await run();
    } catch (error) {
      tell(`${name}: ${error.message}`);
    }
    if (stopping) return;
    if (Date.now() - began > WELL) wait = FIRST_PAUSE;
    tell(`${name} has ended and is started again in ${Math.round(wait / 100) / 10} s.`);
    await pause(wait);
    wait = Math.min(wait * 2, LONGEST_PAUSE);
  }
}

async function runDatabase() {
  const { port } = database;
  if (database.gone) database = await startDatabase(folder, port);
  // The script may have been told to stop while the database was starting.
  if (stopping) await database.stop();
  await database.ended;
  database.gone = true;
}

const SETTINGS_FAULT = 78; // EX_CONFIG of sysexits.h
let failedStarts = 0;
let served = false;
function runServer() {
  server = spawn('node', [join(root, 'packages/server/dist/main.mjs')], {
    // A group of its own, so that Ctrl-C is ours to pass on.
    detached: true,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    env: {
      ...process.env,
      ALVEX_HOST: host,
      ALVEX_PORT: String(port),
      ALVEX_DB_PORT: String(database.port),
      ALVEX_DB_PASSWORD: database.password,
      ALVEX_DB_PID_FILE: join(folder, 'mariadb.pid'),
      ALVEX_SPOOL: spool,
      ALVEX_WEB_ROOT: join(root, 'packages/web/dist'),
      ALVEX_DEMO_ROOT: process.env.ALVEX_DEMO_ROOT ?? join(root, 'packages/demo/files'),
      ALVEX_LOG: process.env.ALVEX_LOG ?? 'warn',
    },
  });
  server.once('message', () => {
    console.log(`Alvex is at http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}/`);
    [served, failedStarts] = [true, 0];
  });
  return new Promise((resolve) => {
    server.once('exit', (status) => {
      // A port that is taken, or a setting that cannot be used, is not mended by trying again.
      if (status === SETTINGS_FAULT || (!served && ++failedStarts >= MOST_FAILED_STARTS)) {
        code = status || 1;
        stop();
      }
      resolve();
    });
  });
}

function stop() {
  if (stopping) return;
  stopping = true;
  stopped.abort();
  if (server?.exitCode === null && server.signalCode === null) server.kill('SIGTERM');
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, stop);

const databaseKept = keepUp('The database', runDatabase);
await keepUp('The server', runServer);
await database.stop();
await databaseKept;
process.exit(code);

/** Whether any source is newer than what was built. */
function isOld() {
  const built = ['packages/server/dist/main.mjs', 'packages/cli/dist/start.mjs', 'packages/web/dist/index.html'].map(
    (file) => join(root, file),
  );
  if (!built.every(existsSync)) return true;
  const oldest = Math.min(...built.map((file) => statSync(file).mtimeMs));
  const newest = (folder) =>
    readdirSync(folder, { withFileTypes: true }).reduce((latest, entry) => {
      if (entry.name === 'dist' || entry.name === 'node_modules') return latest;
      const path = join(folder, entry.name);
      return Math.max(latest, entry.isDirectory() ? newest(path) : statSync(path).mtimeMs);
    }, 0);
  return Math.max(newest(join(root, 'packages')), statSync(join(root, 'package-lock.json')).mtimeMs) > oldest;
}
