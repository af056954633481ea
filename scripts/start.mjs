/** `npm start`: installs what is missing, builds what is old, starts the database and the server, prints the address. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { startDatabase } from './database.mjs';
import { installMissing } from './install.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const data = process.env.ALVEX_DATA ?? join(root, 'data');
const port = Number(process.env.ALVEX_PORT ?? 4680);
const host = process.env.ALVEX_HOST ?? '127.0.0.1';

installMissing(root);
if (isOld()) {
  console.log('Building');
  if (spawnSync('node', [join(root, 'scripts/build.mjs')], { stdio: 'inherit' }).status !== 0) process.exit(1);
}
mkdirSync(data, { recursive: true });
const database = await startDatabase(join(data, 'database'));

const server = spawn('node', [join(root, 'packages/server/dist/main.mjs')], {
  // A group of its own, so that Ctrl-C is ours to pass on.
  detached: true,
  stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  env: {
    ...process.env,
    ALVEX_HOST: host,
    ALVEX_PORT: String(port),
    ALVEX_DB_PORT: String(database.port),
    ALVEX_DB_PASSWORD: database.password,
    ALVEX_WEB_ROOT: join(root, 'packages/web/dist'),
    ALVEX_DEMO_ROOT: process.env.ALVEX_DEMO_ROOT ?? join(root, 'packages/demo/files'),
    ALVEX_LOG: process.env.ALVEX_LOG ?? 'warn',
  },
});
server.once('message', () => console.log(`Alvex is at http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}/`));
server.once('exit', async (code) => {
  await database.stop();
  process.exit(code ?? 0);
});
let stopping = false;
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => {
    if (!stopping) server.kill('SIGTERM');
    stopping = true;
  });

/** Whether any source is newer than what was built. */
function isOld() {
  const built = ['packages/server/dist/main.mjs', 'packages/cli/dist/alvex.mjs', 'packages/web/dist/index.html'].map(
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
