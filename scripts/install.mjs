/** Installs what is missing: packages of Debian and of npm. Uses nothing but Node itself. */
import { spawnSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { databaseInstalled } from './database.mjs';

const run = (command, args, options) => {
  const { status } = spawnSync(command, args, { stdio: ['ignore', 'inherit', 'inherit'], ...options });
  if (status !== 0) throw new Error(`${command} ${args.join(' ')} failed`);
};

/** @param packages Debian packages. */
export function installDebian(packages) {
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => {
    const [command, ...rest] = [...asRoot, 'apt-get', '-qq', ...args];
    run(command, rest, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
  };
  console.log(`Installing from Debian: ${packages.join(' ')}`);
  apt('update');
  apt('install', '-y', '--no-install-recommends', ...packages);
}

/** @param forTests Also what only the tests use: a browser, and other readers. */
export function installMissing(root, forTests = false) {
  const wanted = [];
  if (!databaseInstalled()) wanted.push('mariadb-server-core', 'mariadb-client-core');
  if (forTests && !existsSync('/usr/bin/chromium')) wanted.push('chromium');
  // Readers that are not ours, against which ours are held.
  if (forTests && !existsSync('/usr/bin/pdftotext')) wanted.push('poppler-utils');
  for (const [module, name] of Object.entries({
    docx: 'python3-docx',
    odf: 'python3-odf',
    markdown: 'python3-markdown',
  }))
    if (forTests && !existsSync(`/usr/lib/python3/dist-packages/${module}`)) wanted.push(name);
  if (wanted.length > 0) installDebian(wanted);
  const lock = join(root, 'package-lock.json');
  const installed = join(root, 'node_modules/.package-lock.json');
  if (!existsSync(installed) || statSync(installed).mtimeMs < statSync(lock).mtimeMs) {
    console.log('Installing from the npm registry');
    run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root });
  }
}
