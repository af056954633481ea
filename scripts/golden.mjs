/** Writes anew what the golden files say: `npm run golden`. The difference is to be read before it is kept. */
import { spawnSync } from 'node:child_process';

const { status } = spawnSync(
  'node',
  ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js', 'golden'],
  { stdio: 'inherit', env: { ...process.env, ALVEX_GOLDEN: '1' } },
);
process.exit(status ?? 1);
