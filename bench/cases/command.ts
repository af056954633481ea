/** The command line as one runs it: a short document from a cold start, and a folder of 200 documents with one job and with all. */
import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import { best, sentence, tell } from '../measure.ts';

const [, , subject] = process.argv;
const folder = mkdtempSync(join(tmpdir(), 'alvex-bench-'));
const run = (command: string, ...args: readonly string[]): void => {
  const { status, stderr } = spawnSync(command, args, { encoding: 'utf8' });
  if (status !== 0) throw new Error(stderr);
};
const text = (seed: number, sections: number): string =>
  Array.from(
    { length: sections },
    (_, i) =>
      `# ${sentence(seed + i, 5)}\n\n- ${sentence(i, 8)}\n- ${sentence(seed, 9)}\n\n${sentence(seed + i, 60)}\n`,
  ).join('\n');
try {
  const short = join(folder, 'short.md');
  writeFileSync(short, text(1, 4));
  if (subject === 'node') tell(await best(5, () => run('node', '-e', '0')));
  else if (subject === 'short')
    tell(await best(5, () => run('bin/alvex', 'convert', short, '-o', join(folder, 'short.pptx'))));
  else {
    mkdirSync(join(folder, 'in'));
    for (let i = 0; i < 200; i++) writeFileSync(join(folder, `in/d${i}.md`), text(i, 20));
    const jobs = subject === 'one' ? 1 : availableParallelism();
    const all = ['convert', join(folder, 'in'), '-o', join(folder, 'out'), '--to', 'pptx', '--jobs', String(jobs)];
    tell(await best(1, () => run('bin/alvex', ...all)), { jobs });
  }
} finally {
  rmSync(folder, { recursive: true, force: true });
}
