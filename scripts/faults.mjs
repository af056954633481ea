/** `npm run faults [seconds] [seed] [fault ...]`: see `faults/run.ts`. Needs the built application. */
import { spawnSync } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { bundle } from './bundle.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const out = join(root, 'dist/faults.mjs');
await bundle(root, ['faults/run.ts'], { outfile: out });
process.exit(spawnSync('node', [out, ...process.argv.slice(2)], { cwd: root, stdio: 'inherit' }).status ?? 1);
