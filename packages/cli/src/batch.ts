/** Many documents, several at once: told as they are made, and summed up. */
import { availableParallelism } from 'node:os';
import { relative } from 'node:path';
import { writeFileSync } from 'node:fs';
import { tryJob, type Job, type Result } from './convert-file.ts';

export interface Reported {
  readonly input: string;
  readonly result: Result;
}

export interface BatchOptions {
  /** How many at once. */
  readonly jobs?: number | undefined;
  /** Told of each when it is made. */
  readonly tell: (reported: Reported, done: number, of: number) => void;
}

/** @returns In the order of the jobs, whichever was made first. */
export async function runBatch(jobs: readonly Job[], { jobs: most, tell }: BatchOptions): Promise<readonly Reported[]> {
  let done = 0;
  const told = (job: Job, result: Result): Reported => {
    const reported = { input: job.input, result };
    tell(reported, ++done, jobs.length);
    return reported;
  };
  const threads = Math.min(most ?? availableParallelism(), jobs.length);
  if (threads < 2) {
    const all: Reported[] = [];
    for (const job of jobs) all.push(told(job, await tryJob(job)));
    return all;
  }
  const { Piscina } = await import('piscina');
  const pool = new Piscina({ filename: new URL('worker.mjs', import.meta.url).href, maxThreads: threads });
  try {
    return await Promise.all(jobs.map(async (job) => told(job, (await pool.run(job)) as Result)));
  } finally {
    await pool.destroy();
  }
}

/** One line of a document. */
export function lineOf({ input, result }: Reported): string {
  const name = shortPath(input);
  if (!result.ok) return `${name}: ${result.code}: ${result.message}`;
  const made = result.outputs.map(({ path }) => shortPath(path)).join(', ');
  return [`${name} → ${made}, ${result.slides} ${result.slides === 1 ? 'slide' : 'slides'}`, ...result.said].join('; ');
}

export function summaryOf(reported: readonly Reported[]): string {
  const failed = reported.filter(({ result }) => !result.ok).length;
  const made = reported.length - failed;
  const documents = (n: number): string => `${n} ${n === 1 ? 'document' : 'documents'}`;
  return failed === 0 ? `${documents(made)} made.` : `${documents(made)} made, ${failed} not.`;
}

const shortPath = (path: string): string => {
  const within = relative(process.cwd(), path);
  return within === '' || within.startsWith('..') ? path : within;
};

/** What was made of each, as JSON; the same each time. @param path `-` is standard output. */
export function writeReport(reported: readonly Reported[], path: string): void {
  const files = reported.map(({ input, result }) => {
    if (!result.ok) return { input: shortPath(input), error: { code: result.code, message: result.message } };
    const outputs = result.outputs.map((one) => ({ ...one, path: shortPath(one.path) }));
    return { input: shortPath(input), slides: result.slides, outputs, said: result.said };
  });
  const failed = reported.filter(({ result }) => !result.ok).length;
  const text = `${JSON.stringify({ made: reported.length - failed, failed, files }, null, 2)}\n`;
  if (path === '-') process.stdout.write(text);
  else writeFileSync(path, text);
}
