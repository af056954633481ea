/**
 * `node scripts/contact-sheet.mjs FILE [--theme NAME] [--out FILE.png] [--from N] [--most N] [--columns N]`: the first deck of a
 * document, all its slides on one sheet, drawn as the application draws them.
 */
import { build } from 'esbuild';
import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
// Inside the project, so that packages are found from there.
const out = join(root, 'dist/sheet/contact-sheet.mjs');
await build({
  entryPoints: [join(root, 'bench/contact-sheet.ts')],
  outfile: out,
  bundle: true,
  platform: 'node',
  format: 'esm',
  jsx: 'automatic',
  packages: 'external',
  logLevel: 'error',
  alias: { '@alvex/core': join(root, 'packages/core/src/index.ts') },
  define: { 'import.meta.dirname': JSON.stringify(join(root, 'e2e')) },
});
const { status } = spawnSync(process.execPath, [out, ...process.argv.slice(2)], {
  stdio: 'inherit',
  env: { ...process.env, ALVEX_ROOT: root },
});
process.exit(status ?? 1);
