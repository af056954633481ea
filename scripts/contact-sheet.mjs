/**
 * `node scripts/contact-sheet.mjs FILE [--theme NAME] [--template FILE] [--out FILE.png] [--from N] [--most N] [--columns N] [--slides]`: the first deck of a
 * document, all its slides on one sheet, drawn as the application draws them; with `--slides` those that the template has.
 */
import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { bundle } from './bundle.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const out = join(root, 'dist/sheet/contact-sheet.mjs');
await bundle(root, ['bench/contact-sheet.ts'], { outfile: out });
const { status } = spawnSync(process.execPath, [out, ...process.argv.slice(2)], {
  stdio: 'inherit',
  env: { ...process.env, ALVEX_ROOT: root },
});
process.exit(status ?? 1);
