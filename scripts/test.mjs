/** `npm test`: everything. Installs what is missing, then types, lint, import rules, unit tests, build, end to end, exported demo decks. */
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { installMissing } from './install.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
installMissing(root, true);

let passed = 0;
let failed = 0;
const bin = (name) => join(root, 'node_modules/.bin', name);

/** @param counts Finds the tests that passed and failed in the output; without it the step counts as one. */
async function step(name, command, args, counts) {
  const start = Date.now();
  const { status, output } = await run(command, args);
  console.log(`\n== ${name}`);
  console.log(output.trim());
  console.log(`== ${name}: ${status === 0 ? 'well' : 'failed'}, ${Math.round((Date.now() - start) / 1000)} s`);
  const found = counts?.(output);
  passed += found?.passed ?? (status === 0 ? 1 : 0);
  // A step that fails without saying which test counts as one failure.
  failed += status === 0 ? 0 : Math.max(1, found?.failed ?? 0);
  return status === 0;
}

/** What is said is told as a whole when the step has ended, so that steps beside each other do not mix. */
function run(command, args) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: root, env: { ...process.env, FORCE_COLOR: '0' } });
    let output = '';
    for (const stream of [child.stdout, child.stderr]) {
      stream.setEncoding('utf8');
      stream.on('data', (piece) => (output += piece));
    }
    child.on('error', reject);
    child.on('close', (code) => resolve({ status: code, output }));
  });
}

const number = (text, pattern) => Number(pattern.exec(text)?.[1] ?? 0);
const jestCounts = (output) => {
  const line = /^Tests:.*$/m.exec(output)?.[0] ?? '';
  return { passed: number(line, /(\d+) passed/), failed: number(line, /(\d+) failed/) };
};
const playwrightCounts = (output) => ({
  passed: number(output, /^\s*(\d+) passed/m),
  failed: number(output, /^\s*(\d+) failed/m),
});

// Each of these uses one core, and most machines have two.
await Promise.all([
  step('types', bin('tsc'), ['-b']),
  step('lint', bin('eslint'), ['.']),
  step('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']),
  step('import rules', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', 'packages']),
]);
if (await step('build', 'node', ['scripts/build.mjs'])) {
  const jest = ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js'];
  await step(
    'unit tests',
    'node',
    [...jest, '--maxWorkers=2', '--testPathIgnorePatterns', 'fuzz', '/node_modules/'],
    jestCounts,
  );
  // Each uses one core.
  await Promise.all([
    // Memory is measured: in a process of its own, so that what other tests took does not count.
    step('damaged files', 'node', [...jest, '--runInBand', 'fuzz'], jestCounts),
    checkDemo(),
  ]);
  await step(
    'end to end tests',
    bin('playwright'),
    ['test', '-c', 'e2e/playwright.config.ts', '--reporter=list'],
    playwrightCounts,
  );
}
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);

/** Exports every demo document by every map, in one theme after another, and has the files checked against their standard. */
async function checkDemo() {
  const folder = mkdtempSync(join(tmpdir(), 'alvex-demo-'));
  const alvex = join(root, 'bin/alvex');
  const names = (command) => spawnSync(alvex, [command], { encoding: 'utf8' }).stdout.trim().split('\n');
  const demo = join(root, 'packages/demo/files');
  const files = [];
  const themes = names('themes');
  for (const file of readdirSync(demo).filter((name) => /\.(docx|md)$/.test(name)))
    for (const map of names('maps'))
      for (const theme of themes.splice(0, 2)) {
        themes.push(theme);
        const out = join(folder, `${file}.${map}.${theme}.pptx`);
        if (
          await step(`export ${file}, ${map}, ${theme}`, alvex, [
            'convert',
            join(demo, file),
            '-o',
            out,
            '--map',
            map,
            '--theme',
            theme,
          ])
        )
          files.push(out);
      }
  await step('exported decks against ECMA-376', alvex, ['check', ...files]);
  // Maps for reading open a section and go on under its title, as their documents do.
  const first = files.filter((file) => file.includes('.fitted.'));
  await step('first decks as an expert reads them', alvex, ['audit', ...first]);
  rmSync(folder, { recursive: true, force: true });
}
