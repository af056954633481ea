/** `npm run bench [case ...]`: every case in a process of its own, all in one run; prints a table of ratios. */
import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';
import { measure } from '../bench/rows.mjs';
import { bundle } from './bundle.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const out = join(root, 'dist/bench');
rmSync(out, { recursive: true, force: true });
mkdirSync(out, { recursive: true });
const cases = readdirSync(join(root, 'bench/cases')).map((name) => name.replace(/\.ts$/, ''));
await bundle(
  root,
  cases.map((name) => `bench/cases/${name}.ts`),
  { outdir: out, outExtension: { '.js': '.mjs' } },
);

function run(name, ...args) {
  const { status, stdout, stderr } = spawnSync('node', ['--expose-gc', join(out, `${name}.mjs`), ...args], {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 64 * 1024 * 1024,
  });
  if (status !== 0) throw new Error(`${name} ${args.join(' ')} failed:\n${stderr}`);
  return JSON.parse(stdout.trim().split('\n').at(-1));
}

/** Subjects in turns, each in three processes: other work on the machine then meets all alike. The least counts. */
function inTurns(name, subjects, ...args) {
  const least = {};
  for (let turn = 0; turn < 3; turn++)
    for (const subject of subjects) {
      const measured = run(name, subject, ...args);
      const before = least[subject] ?? measured;
      least[subject] = {
        ...measured,
        ms: Math.min(before.ms, measured.ms),
        peakMegabytes: Math.min(before.peakMegabytes, measured.peakMegabytes),
      };
    }
  return subjects.map((subject) => least[subject]);
}

const chosen = process.argv.slice(2);
const wanted = (name) => chosen.length === 0 || chosen.includes(name);
const rows = [];
const row = (what, measured, aim, holds) => rows.push([what, measured, aim, holds ? 'yes' : 'NO']);

measure({ wanted, run, inTurns, row, join, out });
if (wanted('size')) {
  const assets = join(root, 'packages/web/dist/assets');
  const html = readFileSync(join(root, 'packages/web/dist/index.html'), 'utf8');
  const needed = readdirSync(assets).filter(
    (name) => name.endsWith('.js') && (html.includes(name) || name.startsWith('decks-page')),
  );
  const page = readFileSync(
    join(
      assets,
      needed.find((name) => name.startsWith('decks-page')),
    ),
    'utf8',
  );
  for (const name of readdirSync(assets))
    if (name.endsWith('.js') && !needed.includes(name) && page.includes(name)) needed.push(name);
  const size = needed.reduce((sum, name) => sum + gzipSync(readFileSync(join(assets, name))).length, 0) / 1000;
  row('JavaScript for the list of decks, compressed', `${size.toFixed(0)} kB`, '≤ 250 kB', size <= 250);
}

console.log('\n| what | measured | aim | holds |\n|---|---|---|---|');
for (const columns of rows) console.log(`| ${columns.join(' | ')} |`);
