/** Builds what is old before any server of a test starts: two at once would take each other's files away. */
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';

export default function buildOnce(): void {
  execFileSync('node', [join(import.meta.dirname, '../scripts/start.mjs'), '--build'], { stdio: 'inherit' });
}
