/** `npm run faults [seconds] [seed] [fault ...]`: a table of what was acknowledged, found, doubled and lost. */
import { SCENARIOS, tryFault, tryFullDisk, type Counted } from './scenarios.ts';

const FULL_DISK = 'disk full';
const [seconds = '20', seed = '1', ...chosen] = process.argv.slice(2);
const names = [...Object.keys(SCENARIOS), FULL_DISK].filter((name) => chosen.length === 0 || chosen.includes(name));
let failed = false;
console.log(`${seconds} s each, seed ${seed}`);
console.log('| fault | acknowledged | found | doubled | lost | answered instead |');
console.log('|---|---|---|---|---|---|');
for (const name of names) {
  const run = (): Promise<Counted> =>
    name === FULL_DISK ? tryFullDisk(Number(seconds), Number(seed)) : tryFault(name, Number(seconds), Number(seed));
  const { acknowledged, found, doubled, lost, refusals, skipped } = await run();
  if (skipped !== undefined) console.log(`| ${name} | | | | | not tried: ${skipped} |`);
  else {
    const others = Object.entries(refusals).map(([code, times]) => `${times} ${code}`);
    console.log(`| ${name} | ${acknowledged} | ${found} | ${doubled} | ${lost} | ${others.join(', ')} |`);
    if (doubled > 0 || lost > 0 || acknowledged === 0) failed = true;
  }
}
process.exit(failed ? 1 : 0);
