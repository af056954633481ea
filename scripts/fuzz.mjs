/** Damages the fixtures many times over: `npm run fuzz [rounds] [seed]`. */
import { spawnSync } from 'node:child_process';

const [rounds = '500', seed = '1'] = process.argv.slice(2);
const { status } = spawnSync(
  'node',
  ['--experimental-vm-modules', '--no-warnings', 'node_modules/jest/bin/jest.js', 'fuzz'],
  { stdio: 'inherit', env: { ...process.env, ALVEX_FUZZ: rounds, ALVEX_SEED: seed } },
);
process.exit(status ?? 1);
