/** `npm run faults [seconds] [seed] [fault ...]`: see `faults/run.ts`. Needs the built application. */
import { build } from 'esbuild';
import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const out = join(root, 'dist/faults.mjs');
await build({
  entryPoints: [join(root, 'faults/run.ts')],
  outfile: out,
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
  logLevel: 'error',
  alias: { '@alvex/core': join(root, 'packages/core/src/index.ts') },
  define: { 'import.meta.dirname': JSON.stringify(join(root, 'e2e')) },
});
process.exit(spawnSync('node', [out, ...process.argv.slice(2)], { cwd: root, stdio: 'inherit' }).status ?? 1);
