/** Starts and stops a MariaDB of the project's own, on loopback, in a folder of the project's own. */
import { spawn, spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { userInfo } from 'node:os';
import { join } from 'node:path';

const find = (name) =>
  ['/usr/sbin', '/usr/bin', '/usr/local/sbin', '/usr/local/bin'].map((folder) => join(folder, name)).find(existsSync);

export const databaseInstalled = () => Boolean(find('mariadbd') && find('mariadb-install-db') && find('mariadb'));

export async function freePort() {
  const server = createServer();
  await new Promise((resolve, reject) => server.once('error', reject).listen(0, '127.0.0.1', resolve));
  const { port } = server.address();
  await new Promise((resolve) => server.close(resolve));
  return port;
}

const logged = (log) => (existsSync(log) ? `Its log is ${log}:\n${readFileSync(log, 'utf8').slice(-2000)}` : '');

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** Ends a database of this folder that a start script left which was killed. */
async function endFormer(folder, settings) {
  const file = join(folder, 'mariadb.pid');
  const pid = existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0;
  // A number may have gone to another program since: only what serves this folder is ours.
  const isOurs = () => {
    try {
      return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(`--defaults-file=${settings}`);
    } catch {
      return false;
    }
  };
  if (!(pid > 1) || !isOurs()) return;
  process.kill(pid, 'SIGTERM');
  for (let tries = 0; tries < 300 && isOurs(); tries++) await pause(100);
  if (isOurs()) process.kill(pid, 'SIGKILL');
  while (isOurs()) await pause(50);
}

/**
 * @param folder Holds data, settings and log; made when it is not there.
 * @param wanted The port on which one that ended was; any free one without.
 * @returns How to connect, `ended`, and `stop`, which ends the server and waits for it.
 */
export async function startDatabase(folder, wanted) {
  const user = userInfo().username;
  const data = join(folder, 'data');
  const settings = join(folder, 'my.cnf');
  const log = join(folder, 'mariadb.log');
  const port = wanted ?? (await freePort());
  const temporary = join(folder, 'tmp');
  mkdirSync(temporary, { recursive: true });
  await endFormer(folder, settings);
  const passwordFile = join(folder, 'password');
  if (!existsSync(passwordFile)) writeFileSync(passwordFile, randomBytes(18).toString('hex'), { mode: 0o600 });
  const password = readFileSync(passwordFile, 'utf8');
  const init = join(folder, 'init.sql');
  writeFileSync(
    init,
    [
      'CREATE DATABASE IF NOT EXISTS alvex;',
      `CREATE USER IF NOT EXISTS 'alvex'@'%' IDENTIFIED BY '${password}';`,
      "GRANT ALL ON `alvex%`.* TO 'alvex'@'%';",
    ].join('\n'),
    { mode: 0o600 },
  );
  writeFileSync(
    settings,
    `[mariadbd]
datadir=${data}
# Of its own: a server that starts clears away what others have in a folder they share.
tmpdir=${temporary}
# Relative to the data folder: over 107 characters the server would refuse the socket's path.
socket=s.sock
pid-file=${join(folder, 'mariadb.pid')}
log-error=${log}
bind-address=127.0.0.1
port=${port}
skip-name-resolve
init-file=${init}
character-set-server=utf8mb4
collation-server=utf8mb4_unicode_520_ci
max_allowed_packet=192M
innodb_flush_log_at_trx_commit=1
innodb_log_file_size=256M
performance_schema=OFF
`,
  );
  if (!existsSync(data)) {
    const fresh = `${data}.new`;
    rmSync(fresh, { recursive: true, force: true });
    const made = spawnSync(
      find('mariadb-install-db'),
      [
        `--defaults-file=${settings}`,
        `--datadir=${fresh}`,
        `--user=${user}`,
        '--auth-root-authentication-method=socket',
        `--auth-root-socket-user=${user}`,
        '--skip-test-db',
      ],
      { encoding: 'utf8' },
    );
    if (made.status !== 0)
      throw new Error(`The database could not be made:\n${made.stdout}\n${made.stderr}${logged(log)}`);
    renameSync(fresh, data);
  }
  // A process group of its own: Ctrl-C reaches the start script first, which then stops the database in order.
  const server = spawn(find('mariadbd'), [`--defaults-file=${settings}`, `--user=${user}`], {
    stdio: 'ignore',
    detached: true,
  });
  // Ends it when whoever started it is gone without a word: the shell's input ends then.
  const guard = spawn('sh', ['-c', 'read -r _; kill -TERM "$0"', String(server.pid)], {
    stdio: ['pipe', 'ignore', 'ignore'],
    detached: true,
  });
  let ended = false;
  const end = new Promise((resolve) => server.once('exit', resolve)).then(() => {
    guard.kill();
    ended = true;
  });
  const stop = async () => {
    if (!ended) server.kill('SIGTERM');
    await end;
  };
  for (let tries = 0; ; tries++) {
    // Another server on the port would answer a plain question too; only ours has our folder.
    const asked = spawnSync(
      find('mariadb'),
      ['--no-defaults', '-h127.0.0.1', `-P${port}`, '-ualvex', '-N', '-e', 'SELECT @@datadir'],
      { encoding: 'utf8', env: { ...process.env, MYSQL_PWD: password } },
    );
    if (asked.stdout?.trim() === `${data}/`) break;
    if (ended || tries > 300) {
      await stop();
      throw new Error(`The database did not start. ${logged(log)}`);
    }
    await pause(100);
  }
  return { host: '127.0.0.1', port, user: 'alvex', password, database: 'alvex', pid: server.pid, ended: end, stop };
}
